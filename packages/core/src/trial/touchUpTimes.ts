import { goodHours, type Curve } from './wearCurve';

export type WornZone = { readonly zone: string; readonly weight: number; readonly curve: Curve };

/** A moment that takes some of it at once: a meal, tears. */
export type WearEvent = { readonly atMinutes: number; readonly fails: Readonly<Record<string, number>> };

export type TouchUpOptions = {
  /** After a touch-up it holds so much as long as fresh. */ readonly afterFactor?: number;
  readonly events?: readonly WearEvent[];
};

export type TouchUps = { readonly atMinutes: readonly number[]; readonly badMinutes: number };

/**
 * The minutes for at most so many touch-ups that leave the least bad time, all zones weighted: exact, by
 * dynamic programming over the allowed minutes. At a tie fewer, then earlier. An event in the very minute of
 * a touch-up counts as before it.
 */
export function touchUpTimes(
  zones: readonly WornZone[],
  untilMinutes: number,
  count: number,
  allowedMinutes: readonly number[],
  options: TouchUpOptions = {},
): TouchUps {
  return plansUpTo(zones, untilMinutes, count, allowedMinutes, options).reduce((best, one) =>
    one.badMinutes < best.badMinutes - TIE ? one : best,
  );
}

/** As many touch-ups as are worth their minutes: least bad time with a cost a visit. */
export function worthTouchUps(
  zones: readonly WornZone[],
  untilMinutes: number,
  allowedMinutes: readonly number[],
  { costMinutes, most, ...options }: TouchUpOptions & { readonly costMinutes: number; readonly most: number },
): TouchUps & { readonly count: number } {
  const cost = (one: TouchUps): number => one.badMinutes + costMinutes * one.atMinutes.length;
  const best = plansUpTo(zones, untilMinutes, most, allowedMinutes, options).reduce((least, one) =>
    cost(one) < cost(least) - TIE ? one : least,
  );
  return { ...best, count: best.atMinutes.length };
}

const TIE = 1e-9;

/** The best with none, one, two, ... touch-ups. */
function plansUpTo(
  zones: readonly WornZone[],
  untilMinutes: number,
  most: number,
  allowedMinutes: readonly number[],
  { afterFactor = 0.8, events = [] }: TouchUpOptions,
): TouchUps[] {
  const allowed = [...new Set(allowedMinutes)]
    .filter((at) => at > 0 && at < untilMinutes)
    .sort((a, b) => a - b);
  const places = [0, ...allowed, untilMinutes];
  const last = places.length - 1;
  const bad = stretchCosts(zones, places, afterFactor, events);
  // best[k][j]: least bad minutes up to place j with k touch-ups before it.
  let best = places.map((_, j) => ({ cost: bad(0, j), via: [] as readonly number[] }));
  const plans: TouchUps[] = [{ atMinutes: [], badMinutes: best[last]!.cost }];
  for (let k = 1; k <= most; k++) {
    best = places.map((_, j) => {
      let least = { cost: Infinity, via: [] as readonly number[] };
      for (let i = 1; i < j; i++) {
        const cost = best[i]!.cost + bad(i, j);
        if (cost < least.cost - TIE) least = { cost, via: [...best[i]!.via, places[i]!] };
      }
      return least;
    });
    if (best[last]!.cost === Infinity) break;
    plans.push({ atMinutes: best[last]!.via, badMinutes: best[last]!.cost });
  }
  return plans;
}

/**
 * Weighted bad minutes of a stretch between two places, the first of them a touch-up unless it is the start.
 */
function stretchCosts(
  zones: readonly WornZone[],
  places: readonly number[],
  afterFactor: number,
  events: readonly WearEvent[],
): (i: number, j: number) => number {
  const total = zones.reduce((sum, zone) => sum + zone.weight, 0);
  const known = new Map<string, number>();
  const integral = (zone: WornZone, factor: number, minutes: number): number =>
    factor * 60 * goodHours(zone.curve, minutes / factor / 60);
  return (i, j) => {
    const [from, to] = [places[i]!, places[j]!];
    const inside = events.filter((event) => event.atMinutes > from && event.atMinutes < to);
    const factor = i === 0 ? 1 : afterFactor;
    const key = inside.length > 0 ? `${from} ${to}` : `${factor} ${to - from}`;
    const kept = known.get(key);
    if (kept !== undefined) return kept;
    let cost = 0;
    for (const zone of zones) {
      let good = 0;
      let left = 1;
      let at = from;
      for (const event of [...inside].sort((a, b) => a.atMinutes - b.atMinutes)) {
        good += left * (integral(zone, factor, event.atMinutes - from) - integral(zone, factor, at - from));
        left *= 1 - (event.fails[zone.zone] ?? 0);
        at = event.atMinutes;
      }
      good += left * (integral(zone, factor, to - from) - integral(zone, factor, at - from));
      cost += (zone.weight / total) * (to - from - good);
    }
    known.set(key, cost);
    return cost;
  };
}
