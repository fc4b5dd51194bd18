import { useLocalSearchParams } from 'expo-router';
import { ChartScreen } from '../../../features/chart/ChartScreen';

export default function ChartScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ChartScreen key={id} id={id} />;
}
