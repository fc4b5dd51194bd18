/** Grades of an attempt, from the least. */
export type Grade = 'again' | 'near' | 'good' | 'sure';

/** What a stroke is judged by. */
export type PartName = 'line' | 'start' | 'end' | 'farthest' | 'turn' | 'evenness' | 'softness' | 'patch';
export type Part = { readonly part: PartName; readonly score: number; readonly weight: number };

/** A finger is coarser than a pen: it may miss by a fifth more. */
export const COARSE = 1.2;

/** How much each part of a line counts, and how its half score stands to the line's. */
export const LINE_PARTS = {
  line: { weight: 0.4, half: 1 },
  start: { weight: 0.15, half: 2 },
  end: { weight: 0.15, half: 2 },
  farthest: { weight: 0.1, half: 2.5 },
  turn: { weight: 0.1, halfDegrees: 12 },
  evenness: { weight: 0.1, halfMm: 2 },
  softness: { weight: 0.05, halfFactor: 2 },
} as const;

/** 100 without a miss, 50 at the half: 100 x 2^-(miss / half)^2. */
export function scoreOfMiss(missMm: number, halfMm: number): number {
  return 100 * 2 ** -((missMm / halfMm) ** 2);
}

/**
 * The miss that is worth half: .42 of the guide's width, since the hollow lies about a width from the bone.
 */
export function halfMissMm(meanWidthMm: number): number {
  return Math.min(3.5, Math.max(0.8, 0.42 * meanWidthMm));
}

/** Borders of the grades; a limit broken by more than these mm caps the score. */
const GRADES = { sure: 90, good: 75, near: 55 } as const;
const FLOOR = 5;
const BREACHES = [
  { mm: 3, most: 54 },
  { mm: 0.3, most: 74 },
] as const;

export function gradeOf(score: number): Grade {
  return score >= GRADES.sure
    ? 'sure'
    : score >= GRADES.good
      ? 'good'
      : score >= GRADES.near
        ? 'near'
        : 'again';
}

/** Parts as one: their weighted geometric mean, so that one bad part is not outweighed by the others. */
export function joined(
  parts: readonly Part[],
  breachMm: number,
): { readonly score: number; readonly grade: Grade } {
  const weight = parts.reduce((sum, one) => sum + one.weight, 0);
  if (weight === 0) throw new RangeError('joined: there is nothing to judge');
  const log = parts.reduce((sum, one) => sum + one.weight * Math.log(Math.max(FLOOR, one.score)), 0) / weight;
  const most = BREACHES.find((one) => breachMm > one.mm)?.most ?? 100;
  const score = Math.min(most, Math.exp(log));
  return { score, grade: gradeOf(score) };
}
