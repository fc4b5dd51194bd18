import { useLocalSearchParams } from 'expo-router';
import { ClientScreen } from '../../../features/clients/ClientScreen';

export default function ClientScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ClientScreen key={id} id={id} />;
}
