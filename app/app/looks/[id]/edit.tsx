import { useLocalSearchParams } from 'expo-router';
import { EditLookScreen } from '../../../features/looks/EditLookScreen';

export default function EditLookScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditLookScreen key={id} id={id} />;
}
