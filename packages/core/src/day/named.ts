import { messages } from '../messages';
import type { ChairKind, PartyDay, Person, Worker } from './instance';

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
