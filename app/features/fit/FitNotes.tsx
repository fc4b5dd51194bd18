import { useState } from 'react';
import { msg, plural, type Chart } from '@toile/core';
import { Body, Button, Column, Line, View } from '../../ui';

/** One short sentence is read at once; more would keep the face off a phone's first screen. */
const READ_AT_ONCE = 140;

const withoutProduct = ({ steps }: Chart): number =>
  steps.filter((s) => s.wants.kinds.length > 0 && s.use.length === 0).length;

/** What a fit has to say: what the kit lacks, what is otherwise than asked, places that were moved. */
export function FitNotes({ chart, notes }: { readonly chart: Chart; readonly notes: readonly string[] }) {
  const [open, setOpen] = useState(false);
  if (notes.length === 0) return null;
  const all = notes.map((note) => <Body key={note} color="$weld">{`▲ ${note}`}</Body>);
  if (notes.length === 1 && notes[0]!.length <= READ_AT_ONCE) return all;
  const gaps = withoutProduct(chart);
  const first = gaps > 0 ? plural(gaps)`One step has no product.|${gaps} steps have no product.` : notes[0]!;
  return (
    <Column gap="$2" role="group" aria-label={msg`What the fit says`}>
      <Line justifyContent="space-between" flexWrap="nowrap">
        {open ? <View flex={1} /> : <Body flex={1} color="$weld" numberOfLines={2}>{`▲ ${first}`}</Body>}
        <Button
          label={
            open
              ? msg`Close what the fit says`
              : plural(notes.length)`All that the fit says|All ${notes.length} things the fit says`
          }
          onPress={() => setOpen((o) => !o)}
        >
          {open ? msg`Close` : plural(notes.length)`All of it|All ${notes.length}`}
        </Button>
      </Line>
      {open ? all : null}
    </Column>
  );
}
