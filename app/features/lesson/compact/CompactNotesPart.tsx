import { msg, term, type CompactNotes } from '@toile/core';
import { Body, Column, Label, Line, Subheading, Swatch } from '../../../ui';
import { dayInWords } from '../../words/dates';

/** Pan by pan what it is for and when to fill it again; mixes; what stays beside; what to mind. */
export function CompactNotesPart({ notes }: { readonly notes: CompactNotes }) {
  return (
    <Column gap="$4">
      {notes.pans.length > 0 ? (
        <Column gap="$2" role="list" aria-label={msg`Its pans`}>
          {notes.pans.map((pan) => (
            <Line key={pan.called} role="listitem" flexWrap="nowrap" gap="$3" alignItems="flex-start">
              <Swatch lab={pan.product.lab} size={36} />
              <Column gap={0} flex={1}>
                <Body>{`${pan.called} ${pan.name}`}</Body>
                <Label>
                  {`${pan.steps.join(', ')}${pan.refillOn && pan.barred === null ? msg` · fill again by ${dayInWords(pan.refillOn)}, ${pan.because === null ? '' : term(pan.because)}` : ''}`}
                </Label>
              </Column>
            </Line>
          ))}
        </Column>
      ) : null}
      {notes.mixes.length > 0 ? (
        <Column gap="$1" role="group" aria-label={msg`Mixes`}>
          <Subheading fontSize="$4">{msg`Mixes`}</Subheading>
          {notes.mixes.map((mix) => (
            <Body key={mix}>{mix}</Body>
          ))}
        </Column>
      ) : null}
      {notes.beside.length > 0 ? (
        <Column gap="$1" role="group" aria-label={msg`Beside it`}>
          <Subheading fontSize="$4">{msg`Beside it`}</Subheading>
          {notes.beside.map(({ name, why }) => (
            <Label key={name}>{`${name}: ${why}`}</Label>
          ))}
        </Column>
      ) : null}
      {notes.minds.map((words) => (
        <Label key={words}>{words}</Label>
      ))}
    </Column>
  );
}
