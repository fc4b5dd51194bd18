/**
 * An order by a value, light to dark or cool to warm: 100 less the share of what stands the wrong way round,
 * each pair by how much it differs above what looks the same. `worst` is the pair that is most wrong.
 */
export function scoreOrder(
  given: readonly string[],
  values: Readonly<Record<string, number>>,
  same: number,
): { readonly score: number; readonly worst: readonly [string, string] | null } {
  let all = 0;
  let wrong = 0;
  let most = 0;
  let worst: readonly [string, string] | null = null;
  given.forEach((first, i) => {
    for (const then of given.slice(i + 1)) {
      const by = Math.max(0, Math.abs(valueOf(values, first) - valueOf(values, then)) - same);
      all += by;
      if (by === 0 || valueOf(values, first) < valueOf(values, then)) continue;
      wrong += by;
      if (by <= most) continue;
      most = by;
      worst = [first, then];
    }
  });
  return { score: all === 0 ? 100 : 100 * (1 - wrong / all), worst };
}

function valueOf(values: Readonly<Record<string, number>>, id: string): number {
  const value = values[id];
  if (value === undefined) throw new RangeError(`scoreOrder: ${id} has no value`);
  return value;
}

export type StepLink = { readonly before: string; readonly after: string; readonly weight: number };

/** An order of steps by the links it keeps: 100 less the weight of those it breaks. */
export function scoreSteps(
  given: readonly string[],
  links: readonly StepLink[],
): {
  readonly score: number;
  readonly broken: readonly { readonly before: string; readonly after: string }[];
} {
  const asked = links.filter((link) => given.includes(link.before) && given.includes(link.after));
  const broken = asked.filter((link) => given.indexOf(link.before) > given.indexOf(link.after));
  const sum = (list: readonly StepLink[]): number => list.reduce((all, one) => all + one.weight, 0);
  const all = sum(asked);
  return {
    score: all === 0 ? 100 : 100 * (1 - sum(broken) / all),
    broken: broken.map(({ before, after }) => ({ before, after })),
  };
}

/**
 * A choice by how much more it is off than the best: within `same` it is as good, `half` more is worth 50.
 */
export function scoreRegret(chosen: number, best: number, same = 0.3, half = 2): number {
  return 100 * 2 ** -((Math.max(0, chosen - best - same) / half) ** 2);
}

type Span = readonly [from: number, to: number];

/** Two spans along a line: what they share of what they cover together. */
export function spanOverlap(drawn: Span, wanted: Span): number {
  const shared = Math.max(0, Math.min(drawn[1], wanted[1]) - Math.max(drawn[0], wanted[0]));
  const together = drawn[1] - drawn[0] + (wanted[1] - wanted[0]) - shared;
  return together > 0 ? shared / together : 1;
}

/** Picks against the right ones: their harmonic mean of hits of picked and hits of right, of 100. */
export function scorePicks(picked: readonly string[], right: readonly string[]): number {
  if (picked.length + right.length === 0) return 100;
  const hits = picked.filter((one) => right.includes(one)).length;
  return (100 * 2 * hits) / (picked.length + right.length);
}
