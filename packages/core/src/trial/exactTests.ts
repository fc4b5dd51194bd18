/** An exact two-sided chance, and the least that so many trials could reach. */
export type Exact = { readonly p: number; readonly leastP: number };

/** Differences are held as whole ten-thousandths, so that sums are compared exactly. */
const UNITS = 10_000;
const whole = (value: number): number => Math.round(value * UNITS);
const SAME = 1e-9;

/**
 * The sign test: how often so many of one sign come by fair coins. Differences within the margin are ties.
 */
export function signTest(
  differences: readonly number[],
  margin = 0,
): Exact & { readonly wins: number; readonly losses: number; readonly ties: number } {
  const wins = differences.filter((d) => d > margin + SAME).length;
  const losses = differences.filter((d) => d < -margin - SAME).length;
  const n = wins + losses;
  let tail = 0;
  for (let j = Math.max(wins, losses); j <= n; j++) tail += choose(n, j);
  const p = Math.min(1, (2 * tail) / 2 ** n);
  return { wins, losses, ties: differences.length - n, p, leastP: leastOf(n) };
}

/**
 * The sign-flip test: the share of the 2^n patterns of signs whose sum is as far from none (Fisher, 1935).
 */
export function signFlipTest(differences: readonly number[]): Exact {
  const sizes = differences.map((d) => whole(Math.abs(d))).filter((d) => d !== 0);
  const observed = Math.abs(differences.reduce((sum, d) => sum + whole(d), 0));
  let sums = new Map<number, number>([[0, 1]]);
  for (const size of sizes) {
    const next = new Map<number, number>();
    for (const [sum, share] of sums)
      for (const flipped of [sum + size, sum - size]) next.set(flipped, (next.get(flipped) ?? 0) + share / 2);
    sums = next;
  }
  return { p: shareBeyond(sums, observed), leastP: leastOf(sizes.length) };
}

/**
 * Wilcoxon's signed ranks, exact with ties by mid-ranks. `pratt`: zeros are ranked, then left out (Pratt,
 * 1959); `dropped`: left out before ranking.
 */
export function signedRankTest(
  differences: readonly number[],
  zeros: 'pratt' | 'dropped',
): Exact & { readonly positiveRanks: number } {
  const kept = zeros === 'dropped' ? differences.filter((d) => Math.abs(d) > SAME) : [...differences];
  const sorted = kept.map((d) => ({ d, size: Math.abs(d) })).sort((a, b) => a.size - b.size);
  const ranked: { d: number; twice: number }[] = [];
  for (let i = 0; i < sorted.length;) {
    let end = i;
    while (end < sorted.length && sorted[end]!.size - sorted[i]!.size < SAME) end++;
    // Mid-ranks doubled stay whole: ranks i + 1 to end.
    for (let k = i; k < end; k++) ranked.push({ d: sorted[k]!.d, twice: i + 1 + end });
    i = end;
  }
  const counted = ranked.filter(({ d }) => Math.abs(d) > SAME);
  const positive = counted.reduce((sum, { d, twice }) => sum + (d > 0 ? twice : 0), 0);
  const total = counted.reduce((sum, { twice }) => sum + twice, 0);
  let sums = new Map<number, number>([[0, 1]]);
  for (const { twice } of counted) {
    const next = new Map<number, number>();
    for (const [sum, share] of sums)
      for (const now of [sum, sum + twice]) next.set(now, (next.get(now) ?? 0) + share / 2);
    sums = next;
  }
  const far = Math.max(positive, total - positive);
  let tail = 0;
  for (const [sum, share] of sums) if (sum >= far) tail += share;
  return { p: Math.min(1, 2 * tail), leastP: leastOf(counted.length), positiveRanks: positive / 2 };
}

/**
 * The middle of the differences (median of Walsh averages, Hodges and Lehmann, 1963) with its exact interval
 * at no less than a level; no interval where so few cannot give one.
 */
export function middleDifference(
  differences: readonly number[],
  level: number,
): {
  readonly middle: number;
  readonly low: number | null;
  readonly high: number | null;
  readonly level: number;
} {
  if (differences.length === 0) return { middle: NaN, low: null, high: null, level: 0 };
  const walsh: number[] = [];
  differences.forEach((a, i) => differences.slice(i).forEach((b) => walsh.push((a + b) / 2)));
  walsh.sort((a, b) => a - b);
  const m = walsh.length;
  const middle = (walsh[Math.floor((m - 1) / 2)]! + walsh[Math.floor(m / 2)]!) / 2;
  const n = differences.length;
  let counts = [1];
  for (let rank = 1; rank <= n; rank++) {
    const next = new Array<number>(counts.length + rank).fill(0);
    counts.forEach((count, sum) => {
      next[sum]! += count;
      next[sum + rank]! += count;
    });
    counts = next;
  }
  let tail = 0;
  let k = 0;
  let reached = 0;
  while (k < counts.length) {
    tail += counts[k]! / 2 ** n;
    if (2 * tail > 1 - level + SAME) break;
    reached = 1 - 2 * tail;
    k++;
  }
  if (k === 0) return { middle, low: null, high: null, level: 0 };
  return { middle, low: walsh[k - 1]!, high: walsh[m - k]!, level: reached };
}

function leastOf(n: number): number {
  return Math.min(1, 2 / 2 ** n);
}

function choose(n: number, k: number): number {
  let result = 1;
  for (let i = 1; i <= k; i++) result = (result * (n - k + i)) / i;
  return result;
}

function shareBeyond(sums: ReadonlyMap<number, number>, observed: number): number {
  let share = 0;
  for (const [sum, part] of sums) if (Math.abs(sum) >= observed) share += part;
  return Math.min(1, share);
}

export { whole as inUnits, UNITS };
