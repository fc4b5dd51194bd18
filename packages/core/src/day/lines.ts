import { endsOf, roundTask, wayOf } from './laidOut';
import type { Appointment, PartyDay, DayAnswer, DayTask, Visit, Worker } from './instance';

/** A visit in a timetable with what it waits for: the worker's, the person's and the chair's visit before. */
export type Line = {
  readonly visit: Visit;
  readonly of: string;
  readonly task: DayTask;
  readonly worker: Worker;
  readonly start: number;
  readonly minutes: number;
  readonly pinned: boolean;
  /** Her first visit, which waits for her to come. */ readonly first: boolean;
  /** Indices of lines; -1: none. */ readonly afterWorker: number;
  readonly workerGap: number;
  readonly departures: readonly number[] | null;
  readonly pack: number;
  /** Minutes from leaving to working. */ readonly afterLeaving: number;
  readonly afterPerson: number;
  readonly afterChair: number;
  readonly chairGap: number;
  readonly busy: readonly Appointment[];
  /** When the hands are not there; none for work that is held where it is. */
  readonly away: readonly Appointment[];
};

/** A timetable's visits in the order of their starts, each knowing what it follows. */
export function layDown(day: PartyDay, answer: Pick<DayAnswer, 'ways' | 'visits'>): Line[] {
  const sorted = [...answer.visits].sort((a, b) => a.start - b.start || (a.of < b.of ? -1 : 1));
  const lines: Line[] = [];
  for (const visit of sorted) {
    const round = day.rounds.find((one) => one.id === visit.of);
    const person = day.people.find((one) => one.id === visit.of);
    const task = round
      ? roundTask(round)
      : person && wayOf(person, answer.ways)?.tasks.find((one) => one.id === visit.task);
    const worker = day.workers.find((one) => one.id === visit.worker);
    if (!task || !worker) continue;
    const lastOf = (match: (line: Line) => boolean): number => lines.findLastIndex(match);
    const afterWorker = lastOf((line) => line.worker === worker);
    const before = lines[afterWorker];
    const way = before && day.travel.find((one) => one.from === before.task.place && one.to === task.place);
    const moved = before !== undefined && before.task.place !== task.place;
    const afterChair = visit.chair === null ? -1 : lastOf((line) => line.visit.chair === visit.chair);
    const pinned = day.pinned?.some((pin) => pin.of === visit.of && pin.task === visit.task) ?? false;
    lines.push({
      visit,
      of: visit.of,
      task,
      worker,
      start: visit.start,
      minutes: visit.minutes,
      pinned,
      first: person !== undefined && !lines.some((line) => line.of === visit.of),
      afterWorker,
      workerGap: !moved ? worker.sanitise : (way?.pack ?? 0) + (way?.minutes ?? 0) + (way?.unpack ?? 0),
      departures: moved ? (way?.departures ?? null) : null,
      pack: way?.pack ?? 0,
      afterLeaving: (way?.minutes ?? 0) + (way?.unpack ?? 0),
      afterPerson: lastOf((line) => line.of === visit.of),
      afterChair,
      chairGap: day.chairWipe,
      busy: person?.busy ?? [],
      away: pinned ? [] : (worker.away ?? []),
    });
  }
  return lines;
}

/**
 * The first start from a given one on at which a visit of so many minutes runs into no hour its hands are
 * away and no appointment of the person's, on multiples of `step` minutes (0: anywhere). What begins inside
 * an appointment comes after it.
 */
export function clearStart(line: Line, from: number, minutes: number, step = 0): number {
  const onStep = (minute: number): number => (step > 0 ? Math.ceil(minute / step) * step : minute);
  let start = onStep(from);
  if (line.away.length === 0 && line.busy.length === 0) return start;
  for (let last = NaN; start !== last;) {
    last = start;
    const { handsEnd, personEnd } = endsOf(line.task, start, minutes);
    for (const gone of line.away)
      if (last < gone.to && handsEnd > gone.from) start = Math.max(start, gone.to);
    for (const busy of line.busy)
      if (last < busy.to && personEnd > busy.from) start = Math.max(start, busy.to);
    start = onStep(start);
  }
  return start;
}
