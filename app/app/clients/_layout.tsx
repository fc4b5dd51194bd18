import { ClientsList } from '../../features/clients/ClientsList';
import { SideBySide } from '../../features/frame/SideBySide';

export default function ClientsLayout() {
  return <SideBySide list={<ClientsList />} root="/clients" />;
}
