import { useState } from 'react';
import { guestsFromText, msg, plural, type PastedGuest } from '@toile/core';
import { Body, Button, Column, Dialog, Field, Label } from '../../ui';
import { pastedInWords } from './pastedInWords';

/** More of those understood are counted only: the list itself stands above them. */
const MOST_SHOWN = 12;

/** People out of a pasted list: those understood are added, the other lines stay to be put right. */
export function PasteDialog({
  onList,
  busy,
  failure,
  onAdd,
  onClose,
}: {
  /** Who is on the list already. */ readonly onList: readonly string[];
  readonly busy: boolean;
  readonly failure: string | null;
  /** Whether they were kept. */ readonly onAdd: (guests: readonly PastedGuest[]) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const [text, setText] = useState('');
  const { guests, problems } = guestsFromText(text, onList);
  const add = async (): Promise<void> => {
    if (!(await onAdd(guests))) return;
    if (problems.length === 0) onClose();
    else setText(problems.map((problem) => problem.text).join('\n'));
  };
  return (
    <Dialog title={msg`Paste a list`} onClose={onClose}>
      <Field
        label={msg`People, one a line`}
        lines={8}
        value={text}
        onChange={setText}
        hint={msg`Ada Morrow, bride, 12:30, hair 50, face 60`}
        autoFocus
      />
      <Label aria-live="polite">
        {text.trim() === ''
          ? msg`A name and, in any order, who it is, a time to be ready by and minutes; or a table with a header. What else is said becomes a note; whoever has a client’s name is taken as that client.`
          : msg`${guests.length} understood${problems.length > 0 ? msg`, ${problems.length} not` : ''}.`}
      </Label>
      {problems.slice(0, 6).map((problem) => (
        <Body
          key={problem.line}
          color="$madder"
          role="alert"
        >{msg`▲ Line ${problem.line}: ${problem.message}`}</Body>
      ))}
      {guests.length > 0 ? (
        <Column gap="$1">
          {guests.slice(0, MOST_SHOWN).map((guest) => (
            <Label key={guest.name} color="$ink">
              {pastedInWords(guest)}
            </Label>
          ))}
          {guests.length > MOST_SHOWN ? <Label>{msg`and ${guests.length - MOST_SHOWN} more`}</Label> : null}
        </Column>
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy || guests.length === 0} onPress={() => void add()}>
        {plural(guests.length)`Add 1 person|Add ${guests.length} people`}
      </Button>
    </Dialog>
  );
}
