import { useState } from 'react';
import { may, pathTo, type ClientAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { useSession } from '../../data/hooks';
import { Button, Line } from '../../ui';
import { EraseDialog } from './EraseDialog';

/** What a client may ask for of their own: everything as a file, and to be erased. */
export function OwnData({ client }: { readonly client: ClientAnswer }) {
  const session = useSession();
  const [erasing, setErasing] = useState(false);
  return (
    <Line>
      <Button
        onPress={() => window.location.assign(pathTo('clientData', { id: client.id }))}
      >{msg`Everything as a file`}</Button>
      <Button
        onPress={() => window.location.assign(pathTo('printEvidence', { id: client.id }))}
      >{msg`Trials and wear on paper`}</Button>
      {session.data && may(session.data.role, 'manage') ? (
        <Button kind="stop" onPress={() => setErasing(true)}>{msg`Erase`}</Button>
      ) : null}
      {erasing ? <EraseDialog client={client} onClose={() => setErasing(false)} /> : null}
    </Line>
  );
}
