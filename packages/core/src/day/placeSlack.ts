import { judgeDay } from './judgeDay';
import { layDown } from './lines';
import type { PartyDay, DayAnswer, Visit } from './instance';
import { Mornings, simulateDay, USUAL_STAYS, type Simulated, type Stays } from './simulate';

export type Slacked = Pick<DayAnswer, 'ways' | 'visits'> & {
  readonly before: Simulated;
  readonly after: Simulated;
  /** Visits that begin earlier, and by how much. */
  readonly moved: readonly { readonly of: string; readonly task: string; readonly minutes: number }[];
};

export type SlackOptions = Partial<Stays> & {
  readonly seed?: number;
  /** Points a weighted minute late to expect is worth: 10 tight, 25 usual, 100 calm. */
  readonly lateWorth?: number;
};

/** Mornings a step is judged on, and those it is told by. */
const TRIED_ON = 300;

/**
 * Slack where it serves: visits begin earlier or later by steps of the grid, in the same order, as long as
 * the points of comfort with the lateness to expect shrink and no rule breaks. Judged on the same mornings,
 * told on fresh ones.
 */
export function placeSlack(
  day: PartyDay,
  answer: Pick<DayAnswer, 'ways' | 'visits'>,
  { seed = 1, lateWorth = 25, strayOf = USUAL_STAYS.strayOf, paceOf = USUAL_STAYS.paceOf }: SlackOptions = {},
): Slacked {
  const stays = { strayOf, paceOf };
  const worth = (visits: readonly Visit[]): number => {
    const judged = judgeDay(day, { ways: answer.ways, visits });
    if (judged.conflicts.length > 0) return Infinity;
    return (
      judged.objective.late * 10_000 +
      judged.objective.cost +
      lateWorth * expectedLate(day, answer.ways, visits, seed, stays)
    );
  };
  let visits = [...answer.visits].sort((a, b) => a.start - b.start);
  let best = worth(visits);
  for (let again = true, turns = 0; again && turns < 6; turns++) {
    again = false;
    for (let i = 0; i < visits.length; i++) {
      for (const step of [-3, -1, 1, 3]) {
        for (const tried of [
          shifted(day, visits, i, step * day.grid, false),
          shifted(day, visits, i, step * day.grid, true),
        ]) {
          if (!tried) continue;
          const now = worth(tried);
          if (now >= best - 1e-9) continue;
          best = now;
          visits = tried;
          again = true;
        }
      }
    }
  }
  const fresh = { seed: seed + 1, ...stays };
  return {
    ways: answer.ways,
    visits,
    before: simulateDay(day, answer, fresh),
    after: simulateDay(day, { ways: answer.ways, visits }, fresh),
    moved: visits.flatMap((visit) => {
      const was = answer.visits.find((one) => one.of === visit.of && one.task === visit.task);
      return was && was.start !== visit.start
        ? [{ of: visit.of, task: visit.task, minutes: was.start - visit.start }]
        : [];
    }),
  };
}

/** A visit moved alone, or with all of its worker's before it (earlier) or after it (later). */
function shifted(
  day: PartyDay,
  visits: readonly Visit[],
  index: number,
  minutes: number,
  along: boolean,
): Visit[] | null {
  const moved = visits[index]!;
  const held = (visit: Visit): boolean =>
    day.pinned?.some((pin) => pin.of === visit.of && pin.task === visit.task) ?? false;
  const goes = (visit: Visit): boolean =>
    visit === moved ||
    (along &&
      visit.worker === moved.worker &&
      (minutes < 0 ? visit.start <= moved.start : visit.start >= moved.start));
  if (visits.some((visit) => goes(visit) && held(visit))) return null;
  return visits.map((visit) => (goes(visit) ? { ...visit, start: visit.start + minutes } : visit));
}

/** Weighted minutes late to expect, over so many mornings. */
export function expectedLate(
  day: PartyDay,
  ways: DayAnswer['ways'],
  visits: readonly Visit[],
  seed: number,
  stays: Stays,
  mornings = TRIED_ON,
): number {
  const lines = layDown(day, { ways, visits });
  const run = new Mornings(lines, seed, stays);
  let late = 0;
  for (let morning = 0; morning < mornings; morning++) {
    run.play(morning);
    for (const person of day.people)
      late += person.weights.late * Math.max(0, run.readyOf(person.id) - person.readyBy);
  }
  return late / mornings;
}
