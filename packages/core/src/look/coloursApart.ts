import { deltaE2000, depthOf, type Lab } from '../colour';
import { msg } from '../messages';
import { NEED_OF } from '../shade';
import type { LookStep, Step } from './document';
import { colourOfUse, type Proposal } from './propose';
import { stepsOfVariant } from './variants';

/** From so many steps between two colours of an eye, or of the lips, a look means them to be told apart. */
const MEANT_FROM = 1.5;
/**
 * So many steps of depth do it, or nearly the same depth and so much of another colour, CIEDE2000. What
 * shimmers beside what does not reads lighter than its pan, by this much.
 */
const TOLD_APART = { steps: 0.7, sameDepth: -0.5, shimmering: -1.5, deltaE: 6 } as const;
/** What another finish than was asked costs more, where what was best had it: the look is told by it too. */
const OTHER_FINISH = 4;
/**
 * What is so much dearer than a step's best is another look: rather alike, and said. Of the best's own
 * colour, only lighter or deeper, it may be dearer: two tones of it are nearer to what was meant than one.
 */
const MOST_DEARER = { otherColour: 8, sameColour: 20 } as const;
/** Colours that differ by no more once they are equally light are one, lighter or deeper: CIEDE2000. */
const SAME_COLOUR = 9;

type Asked = Pick<LookStep, 'id' | 'role' | 'shade' | 'variant' | 'instead' | 'placements' | 'wants'>;

/** Two steps of which a look has one deeper than the other. */
export type ApartPair<T> = { readonly lighter: T; readonly deeper: T };

/** Whether a step is a colour of the lips; a pencil alone holds one and is none. */
export const isLipColour = ({ role, wants }: Pick<Asked, 'role' | 'wants'>): boolean =>
  role === 'lip' && wants.kinds.includes('lip colour');

/** Whether a step's colour is told apart from others of its place. */
export const isToldApart = (step: Pick<Asked, 'role' | 'wants'>): boolean =>
  step.role === 'eye' || isLipColour(step);

/**
 * The colours a look means to be told apart by depth: of an eye the lid and the deeper shadow in its socket,
 * a dark lid and what it fades into; of the lips one and the deeper one it is changed for. They are seen
 * together in the plan or a variant, or one stands at the place of the other; what lies on one side each is
 * neither.
 */
export function pairsMeantApart<T extends Asked>(steps: readonly T[]): ApartPair<T>[] {
  const coloured = steps.filter((step) => isToldApart(step) && meantDepth(step) !== null);
  return coloured.flatMap((one, i) =>
    coloured.slice(i + 1).flatMap((other): ApartPair<T>[] => {
      const [a, b] = [meantDepth(one)!, meantDepth(other)!];
      if (one.role !== other.role || !onOneSide(one, other)) return [];
      if (!seenTogether(one, other, steps) && !atOnePlace(one, other)) return [];
      if (a.of !== b.of || Math.abs(a.steps - b.steps) < MEANT_FROM) return [];
      return [a.steps < b.steps ? { lighter: one, deeper: other } : { lighter: other, deeper: one }];
    }),
  );
}

/** Whether both are worked in the plan or in some variant. */
function seenTogether<T extends Asked>(one: T, other: T, steps: readonly T[]): boolean {
  const variant = one.variant ?? other.variant ?? null;
  const worked = stepsOfVariant(steps, variant);
  return worked.includes(one) && worked.includes(other);
}

/** Whether one of another variant lies where the other does: it is changed for it, to be another. */
const atOnePlace = (one: Asked, other: Asked): boolean =>
  one.variant !== other.variant &&
  (one.role === 'lip' ||
    one.placements.some(
      (a) => 'guide' in a && other.placements.some((b) => 'guide' in b && a.guide === b.guide),
    ));

/** Steps by which the one of a pair is meant deeper. */
export const meantBy = ({ lighter, deeper }: ApartPair<Asked>): number =>
  meantDepth(deeper)!.steps - meantDepth(lighter)!.steps;

/** Whether there is a side that both lie on; what has no place yet may lie on either. */
function onOneSide({ placements: one }: Asked, { placements: other }: Asked): boolean {
  const isOn = (list: Asked['placements'], side: 'left' | 'right'): boolean =>
    list.length === 0 || list.some((place) => place.side === 'both' || place.side === side);
  return (['left', 'right'] as const).some((side) => isOn(one, side) && isOn(other, side));
}

/** How deep a step is meant, of itself or beside the skin; null where it asks for no colour. */
function meantDepth({ shade }: Asked): { readonly of: 'itself' | 'skin'; readonly steps: number } | null {
  if (shade === null) return null;
  return 'lab' in shade
    ? { of: 'itself', steps: depthOf(shade.lab) }
    : { of: 'skin', steps: shade.relative.depthSteps };
}

/** A colour as it is worn. */
export type WornColour = { readonly lab: Lab; readonly shimmers: boolean };

/** The colour of what a step is done with; null for what has none. */
export function wornColourOf(use: Step['use'] | Proposal['use']): WornColour | null {
  const lab = colourOfUse(use);
  return lab && { lab, shimmers: use.some(({ product }) => product.finish === 'shimmer') };
}

/** Whether what is meant deeper is seen to be, or is at least seen to be another colour. */
export function toldApart(lighter: WornColour, deeper: WornColour): boolean {
  const by = depthOf(deeper.lab) - depthOf(lighter.lab);
  if (by >= TOLD_APART.steps) return true;
  if (lighter.shimmers && !deeper.shimmers) return by >= TOLD_APART.shimmering;
  return by >= TOLD_APART.sameDepth && deltaE2000(lighter.lab, deeper.lab) >= TOLD_APART.deltaE;
}

/** Whether two steps that are meant apart come out alike by what they are done with. */
export function comeOutAlike({ lighter, deeper }: ApartPair<Pick<Step, 'use'>>): boolean {
  const [light, deep] = [lighter, deeper].map(({ use }) => wornColourOf(use));
  return !!light && !!deep && !toldApart(light, deep);
}

/** Such a pair told in words, without a full stop: alike, or the wrong way round. */
export function alikeInWords({ lighter, deeper }: ApartPair<Pick<Step, 'use' | 'title'>>): string {
  const [light, deep] = [lighter, deeper].map(({ use }) => wornColourOf(use));
  const lighterBy = light && deep ? depthOf(light.lab) - depthOf(deep.lab) : 0;
  const [one, other] = [deeper.title, lighter.title.toLowerCase()];
  return lighterBy >= -TOLD_APART.sameDepth
    ? msg`${one} is meant deeper than ${other} and is ${lighterBy.toFixed(1)} steps lighter`
    : msg`${one} is meant deeper than ${other} and comes out alike`;
}

type Choice = Pick<Proposal, 'use' | 'cost' | 'costs'>;
type Priced = Pick<Choice, 'use' | 'cost' | 'costs'>;
const missesFinish = ({ costs }: Choice): boolean => costs.some(({ part }) => part === 'finish');

/** From so much on what is missed is what this face or day should not have: it weighs more than two tones. */
const ILL_SUITED = 8;
const isIllSuited = ({ costs }: Priced): boolean =>
  costs.some(({ part, units }) => NEED_OF.some((of) => of === part) && units >= ILL_SUITED);

/** Whether one choice for a step may stand for its best where that would come out like another colour. */
export function nearEnough(best: Priced, other: Priced): boolean {
  if (isIllSuited(other) && !isIllSuited(best)) return false;
  const dearer = other.cost - best.cost;
  if (dearer <= MOST_DEARER.otherColour) return true;
  const [meant, taken] = [wornColourOf(best.use), wornColourOf(other.use)];
  return (
    dearer <= MOST_DEARER.sameColour &&
    !!meant &&
    !!taken &&
    deltaE2000(meant.lab, [meant.lab[0], taken.lab[1], taken.lab[2]]) <= SAME_COLOUR
  );
}

/**
 * Of what each step may take, best first, the ones that keep colours apart as their look means them for the
 * least further cost: indices by step. What cannot be kept apart stays as it was. Pair by pair until nothing
 * gets better, so that it ends also for many steps.
 */
export function chosenApart<T extends Asked>(
  steps: readonly T[],
  choices: (step: T) => readonly Choice[],
): ReadonlyMap<string, number> {
  const pairs = pairsMeantApart(steps.filter((step) => choices(step).length > 0));
  const of = new Map(
    pairs
      .flatMap(({ lighter, deeper }) => [lighter, deeper])
      .map((s) => {
        const [first, ...rest] = choices(s);
        const dearer = (choice: Choice): number =>
          missesFinish(choice) && !missesFinish(first!) ? OTHER_FINISH : 0;
        const all = [first!, ...rest].map((one) => ({
          worn: wornColourOf(one.use),
          cost: one.cost + dearer(one),
          isNear: nearEnough(first!, one),
        }));
        return [s.id, all];
      }),
  );
  const taken = new Map([...of.keys()].map((id) => [id, 0]));
  const at = (id: string, index: number) => of.get(id)![index]!;
  const isApart = ({ lighter, deeper }: ApartPair<T>, chosen: ReadonlyMap<string, number>): boolean => {
    const [a, b] = [lighter, deeper].map(({ id }) => at(id, chosen.get(id)!).worn);
    return !a || !b || toldApart(a, b);
  };
  const worth = (chosen: ReadonlyMap<string, number>): readonly [alike: number, cost: number] => [
    pairs.filter((pair) => !isApart(pair, chosen)).length,
    [...chosen].reduce((sum, [id, index]) => sum + at(id, index).cost, 0),
  ];
  for (let better = true; better;) {
    better = false;
    for (const pair of pairs) {
      if (isApart(pair, taken)) continue;
      const [one, other] = [pair.lighter.id, pair.deeper.id];
      const now = worth(taken);
      const near = (id: string): readonly number[] =>
        of.get(id)!.flatMap(({ isNear }, index) => (isNear ? [index] : []));
      const [next] = near(one)
        .flatMap((i) => near(other).map((j) => new Map(taken).set(one, i).set(other, j)))
        .map((chosen) => ({ chosen, is: worth(chosen) }))
        .filter(({ is }) => is[0] < now[0])
        .sort((a, b) => a.is[0] - b.is[0] || a.is[1] - b.is[1]);
      if (!next) continue;
      better = true;
      for (const [id, index] of next.chosen) taken.set(id, index);
    }
  }
  return taken;
}
