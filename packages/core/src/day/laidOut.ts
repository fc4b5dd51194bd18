import type { Chair, PartyDay, DayTask, Person, Pin, Visit, Way, Worker } from './instance';

/** A visit with what it takes of everyone's time. */
export type Laid = {
  readonly key: string;
  readonly visit: Visit;
  readonly person: Person | null;
  readonly task: DayTask;
  readonly worker: Worker;
  readonly start: number;
  readonly minutes: number;
  /** The worker is free, before sanitising. */ readonly handsEnd: number;
  /** She is done, dry. */ readonly personEnd: number;
  /** The chair is free, before wiping. */ readonly chairEnd: number;
  readonly pin: Pin | null;
};

export const keyOf = (of: string, task: string): string => `${of} ${task}`;

/** A round as the task it is: on nobody, in no chair. */
export function roundTask(round: PartyDay['rounds'][number]): DayTask {
  return {
    id: round.id,
    kind: round.kind ?? 'touchup',
    place: round.place,
    by: round.by,
    tail: 0,
    chair: false,
    from: round.from,
  };
}

/** When a task at a start ends, for the hands, the person and the chair. */
export function endsOf(
  task: DayTask,
  start: number,
  minutes: number,
): Pick<Laid, 'handsEnd' | 'personEnd' | 'chairEnd'> {
  const done = start + minutes;
  return {
    handsEnd: done + (task.frees === false ? task.tail : 0),
    personEnd: done + task.tail,
    chairEnd: done + (task.holds ? task.tail : 0),
  };
}

export const wayOf = (person: Person, ways: Readonly<Record<string, string>>): Way | undefined =>
  person.ways.find((way) => way.id === ways[person.id]);

export const fits = (chair: Chair, task: DayTask, kind: 'makeup' | 'hair'): boolean =>
  chair.place === task.place && (chair.kind === 'any' || chair.kind === kind);

/** Whether work that is held can be this task, by where it is done. */
export const isAt = ({ place }: Pin, task: DayTask): boolean => place === undefined || place === task.place;
