import { useState } from 'react';
import { clock, minuteOfDay, DEFAULT_HANDS, type ChairKind, type Hands, type PartyPlan } from '@toile/core';
import { newId } from '@toile/contract';
import { useVisitMinutes } from '../../data/hooks';
import {
  Body,
  Button,
  Choice,
  Column,
  Dialog,
  Field,
  Label,
  Line,
  Row,
  Stepper,
  Subheading,
  Switch,
} from '../../ui';

import { hourInWords, todayText } from '../words/dates';
import { BusyTimes } from './BusyTimes';
import { learnedPace, learnedWords, paceOf, paceWords } from './paceWords';
import { PlacesPart } from './PlacesPart';
import type { PartyWork } from './usePartyPlan';

/** Who works, from when, with what breaks; and the chairs there are. */
export function HandsPanel({ work }: { readonly work: PartyWork }) {
  const { plan, keep, busy, failure } = work;
  const [open, setOpen] = useState<Hands | null>(null);
  const changed = (change: Partial<PartyPlan>): Promise<boolean> =>
    keep({ ...plan, ...change, timetable: null });
  const home = plan.places[0]!.id;
  const fresh = (does: Hands['does']): Hands => ({
    id: newId(),
    name: '',
    does,
    at: home,
    arrives: plan.hands[0]?.arrives ?? 450,
    ...DEFAULT_HANDS,
  });
  const keepOne = async (hands: Hands): Promise<void> => {
    const known = plan.hands.some((one) => one.id === hands.id);
    const list = known
      ? plan.hands.map((one) => (one.id === hands.id ? hands : one))
      : [...plan.hands, hands];
    if (await changed({ hands: list })) setOpen(null);
  };
  const remove = async (hands: Hands): Promise<void> => {
    const guests = plan.guests.map((guest) => (guest.only === hands.id ? { ...guest, only: null } : guest));
    const rounds = plan.rounds.map((round) => ({ ...round, by: round.by.filter((id) => id !== hands.id) }));
    const held = plan.held.filter((pin) => pin.worker !== hands.id);
    if (await changed({ hands: plan.hands.filter((one) => one.id !== hands.id), guests, rounds, held }))
      setOpen(null);
  };
  const isThere = (chair: PartyPlan['chairs'][number], kind: ChairKind, place: string): boolean =>
    chair.kind === kind && chair.place === place;
  const count = (kind: ChairKind, place: string): number =>
    plan.chairs.filter((chair) => isThere(chair, kind, place)).length;
  const setCount = (kind: 'makeup' | 'hair', place: string, wanted: number): void => {
    const others = plan.chairs.filter((chair) => !isThere(chair, kind, place));
    const same = plan.chairs.filter((chair) => isThere(chair, kind, place)).slice(0, wanted);
    const taken = others.filter((chair) => chair.kind === kind).length;
    const name = kind === 'hair' ? 'Hair chair' : 'Chair';
    while (same.length < wanted)
      same.push({ id: newId(), name: `${name} ${taken + same.length + 1}`, place, kind });
    void changed({ chairs: [...others, ...same] });
  };
  return (
    <Column gap="$4">
      <Column gap={0}>
        <Subheading>Pairs of hands</Subheading>
        {plan.hands.map((hands) => (
          <Row
            key={hands.id}
            title={hands.name}
            detail={[
              hands.does === 'hair' ? 'hair' : 'make-up',
              plan.places.length > 1 ? (plan.places.find((one) => one.id === hands.at)?.name ?? '') : '',
              `sets up in ${hands.setUp} min`,
              hands.pace === undefined || hands.pace === 1 ? '' : paceWords(hands.pace),
              hands.maxWork === null ? '' : `rests after ${hands.maxWork} min`,
              hands.lunch ? `lunch ${hands.lunch.minutes} min` : '',
              ...(hands.away ?? []).map(
                (gone) => `away ${hourInWords(gone.from)} to ${hourInWords(gone.to)}`,
              ),
            ]
              .filter((word) => word !== '')
              .join(' · ')}
            fact={`from ${hourInWords(hands.arrives)}`}
            onPress={() => setOpen(hands)}
          />
        ))}
      </Column>
      <Line>
        <Button onPress={() => setOpen(fresh('makeup'))}>Add an artist</Button>
        <Button onPress={() => setOpen(fresh('hair'))}>Add a hair stylist</Button>
      </Line>
      <Column gap="$2">
        <Subheading>Chairs</Subheading>
        {plan.places.map((place) => {
          const at = plan.places.length > 1 ? ` at ${place.name}` : '';
          return count('any', place.id) > 0 ? (
            <Body key={place.id}>{`${count('any', place.id)} for anything${at}`}</Body>
          ) : (
            <Line key={place.id} gap="$4">
              <Stepper
                label={`Make-up chairs${at}`}
                unit=""
                value={count('makeup', place.id)}
                minimum={0}
                maximum={12}
                step={1}
                onChange={(n) => setCount('makeup', place.id, n)}
              />
              <Stepper
                label={`Hair chairs${at}`}
                unit=""
                value={count('hair', place.id)}
                minimum={0}
                maximum={12}
                step={1}
                onChange={(n) => setCount('hair', place.id, n)}
              />
            </Line>
          );
        })}
      </Column>
      <PlacesPart plan={plan} busy={busy} failure={failure} onChange={changed} />
      {failure && !open ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {open ? (
        <HandsDialog
          hands={open}
          places={plan.places}
          busy={busy}
          failure={failure}
          onKeep={(hands) => void keepOne(hands)}
          onRemove={() => void remove(open)}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Column>
  );
}

type HandsDialogProps = {
  readonly hands: Hands;
  readonly places: PartyPlan['places'];
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onKeep: (hands: Hands) => void;
  readonly onRemove: () => void;
  readonly onClose: () => void;
};

function HandsDialog({ hands, places, busy, failure, onKeep, onRemove, onClose }: HandsDialogProps) {
  const [value, setValue] = useState(hands);
  const [arrives, setArrives] = useState(clock(hands.arrives));
  const [leaves, setLeaves] = useState(hands.leaves === null ? '' : clock(hands.leaves));
  const [tried, setTried] = useState(false);
  const timed = useVisitMinutes(todayText());
  const learned = learnedPace(timed.data ?? [], value.name.trim());
  const set = (change: Partial<Hands>): void => setValue((v) => ({ ...v, ...change }));
  const from = minuteOfDay(arrives);
  const until = leaves === '' ? null : minuteOfDay(leaves);
  const wrong = {
    name: value.name.trim() === '' ? 'Write a name' : undefined,
    arrives: from === null ? 'A time, as 07:30' : undefined,
    leaves:
      leaves !== '' && (until === null || (from !== null && until <= from))
        ? `Later than ${arrives}`
        : undefined,
  };
  const keep = (): void => {
    setTried(true);
    if (from === null || wrong.name || wrong.leaves) return;
    onKeep({ ...value, name: value.name.trim(), arrives: from, leaves: until });
  };
  return (
    <Dialog title={hands.name === '' ? 'Add a pair of hands' : hands.name} onClose={onClose}>
      <Field
        label="Name"
        value={value.name}
        onChange={(name) => set({ name })}
        error={tried ? wrong.name : undefined}
        autoFocus={hands.name === ''}
      />
      <Choice
        label="Does"
        options={['makeup', 'hair'] as const}
        words={{ makeup: 'make-up' }}
        chosen={[value.does]}
        onChange={([does]) => does && set({ does })}
      />
      {places.length > 1 ? (
        <Choice
          label="Arrives at"
          options={places.map((place) => place.id)}
          words={Object.fromEntries(places.map((place) => [place.id, place.name]))}
          chosen={[value.at]}
          onChange={([at]) => at && set({ at })}
        />
      ) : null}
      <Stepper
        label="Needs of planned minutes"
        unit="%"
        value={Math.round((value.pace ?? 1) * 100)}
        minimum={50}
        maximum={200}
        step={1}
        onChange={(percent) => set({ pace: percent / 100 })}
      />
      {learned ? (
        <Column gap="$1">
          <Label>{learnedWords(learned)}</Label>
          {paceOf(learned) === (value.pace ?? 1) ? null : (
            <Line>
              <Button onPress={() => set({ pace: paceOf(learned) })}>Plan with that</Button>
            </Line>
          )}
        </Column>
      ) : null}
      <Field
        label="There at"
        keyboard="time"
        value={arrives}
        onChange={setArrives}
        error={tried ? wrong.arrives : undefined}
      />
      <Field
        label="Leaves at, if it is fixed"
        keyboard="time"
        value={leaves}
        onChange={setLeaves}
        error={tried ? wrong.leaves : undefined}
      />
      <Stepper
        label="Setting up"
        unit="min"
        value={value.setUp}
        minimum={0}
        maximum={90}
        step={5}
        onChange={(setUp) => set({ setUp })}
      />
      <Stepper
        label="Cleaning between faces"
        unit="min"
        value={value.sanitise}
        minimum={0}
        maximum={30}
        step={1}
        onChange={(sanitise) => set({ sanitise })}
      />
      <Switch
        label="Rests between"
        on={value.maxWork !== null}
        onToggle={() => set({ maxWork: value.maxWork === null ? 210 : null })}
      />
      {value.maxWork === null ? null : (
        <Line gap="$4">
          <Stepper
            label="Works on end at most"
            unit="min"
            value={value.maxWork}
            minimum={60}
            maximum={480}
            step={15}
            onChange={(maxWork) => set({ maxWork })}
          />
          <Stepper
            label="Rest"
            unit="min"
            value={value.rest}
            minimum={5}
            maximum={60}
            step={5}
            onChange={(rest) => set({ rest })}
          />
        </Line>
      )}
      <Switch
        label="Lunch between 11:30 and 14:00"
        on={value.lunch !== null}
        onToggle={() => set({ lunch: value.lunch === null ? { minutes: 30, from: 690, to: 840 } : null })}
      />
      <BusyTimes
        title="Away"
        example="with the florist"
        add="Add a time away"
        busy={value.away ?? []}
        onChange={(away) => set({ away: away.length === 0 ? undefined : away })}
      />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={keep}>
        Keep
      </Button>
      {hands.name === '' ? null : (
        <Button kind="stop" disabled={busy} onPress={onRemove}>
          Not there
        </Button>
      )}
    </Dialog>
  );
}
