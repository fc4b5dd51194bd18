import { useState } from 'react';
import { DEFAULT_HANDS, msg, type ChairKind, type Hands, type PartyPlan } from '@toile/core';
import { newId } from '@toile/contract';
import { Body, Button, Column, Line, Row, Stepper, Subheading } from '../../ui';
import { hourInWords } from '../words/dates';
import { HandsDialog } from './HandsDialog';
import { paceWords } from './paceWords';
import { awayWords } from './partyView';
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
    const name = kind === 'hair' ? msg`Hair chair` : msg`Chair`;
    while (same.length < wanted)
      same.push({ id: newId(), name: `${name} ${taken + same.length + 1}`, place, kind });
    void changed({ chairs: [...others, ...same] });
  };
  return (
    <Column gap="$4">
      <Column gap={0}>
        <Subheading>{msg`Pairs of hands`}</Subheading>
        {plan.hands.map((hands) => (
          <Row
            key={hands.id}
            title={hands.name}
            detail={[
              hands.does === 'hair' ? msg`hair` : msg`make-up`,
              plan.places.length > 1 ? (plan.places.find((one) => one.id === hands.at)?.name ?? '') : '',
              msg`sets up in ${hands.setUp} min`,
              hands.pace === undefined || hands.pace === 1 ? '' : paceWords(hands.pace),
              hands.maxWork === null ? '' : msg`rests after ${hands.maxWork} min`,
              hands.lunch ? msg`lunch ${hands.lunch.minutes} min` : '',
              ...awayWords(hands),
            ]
              .filter((word) => word !== '')
              .join(' · ')}
            fact={msg`from ${hourInWords(hands.arrives)}`}
            onPress={() => setOpen(hands)}
          />
        ))}
      </Column>
      <Line>
        <Button onPress={() => setOpen(fresh('makeup'))}>{msg`Add an artist`}</Button>
        <Button onPress={() => setOpen(fresh('hair'))}>{msg`Add a hair stylist`}</Button>
      </Line>
      <Column gap="$2">
        <Subheading>{msg`Chairs`}</Subheading>
        {plan.places.map((place) => {
          const at = plan.places.length > 1 ? msg` at ${place.name}` : '';
          return count('any', place.id) > 0 ? (
            <Body key={place.id}>{msg`${count('any', place.id)} for anything${at}`}</Body>
          ) : (
            <Line key={place.id} gap="$4">
              <Stepper
                label={msg`Make-up chairs${at}`}
                unit=""
                value={count('makeup', place.id)}
                minimum={0}
                maximum={12}
                step={1}
                onChange={(n) => setCount('makeup', place.id, n)}
              />
              <Stepper
                label={msg`Hair chairs${at}`}
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
