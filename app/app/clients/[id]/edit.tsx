import { useLocalSearchParams } from 'expo-router';
import { EditClientScreen } from '../../../features/clients/EditClientScreen';

export default function EditClientRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditClientScreen key={id} id={id} />;
}
