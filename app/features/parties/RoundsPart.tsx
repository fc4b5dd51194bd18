import { useState } from 'react';
import { clock, minuteOfDay, msg, type PartyPlan } from '@toile/core';
import { newId } from '@toile/contract';
import { Body, Button, Choice, Column, Dialog, Field, Label, Line, Row, Stepper, Subheading } from '../../ui';
import { hourInWords } from '../words/dates';

type Round = PartyPlan['rounds'][number];
type RoundsPartProps = {
  readonly plan: PartyPlan;
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onChange: (rounds: PartyPlan['rounds']) => Promise<boolean>;
};

/** Touch-ups for everybody, at known hours, as part of the plan. */
export function RoundsPart({ plan, busy, failure, onChange }: RoundsPartProps) {
  const [open, setOpen] = useState<Round | null>(null);
  const artists = plan.hands.filter((hands) => hands.does === 'makeup');
  const last = Math.max(0, ...plan.guests.map((guest) => guest.readyBy));
  const fresh = (): Round => ({
    id: newId(),
    place: plan.places[0]!.id,
    from: Math.min(last + 60, 2800),
    to: Math.min(last + 120, 2860),
    minutes: 20,
    by: artists.map((hands) => hands.id),
  });
  const keep = async (round: Round): Promise<void> => {
    const others = plan.rounds.filter((one) => one.id !== round.id);
    if (await onChange([...others, round].sort((a, b) => a.from - b.from))) setOpen(null);
  };
  const remove = async (round: Round): Promise<void> => {
    if (await onChange(plan.rounds.filter((one) => one.id !== round.id))) setOpen(null);
  };
  if (plan.guests.length === 0) return null;
  return (
    <Column gap={0} role="group" aria-label={msg`Touch-ups`}>
      <Subheading>{msg`Touch-ups`}</Subheading>
      {plan.rounds.length === 0 ? (
        <Label>{msg`None planned. After a meal, before the photographs.`}</Label>
      ) : null}
      {plan.rounds.map((round) => (
        <Row
          key={round.id}
          title={msg`${round.minutes} min for everybody`}
          detail={round.by
            .map((id) => plan.hands.find((hands) => hands.id === id)?.name ?? '')
            .filter((name) => name !== '')
            .join(msg` or `)}
          fact={msg`${hourInWords(round.from)} to ${hourInWords(round.to)}`}
          onPress={() => setOpen(round)}
        />
      ))}
      {plan.rounds.length < 20 ? (
        <Line paddingTop="$2">
          <Button onPress={() => setOpen(fresh())}>{msg`Add touch-ups`}</Button>
        </Line>
      ) : null}
      {open ? (
        <RoundDialog
          key={open.id}
          round={open}
          plan={plan}
          busy={busy}
          failure={failure}
          onKeep={(round) => void keep(round)}
          onRemove={plan.rounds.some((one) => one.id === open.id) ? () => void remove(open) : null}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Column>
  );
}

type RoundDialogProps = {
  readonly round: Round;
  readonly plan: PartyPlan;
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onKeep: (round: Round) => void;
  readonly onRemove: (() => void) | null;
  readonly onClose: () => void;
};

function RoundDialog({ round, plan, busy, failure, onKeep, onRemove, onClose }: RoundDialogProps) {
  const [value, setValue] = useState(round);
  const [times, setTimes] = useState({ from: clock(round.from), to: clock(round.to) });
  const [tried, setTried] = useState(false);
  const artists = plan.hands.filter((hands) => hands.does === 'makeup');
  const [from, to] = [minuteOfDay(times.from), minuteOfDay(times.to)];
  const wrong = {
    from: from === null ? msg`A time, as 15:00` : undefined,
    to:
      to === null
        ? msg`A time, as 15:45`
        : from !== null && to < from + value.minutes
          ? msg`At least ${value.minutes} min after ${times.from}`
          : undefined,
    by: value.by.length === 0 ? msg`Somebody must do it` : undefined,
  };
  const keep = (): void => {
    setTried(true);
    if (from === null || to === null || wrong.to || wrong.by) return;
    onKeep({ ...value, from, to });
  };
  return (
    <Dialog title={msg`Touch-ups`} onClose={onClose}>
      <Field
        label={msg`Not before`}
        keyboard="time"
        value={times.from}
        onChange={(text) => setTimes((t) => ({ ...t, from: text }))}
        error={tried ? wrong.from : undefined}
      />
      <Field
        label={msg`Over by`}
        keyboard="time"
        value={times.to}
        onChange={(text) => setTimes((t) => ({ ...t, to: text }))}
        error={tried ? wrong.to : undefined}
      />
      <Stepper
        label={msg`For everybody together`}
        unit={msg`min`}
        value={value.minutes}
        minimum={5}
        maximum={180}
        step={5}
        onChange={(minutes) => setValue((v) => ({ ...v, minutes }))}
      />
      {plan.places.length > 1 ? (
        <Choice
          label={msg`Where`}
          options={plan.places.map((place) => place.id)}
          words={Object.fromEntries(plan.places.map((place) => [place.id, place.name]))}
          chosen={[value.place]}
          onChange={([place]) => place && setValue((v) => ({ ...v, place }))}
        />
      ) : null}
      <Choice
        label={msg`By one of`}
        options={artists.map((hands) => hands.id)}
        words={Object.fromEntries(artists.map((hands) => [hands.id, hands.name]))}
        chosen={value.by}
        several
        onChange={(by) => setValue((v) => ({ ...v, by: [...by] }))}
      />
      {tried && wrong.by ? <Body role="alert" color="$madder">{`▲ ${wrong.by}`}</Body> : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={keep}>{msg`Keep`}</Button>
      {onRemove ? (
        <Button kind="stop" disabled={busy} onPress={onRemove}>{msg`No touch-ups then`}</Button>
      ) : null}
    </Dialog>
  );
}
