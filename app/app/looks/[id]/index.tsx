import { useLocalSearchParams } from 'expo-router';
import { LookScreen } from '../../../features/looks/LookScreen';

export default function LookScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LookScreen key={id} id={id} />;
}
