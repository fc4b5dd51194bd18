import type { Side } from '../face';
import { leaning } from './draw';
import { inUnits, UNITS, type Exact } from './exactTests';

/**
 * The exact test by the draws themselves: left minus right stays as seen, and every sequence of draws counts
 * by its own chance under the leaning coin. Unfinished trials keep their place with none. Exact for any
 * number.
 */
export function drawTest(
  trials: readonly { readonly aSide: Side; readonly leftMinusRight: number | null }[],
): Exact & { readonly sum: number } {
  const values = trials.map((trial) => inUnits(trial.leftMinusRight ?? 0));
  const observed = trials.reduce(
    (sum, trial, i) => sum + (trial.aSide === 'left' ? values[i]! : -values[i]!),
    0,
  );
  const most = values.reduce((sum, value) => sum + Math.abs(value), 0);
  let states = new Map<string, { surplus: number; sum: number; chance: number }>([
    ['0 0', { surplus: 0, sum: 0, chance: 1 }],
  ]);
  for (const value of values) {
    const next: typeof states = new Map();
    for (const { surplus, sum, chance } of states.values()) {
      const left = leaning(surplus);
      for (const [to, moved, part] of [
        [surplus + 1, sum + value, chance * left],
        [surplus - 1, sum - value, chance * (1 - left)],
      ] as const) {
        const key = `${to} ${moved}`;
        const known = next.get(key);
        if (known) known.chance += part;
        else next.set(key, { surplus: to, sum: moved, chance: part });
      }
    }
    states = next;
  }
  let p = 0;
  let leastP = 0;
  for (const { sum, chance } of states.values()) {
    if (Math.abs(sum) >= Math.abs(observed)) p += chance;
    if (Math.abs(sum) >= most) leastP += chance;
  }
  return { p: Math.min(1, p), leastP: Math.min(1, leastP), sum: observed / UNITS };
}
