import { betaCdf, betaQuantile, logBeta, quantileOf } from '../math';

/** On how many of the next such clients A does better, with its interval. */
export type Share = {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  readonly aboveHalf: number;
};
export type Counted = { readonly better: number; readonly ties: number; readonly trials: number };

/** The share from one group's counts: Beta(1 + k + ties/2, 1 + n - k - ties/2). */
export function shareOf(better: number, ties: number, trials: number, level = 0.8): Share {
  const a = 1 + better + ties / 2;
  const b = 1 + trials - better - ties / 2;
  return {
    mean: a / (a + b),
    low: betaQuantile((1 - level) / 2, a, b),
    high: betaQuantile((1 + level) / 2, a, b),
    aboveHalf: 1 - betaCdf(0.5, a, b),
  };
}

const MEANS = [1, 3, 5, 7, 9, 11, 13, 15].map((n) => n / 16);
const STRENGTHS = [2, 4, 8, 16, 32];

/**
 * Shares by group, each leaning on the whole: group shares are Beta(mu nu, (1 - mu) nu), every mu and nu of a
 * grid equally likely before; the posterior is a mixture of Betas.
 */
export function shrunkShares(groups: readonly Counted[], level = 0.8): Share[] {
  const counts = groups.map(({ better, ties, trials }) => ({
    w: better + ties / 2,
    l: trials - better - ties / 2,
  }));
  const priors = MEANS.flatMap((mu) => STRENGTHS.map((nu) => ({ a: mu * nu, b: (1 - mu) * nu })));
  const logs = priors.map(({ a, b }) =>
    counts.reduce((sum, { w, l }) => sum + logBeta(a + w, b + l) - logBeta(a, b), 0),
  );
  const top = Math.max(...logs);
  const raw = logs.map((log) => Math.exp(log - top));
  const total = raw.reduce((sum, one) => sum + one, 0);
  const weights = raw.map((one) => one / total);
  return counts.map(({ w, l }) => {
    const mixed = (f: (a: number, b: number) => number): number =>
      priors.reduce((sum, { a, b }, i) => sum + weights[i]! * f(a + w, b + l), 0);
    const cdf = (x: number): number => mixed((a, b) => betaCdf(x, a, b));
    return {
      mean: mixed((a, b) => a / (a + b)),
      low: quantileOf(cdf, (1 - level) / 2),
      high: quantileOf(cdf, (1 + level) / 2),
      aboveHalf: 1 - cdf(0.5),
    };
  });
}
