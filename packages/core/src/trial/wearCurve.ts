import { betaQuantile, logGamma } from '../math';
import { checkWears, type Wear } from './wear';

/**
 * How long something holds, by the hours people check: in each cell (hours[j], hours[j + 1]] the chance to
 * fail is Beta(failed[j], held[j]).
 */
export type Curve = {
  readonly hours: readonly number[];
  readonly failed: readonly number[];
  readonly held: readonly number[];
};

const CELLS = [0, 2, 4, 6, 8, 12] as const;

/** A guess that is worth so many wears: half of them hold to the median, S = 2^-(t / median)^shape. */
export function guessedCurve(medianHours: number, strength = 3, shape = 1.6): Curve {
  if (!(medianHours > 0) || !(strength > 0))
    throw new RangeError(
      `guessedCurve: expected a median and a strength above none, got ${medianHours} and ${strength}`,
    );
  const holds = (hour: number): number => 2 ** -((hour / medianHours) ** shape);
  return curveOf((from, to) => 1 - holds(to) / holds(from), strength);
}

function curveOf(hazard: (from: number, to: number) => number, strength: number): Curve {
  const hazards = CELLS.slice(1).map((to, j) => hazard(CELLS[j]!, to));
  return {
    hours: CELLS,
    failed: hazards.map((h) => h * strength),
    held: hazards.map((h) => (1 - h) * strength),
  };
}

/** A wider group's curve as what a narrower one leans on: the same hazards, worth so many wears. */
export function asPrior(wider: Curve, strength = 3): Curve {
  if (!(strength > 0)) throw new RangeError(`asPrior: expected a strength above none, got ${strength}`);
  const hazards = hazardsOf(wider);
  return {
    hours: wider.hours,
    failed: hazards.map((h) => h * strength),
    held: hazards.map((h) => (1 - h) * strength),
  };
}

export function hazardsOf({ failed, held }: Curve): number[] {
  return failed.map((f, j) => f / (f + held[j]!));
}

/** The part of cell j before an hour, none to one; past the last cell it goes on. */
function partBefore(hours: readonly number[], j: number, hour: number): number {
  const from = hours[j]!;
  const part = (hour - from) / (hours[j + 1]! - from);
  return j === hours.length - 2 ? Math.max(0, part) : Math.min(1, Math.max(0, part));
}

/**
 * A curve after wears: cells held through and failed in are counted; a failure seen only later is shared over
 * the cells it may lie in by the curve itself, until that settles.
 */
export function wearCurve(prior: Curve, wears: readonly Wear[]): Curve {
  checkWears(wears);
  const { hours } = prior;
  const cells = prior.failed.length;
  let curve = prior;
  for (let round = 0; round < 500; round++) {
    const hazards = hazardsOf(curve);
    const failed = [...prior.failed];
    const held = [...prior.held];
    for (const wear of wears) {
      const weight = wear.weight ?? 1;
      const known = hours.slice(0, cells).map((_, j) => Math.min(1, partBefore(hours, j, wear.good)));
      if (wear.bad === null) {
        known.forEach((part, j) => (held[j]! += weight * part));
        continue;
      }
      // Chances to fail in each cell's part of (good, bad], given that it held to `good`.
      let alive = 1;
      const chances = known.map((part, j) => {
        const until = Math.min(1, partBefore(hours, j, wear.bad!));
        const stays = (1 - hazards[j]!) ** Math.max(0, until - part);
        const chance = alive * (1 - stays);
        alive *= stays;
        return chance;
      });
      const sum = chances.reduce((all, one) => all + one, 0);
      let left = 1;
      known.forEach((part, j) => {
        const share = sum > 0 ? chances[j]! / sum : j === cells - 1 ? 1 : 0;
        left -= share;
        failed[j]! += weight * share;
        const through = hours[j + 1]! <= wear.bad! ? Math.max(0, left) : 0;
        held[j]! += weight * (part + (1 - part) * through);
      });
    }
    const moved = Math.max(...failed.map((one, j) => Math.abs(one - curve.failed[j]!)), 0);
    curve = { hours, failed, held };
    if (moved < 1e-12) break;
  }
  return curve;
}

export type Holds = {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  readonly beyond: boolean;
};

/** The chance to hold to an hour with its band; `beyond`: past the last hour people check. */
export function holdChance(curve: Curve, hour: number, level = 0.8): Holds {
  if (!(hour >= 0)) throw new RangeError(`holdChance: ${hour} h is before it was put on`);
  const { hours, failed, held } = curve;
  const beyond = hour > hours.at(-1)!;
  const moment = (times: number): number =>
    Math.exp(
      failed.reduce((sum, a, j) => {
        const b = held[j]!;
        const f = times * partBefore(hours, j, hour);
        return sum + logGamma(b + f) + logGamma(a + b) - logGamma(b) - logGamma(a + b + f);
      }, 0),
    );
  const m1 = moment(1);
  const m2 = moment(2);
  if (m1 >= 1 - 1e-12) return { mean: 1, low: 1, high: 1, beyond };
  const nu = (m1 - m2) / Math.max(1e-15, m2 - m1 * m1);
  const [a, b] = [m1 * nu, (1 - m1) * nu];
  return {
    mean: m1,
    low: betaQuantile((1 - level) / 2, a, b),
    high: betaQuantile((1 + level) / 2, a, b),
    beyond,
  };
}

/** The share that holds at an hour, by the curve's mean hazards. */
export function holdsAt(curve: Curve, hour: number): number {
  return hazardsOf(curve).reduce((s, h, j) => s * (1 - h) ** partBefore(curve.hours, j, hour), 1);
}

/** Hours of the first so many that hold: the integral of the curve, in closed form. */
export function goodHours(curve: Curve, hours: number): number {
  const hazards = hazardsOf(curve);
  let alive = 1;
  let good = 0;
  hazards.forEach((h, j) => {
    const from = curve.hours[j]!;
    const width = curve.hours[j + 1]! - from;
    const last = j === hazards.length - 1;
    const t = Math.max(0, last ? hours - from : Math.min(hours - from, width));
    const r = -Math.log1p(-h) / width;
    good += r < 1e-12 ? alive * t : (alive * (1 - Math.exp(-r * t))) / r;
    alive *= Math.exp(-r * t);
  });
  return good;
}

/** The last five-minute step at which at least a share holds; null when it never falls below it. */
export function dueMinutes(
  curve: Curve,
  threshold: number,
  untilMinutes: number,
  stepMinutes = 5,
): number | null {
  for (let at = stepMinutes; at <= untilMinutes; at += stepMinutes)
    if (holdsAt(curve, at / 60) < threshold) return at - stepMinutes;
  return null;
}
