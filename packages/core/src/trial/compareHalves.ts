import type { Side } from '../face';
import { aSideAt, type SidesDrawn } from './draw';
import { TRIAL_MEASURES, type Judge, type TrialMeasure } from './measures';

/** What is judged, said before the draw. */
export type Declared = {
  readonly measure: TrialMeasure;
  readonly by: Judge;
  readonly zones: readonly string[];
  /** Hours that count; none named: all. */ readonly hours?: readonly number[];
  /** Under it two halves count as equal. */ readonly margin: number;
};

/** One look at one half. */
export type SeenHalf = {
  readonly hour: number;
  readonly zone: string;
  readonly side: Side;
  readonly measure: TrialMeasure;
  readonly by: Judge;
  readonly value: number;
};

export type TouchedUp = { readonly hour: number; readonly zone: string };

export type ZoneCompared = {
  readonly zone: string;
  /** Mean over time, A better is positive; null: never both judged. */ readonly difference: number | null;
  readonly pairs: number;
  readonly untilHour: number | null;
};

export type Compared = {
  readonly zones: readonly ZoneCompared[];
  readonly difference: number | null;
  readonly outcome: 1 | -1 | 0 | null;
  readonly leftMinusRight: number | null;
};

/**
 * One trial's one number: by zone, the difference of the halves at the hours both were judged by the declared
 * judge, averaged over time by trapezoids to the last such hour; then over the zones. Fresh halves nobody
 * judged are taken as equal. A half missed at an hour drops that hour; a touch-up on either half ends its
 * zone for both. Throws a RangeError for hours before the application.
 */
export function compareHalves(
  aSide: Side,
  declared: Declared,
  seen: readonly SeenHalf[],
  touchedUp: readonly TouchedUp[] = [],
): Compared {
  return comparePlaces({ aSide }, declared, seen, touchedUp);
}

/** The same where each place may have had a draw of its own. */
export function comparePlaces(
  drawn: SidesDrawn,
  declared: Declared,
  seen: readonly SeenHalf[],
  touchedUp: readonly TouchedUp[] = [],
): Compared {
  const before = seen.find((one) => !(one.hour >= 0));
  if (before) throw new RangeError(`compareHalves: ${before.hour} h is before the application`);
  const sign = TRIAL_MEASURES[declared.measure].highIsGood ? 1 : -1;
  const byZone = declared.zones.map((zone) => {
    const end = Math.min(Infinity, ...touchedUp.filter((one) => one.zone === zone).map((one) => one.hour));
    const mine = seen.filter(
      (one) =>
        one.zone === zone &&
        one.measure === declared.measure &&
        one.by === declared.by &&
        one.hour <= end &&
        (declared.hours === undefined || one.hour === 0 || declared.hours.includes(one.hour)),
    );
    // Two looks at one hour: the later counts.
    const at = (side: Side): Map<number, number> =>
      new Map(mine.filter((one) => one.side === side).map((one) => [one.hour, one.value]));
    const [left, right] = [at('left'), at('right')];
    const pairs = [...left.keys()]
      .filter((hour) => right.has(hour))
      .sort((a, b) => a - b)
      .map((hour) => ({ hour, d: sign * (left.get(hour)! - right.get(hour)!) }));
    const leftMinusRight = meanOverTime(pairs);
    const towardsA = aSideAt(drawn, zone) === 'left' ? 1 : -1;
    return {
      zone,
      pairs: pairs.length,
      untilHour: pairs.at(-1)?.hour ?? null,
      leftMinusRight,
      // No difference is none, whichever side it was on.
      difference: leftMinusRight === null ? null : towardsA * leftMinusRight + 0,
    };
  });
  const mean = (of: 'leftMinusRight' | 'difference'): number | null => {
    const known = byZone.flatMap((one) => one[of] ?? []);
    return known.length > 0 ? known.reduce((sum, one) => sum + one, 0) / known.length : null;
  };
  const difference = mean('difference');
  return {
    zones: byZone.map(({ leftMinusRight: _sides, ...one }) => one),
    difference,
    outcome:
      difference === null ? null : Math.abs(difference) <= declared.margin ? 0 : difference > 0 ? 1 : -1,
    leftMinusRight: mean('leftMinusRight'),
  };
}

function meanOverTime(pairs: readonly { hour: number; d: number }[]): number | null {
  const [first] = pairs;
  const last = pairs.at(-1);
  if (!first || !last) return null;
  if (last.hour === 0) return last.d;
  const points = first.hour > 0 ? [{ hour: 0, d: 0 }, ...pairs] : pairs;
  let area = 0;
  for (let i = 1; i < points.length; i++)
    area += ((points[i]!.d + points[i - 1]!.d) / 2) * (points[i]!.hour - points[i - 1]!.hour);
  return area / last.hour;
}
