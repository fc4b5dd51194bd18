import { calmDay } from './calmDay';
import { changedDay, changeWords, doesKind, type DayChange } from './changes';
import type { DayAnswer, PartyDay } from './instance';
import { planDay } from './planDay';
import { simulateDay, type Simulated, type Stays } from './simulate';

/**
 * What one more pair of hands buys: the day with them, planned and made calm, on the same mornings as
 * without.
 */
export type OneMore = {
  readonly change: Extract<DayChange, { kind: 'hands' }>;
  readonly words: string;
  readonly sure: Simulated;
};

export type OneMoreOptions = Partial<Stays> & {
  readonly seed?: number;
  readonly mornings?: number;
  /** Steps of the search for each; a limit in ms only ends it. */ readonly work?: number;
  readonly limitMs?: number;
  /** Of the search for calm. */ readonly rounds?: number;
  /** Points a weighted minute late to expect is worth. */ readonly lateWorth?: number;
};

/**
 * How much likelier everybody is in time with one more artist, and with one more hair stylist: as quick as
 * the slowest there is, with a chair of their own. Each is planned anew and made calm, then played on the
 * same mornings. Yields each as it is found.
 */
export function* oneMoreBuys(
  day: PartyDay,
  timetable: Pick<DayAnswer, 'ways' | 'visits'>,
  { seed = 1, mornings, work, limitMs, rounds, lateWorth = 100, ...stays }: OneMoreOptions = {},
): Generator<OneMore> {
  for (const does of ['makeup', 'hair'] as const) {
    if (!day.workers.some((worker) => doesKind(day, worker, does))) continue;
    const change = { kind: 'hands', does } as const;
    const more = changedDay(day, change);
    const planned = planDay(more, { seed, work, limitMs });
    const tried = planned.unplaced.length === 0 ? [planned, timetable] : [timetable];
    const best = tried
      .map((one) =>
        simulateDay(more, calmDay(more, one, { seed, lateWorth, rounds, ...stays }), {
          seed,
          mornings,
          ...stays,
        }),
      )
      .reduce((a, b) => (b.all.share > a.all.share ? b : a));
    yield { change, words: changeWords(day, change), sure: best };
  }
}
