import { chromaOf, hueOf, type Lab } from '../colour';
import type { Deviation, NextTime, Step } from '../look';

type ColourWish = Extract<NextTime, 'calmer' | 'bolder' | 'deeper' | 'lighter' | 'warmer' | 'cooler'>;

const chromaBy =
  (factor: number) =>
  ([L, a, b]: Lab): Lab => [L, a * factor, b * factor];
const lightBy =
  (by: number) =>
  ([L, a, b]: Lab): Lab => [L + by, a, b];
const hueBy =
  (degrees: number) =>
  (lab: Lab): Lab => {
    const hue = ((hueOf(lab) + degrees) * Math.PI) / 180;
    return [lab[0], chromaOf(lab) * Math.cos(hue), chromaOf(lab) * Math.sin(hue)];
  };

/** Where a chosen wish takes a colour. */
const TOWARDS: Readonly<Record<ColourWish, (lab: Lab) => Lab>> = {
  deeper: lightBy(-8),
  lighter: lightBy(8),
  calmer: chromaBy(0.72),
  bolder: chromaBy(1.25),
  warmer: hueBy(15),
  cooler: hueBy(-15),
};
/** What a chosen amount does to the dose. */
export const DOSE_BY = { more: 1.3, less: 0.75 } as const;

const isColourWish = (wish: NextTime): wish is ColourWish => wish in TOWARDS;
const COLOURED: readonly Step['role'][] = [
  'lip',
  'lip line',
  'blush',
  'bronze',
  'eye',
  'contour',
  'highlight',
  'base',
  'conceal',
  'powder',
  'brow',
  'liner',
];
/** A product that goes less than this share of the way is no answer. */
const LEAST_SHARE = 0.35;

export type Chosen = {
  readonly wish: NextTime;
  /** The sentence that was added: shown, never acted on. */ readonly sentence: string;
};

/** What a wish is about; of two about the same thing the later one counts. */
const subjectOf = (wish: NextTime): string =>
  isColourWish(wish) ? 'colour' : wish === 'more' || wish === 'less' ? 'amount' : wish;
/** About the step as a whole: takes back whatever was wished for before. */
const ofTheWhole = (wish: NextTime): boolean => wish === 'keep' || wish === 'leave out';

/**
 * What was chosen to be different next time, the last choice first; nothing is read out of any sentence. A
 * choice takes back an earlier one about the same thing, and one about the whole step all earlier ones; a
 * choice after that is a change of mind.
 */
export function chosenNextTime(deviations: readonly Deviation[]): Chosen[] {
  const chosen: Chosen[] = [];
  for (const { kind, nextTime: wish, note: sentence } of [...deviations].reverse()) {
    if (kind !== 'next time' || !wish) continue;
    if (ofTheWhole(wish)) return chosen.length === 0 ? [{ wish, sentence }] : chosen;
    if (!chosen.some((one) => subjectOf(one.wish) === subjectOf(wish))) chosen.push({ wish, sentence });
  }
  return chosen;
}

/** The colour a chosen wish asks for; null when it is about no colour, or there is none. */
export function wishedColour(
  step: Pick<Step, 'role'>,
  lab: Lab | null,
  chosen: readonly Chosen[],
): { readonly lab: Lab; readonly chosen: Chosen } | null {
  if (!lab || !COLOURED.includes(step.role)) return null;
  const asked = chosen.find(({ wish }) => isColourWish(wish));
  return asked && isColourWish(asked.wish) ? { lab: TOWARDS[asked.wish](lab), chosen: asked } : null;
}

const turn = (from: number, to: number): number => ((to - from + 540) % 360) - 180;

/** Whether another colour goes the way that was wished for, far enough to be worth it. */
export function goesTowards(was: Lab, wished: Lab, next: Lab): boolean {
  const share = (from: number, wanted: number, to: number): number => (to - from) / (wanted - from);
  if (Math.abs(wished[0] - was[0]) > 1) return share(was[0], wished[0], next[0]) >= LEAST_SHARE;
  if (Math.abs(chromaOf(wished) - chromaOf(was)) > 0.5)
    return share(chromaOf(was), chromaOf(wished), chromaOf(next)) >= LEAST_SHARE;
  const wanted = turn(hueOf(was), hueOf(wished));
  return wanted !== 0 && turn(hueOf(was), hueOf(next)) / wanted >= LEAST_SHARE;
}
