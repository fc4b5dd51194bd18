import { chromaOf, hueOf, shiftDepth, type Lab } from '../colour';
import type { Deviation, NextTime, Step } from '../look';

export type ColourWish = Extract<NextTime, 'calmer' | 'bolder' | 'deeper' | 'lighter' | 'warmer' | 'cooler'>;

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
const stepsBy =
  (steps: number) =>
  (lab: Lab): Lab =>
    shiftDepth(lab, steps);

/** The hues that are warmest and coolest, degrees: between them colours grow warmer by either way round. */
const WARM = 90;
const COOL = 240;
const TURN = 15;

/** Turned towards a pole, never past it: a green grows warmer towards yellow, a violet towards red. */
const turnedTo =
  (pole: number) =>
  (lab: Lab): Lab => {
    const away = turn(hueOf(lab), pole);
    const other = turn(hueOf(lab), pole === WARM ? COOL : WARM);
    // Not over the other pole: whichever way round does not meet it.
    const over = Math.sign(other) === Math.sign(away) && Math.abs(other) < Math.abs(away);
    const way = over ? -Math.sign(away) : Math.sign(away);
    return hueBy(way * Math.min(TURN, over ? TURN : Math.abs(away)))(lab);
  };

type Towards = Readonly<Record<ColourWish, (lab: Lab) => Lab>>;
/** Where a chosen wish takes a colour of a look: a lip, a blush, a shadow. */
const COLOUR: Towards = {
  deeper: lightBy(-8),
  lighter: lightBy(8),
  calmer: chromaBy(0.72),
  bolder: chromaBy(1.25),
  warmer: turnedTo(WARM),
  cooler: turnedTo(COOL),
};
/** What is to look like skin moves by a shade at most: more is a mask. */
const SKIN_TONE: Towards = {
  deeper: stepsBy(0.6),
  lighter: stepsBy(-0.6),
  calmer: chromaBy(0.85),
  bolder: chromaBy(1.15),
  warmer: hueBy(6),
  cooler: hueBy(-6),
};
/** Shadow and light are bolder the further they are from the skin, whatever their colour. */
const SHADOW: Towards = {
  ...SKIN_TONE,
  deeper: stepsBy(1),
  lighter: stepsBy(-1),
  calmer: stepsBy(-1),
  bolder: stepsBy(1),
};
/** Light may be lighter than any skin. */
const LIGHT: Towards = {
  ...SKIN_TONE,
  deeper: lightBy(-4),
  lighter: lightBy(4),
  calmer: lightBy(-4),
  bolder: lightBy(4),
};
const TOWARDS: Readonly<Partial<Record<Step['role'], Towards>>> = {
  base: SKIN_TONE,
  conceal: SKIN_TONE,
  powder: SKIN_TONE,
  contour: SHADOW,
  bronze: SHADOW,
  highlight: LIGHT,
  lip: COLOUR,
  'lip line': COLOUR,
  blush: COLOUR,
  eye: COLOUR,
  brow: COLOUR,
  liner: COLOUR,
};
/** What a chosen amount does to the dose. */
export const DOSE_BY = { more: 1.3, less: 0.75 } as const;

const isColourWish = (wish: NextTime): wish is ColourWish => wish in COLOUR;
/** A product that goes less than this share of the way is no answer. */
const LEAST_SHARE = 0.35;
/** Nor is one that goes further aside than so many times what it goes that way. */
const MOST_ASIDE = 1.25;

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

/** Where a wish takes a colour of a kind of layer; null for a kind that has none of its own. */
export const towards = (role: Step['role'], wish: ColourWish, lab: Lab): Lab | null =>
  TOWARDS[role]?.[wish](lab) ?? null;

/** The colour a chosen wish asks for, from what it is now; null when it is about none, or there is none. */
export function wishedColour(
  { role }: Pick<Step, 'role'>,
  lab: Lab | null,
  chosen: readonly Chosen[],
): { readonly lab: Lab; readonly chosen: Chosen } | null {
  const asked = chosen.find(({ wish }) => isColourWish(wish));
  if (!lab || !asked || !isColourWish(asked.wish)) return null;
  const to = towards(role, asked.wish, lab);
  return to ? { lab: to, chosen: asked } : null;
}

const turn = (from: number, to: number): number => ((to - from + 540) % 360) - 180;

/** Whether another colour goes the way that was wished, far enough to be worth it and not mostly aside. */
export function goesTowards(was: Lab, wished: Lab, next: Lab): boolean {
  const by = (to: Lab): Lab => [to[0] - was[0], to[1] - was[1], to[2] - was[2]];
  const [wanted, gone] = [by(wished), by(next)];
  const along = (wanted[0] * gone[0] + wanted[1] * gone[1] + wanted[2] * gone[2]) / Math.hypot(...wanted);
  const aside = Math.sqrt(Math.max(0, Math.hypot(...gone) ** 2 - along ** 2));
  return along >= LEAST_SHARE * Math.hypot(...wanted) && aside <= MOST_ASIDE * along;
}
