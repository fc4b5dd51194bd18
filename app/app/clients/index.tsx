import { msg } from '@toile/core';
import { PlaceIndex } from '../../features/frame/SideBySide';
import { ClientsList } from '../../features/clients/ClientsList';

export default function ClientsIndex() {
  return (
    <PlaceIndex
      list={<ClientsList />}
      title={msg`Choose a client`}
      words={msg`Face, skin and charts open here.`}
    />
  );
}
