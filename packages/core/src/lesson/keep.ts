import { isAtEyesOrLips } from '../face';
import { isWet } from '../kit';
import { primesSkin, setsSkin, type Step } from '../look';
import { msg } from '../messages';
import { isUnderEye } from '../shade';

/**
 * So many times the studio's minutes a step takes at home: one layer where the studio lays two and takes it
 * down the neck, a lip that is not lined, blotted and laid again, but a hand that is slower wherever a line
 * or an edge is drawn. Trade sense.
 */
const AT_HOME: Readonly<Record<Step['role'], number>> = {
  care: 0.8,
  base: 0.65,
  lip: 0.65,
  conceal: 0.75,
  correct: 0.9,
  brow: 0.9,
  powder: 1,
  blush: 1,
  bronze: 1,
  highlight: 1,
  lash: 1,
  eye: 1.1,
  contour: 1.2,
  'lip line': 1.3,
  adornment: 1.3,
  liner: 1.5,
};
/**
 * What the first step of each kind is worth to a face at home: trade sense. A face is skin, brows, lashes,
 * cheeks and lips before any of them is done twice.
 */
const WORTH: Readonly<Record<Step['role'], number>> = {
  base: 20,
  conceal: 18,
  lip: 18,
  brow: 16,
  blush: 16,
  lash: 16,
  powder: 10,
  eye: 8,
  correct: 8,
  liner: 6,
  bronze: 5,
  contour: 4,
  highlight: 4,
  care: 3,
  'lip line': 3,
  adornment: 0,
};
/** A second step of a kind is worth half the first, a third a third. */
function worthOf(steps: readonly Step[]): Map<Step, number> {
  const before = new Map<Step['role'], number>();
  return new Map(
    steps.map((step) => {
      const nth = (before.get(step.role) ?? 0) + 1;
      before.set(step.role, nth);
      return [step, WORTH[step.role] / nth];
    }),
  );
}

/** Minutes a step takes an unpractised hand, by halves. */
export const minutesAtHome = ({ role, handsOnMinutes }: Pick<Step, 'role' | 'handsOnMinutes'>): number =>
  Math.max(0.5, Math.round(2 * AT_HOME[role] * handsOnMinutes) / 2);

/** What some steps are for others: each a bit of a state. */
const COVER = 1;
const SETTING = 2;
const LIP = 4;
type Bits = number;

/** What a step gives the others. */
function gives(step: Step): Bits {
  if (step.role === 'lip') return LIP;
  if (setsSkin(step)) return SETTING;
  const covers =
    (step.role === 'base' && step.use.length > 0) ||
    (step.role === 'conceal' && step.use.some(({ product }) => isWet(product)));
  // What evens a lid covers no skin that powder would set.
  return covers && !isAtEyesOrLips(step) ? COVER : 0;
}

/**
 * What a step looks wrong without, of what the plan has at all: a corrector is seen where nothing covers it,
 * powder sets nothing on bare skin and a primer holds nothing there, cream under the eye creases unset, a lip
 * line is a rim.
 */
function needs(step: Step, inPlan: Bits): Bits {
  if (step.role === 'correct' && !isAtEyesOrLips(step)) return COVER;
  if (step.role === 'lip line') return LIP;
  if (setsSkin(step) || primesSkin(step)) return COVER & inPlan;
  const creases =
    step.role === 'conceal' && isUnderEye(step) && step.use.some(({ product }) => isWet(product));
  return creases ? SETTING & inPlan : 0;
}

const given = (steps: readonly Step[]): Bits => steps.reduce((all, step) => all | gives(step), 0);

/** What was kept of a plan and looks wrong without what was not, each a sentence. */
export function standAlone(plan: readonly Step[], kept: readonly Step[]): string[] {
  const [inPlan, here] = [given(plan), given(kept)];
  return kept.flatMap((step) => {
    const missing = needs(step, inPlan) & ~here;
    return [
      ...(missing & COVER ? [msg`${step.title} has nothing to go with: no base, no concealer.`] : []),
      ...(missing & SETTING ? [msg`${step.title} creases where no powder sets it.`] : []),
      ...(missing & LIP ? [msg`${step.title} is a rim where no lip colour fills it.`] : []),
    ];
  });
}

type Best = { readonly worth: number; readonly kept: readonly Step[] };

/**
 * The steps worth the most within the minutes, waits left aside, none without what it needs: exact, by half
 * minutes and by what is given and still needed. Always at least one, where one can stand by itself.
 */
export function worthMost(steps: readonly Step[], minutes: number): Step[] {
  const inPlan = given(steps);
  const worths = worthOf(steps);
  const halves = Math.max(0, Math.floor(2 * minutes));
  // For each room, the best set for each pair of what is given (low bits) and what is needed (high bits).
  const empty = (): Map<number, Best> => new Map([[0, { worth: 0, kept: [] }]]);
  let best = Array.from({ length: halves + 1 }, empty);
  for (const step of steps) {
    const takes = Math.round(2 * minutesAtHome(step));
    const adds = gives(step) | (needs(step, inPlan) << 3);
    best = best.map((without, room) => {
      const before = room >= takes ? best[room - takes]! : null;
      if (!before) return without;
      const all = new Map(without);
      for (const [state, { worth, kept }] of before) {
        const [to, worthNow] = [state | adds, worth + worths.get(step)!];
        if (worthNow > (all.get(to)?.worth ?? -1)) all.set(to, { worth: worthNow, kept: [...kept, step] });
      }
      return all;
    });
  }
  const whole = [...best.at(-1)!].flatMap(([state, one]) => ((state >> 3) & ~state ? [] : [one]));
  const { kept } = whole.reduce((most, one) => (one.worth > most.worth ? one : most));
  if (kept.length > 0) return [...kept];
  const alone = steps.filter((step) => standAlone(steps, [step]).length === 0);
  const density = (step: Step): number => worths.get(step)! / minutesAtHome(step);
  const [first] = [...alone].sort((a, b) => density(b) - density(a));
  return first ? [first] : [];
}
