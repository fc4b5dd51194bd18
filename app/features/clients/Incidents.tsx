import { useState } from 'react';
import type { ClientAnswer } from '@toile/contract';
import { msg, plural } from '@toile/core';
import { Body, Button, Column, Label, Line, Subheading } from '../../ui';
import { dayInWords } from '../words/dates';
import { IncidentDialog } from './IncidentDialog';

/** What went wrong on a client, with what was in use; written down once, and never changed. */
export function Incidents({ client, mayWork }: { readonly client: ClientAnswer; readonly mayWork: boolean }) {
  const [writing, setWriting] = useState(false);
  if (client.incidents.length === 0 && !mayWork) return null;
  return (
    <Column gap="$2" role="group" aria-label={msg`Incidents`}>
      <Line justifyContent="space-between">
        <Subheading>{msg`Incidents`}</Subheading>
        {mayWork ? <Button onPress={() => setWriting(true)}>{msg`Something went wrong`}</Button> : null}
      </Line>
      {client.incidents.length === 0 ? <Label>{msg`None written down.`}</Label> : null}
      {client.incidents.map((one) => (
        <Column key={one.id} gap={0} borderTopWidth={1} borderTopColor="$line" paddingTop="$2">
          <Body>{`▲ ${dayInWords(one.on)}: ${one.seen}`}</Body>
          {one.done ? <Label>{msg`Done then: ${one.done}`}</Label> : null}
          {one.suspected.length > 0 ? (
            <Label color="$madder">{msg`Left alone since: ${one.suspected.map((s) => s.product).join(', ')}`}</Label>
          ) : null}
          <Label>
            {[
              msg`Written down by ${one.by}`,
              one.used.length > 0
                ? plural(one.used.length)`one product was in use|${one.used.length} products were in use`
                : null,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Label>
        </Column>
      ))}
      {writing ? <IncidentDialog client={client} onClose={() => setWriting(false)} /> : null}
    </Column>
  );
}
