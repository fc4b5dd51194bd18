import { SideBySide } from '../../features/frame/SideBySide';
import { ClientsList } from '../../features/clients/ClientsList';

export default function ClientsLayout() {
  return <SideBySide list={<ClientsList />} />;
}
