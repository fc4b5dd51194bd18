import { deltaE2000, depthOf, type Lab } from '../colour';
import type { LookStep, Step } from './document';
import { colourOfUse, type Proposal } from './propose';

/** From so many steps between two colours of an eye on a look means them to be told apart. */
const MEANT_FROM = 1.5;
/**
 * So many steps of depth do it, or nearly the same depth and so much of another colour, CIEDE2000. What
 * shimmers beside what does not reads lighter than its pan, by this much.
 */
const TOLD_APART = { steps: 0.7, sameDepth: -0.5, shimmering: -1.5, deltaE: 6 } as const;
/** What another finish than was asked costs more, where what was best had it: the look is told by it too. */
const OTHER_FINISH = 4;

type Asked = Pick<LookStep, 'role' | 'shade' | 'variant' | 'placements'>;

/** Two steps of which a look has one deeper than the other. */
export type EyePair<T> = { readonly lighter: T; readonly deeper: T };

/**
 * The colours of an eye that a look means to be told apart by depth: the lid and the deeper shadow in its
 * socket, a dark lid and what it fades into. Steps of different variants, or of one eye each, are never seen
 * together.
 */
export function eyePairs<T extends Asked>(steps: readonly T[]): EyePair<T>[] {
  const eyes = steps.filter((step) => step.role === 'eye' && meantDepth(step) !== null);
  return eyes.flatMap((one, i) =>
    eyes.slice(i + 1).flatMap((other): EyePair<T>[] => {
      const [a, b] = [meantDepth(one)!, meantDepth(other)!];
      const together =
        one.variant === undefined || other.variant === undefined || one.variant === other.variant;
      if (!together || !onOneEye(one, other) || a.of !== b.of || Math.abs(a.steps - b.steps) < MEANT_FROM)
        return [];
      return [a.steps < b.steps ? { lighter: one, deeper: other } : { lighter: other, deeper: one }];
    }),
  );
}

/** Whether there is an eye that both lie on; what has no place yet may lie on either. */
function onOneEye({ placements: one }: Asked, { placements: other }: Asked): boolean {
  const isOn = (list: Asked['placements'], eye: 'left' | 'right'): boolean =>
    list.length === 0 || list.some(({ side }) => side === 'both' || side === eye);
  return (['left', 'right'] as const).some((eye) => isOn(one, eye) && isOn(other, eye));
}

/** How deep a step is meant, of itself or beside the skin; null where it asks for no colour. */
function meantDepth({ shade }: Asked): { readonly of: 'itself' | 'skin'; readonly steps: number } | null {
  if (shade === null) return null;
  return 'lab' in shade
    ? { of: 'itself', steps: depthOf(shade.lab) }
    : { of: 'skin', steps: shade.relative.depthSteps };
}

/** A colour as an eye wears it. */
export type EyeColour = { readonly lab: Lab; readonly shimmers: boolean };

/** The colour of what a step is done with; null for what has none. */
export function eyeColourOf(use: Step['use'] | Proposal['use']): EyeColour | null {
  const lab = colourOfUse(use);
  return lab && { lab, shimmers: use.some(({ product }) => product.finish === 'shimmer') };
}

/** Whether what is meant deeper is seen to be, or is at least seen to be another colour. */
export function toldApart(lighter: EyeColour, deeper: EyeColour): boolean {
  const by = depthOf(deeper.lab) - depthOf(lighter.lab);
  if (by >= TOLD_APART.steps) return true;
  if (lighter.shimmers && !deeper.shimmers) return by >= TOLD_APART.shimmering;
  return by >= TOLD_APART.sameDepth && deltaE2000(lighter.lab, deeper.lab) >= TOLD_APART.deltaE;
}

/** Whether two steps that are meant apart come out alike by what they are done with. */
export function comeOutAlike({ lighter, deeper }: EyePair<Pick<Step, 'use'>>): boolean {
  const [light, deep] = [lighter, deeper].map(({ use }) => eyeColourOf(use));
  return !!light && !!deep && !toldApart(light, deep);
}

type Choice = Pick<Proposal, 'use' | 'cost' | 'costs'>;
const missesFinish = ({ costs }: Choice): boolean => costs.some(({ part }) => part === 'finish');

/**
 * Of what each step may take, best first, the ones that keep an eye's colours apart as its look means them
 * for the least further cost: indices by step. What cannot be kept apart stays as it was. Pair by pair until
 * nothing gets better, so that it ends also for many steps.
 */
export function chosenApart<T extends Asked & { readonly id: string }>(
  steps: readonly T[],
  choices: (step: T) => readonly Choice[],
): ReadonlyMap<string, number> {
  const pairs = eyePairs(steps.filter((step) => choices(step).length > 0));
  const of = new Map(
    pairs
      .flatMap(({ lighter, deeper }) => [lighter, deeper])
      .map((s) => {
        const [first, ...rest] = choices(s);
        const dearer = (choice: Choice): number =>
          missesFinish(choice) && !missesFinish(first!) ? OTHER_FINISH : 0;
        return [
          s.id,
          [first!, ...rest].map((one) => ({ eye: eyeColourOf(one.use), cost: one.cost + dearer(one) })),
        ];
      }),
  );
  const taken = new Map([...of.keys()].map((id) => [id, 0]));
  const at = (id: string, index: number) => of.get(id)![index]!;
  const isApart = ({ lighter, deeper }: EyePair<T>, chosen: ReadonlyMap<string, number>): boolean => {
    const [a, b] = [lighter, deeper].map(({ id }) => at(id, chosen.get(id)!).eye);
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
      const [next] = [...of.get(one)!.keys()]
        .flatMap((i) => [...of.get(other)!.keys()].map((j) => new Map(taken).set(one, i).set(other, j)))
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
