import { seededRandom } from '../math';
import { judgeDay, type DayConflict } from './judgeDay';
import { endsOf, keyOf } from './laidOut';
import { clearStart, layDown } from './lines';
import type { PartyDay, DayAnswer, Objective, Visit } from './instance';
import { minuteOf, modelOf, type Model } from './model';
import { Search, type Prices } from './search';
import { objectiveOf, plansFrom, visitsOf } from './timetable';
import { wholeDay, type OpenDay } from './wholeDay';

/** Points for what a new timetable changes in the one people know. */
export const CHANGES = {
  otherWorker: 15,
  perMoved: 1,
  movedMinutes: 5,
  mustBeTold: 8,
  toldBeyondMinutes: 10,
} as const;

/** A visit that is not where people know it. */
export type Change = {
  readonly of: string;
  readonly task: string;
  readonly before: Visit | null;
  readonly after: Visit;
  readonly movedMinutes: number;
  readonly otherWorker: boolean;
};

export type Replanned = Pick<DayAnswer, 'ways' | 'visits' | 'objective'> & {
  readonly changes: readonly Change[];
  /** People whose own time moves by more than ten minutes. */ readonly tell: readonly string[];
};

export type Replan = {
  /** Order and hands kept, only later where it must be; null when a rule would be broken. */
  readonly push: Replanned | null;
  readonly pushConflicts: readonly DayConflict[];
  /** The best found with few changes; null when there is none. */
  readonly repair: Replanned | null;
};

export type ReplanOptions = {
  readonly seed?: number;
  /** Rounds of search: some 350 take a tenth of a second. */ readonly rounds?: number;
  readonly limitMs?: number;
  readonly clock?: () => number;
};

/**
 * A day under way, or one with visits held by hand: `day.pinned` stays, nothing new starts before `day.now`,
 * and the rest changes as little as serves. Lateness first, then comfort and changes together.
 */
export function replanDay(
  given: OpenDay,
  previous: Pick<DayAnswer, 'ways' | 'visits'>,
  { seed = 1, rounds = 350, limitMs = Infinity, clock = () => performance.now() }: ReplanOptions = {},
): Replan {
  const day = wholeDay(given);
  const until = clock() + limitMs;
  const pushed = pushDay(day, previous);
  const judged = judgeDay(day, pushed);
  const fits = judged.conflicts.length === 0;
  const made = (answer: Pick<DayAnswer, 'ways' | 'visits'>, objective: Objective): Replanned => ({
    ...answer,
    objective,
    ...changesBetween(day, previous, answer),
  });
  const model = modelOf(day, { latePoints: 100, comfort: true, wall: false });
  const search = new Search(model, seededRandom(seed));
  search.extra = changePrices(model, previous);
  search.from(plansFrom(model, fits ? pushed : previous));
  for (const _ of search.rounds(rounds, 20, 1)) if (clock() >= until) break;
  const found = search.best;
  const plain = found && objectiveOf(model, found.plans);
  return {
    push: fits ? made(pushed, judged.objective) : null,
    pushConflicts: judged.conflicts,
    repair: found && plain ? made(visitsOf(model, found.plans), plain) : null,
  };
}

/**
 * Every visit as late as those before it push it, in the planned order, by the same hands and chairs; a visit
 * nobody can come to any more, since the last ferry has left, begins at Infinity.
 */
export function pushDay(
  day: PartyDay,
  previous: Pick<DayAnswer, 'ways' | 'visits'>,
): Pick<DayAnswer, 'ways' | 'visits'> {
  const withPins = previous.visits.map((visit): Visit => {
    const pin = day.pinned?.find((one) => one.of === visit.of && one.task === visit.task);
    return pin
      ? { ...visit, worker: pin.worker, start: pin.start, minutes: pin.minutes ?? visit.minutes }
      : visit;
  });
  const lines = layDown(day, { ways: previous.ways, visits: withPins });
  const hands: number[] = [];
  const chairs: number[] = [];
  const ends: number[] = [];
  const visits = lines.map((line, i): Visit => {
    let start = line.start;
    const wait = (until: number): void => {
      start = Math.max(start, until);
    };
    if (!line.pinned) {
      wait(day.now ?? -Infinity);
      const before = hands[line.afterWorker];
      if (before !== undefined) {
        const leave = before + line.pack;
        wait(
          line.departures
            ? (line.departures.find((at) => at >= leave) ?? Infinity) + line.afterLeaving
            : before + line.workerGap,
        );
      }
      wait(ends[line.afterPerson] ?? -Infinity);
      if (line.afterChair >= 0) wait(chairs[line.afterChair]! + line.chairGap);
      if (Number.isFinite(start)) start = clearStart(line, start, line.minutes, day.grid);
    }
    const { handsEnd, personEnd, chairEnd } = endsOf(line.task, start, line.minutes);
    hands[i] = handsEnd;
    ends[i] = personEnd;
    chairs[i] = chairEnd;
    return { ...line.visit, start };
  });
  return { ways: previous.ways, visits };
}

/** What each start costs for being a change. */
function changePrices(model: Model, previous: Pick<DayAnswer, 'visits'>): Prices {
  return model.modes.map((mode) => {
    const unit = model.units[mode.unit]!;
    const known = previous.visits.find((one) => one.of === unit.id && one.task === mode.task.id);
    return Float64Array.from({ length: model.slots }, (_, s) => {
      if (!known) return 0;
      const moved = Math.abs(minuteOf(model, mode, s) - known.start);
      const steps = CHANGES.perMoved * Math.floor(moved / CHANGES.movedMinutes);
      const told = moved > CHANGES.toldBeyondMinutes ? CHANGES.mustBeTold : 0;
      return steps + told + (model.workers[mode.worker]!.id === known.worker ? 0 : CHANGES.otherWorker);
    });
  });
}

/**
 * What differs between two timetables, and whose own time moves enough to be told. What has begun is where it
 * is: that is no change of anything to come, and nobody is sent for what they sit in or have had.
 */
export function changesBetween(
  day: PartyDay,
  before: Pick<DayAnswer, 'visits'>,
  after: Pick<DayAnswer, 'visits'>,
): { changes: Change[]; tell: string[] } {
  const now = day.now ?? -Infinity;
  const begun = new Set(
    (day.pinned ?? []).filter((pin) => pin.start <= now).map((pin) => keyOf(pin.of, pin.task)),
  );
  const changes = after.visits.flatMap((visit): Change[] => {
    if (begun.has(keyOf(visit.of, visit.task))) return [];
    const known = before.visits.find((one) => one.of === visit.of && one.task === visit.task) ?? null;
    const movedMinutes = known ? visit.start - known.start : 0;
    const otherWorker = known !== null && known.worker !== visit.worker;
    if (known && movedMinutes === 0 && !otherWorker) return [];
    return [{ of: visit.of, task: visit.task, before: known, after: visit, movedMinutes, otherWorker }];
  });
  const told = changes.filter(
    (one) =>
      day.people.some((person) => person.id === one.of) &&
      (one.before === null || Math.abs(one.movedMinutes) > CHANGES.toldBeyondMinutes),
  );
  return { changes, tell: [...new Set(told.map((one) => one.of))] };
}
