import { useLocalSearchParams } from 'expo-router';
import { FitSeveralScreen } from '../../../features/looks/FitSeveralScreen';

export default function FitSeveralScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FitSeveralScreen key={id} id={id} />;
}
