import { PlaceIndex } from '../../features/frame/SideBySide';
import { ClientsList } from '../../features/clients/ClientsList';

export default function ClientsIndex() {
  return (
    <PlaceIndex list={<ClientsList />} title="Choose a client" words="Face, skin and charts open here." />
  );
}
