import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const ChartScreen = fromWork((work) => work.ChartScreen);

export default function ChartScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ChartScreen key={id} id={id} />;
}
