import { betaCdf, logBeta, median } from '../math';

/** One wear of one product in one zone that somebody looked at. */
export type Worn = {
  readonly productId: string;
  readonly failed: boolean;
  readonly daysAgo: number;
  /** Whether it was in the setting asked about: skin, climate, hours. */ readonly matches: boolean;
  readonly weight?: number;
};

const HALF_LIFE_DAYS = 540;
const LEANS = 3;

/** What a wear still counts after so many days. */
export function faded(daysAgo: number, halfLifeDays = HALF_LIFE_DAYS): number {
  return 2 ** (-daysAgo / halfLifeDays);
}

export type FailureRate = {
  readonly a: number;
  readonly b: number;
  readonly mean: number;
  /** Looked-at wears in the setting, unfaded: for words. */ readonly failed: number;
  readonly worn: number;
};

/**
 * How often a product fails in a setting, as Beta(a, b): it leans by three wears on itself elsewhere, which
 * leans by three on other products of its kind.
 */
export function failureRate(
  productId: string,
  worn: readonly Worn[],
  { strength = LEANS, halfLifeDays = HALF_LIFE_DAYS } = {},
): FailureRate {
  const weightOf = (one: Worn): number => (one.weight ?? 1) * faded(one.daysAgo, halfLifeDays);
  const sums = (rows: readonly Worn[]): { k: number; n: number } => ({
    k: rows.reduce((sum, one) => sum + (one.failed ? weightOf(one) : 0), 0),
    n: rows.reduce((sum, one) => sum + weightOf(one), 0),
  });
  const others = sums(worn.filter((one) => one.productId !== productId));
  const kind = (others.k + 1) / (others.n + 4);
  const mine = worn.filter((one) => one.productId === productId);
  const elsewhere = sums(mine.filter((one) => !one.matches));
  const usual = (elsewhere.k + strength * kind) / (elsewhere.n + strength);
  const rows = mine.filter((one) => one.matches);
  const here = sums(rows);
  const a = here.k + strength * usual;
  const b = here.n - here.k + strength * (1 - usual);
  return { a, b, mean: a / (a + b), failed: rows.filter((one) => one.failed).length, worn: rows.length };
}

/** P(X > Y) for X ~ Beta(a1, b1), Y ~ Beta(a2, b2): midpoints of 2,000 steps in x = sin^2. */
export function chanceGreater(a1: number, b1: number, a2: number, b2: number): number {
  const steps = 2000;
  const front = -logBeta(a1, b1);
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const angle = ((i + 0.5) / steps) * (Math.PI / 2);
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    const x = sin * sin;
    const density = Math.exp(front + (a1 - 1) * Math.log(x) + (b1 - 1) * Math.log(cos * cos));
    sum += density * betaCdf(x, a2, b2) * 2 * sin * cos * (Math.PI / 2 / steps);
  }
  return sum;
}

export type Strength = 'none' | 'hint' | 'strong';
/** So much less often another has to fail before it is offered. */
export const LEAST_GAIN = 0.2;
const SHOWS = { worn: 3, chance: 0.8, gain: LEAST_GAIN, strong: 0.95, stays: 0.65 } as const;

/** Whether to propose another product: the chance that it fails less, and by how much. */
export function changeWorth(
  now: FailureRate,
  other: FailureRate,
  shownBefore: boolean,
): { readonly strength: Strength; readonly chance: number; readonly gain: number } {
  const chance = chanceGreater(now.a, now.b, other.a, other.b);
  const gain = now.mean - other.mean;
  // Once shown it stays a while, so that it does not come and go.
  const shows =
    now.worn >= SHOWS.worn && gain >= SHOWS.gain && chance >= (shownBefore ? SHOWS.stays : SHOWS.chance);
  return { strength: !shows ? 'none' : chance >= SHOWS.strong ? 'strong' : 'hint', chance, gain };
}

export type Refused = {
  readonly failedThen: number;
  readonly wornThen: number;
  readonly strengthThen: Strength;
  readonly times: number;
  readonly forGood: boolean;
};

/**
 * Whether a refused proposal may speak again: after twice the news each time, and not more weakly than then.
 */
export function speaksAgain(
  now: { readonly failed: number; readonly worn: number },
  strength: Strength,
  refused: Refused | null,
): boolean {
  if (strength === 'none') return false;
  if (!refused) return true;
  if (refused.forGood) return false;
  const rank: Record<Strength, number> = { none: 0, hint: 1, strong: 2 };
  return (
    now.failed - refused.failedThen >= 2 ** refused.times && rank[strength] >= rank[refused.strengthThen]
  );
}

/**
 * An amount used otherwise than planned often enough to become the plan: of the last five, three the same
 * way.
 */
export function amountProposal(
  planned: number,
  usedNewestFirst: readonly number[],
  step = 0.25,
): { readonly amount: number; readonly agreeing: number; readonly of: number } | null {
  const last = usedNewestFirst.slice(0, 5);
  const more = last.filter((used) => used > planned);
  const less = last.filter((used) => used < planned);
  const [agreeing, against] = more.length >= less.length ? [more, less] : [less, more];
  if (agreeing.length < 3 || agreeing.length < 0.6 * last.length || against.length > 1) return null;
  return { amount: Math.round(median(agreeing) / step) * step, agreeing: agreeing.length, of: last.length };
}
