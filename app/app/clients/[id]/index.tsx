import { useLocalSearchParams } from 'expo-router';
import { fromWork } from '../../../features/frame/fromWork';

const ClientScreen = fromWork((work) => work.ClientScreen);

export default function ClientScreenRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ClientScreen key={id} id={id} />;
}
