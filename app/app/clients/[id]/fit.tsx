import { useLocalSearchParams } from 'expo-router';
import { FitScreen } from '../../../features/fit/FitScreen';

export default function FitScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <FitScreen key={id} id={id} />;
}
