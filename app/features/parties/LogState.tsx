import { msg } from '@toile/core';
import { Body, Button, Column, Label } from '../../ui';
import type { PartyLog } from './usePartyLog';

/** What has not arrived yet of what was told here, and what was refused. */
export function LogState({ log }: { readonly log: PartyLog }) {
  const { unsentCount, failure, refused, error, sendAgain } = log;
  return (
    <Column gap="$1" role="status">
      {error ? <Body role="alert" color="$madder">{`▲ ${error.message}`}</Body> : null}
      {unsentCount > 0 ? (
        <>
          <Label>{msg`${unsentCount} kept here, not sent yet. ${failure ?? ''}`}</Label>
          {failure ? <Button onPress={sendAgain}>{msg`Send again`}</Button> : null}
        </>
      ) : null}
      {refused.map((why) => (
        <Body key={why} role="alert" color="$madder">{msg`▲ Not taken: ${why}`}</Body>
      ))}
    </Column>
  );
}
