import { useState } from 'react';
import { clock, minuteOfDay, msg, type PartyPlan } from '@toile/core';
import { newId } from '@toile/contract';
import { Body, Button, Column, Dialog, Field, Line, Row, Stepper, Subheading } from '../../ui';

type Place = PartyPlan['places'][number];
type Way = PartyPlan['travel'][number];

/** Usual minutes to pack up and to set up again between two places. */
const PACK = 10;
const UNPACK = 10;

type PlacesPartProps = {
  readonly plan: PartyPlan;
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onChange: (change: Pick<PartyPlan, 'places' | 'travel'> & Partial<PartyPlan>) => Promise<boolean>;
};

/** Where people get ready, and how long it takes from one place to another. */
export function PlacesPart({ plan, busy, failure, onChange }: PlacesPartProps) {
  const [open, setOpen] = useState<Place | null>(null);
  const known = (place: Place): boolean => plan.places.some((one) => one.id === place.id);
  const keep = async (place: Place, travel: readonly Way[]): Promise<void> => {
    const places = known(place)
      ? plan.places.map((one) => (one.id === place.id ? place : one))
      : [...plan.places, place];
    if (await onChange({ places, travel: [...travel] })) setOpen(null);
  };
  const remove = async (place: Place): Promise<void> => {
    const home = plan.places.find((one) => one.id !== place.id)!.id;
    const moved = await onChange({
      places: plan.places.filter((one) => one.id !== place.id),
      travel: plan.travel.filter((way) => way.from !== place.id && way.to !== place.id),
      chairs: plan.chairs.filter((chair) => chair.place !== place.id),
      hands: plan.hands.map((hands) => (hands.at === place.id ? { ...hands, at: home } : hands)),
      guests: plan.guests.map((guest) => {
        const { place: at, ...rest } = guest;
        return at === place.id ? rest : guest;
      }),
      rounds: plan.rounds.filter((round) => round.place !== place.id),
    });
    if (moved) setOpen(null);
  };
  return (
    <Column gap={0}>
      <Subheading>{msg`Places`}</Subheading>
      {plan.places.map((place, i) => (
        <Row
          key={place.id}
          title={place.name}
          detail={
            plan.places.length === 1
              ? msg`everything is here`
              : plan.places
                  .filter((other) => other.id !== place.id)
                  .map((other) => {
                    const way = plan.travel.find((one) => one.from === place.id && one.to === other.id);
                    return way ? msg`${way.minutes} min to ${other.name}` : msg`no way to ${other.name}`;
                  })
                  .join(' · ')
          }
          {...(i === 0 ? { fact: msg`first place` } : {})}
          onPress={() => setOpen(place)}
        />
      ))}
      <Line paddingTop="$2">
        <Button onPress={() => setOpen({ id: newId(), name: '' })}>{msg`Add a place`}</Button>
      </Line>
      {open ? (
        <PlaceDialog
          key={open.id}
          place={open}
          plan={plan}
          busy={busy}
          failure={failure}
          onKeep={(place, travel) => void keep(place, travel)}
          onRemove={known(open) && plan.places.length > 1 ? () => void remove(open) : null}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </Column>
  );
}

type PlaceDialogProps = {
  readonly place: Place;
  readonly plan: PartyPlan;
  readonly busy: boolean;
  readonly failure: string | null;
  readonly onKeep: (place: Place, travel: readonly Way[]) => void;
  readonly onRemove: (() => void) | null;
  readonly onClose: () => void;
};
type Ferry = { readonly there: string; readonly back: string };

/** Departures as they are written, '06:40, 08:35'; null when one of them is no time. */
function departuresOf(text: string): number[] | null {
  const words = text.split(/[\s,;]+/).filter((word) => word !== '');
  const minutes = words.map((word) => minuteOfDay(word));
  return minutes.every((one) => one !== null) ? [...new Set(minutes)].sort((a, b) => a - b) : null;
}

function PlaceDialog({ place, plan, busy, failure, onKeep, onRemove, onClose }: PlaceDialogProps) {
  const others = plan.places.filter((other) => other.id !== place.id);
  const wayOf = (from: string, to: string): Way | undefined =>
    plan.travel.find((way) => way.from === from && way.to === to);
  const [name, setName] = useState(place.name);
  const [minutes, setMinutes] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(others.map((other) => [other.id, wayOf(place.id, other.id)?.minutes ?? 20])),
  );
  const written = (way: Way | undefined): string => (way?.departures ?? []).map(clock).join(', ');
  const [ferries, setFerries] = useState<Readonly<Record<string, Ferry>>>(() =>
    Object.fromEntries(
      others.map((other) => [
        other.id,
        { there: written(wayOf(other.id, place.id)), back: written(wayOf(place.id, other.id)) },
      ]),
    ),
  );
  const [tried, setTried] = useState(false);
  const wrong = name.trim() === '' ? msg`Name the place` : undefined;
  const wrongFerry = (text: string): string | undefined =>
    departuresOf(text) === null ? msg`Times, as 06:40, 08:35` : undefined;
  const keep = (): void => {
    setTried(true);
    const all = Object.values(ferries).flatMap(({ there, back }) => [there, back]);
    if (wrong || all.some((text) => wrongFerry(text))) return;
    const ways = others.flatMap((other): Way[] => {
      const both = (from: string, to: string, text: string): Way => {
        const departures = departuresOf(text) ?? [];
        const before = wayOf(from, to);
        return {
          pack: PACK,
          unpack: UNPACK,
          ...before,
          from,
          to,
          minutes: minutes[other.id]!,
          ...(departures.length > 0 ? { departures } : { departures: undefined }),
        };
      };
      return [
        both(other.id, place.id, ferries[other.id]!.there),
        both(place.id, other.id, ferries[other.id]!.back),
      ].map(({ departures, ...way }) => (departures ? { ...way, departures } : way));
    });
    const kept = plan.travel.filter((way) => way.from !== place.id && way.to !== place.id);
    onKeep({ ...place, name: name.trim() }, [...kept, ...ways]);
  };
  return (
    <Dialog title={place.name === '' ? msg`Add a place` : place.name} onClose={onClose}>
      <Field
        label={msg`Name`}
        value={name}
        onChange={setName}
        error={tried ? wrong : undefined}
        autoFocus={place.name === ''}
      />
      {others.map((other) => (
        <Column key={other.id} gap="$2" role="group" aria-label={msg`To and from ${other.name}`}>
          <Subheading>{msg`To and from ${other.name}`}</Subheading>
          <Stepper
            label={msg`On the way`}
            unit={msg`min`}
            value={minutes[other.id]!}
            minimum={0}
            maximum={300}
            step={5}
            onChange={(n) => setMinutes((all) => ({ ...all, [other.id]: n }))}
          />
          <Field
            label={msg`Leaves ${other.name} at`}
            hint={msg`Where only a ferry or a train goes: its times. Empty: at any time.`}
            value={ferries[other.id]!.there}
            onChange={(there) => setFerries((all) => ({ ...all, [other.id]: { ...all[other.id]!, there } }))}
            error={tried ? wrongFerry(ferries[other.id]!.there) : undefined}
          />
          <Field
            label={msg`Leaves ${name.trim() || msg`this place`} at`}
            value={ferries[other.id]!.back}
            onChange={(back) => setFerries((all) => ({ ...all, [other.id]: { ...all[other.id]!, back } }))}
            error={tried ? wrongFerry(ferries[other.id]!.back) : undefined}
          />
        </Column>
      ))}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={keep}>{msg`Keep`}</Button>
      {onRemove ? (
        <Button kind="stop" disabled={busy} onPress={onRemove}>{msg`Nothing is there`}</Button>
      ) : null}
    </Dialog>
  );
}
