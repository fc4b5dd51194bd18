import { useState } from 'react';
import { minuteOfDay, msg, type Guest } from '@toile/core';
import { Body, Button, Column, Field, Line, Subheading } from '../../ui';
import { hourInWords } from '../words/dates';

type Busy = Guest['busy'];

/** When somebody is elsewhere: photographed, dressed, at a speech; or a pair of hands away. */
export function BusyTimes({
  busy,
  onChange,
  title = msg`Not to be had`,
  example = 'photographs',
  add: adds = msg`Add an appointment`,
}: {
  readonly busy: Busy;
  readonly title?: string;
  readonly example?: string;
  readonly add?: string;
  readonly onChange: (busy: Busy) => void;
}) {
  const [adding, setAdding] = useState<{ title: string; from: string; to: string } | null>(null);
  const [tried, setTried] = useState(false);
  const [from, to] = [minuteOfDay(adding?.from ?? ''), minuteOfDay(adding?.to ?? '')];
  const wrong = {
    title: adding?.title.trim() === '' ? msg`Say what it is` : undefined,
    from: from === null ? msg`A time, as 11:00` : undefined,
    to:
      to === null
        ? msg`A time, as 11:20`
        : from !== null && to <= from
          ? msg`Later than ${adding?.from ?? ''}`
          : undefined,
  };
  const add = (): void => {
    setTried(true);
    if (!adding || from === null || to === null || wrong.title || wrong.to) return;
    onChange([...busy, { title: adding.title.trim(), from, to }].sort((a, b) => a.from - b.from));
    setAdding(null);
    setTried(false);
  };
  return (
    <Column gap="$2" role="group" aria-label={title}>
      <Subheading>{title}</Subheading>
      {busy.map((one, i) => (
        <Line key={`${one.from} ${one.title}`} flexWrap="nowrap" gap="$3">
          <Body flex={1}>{msg`${hourInWords(one.from)} to ${hourInWords(one.to)}, ${one.title}`}</Body>
          <Button
            label={msg`No longer: ${one.title}`}
            onPress={() => onChange(busy.filter((_, other) => other !== i))}
          >{msg`Take out`}</Button>
        </Line>
      ))}
      {adding ? (
        <Column gap="$2">
          <Field
            label={msg`What`}
            value={adding.title}
            onChange={(text) => setAdding({ ...adding, title: text })}
            error={tried ? wrong.title : undefined}
            placeholder={example}
          />
          <Field
            label={msg`From`}
            keyboard="time"
            value={adding.from}
            onChange={(text) => setAdding({ ...adding, from: text })}
            error={tried ? wrong.from : undefined}
          />
          <Field
            label={msg`Until`}
            keyboard="time"
            value={adding.to}
            onChange={(text) => setAdding({ ...adding, to: text })}
            error={tried ? wrong.to : undefined}
          />
          <Line>
            <Button onPress={add}>{msg`Add it`}</Button>
            <Button onPress={() => setAdding(null)}>{msg`Leave it`}</Button>
          </Line>
        </Column>
      ) : busy.length < 20 ? (
        <Line>
          <Button onPress={() => setAdding({ title: '', from: '', to: '' })}>{adds}</Button>
        </Line>
      ) : null}
    </Column>
  );
}
