import { useLocalSearchParams } from 'expo-router';
import { MakeLookScreen } from '../../../features/looks/MakeLookScreen';

export default function MakeLookScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <MakeLookScreen key={id} id={id} />;
}
