import { causesOf, drop, wordsFor, type DayCause } from './causes';
import { clock } from '../calendar';
import { howLate, type HowLateOptions } from './howLate';
import type { PartyDay, Person } from './instance';
import { listed } from '../listed';
import { msg, plural } from '../messages';
import { wholeDay, type OpenDay } from './wholeDay';

export type Explained = {
  readonly possible: boolean;
  /** Least weighted minutes late found, and how much there is at least. */
  readonly late: number;
  readonly atLeast: number;
  /** People who would be late with everyone waiting for them. */
  readonly alone: readonly { readonly person: string; readonly until: number; readonly words: string }[];
  /** The smallest reason: with any one of these gone, everybody could be ready. */
  readonly causes: readonly DayCause[];
  /** Whether each step of the reason is proven; else "probably". */
  readonly sure: boolean;
  readonly words: string;
};

/** Rounds and nodes are those of each question asked. */
export type ExplainOptions = HowLateOptions & { readonly stop?: () => boolean };

/**
 * Why a day cannot be on time: a deletion filter (Chinneck and Dravnieks, 1991) over everyone's ready-by,
 * named artists, appointments, lunches and chairs. What can be left out while the rest still fails is left
 * out; what stays is a smallest reason.
 */
export function explainDay(given: OpenDay, options: ExplainOptions = {}): Explained {
  const day = wholeDay(given);
  const whole = howLate(day, options);
  if (whole.late === 0)
    return {
      possible: true,
      late: 0,
      atLeast: 0,
      alone: [],
      causes: [],
      sure: true,
      words: msg`Everybody can be ready in time.`,
    };
  const alone = day.people.flatMap((person) => {
    const until = earliestAlone(day, person);
    if (until === null || until <= person.readyBy) return [];
    return [
      {
        person: person.id,
        until,
        words: msg`${person.name} needs until ${clock(until)} even if everyone waits.`,
      },
    ];
  });
  let without: DayCause[] = [];
  let sure = whole.atLeast > 0;
  const kept: DayCause[] = [];
  for (const cause of causesOf(day)) {
    if (options.stop?.()) {
      sure = false;
      break;
    }
    const tried = [...without, cause];
    const { late, atLeast } = howLate(tried.reduce(drop, day), options);
    if (late > 0) {
      without = tried;
      if (atLeast === 0) sure = false;
    } else kept.push(cause);
  }
  const people = day.people
    .filter((person) => kept.some((cause) => cause.kind === 'readyBy' && cause.person === person.id))
    .sort((a, b) => a.readyBy - b.readyBy);
  return {
    possible: false,
    late: whole.late,
    atLeast: whole.atLeast,
    alone,
    causes: kept,
    sure,
    words: `${sure ? '' : msg`Probably: `}${reasonIn(day, kept, people)} ${missingIn(whole.minutes)}`,
  };
}

function missingIn(minutes: number): string {
  if (!Number.isFinite(minutes)) return msg`Somebody finds no place at all.`;
  return plural(minutes)`1 minute is missing.|${minutes} minutes are missing.`;
}

function reasonIn(day: PartyDay, causes: readonly DayCause[], people: readonly Person[]): string {
  const others = causes.filter((cause) => cause.kind !== 'readyBy').map((cause) => wordsFor(day, cause));
  const [first] = people;
  const last = people.at(-1);
  if (!first || !last) return `${others.join('; ')}.`;
  const when =
    first.readyBy === last.readyBy
      ? msg`at ${clock(first.readyBy)}`
      : msg`between ${clock(first.readyBy)} and ${clock(last.readyBy)}`;
  const names = listed(people.map((person) => person.name));
  const list =
    people.length === 1 ? msg`${names} cannot be ready ${when}` : msg`${names} cannot all be ready ${when}`;
  return others.length > 0 ? msg`${list}, while ${others.join(msg` and `)}.` : `${list}.`;
}

/** When a person would be done with the house to themselves; null when they cannot be done at all. */
function earliestAlone(day: PartyDay, person: Person): number | null {
  const only: PartyDay = { ...day, people: [person], rounds: [], star: null, pinned: [] };
  const found = howLate(
    { ...only, people: [{ ...person, readyBy: person.from + 1, slack: 0 }] },
    { rounds: 8, nodes: 0 },
  );
  return Number.isFinite(found.late) && person.weights.late > 0
    ? person.from + 1 + found.late / person.weights.late
    : null;
}
