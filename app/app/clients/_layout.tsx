import { SideBySide } from '../../features/frame/SideBySide';
import { ClientsList } from '../../features/clients/ClientsList';

export { Mishap as ErrorBoundary } from '../../features/frame/Mishap';
export default function ClientsLayout() {
  return <SideBySide list={<ClientsList />} />;
}
