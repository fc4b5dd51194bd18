import { clock } from '../calendar';
import { msg, term } from '../messages';
import {
  chairKindOf,
  type ChairKind,
  type DayTask,
  type PartyDay,
  type Person,
  type Worker,
} from './instance';
import { CHAIR_WORDS, personOf, placeName } from './named';

/** Something that can be done about it. */
export type DayChange =
  | { readonly kind: 'earlier'; readonly minutes: number }
  | { readonly kind: 'later'; readonly person: string; readonly minutes: number }
  | { readonly kind: 'lighter'; readonly person: string; readonly way: string }
  | { readonly kind: 'chair'; readonly place: string; readonly chair: ChairKind }
  | { readonly kind: 'hands'; readonly does: 'makeup' | 'hair' };

/** What another pair of hands is called until somebody names it. */
export const ONE_MORE = { makeup: 'One more artist', hair: 'One more hair stylist' } as const;

/** What a hair stylist is called in a plan that was just begun. */
export const SOME_STYLIST = 'Hair stylist';
/** Whether a name is one hands have until somebody names them: what was timed of such is of anybody. */
export const isNobodyYet = (name: string): boolean =>
  [SOME_STYLIST, ...Object.values(ONE_MORE)].some((one) => [one, term(one)].includes(name));

/** Points: fifteen minutes earlier, one more pair of hands, a chair, a minute later. */
const PRICES = { quarterHourEarlier: 100, hands: 400, chair: 60, minuteLater: 6 } as const;

/** What a change is held to cost, in points: the cheapest are offered first. */
export function priceOf(day: PartyDay, change: DayChange): number {
  switch (change.kind) {
    case 'earlier':
      return (PRICES.quarterHourEarlier * change.minutes) / 15;
    case 'later':
      return PRICES.minuteLater * change.minutes * (personOf(day, change.person)?.weights.late ?? 1);
    case 'lighter':
      return personOf(day, change.person)?.ways.find((way) => way.id === change.way)?.cost ?? 0;
    case 'chair':
      return PRICES.chair;
    case 'hands':
      return PRICES.hands;
  }
}

/** A change in words, as on a button. */
export function changeWords(day: PartyDay, change: DayChange): string {
  switch (change.kind) {
    case 'earlier':
      return msg`Begin ${change.minutes} minutes earlier`;
    case 'later': {
      const person = personOf(day, change.person);
      return msg`${person?.name ?? change.person} ready at ${clock((person?.readyBy ?? 0) + change.minutes)}`;
    }
    case 'lighter': {
      const person = personOf(day, change.person);
      return `${person?.name ?? change.person}: ${person ? wayWords(person, change.way) : change.way}`;
    }
    case 'chair':
      return msg`One more ${CHAIR_WORDS[change.chair]} at ${placeName(day, change.place)}`;
    case 'hands':
      return term(ONE_MORE[change.does]);
  }
}

function wayWords(person: Person, id: string): string {
  const way = person.ways.find((one) => one.id === id);
  const usual = person.ways.find((one) => !one.relax);
  const hair = (tasks: readonly DayTask[] | undefined): boolean =>
    tasks?.some((task) => chairKindOf(task.kind) === 'hair') ?? false;
  return hair(usual?.tasks) && !hair(way?.tasks) ? msg`no hair` : msg`a lighter look`;
}

/** The day after a change. */
export function changedDay(day: PartyDay, change: DayChange): PartyDay {
  switch (change.kind) {
    case 'earlier': {
      const { workers, people } = movedEarlier(day.workers, day.people, day.travel, change.minutes);
      return { ...day, workers, people };
    }
    case 'later':
      return {
        ...day,
        people: day.people.map((one) =>
          one.id === change.person ? { ...one, readyBy: one.readyBy + change.minutes } : one,
        ),
      };
    case 'lighter':
      return { ...day, relaxed: [...new Set([...(day.relaxed ?? []), `${change.person}/${change.way}`])] };
    case 'chair':
      return {
        ...day,
        chairs: [
          ...day.chairs,
          { id: `more ${change.place} ${change.chair}`, place: change.place, kind: change.chair },
        ],
      };
    case 'hands':
      return oneMore(day, change.does);
  }
}

/**
 * Workers, and everyone who comes when the first of them does or with one of them, so many minutes earlier.
 * Who comes by a ferry comes when it does.
 */
export function movedEarlier<
  W extends { readonly arrives: number; readonly at: string },
  P extends { readonly from: number },
>(
  workers: readonly W[],
  people: readonly P[],
  travel: readonly { readonly to: string; readonly departures?: readonly number[] }[],
  minutes: number,
): { workers: W[]; people: P[] } {
  const ferried = new Set(travel.filter((way) => way.departures).map((way) => way.to));
  const moves = (worker: W): boolean => !ferried.has(worker.at);
  const arrivals = workers.filter(moves).map((worker) => worker.arrives);
  const opening = Math.min(...arrivals);
  const earlier = (minute: number): number => Math.max(0, minute - minutes);
  return {
    workers: workers.map((worker) =>
      moves(worker) ? { ...worker, arrives: earlier(worker.arrives) } : worker,
    ),
    people: people.map((person) =>
      person.from <= opening || arrivals.includes(person.from)
        ? { ...person, from: earlier(person.from) }
        : person,
    ),
  };
}

/** Whether a worker does a kind of work for somebody. */
export const doesKind = (day: PartyDay, worker: Worker, kind: 'makeup' | 'hair'): boolean =>
  day.people.some((person) =>
    person.ways.some((way) =>
      way.tasks.some((task) => chairKindOf(task.kind) === kind && worker.id in task.by),
    ),
  );

/** One more pair of hands for a kind of work, as quick as the slowest, with a chair of its own. */
function oneMore(day: PartyDay, kind: 'makeup' | 'hair'): PartyDay {
  const like = day.workers.find((worker) => doesKind(day, worker, kind));
  if (!like) return day;
  const n = day.workers.length;
  const worker: Worker = {
    ...like,
    id: `more ${kind} ${n}`,
    name: term(ONE_MORE[kind]),
  };
  const chair = day.chairs.find((one) => one.place === like.at && (one.kind === 'any' || one.kind === kind));
  const helped = (task: DayTask): DayTask =>
    chairKindOf(task.kind) === kind
      ? { ...task, by: { ...task.by, [worker.id]: Math.max(...Object.values(task.by)) } }
      : task;
  return {
    ...day,
    workers: [...day.workers, worker],
    chairs: chair ? [...day.chairs, { ...chair, id: `more ${chair.id} ${n}` }] : day.chairs,
    people: day.people.map((person) => ({
      ...person,
      ways: person.ways.map((way) => ({ ...way, tasks: way.tasks.map(helped) })),
    })),
  };
}
