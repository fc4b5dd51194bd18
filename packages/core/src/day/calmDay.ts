import { seededRandom } from '../math';
import type { DayAnswer, PartyDay } from './instance';
import { judgeDay } from './judgeDay';
import { modelOf } from './model';
import { expectedLate, placeSlack, type Slacked, type SlackOptions } from './placeSlack';
import { Search } from './search';
import { USUAL_STAYS } from './simulate';
import { plansFrom, visitsOf } from './timetable';

/** Mornings each timetable of the search is tried on, and its rounds. */
const TRIED_ON = 40;
const ROUNDS = 1600;

export type CalmOptions = SlackOptions & {
  readonly rounds?: number;
  /** Told on the way, 0 to 1. */ readonly onProgress?: (share: number) => void;
};

/**
 * A timetable that bears a slow morning. The search goes on from a given one with the lateness to expect as
 * part of what a timetable costs, so that who does whom and in which order leave room too; then slack is
 * placed.
 */
export function calmDay(
  day: PartyDay,
  answer: Pick<DayAnswer, 'ways' | 'visits'>,
  options: CalmOptions = {},
): Slacked {
  const { seed = 1, lateWorth = 25, rounds = ROUNDS } = options;
  const { strayOf = USUAL_STAYS.strayOf, paceOf = USUAL_STAYS.paceOf } = options;
  const inTime = judgeDay(day, answer).objective.late === 0;
  const model = modelOf(day, { latePoints: 200, comfort: true, wall: inTime });
  const search = new Search(model, seededRandom(seed));
  search.risk = (plans) => {
    const { ways, visits } = visitsOf(model, plans);
    return lateWorth * expectedLate(day, ways, visits, seed, { strayOf, paceOf }, TRIED_ON);
  };
  const plain = placeSlack(day, answer, options);
  search.from(plansFrom(model, plain));
  const hot = Math.max(10, lateWorth);
  for (const _ of search.rounds(rounds, hot, hot / 20))
    options.onProgress?.((0.9 * search.iterations) / rounds);
  const worth = (calm: Slacked): number => {
    const { late, cost } = judgeDay(day, calm).objective;
    return late * 10_000 + cost + lateWorth * calm.after.lateMinutes;
  };
  const searched = search.best && placeSlack(day, visitsOf(model, search.best.plans), options);
  const best = searched && worth(searched) < worth(plain) ? searched : plain;
  return { ...best, before: plain.before };
}
