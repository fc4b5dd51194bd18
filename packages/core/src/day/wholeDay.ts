import type { DayTask, PartyDay, Person, Way, Worker } from './instance';

type Optional<T, K extends keyof T> = Omit<T, K> & Partial<Pick<T, K>>;
type OpenTask = Optional<DayTask, 'tail'>;
type OpenWay = Optional<Omit<Way, 'tasks'>, 'cost'> & { readonly tasks: readonly OpenTask[] };
type OpenPerson = Optional<Omit<Person, 'ways'>, 'busy' | 'slack'> & { readonly ways: readonly OpenWay[] };
type OpenWorker = Optional<Worker, 'setUp' | 'packUp' | 'leaves' | 'sanitise' | 'maxWork' | 'rest' | 'lunch'>;

/** A day as a file may have it: what is left out is none. */
export type OpenDay = Optional<
  Omit<PartyDay, 'people' | 'workers'>,
  'travel' | 'chairWipe' | 'rounds' | 'star' | 'zone' | 'date'
> & { readonly people: readonly OpenPerson[]; readonly workers: readonly OpenWorker[] };

const known = new WeakMap<OpenDay, PartyDay>();

/** The day with everything that was left out said; asked again for the same day, the same one. */
export function wholeDay(day: OpenDay): PartyDay {
  const kept = known.get(day);
  if (kept) return kept;
  const whole = completed(day);
  known.set(day, whole);
  known.set(whole, whole);
  return whole;
}

function completed(day: OpenDay): PartyDay {
  return {
    ...day,
    zone: day.zone ?? 'UTC',
    date: day.date ?? '1970-01-01',
    travel: day.travel ?? [],
    chairWipe: day.chairWipe ?? 0,
    rounds: day.rounds ?? [],
    star: day.star ?? null,
    workers: day.workers.map((worker) => ({
      ...worker,
      setUp: worker.setUp ?? 0,
      packUp: worker.packUp ?? 0,
      leaves: worker.leaves ?? null,
      sanitise: worker.sanitise ?? 0,
      maxWork: worker.maxWork ?? null,
      rest: worker.rest ?? 0,
      lunch: worker.lunch ?? null,
    })),
    people: day.people.map((person) => ({
      ...person,
      busy: person.busy ?? [],
      slack: person.slack ?? 0,
      ways: person.ways.map((way) => ({
        ...way,
        cost: way.cost ?? 0,
        tasks: way.tasks.map((task) => ({ ...task, tail: task.tail ?? 0 })),
      })),
    })),
  };
}
