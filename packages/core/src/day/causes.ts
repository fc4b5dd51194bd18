import { clock } from '../calendar';
import { msg, plural } from '../messages';
import type { ChairKind, DayTask, PartyDay, Person } from './instance';
import { CHAIR_WORDS, nameOf, personOf, placeName, workerOf } from './named';

/** One thing that stands in the way. */
export type DayCause =
  | { readonly kind: 'readyBy'; readonly person: string }
  | { readonly kind: 'named'; readonly person: string; readonly task: string; readonly worker: string }
  | { readonly kind: 'appointment'; readonly person: string; readonly title: string; readonly from: number }
  | { readonly kind: 'lunch'; readonly worker: string }
  | { readonly kind: 'away'; readonly worker: string; readonly title: string; readonly from: number }
  | { readonly kind: 'chair'; readonly place: string; readonly chair: ChairKind };

/** A cause in words, as part of a sentence. */
export function wordsFor(day: PartyDay, cause: DayCause): string {
  switch (cause.kind) {
    case 'readyBy':
      return msg`${nameOf(day, cause.person)} is to be ready at ${clock(personOf(day, cause.person)?.readyBy ?? 0)}`;
    case 'named':
      return msg`only ${workerOf(day, cause.worker)?.name ?? cause.worker} may do ${nameOf(day, cause.person)}`;
    case 'appointment':
      return msg`${nameOf(day, cause.person)} has ${cause.title} at ${clock(cause.from)}`;
    case 'away':
      return msg`${workerOf(day, cause.worker)?.name ?? cause.worker} is away from ${clock(cause.from)}: ${cause.title}`;
    case 'lunch':
      return msg`${workerOf(day, cause.worker)?.name ?? cause.worker} eats`;
    case 'chair': {
      const n = day.chairs.filter(
        (chair) => chair.place === cause.place && chair.kind === cause.chair,
      ).length;
      const what = CHAIR_WORDS[cause.chair];
      return plural(
        n,
      )`there is one ${what} at ${placeName(day, cause.place)}|there are ${n} ${what}s at ${placeName(day, cause.place)}`;
    }
  }
}

/** Everything that may be in the way; the latest ready-by first, so that the reason names the early ones. */
export function causesOf(day: PartyDay): DayCause[] {
  const byTime = [...day.people].sort((a, b) => b.readyBy - a.readyBy);
  const chairs = new Map(day.chairs.map((chair) => [`${chair.place} ${chair.kind}`, chair]));
  return [
    ...day.workers.flatMap((worker): DayCause[] =>
      worker.lunch ? [{ kind: 'lunch', worker: worker.id }] : [],
    ),
    ...day.workers.flatMap((worker) =>
      (worker.away ?? []).map(({ title, from }): DayCause => ({
        kind: 'away',
        worker: worker.id,
        title,
        from,
      })),
    ),
    ...day.people.flatMap((person) =>
      person.busy.map((one): DayCause => ({
        kind: 'appointment',
        person: person.id,
        title: one.title,
        from: one.from,
      })),
    ),
    ...[...chairs.values()].map((chair): DayCause => ({
      kind: 'chair',
      place: chair.place,
      chair: chair.kind,
    })),
    ...byTime.map((person): DayCause => ({ kind: 'readyBy', person: person.id })),
    ...byTime.flatMap((person) => namedIn(day, person)),
  ];
}

function namedIn(day: PartyDay, person: Person): DayCause[] {
  const tasks = openWays(day, person)[0]?.tasks ?? [];
  return tasks.flatMap((task): DayCause[] => {
    const [only, ...rest] = Object.keys(task.by);
    if (only === undefined || rest.length > 0 || othersWhoDo(day, task).length === 0) return [];
    return [{ kind: 'named', person: person.id, task: task.id, worker: only }];
  });
}

/** Workers who do the same kind for somebody, and are not asked here. */
function othersWhoDo(day: PartyDay, task: DayTask): string[] {
  const doing = new Set(
    day.people.flatMap((person) =>
      person.ways.flatMap((way) =>
        way.tasks.filter((one) => one.kind === task.kind).flatMap((one) => Object.keys(one.by)),
      ),
    ),
  );
  return [...doing].filter((worker) => !(worker in task.by));
}

/** The day without one of its causes. */
export function drop(day: PartyDay, cause: DayCause): PartyDay {
  const people = (id: string, change: (person: Person) => Person): PartyDay => ({
    ...day,
    people: day.people.map((person) => (person.id === id ? change(person) : person)),
  });
  switch (cause.kind) {
    case 'readyBy':
      return people(cause.person, (person) => ({ ...person, weights: { ...person.weights, late: 0 } }));
    case 'appointment':
      return people(cause.person, (person) => ({
        ...person,
        busy: person.busy.filter((one) => one.from !== cause.from || one.title !== cause.title),
      }));
    case 'named':
      return people(cause.person, (person) => ({
        ...person,
        ways: person.ways.map((way) => ({
          ...way,
          tasks: way.tasks.map((task) => (task.id === cause.task ? openedTo(day, task) : task)),
        })),
      }));
    case 'away':
      return {
        ...day,
        workers: day.workers.map((worker) =>
          worker.id === cause.worker
            ? {
                ...worker,
                away: worker.away?.filter((one) => one.from !== cause.from || one.title !== cause.title),
              }
            : worker,
        ),
      };
    case 'lunch':
      return {
        ...day,
        workers: day.workers.map((worker) =>
          worker.id === cause.worker ? { ...worker, lunch: null } : worker,
        ),
      };
    case 'chair':
      return { ...day, chairs: [...day.chairs, ...moreChairs(day, cause.place, cause.chair)] };
  }
}

const moreChairs = (day: PartyDay, place: string, kind: ChairKind): PartyDay['chairs'] =>
  day.workers.map((_, i) => ({ id: `more ${kind} ${i}`, place, kind }));

function openedTo(day: PartyDay, task: DayTask): DayTask {
  const minutes = Math.max(...Object.values(task.by));
  return {
    ...task,
    by: { ...Object.fromEntries(othersWhoDo(day, task).map((worker) => [worker, minutes])), ...task.by },
  };
}

const openWays = (day: PartyDay, person: Person): Person['ways'] =>
  person.ways.filter((way) => !way.relax || day.relaxed?.includes(`${person.id}/${way.id}`));
