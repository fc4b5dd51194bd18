import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../../features/frame/fromWork';

const SubstituteScreen = fromWork((work) => work.SubstituteScreen);

export default function SubstituteScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SubstituteScreen key={id} id={id} />;
}
