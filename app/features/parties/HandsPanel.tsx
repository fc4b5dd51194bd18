import { useState } from 'react';
import { clock, minuteOfDay, DEFAULT_HANDS, type ChairKind, type Hands, type PartyPlan } from '@toile/core';
import { newId } from '@toile/contract';
import {
  Body,
  Button,
  Choice,
  Column,
  Dialog,
  Field,
  Line,
  Row,
  Stepper,
  Subheading,
  Switch,
} from '../../ui';

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
  const count = (kind: ChairKind): number => plan.chairs.filter((chair) => chair.kind === kind).length;
  const setCount = (kind: 'makeup' | 'hair', wanted: number): void => {
    const others = plan.chairs.filter((chair) => chair.kind !== kind);
    const same = plan.chairs.filter((chair) => chair.kind === kind).slice(0, wanted);
    const name = kind === 'hair' ? 'Hair chair' : 'Chair';
    while (same.length < wanted)
      same.push({ id: newId(), name: `${name} ${same.length + 1}`, place: home, kind });
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
              `sets up in ${hands.setUp} min`,
              hands.maxWork === null ? '' : `rests after ${hands.maxWork} min`,
              hands.lunch ? `lunch ${hands.lunch.minutes} min` : '',
            ]
              .filter((word) => word !== '')
              .join(' · ')}
            fact={`from ${clock(hands.arrives)}`}
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
        {count('any') > 0 ? (
          <Body>{`${count('any')} for anything`}</Body>
        ) : (
          <Line gap="$4">
            <Stepper
              label="Make-up chairs"
              unit=""
              value={count('makeup')}
              minimum={0}
              maximum={12}
              step={1}
              onChange={(n) => setCount('makeup', n)}
            />
            <Stepper
              label="Hair chairs"
              unit=""
              value={count('hair')}
              minimum={0}
              maximum={12}
              step={1}
              onChange={(n) => setCount('hair', n)}
            />
          </Line>
        )}
      </Column>
      {failure && !open ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {open ? (
        <HandsDialog
          hands={open}
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
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onKeep: (hands: Hands) => void;
  readonly onRemove: () => void;
  readonly onClose: () => void;
};

function HandsDialog({ hands, busy, failure, onKeep, onRemove, onClose }: HandsDialogProps) {
  const [value, setValue] = useState(hands);
  const [arrives, setArrives] = useState(clock(hands.arrives));
  const [leaves, setLeaves] = useState(hands.leaves === null ? '' : clock(hands.leaves));
  const [tried, setTried] = useState(false);
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
