import { useState } from 'react';
import type { ClientAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { Button, Column, Label, Line, Row, Subheading } from '../../ui';
import { todayText } from '../words/dates';
import { PatchTestDialog } from './PatchTestDialog';
import { patchTestInWords } from './patchTestView';

/** In place of an id: one that is planned anew. */
const NEW = 'new';

/**
 * The patch tests of a client: planned, laid, read; a bad or missing result stops the product in every chart.
 */
export function PatchTests({
  client,
  mayWork,
}: {
  readonly client: ClientAnswer;
  readonly mayWork: boolean;
}) {
  const [open, setOpen] = useState<string | null>(null);
  // By its id: what somebody else has read of it meanwhile is what is read on from.
  const test = client.patchTests.find(({ id }) => id === open) ?? null;
  if (client.patchTests.length === 0 && !mayWork) return null;
  return (
    <Column gap="$1">
      <Line justifyContent="space-between">
        <Subheading>{msg`Patch tests`}</Subheading>
        {mayWork ? <Button onPress={() => setOpen(NEW)}>{msg`Plan a test`}</Button> : null}
      </Line>
      {client.patchTests.length === 0 ? (
        <Label>{msg`None yet. With any sensitivity glue and new products are tried 24 to 48 hours before.`}</Label>
      ) : null}
      {client.patchTests.map((one) => (
        <Row
          key={one.id}
          title={one.product}
          detail={patchTestInWords(one, new Date(), todayText())}
          onPress={mayWork ? () => setOpen(one.id) : undefined}
        />
      ))}
      {open ? <PatchTestDialog clientId={client.id} test={test} onClose={() => setOpen(null)} /> : null}
    </Column>
  );
}
