import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const CompareScreen = fromWork((work) => work.CompareScreen);

export default function CompareScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CompareScreen key={id} id={id} />;
}
