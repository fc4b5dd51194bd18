import { useState } from 'react';
import {
  identifyPan,
  msg,
  shadeName,
  type Compact,
  type CompactNotes,
  type Lab,
  type PanNote,
} from '@toile/core';
import { call } from '../../../data/call';
import { useSaving } from '../../../data/useSaving';
import { Body, Button, Column, Label, LabField, Line, Subheading, Swatch } from '../../../ui';
import { verdictInWords } from '../../kit/identifyView';

/** One reading of a pan that has lost its label: which of this compact's it is. */
export function WhichPan({ compact, notes }: { readonly compact: Compact; readonly notes: CompactNotes }) {
  const [lab, setLab] = useState<Lab | null>(null);
  const { busy, failure, save } = useSaving(msg`The reader did not answer. Try again.`);
  const found = lab
    ? identifyPan(
        lab,
        notes.pans.map(({ product }) => product),
      )
    : null;
  const hold = ({ place }: PanNote): Promise<unknown> =>
    save(async () => {
      const pan = { paletteId: compact.tins[place.tin]!.id, row: place.row, column: place.column };
      setLab((await call('sample', { body: { pan } })).lab);
    });
  return (
    <Column gap="$2" role="group" aria-label={msg`Which pan is this?`}>
      <Subheading fontSize="$4">{msg`Which pan is this?`}</Subheading>
      {found && lab ? (
        <Column gap="$1" aria-live="polite">
          <Line flexWrap="nowrap">
            <Swatch lab={lab} size={44} label={msg`the pan as read`} />
            <Body flex={1} fontWeight="700">
              {verdictInWords(found)}
            </Body>
          </Line>
          {found.guesses.map(({ product, certainty, deltaE }) => (
            <Label key={product.id}>
              {msg`${notes.pans.find((pan) => pan.product.id === product.id)!.called} ${shadeName(product)}: ${Math.round(100 * certainty)} %, ${deltaE.toFixed(1)} from its colour`}
            </Label>
          ))}
        </Column>
      ) : null}
      <LabField label={msg`The pan as read`} button={msg`Which one is it?`} onLab={setLab} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Label>{msg`Or hold the stand-in reader to a pan`}</Label>
      <Line>
        {notes.pans
          .filter(({ product }) => product.lab !== null)
          .map((pan) => (
            <Button
              key={pan.called}
              label={msg`Read ${pan.called}`}
              disabled={busy}
              onPress={() => void hold(pan)}
            >
              {pan.called}
            </Button>
          ))}
      </Line>
    </Column>
  );
}
