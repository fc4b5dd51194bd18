import { useState } from 'react';
import type { ClientAnswer, PatchTestAnswer } from '@toile/contract';
import { Button, Column, Label, Line, Row, Subheading } from '../../ui';
import { todayText } from '../words/dates';
import { PatchTestDialog } from './PatchTestDialog';
import { patchTestInWords } from './patchTestView';

/** The patch tests of a client: planned, laid, read; a bad or missing result stops the product in every chart. */
export function PatchTests({
  client,
  mayWork,
}: {
  readonly client: ClientAnswer;
  readonly mayWork: boolean;
}) {
  const [open, setOpen] = useState<PatchTestAnswer | 'new' | null>(null);
  if (client.patchTests.length === 0 && !mayWork) return null;
  return (
    <Column gap="$1">
      <Line justifyContent="space-between">
        <Subheading>Patch tests</Subheading>
        {mayWork ? <Button onPress={() => setOpen('new')}>Plan a test</Button> : null}
      </Line>
      {client.patchTests.length === 0 ? (
        <Label>None yet. With any sensitivity glue and new products are tried 24 to 48 hours before.</Label>
      ) : null}
      {client.patchTests.map((test) => (
        <Row
          key={test.id}
          title={test.product}
          detail={patchTestInWords(test, new Date(), todayText())}
          onPress={mayWork ? () => setOpen(test) : undefined}
        />
      ))}
      {open ? (
        <PatchTestDialog
          clientId={client.id}
          test={open === 'new' ? null : open}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Column>
  );
}
