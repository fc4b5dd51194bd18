import { useState } from 'react';
import {
  movePanTo,
  msg,
  panAt,
  placeName,
  tinAsPalette,
  withoutBarred,
  type Cell,
  type Compact,
  type CompactNotes,
  type CompactPlace,
} from '@toile/core';
import { Body, Button, Column, Label, Line, Subheading } from '../../../ui';
import { PaletteGrid } from '../../palettes/PaletteGrid';

type TinsProps = {
  readonly compact: Compact;
  readonly notes: CompactNotes;
  readonly editable: boolean;
  /** A place named by a printed code, as '2·A1'. */ readonly asked?: string;
  readonly onChange: (compact: Compact) => void;
};

/**
 * The tins as they lie open: a pan is chosen, moved within its tin by finger or keys, to another by a touch.
 */
export function CompactTins({ compact, notes, editable, asked, onChange }: TinsProps) {
  const named = notes.pans.find(({ called }) => called === asked)?.place;
  const [place, setPlace] = useState<CompactPlace>(named ?? { tin: 0, row: 0, column: 0 });
  const products = notes.pans.map(({ product }) => product);
  const note = notes.pans.find(({ called }) => called === placeName(compact, place));
  const free = (tin: number): Cell | null => {
    const { rows, columns } = compact.tins[tin]!;
    const palette = tinAsPalette(compact, tin);
    const cells = Array.from({ length: rows * columns }, (_, i) => ({
      row: Math.floor(i / columns),
      column: i % columns,
    }));
    return cells.find((cell) => panAt(palette, cell) === null) ?? null;
  };
  return (
    <Column gap="$3">
      {notes.pans.map(({ called, name, barred }) =>
        barred ? (
          <Body
            key={called}
            color="$madder"
          >{msg`▲ ${called}, ${name}: ${barred}. Not for this client.`}</Body>
        ) : null,
      )}
      {editable && notes.pans.some(({ barred }) => barred !== null) ? (
        <Line>
          <Button
            onPress={() => onChange(withoutBarred(compact, notes))}
          >{msg`Take it out of the tin`}</Button>
        </Line>
      ) : null}
      {compact.tins.map((tin, i) => (
        <Column key={tin.id} gap="$1">
          {compact.tins.length > 1 ? <Subheading fontSize="$4">{msg`Tin ${i + 1}`}</Subheading> : null}
          <PaletteGrid
            palette={tinAsPalette(compact, i)}
            products={products}
            chosen={place.tin === i ? place : { row: -1, column: -1 }}
            editable={editable}
            onChoose={(cell) => setPlace({ tin: i, ...cell })}
            onMove={(from, to) => onChange(movePanTo(compact, { tin: i, ...from }, { tin: i, ...to }))}
          />
        </Column>
      ))}
      <Column gap="$1" aria-live="polite">
        <Body fontWeight="700">
          {note
            ? `${note.called}: ${note.name}`
            : compact.tins.some(({ pans }) => pans.length > 0)
              ? msg`${placeName(compact, place)} is empty.`
              : msg`Nothing of these steps stands in a pan by itself.`}
        </Body>
        {note ? <Label>{note.steps.join(', ')}</Label> : null}
        {note && editable && compact.tins.length > 1 ? (
          <Line>
            {compact.tins.map((tin, i) => {
              const to = i === place.tin ? null : free(i);
              return to ? (
                <Button
                  key={tin.id}
                  label={msg`Move ${note.called} to tin ${i + 1}`}
                  onPress={() => {
                    onChange(movePanTo(compact, place, { tin: i, ...to }));
                    setPlace({ tin: i, ...to });
                  }}
                >
                  {msg`To tin ${i + 1}`}
                </Button>
              ) : null;
            })}
          </Line>
        ) : null}
        {editable ? (
          <Label>{msg`Drag a pan to its place. By keys: arrows choose, Shift with an arrow moves it.`}</Label>
        ) : null}
      </Column>
    </Column>
  );
}
