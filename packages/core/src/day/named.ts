import { clock } from '../calendar';
import { messages, msg } from '../messages';
import type { ChairKind, PartyDay, Person, TaskKind, Worker } from './instance';

/** Somebody of a day by id, and what they are called. */
export const personOf = (day: PartyDay, id: string): Person | undefined =>
  day.people.find((one) => one.id === id);
export const workerOf = (day: PartyDay, id: string): Worker | undefined =>
  day.workers.find((one) => one.id === id);
export const nameOf = (day: PartyDay, id: string): string => personOf(day, id)?.name ?? id;
export const placeName = (day: PartyDay, id: string): string =>
  day.places.find((one) => one.id === id)?.name ?? id;

export const CHAIR_WORDS: Readonly<Record<ChairKind, string>> = messages({
  makeup: 'make-up chair',
  hair: 'hair chair',
  any: 'chair',
});

export const TASK_WORDS: Readonly<Record<TaskKind, string>> = messages({
  makeup: 'make-up',
  hair: 'hair',
  set: 'setting',
  lashes: 'lashes',
  touchup: 'touch-ups',
});

/** A chair as the plan calls it; else by what it is for and where it is, numbered where there are more. */
export function chairName(day: PartyDay, id: string): string {
  const chair = day.chairs.find((one) => one.id === id);
  if (!chair) return msg`a chair that is not there`;
  if (chair.name !== undefined) return chair.name;
  const alike = day.chairs.filter(({ place, kind }) => place === chair.place && kind === chair.kind);
  const what = CHAIR_WORDS[chair.kind];
  return alike.length === 1
    ? msg`the ${what} at ${placeName(day, chair.place)}`
    : msg`${what} ${alike.indexOf(chair) + 1} at ${placeName(day, chair.place)}`;
}

/** Whose a visit is: somebody by name, or a round of touch-ups by when it may begin. */
export function whoseName(day: PartyDay, id: string): string {
  const round = day.rounds.find((one) => one.id === id);
  return round ? msg`Touch-ups from ${clock(round.from)}` : nameOf(day, id);
}
