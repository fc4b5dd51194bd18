import { MOST_TAKEN, measuresToCover, needOf, roundsToCover } from '../shade';
import { propertiesOf, smallestMg } from '../kit';
import { msg } from '../messages';
import type { ClientSnapshot, Step, Use } from './document';

export type AmountAsked = {
  /** Skin the step covers on this client. */
  readonly areaCm2: number;
  /** What has to be taken for its dose, with what the tool keeps. */
  readonly takenMg: number;
  /** The products in that amount: their ratio kept, in whole smallest shares, the fewest that cover it. */
  readonly use: readonly Use[];
  /** What those measures hold. */
  readonly madeMg: number;
  /** Why more than half as much again is taken than is needed; null where it is not. */
  readonly why: string | null;
};

/** How much a step's dose asks for on this client's face; null for a step without product or place. */
export function amountAsked(
  step: Pick<Step, 'placements' | 'use' | 'doseMgPerCm2' | 'passes' | 'tool'>,
  client: ClientSnapshot,
): AmountAsked | null {
  const [first, ...more] = step.use;
  const { areaCm2, takenMg } = needOf(step, client);
  if (!first || areaCm2 === 0) return null;
  const use =
    more.length === 0
      ? [{ ...first, parts: measuresToCover(first.product, takenMg) }]
      : inRounds(step.use, takenMg);
  const madeMg = use.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0);
  const why =
    madeMg <= MOST_TAKEN * takenMg || takenMg === 0
      ? null
      : more.length === 0
        ? msg`the smallest amount it can be taken in`
        : msg`the smallest amount that keeps the ratio`;
  return { areaCm2, takenMg, use, madeMg, why };
}

/** The mix in the fewest rounds of its ratio in lowest terms, every part in whole smallest shares. */
function inRounds(use: readonly Use[], takenMg: number): readonly Use[] {
  const shares = use.map((u) => u.parts / propertiesOf(u.product).smallestShare);
  const divisor = commonShare(shares);
  const perRound = use.reduce((sum, u, i) => sum + (shares[i]! / divisor) * smallestMg(u.product), 0);
  const rounds = roundsToCover(perRound, takenMg);
  return use.map((u, i) => ({
    ...u,
    parts: (shares[i]! / divisor) * rounds * propertiesOf(u.product).smallestShare,
  }));
}

/** What all of some shares are whole multiples of; the smallest of them where they are no whole numbers. */
function commonShare(shares: readonly number[]): number {
  const whole = shares.map(Math.round);
  if (shares.some((s, i) => Math.abs(s - whole[i]!) > 1e-6 || whole[i]! < 1)) return Math.min(...shares);
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  return whole.reduce(gcd);
}
