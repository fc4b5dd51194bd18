import { useLocalSearchParams } from 'expo-router';
import { ShadesScreen } from '../../../features/shades/ShadesScreen';

export default function ShadesScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ShadesScreen key={id} id={id} />;
}
