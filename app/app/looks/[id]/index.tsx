import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const LookScreen = fromWork((work) => work.LookScreen);

export default function LookScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LookScreen key={id} id={id} />;
}
