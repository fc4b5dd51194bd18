import { useState } from 'react';
import {
  clock,
  GUEST_ROLES,
  lighterOf,
  messages,
  minuteOfDay,
  msg,
  term,
  withFaceMinutes,
  WORK_ORDERS,
  type Guest,
  type PartyPlan,
} from '@toile/core';
import type { PartyChart } from '@toile/contract';
import { useClient } from '../../data/hooks';
import { Body, Button, Choice, Column, Dialog, Field, Label, Line, Stepper, Switch } from '../../ui';
import { BusyTimes } from './BusyTimes';
import { GuestClient } from './GuestClient';

export const ROLE_WORDS: Readonly<Record<Guest['role'], string>> = messages({
  star: 'whose day it is',
  close: 'needed first',
  attendant: 'attendant',
  guest: 'guest',
  child: 'child',
});

type GuestDialogProps = {
  readonly guest: Guest;
  readonly plan: PartyPlan;
  /** Of the party. */ readonly day: string;
  /** The chart of this person, where there is one. */
  readonly chart: PartyChart | null;
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onKeep: (guest: Guest) => void;
  readonly onRemove: () => void;
  readonly onClose: () => void;
};

const ORDER_CHOICES = messages({
  usual: 'hair, if it can be',
  'hair first': 'hair, always',
  'face first': 'face, always',
  either: 'either',
} as const);

/** One person of a party: who, by when, how long, by whom. */
export function GuestDialog({
  guest,
  plan,
  day,
  chart,
  busy,
  failure,
  onKeep,
  onRemove,
  onClose,
}: GuestDialogProps) {
  const [value, setValue] = useState(guest);
  const [times, setTimes] = useState({ from: clock(guest.from), readyBy: clock(guest.readyBy) });
  const [tried, setTried] = useState(false);
  const needs = useClient(guest.clientId ?? '').data?.consult.access ?? [];
  const set = (change: Partial<Guest>): void => setValue((v) => ({ ...v, ...change }));
  const from = minuteOfDay(times.from);
  const readyBy = minuteOfDay(times.readyBy);
  const wrong = {
    name: value.name.trim() === '' ? msg`Write a name` : undefined,
    from: from === null ? msg`A time, as 09:20` : undefined,
    readyBy:
      readyBy === null
        ? msg`A time, as 11:30`
        : from !== null && readyBy <= from
          ? msg`Later than ${times.from}, when ${value.name || msg`this person`} comes`
          : undefined,
  };
  const nothing = value.faceMinutes === 0 && value.hairMinutes === null;
  const artists = plan.hands.filter((hands) => hands.does === 'makeup');
  const keep = (): void => {
    setTried(true);
    if (from === null || readyBy === null || wrong.name || wrong.readyBy || nothing) return;
    if (value.notes.length > 1000) return;
    onKeep({ ...value, name: value.name.trim(), from, readyBy });
  };
  return (
    <Dialog title={guest.name === '' ? msg`Add a person` : guest.name} onClose={onClose}>
      <Field
        label={msg`Name`}
        value={value.name}
        onChange={(name) => set({ name })}
        error={tried ? wrong.name : undefined}
        autoFocus={guest.name === ''}
      />
      <Choice
        label={msg`Role`}
        options={GUEST_ROLES}
        words={ROLE_WORDS}
        chosen={[value.role]}
        onChange={([role]) => role && set({ role })}
      />
      <Field
        label={msg`There from`}
        keyboard="time"
        value={times.from}
        onChange={(text) => setTimes((t) => ({ ...t, from: text }))}
        error={tried ? wrong.from : undefined}
      />
      <Field
        label={msg`Ready by`}
        keyboard="time"
        value={times.readyBy}
        onChange={(text) => setTimes((t) => ({ ...t, readyBy: text }))}
        error={tried ? wrong.readyBy : undefined}
      />
      <Stepper
        label={msg`Face`}
        unit={msg`min`}
        value={value.faceMinutes}
        minimum={0}
        maximum={180}
        step={5}
        onChange={(faceMinutes) => setValue((v) => withFaceMinutes(v, faceMinutes))}
      />
      {chart ? (
        <Column gap="$1">
          <Label>{msg`The chart, ${chart.look}, takes ${chart.minutes} min as it stands.`}</Label>
          {chart.minutes === value.faceMinutes ? null : (
            <Line>
              <Button onPress={() => setValue((v) => withFaceMinutes(v, chart.minutes))}>
                {msg`Take its minutes`}
              </Button>
            </Line>
          )}
        </Column>
      ) : null}
      <GuestClient
        guest={value}
        day={day}
        onList={new Set(plan.guests.flatMap((one) => (one.id === guest.id ? [] : (one.clientId ?? []))))}
        changed={value !== guest}
        onChange={setValue}
      />
      {plan.places.length > 1 ? (
        <Choice
          label={msg`Where`}
          options={plan.places.map((place) => place.id)}
          words={Object.fromEntries(plan.places.map((place) => [place.id, place.name]))}
          chosen={[value.place ?? plan.places[0]!.id]}
          onChange={([place]) => place && set({ place })}
        />
      ) : null}
      {needs.length > 0 ? (
        <Label>{msg`In the first talk: ${needs.map((one) => term(one)).join(', ')}.`}</Label>
      ) : null}
      <Switch
        label={msg`Waiting is hard: as little as can be`}
        on={value.cannotWait === true}
        onToggle={() => set({ cannotWait: value.cannotWait !== true })}
      />
      <Switch
        label={msg`Hair too`}
        on={value.hairMinutes !== null}
        onToggle={() => set({ hairMinutes: value.hairMinutes === null ? 40 : null })}
      />
      {value.hairMinutes === null ? null : (
        <Stepper
          label={msg`Hair`}
          unit={msg`min`}
          value={value.hairMinutes}
          minimum={5}
          maximum={180}
          step={5}
          onChange={(hairMinutes) => set({ hairMinutes })}
        />
      )}
      {value.hairMinutes === null || value.faceMinutes === 0 ? null : (
        <Choice
          label={msg`What comes first`}
          options={['usual', ...WORK_ORDERS] as const}
          words={ORDER_CHOICES}
          chosen={[value.order ?? 'usual']}
          onChange={([order]) => order && set({ order: order === 'usual' ? undefined : order })}
        />
      )}
      {artists.length > 1 ? (
        <Choice
          label={msg`Face by`}
          options={['any', ...artists.map((hands) => hands.id)]}
          words={{ any: 'anyone', ...Object.fromEntries(artists.map((hands) => [hands.id, hands.name])) }}
          chosen={[value.only ?? 'any']}
          onChange={([only]) => only && set({ only: only === 'any' ? null : only })}
        />
      ) : null}
      {lighterOf(value.faceMinutes) === null && value.lighterMinutes === null ? null : (
        <Switch
          label={msg`A lighter look would do, if need be`}
          on={value.lighterMinutes !== null}
          onToggle={() =>
            set({ lighterMinutes: value.lighterMinutes === null ? lighterOf(value.faceMinutes) : null })
          }
        />
      )}
      {value.lighterMinutes === null ? null : (
        <Stepper
          label={msg`Lighter look`}
          unit={msg`min`}
          value={value.lighterMinutes}
          minimum={5}
          maximum={value.faceMinutes - 5}
          step={5}
          onChange={(lighterMinutes) => set({ lighterMinutes })}
        />
      )}
      <BusyTimes busy={value.busy} onChange={(busyTimes) => set({ busy: busyTimes })} />
      <Field
        label={msg`Notes`}
        lines={2}
        value={value.notes}
        onChange={(notes) => set({ notes })}
        error={value.notes.length > 1000 ? msg`At most 1,000 letters` : undefined}
      />
      {tried && nothing ? (
        <Body
          role="alert"
          color="$madder"
        >{msg`▲ Neither face nor hair: give one of them some minutes, or take this person off the list.`}</Body>
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={keep}>{msg`Keep`}</Button>
      {guest.name === '' ? null : (
        <Button kind="stop" disabled={busy} onPress={onRemove}>{msg`Take off the list`}</Button>
      )}
    </Dialog>
  );
}
