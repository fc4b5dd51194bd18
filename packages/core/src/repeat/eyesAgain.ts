import {
  chosenApart,
  colourOfUse,
  eyePairs,
  productsInWords,
  proposeProducts,
  toldApart,
  type FitContext,
  type Proposal,
  type Step,
} from '../look';
import { msg } from '../messages';
import type { RefitChange } from './change';

/** What becomes of a step by matching it; what was wished for stays as it was wished. */
const MATCHED: readonly RefitChange['kind'][] = ['keep', 'remix', 'substitute'];

/**
 * The changes of products with an eye’s colours kept apart where they were worn apart: each is matched to the
 * skin of now by itself, and two of them may come to the same shadow. They take their next best.
 */
export function eyesKeptApart(
  proposed: readonly RefitChange[],
  worn: readonly Step[],
  next: readonly Step[],
  context: FitContext,
): RefitChange[] {
  const apartThen = new Set(eyePairs(worn).filter(isApart).map(pairId));
  const changes = proposed.map((change) => notAlike(change, apartThen, next));
  const lost = eyePairs(next).filter((pair) => apartThen.has(pairId(pair)) && !isApart(pair));
  if (lost.length === 0) return [...changes];
  const free = new Set(
    changes.flatMap(({ stepId, kind, onlyIfAsked }) =>
      stepId !== null && MATCHED.includes(kind) && !onlyIfAsked ? [stepId] : [],
    ),
  );
  const choices = new Map(next.map((step) => [step.id, choicesOf(step, free.has(step.id), context)]));
  const taken = chosenApart(next, (step) => choices.get(step.id)!);
  return changes.map((change) => {
    const index = change.stepId === null ? 0 : (taken.get(change.stepId) ?? 0);
    const to = index === 0 ? undefined : choices.get(change.stepId!)![index];
    const was = worn.find(({ id }) => id === change.stepId);
    if (!to || !was || !free.has(was.id)) return change;
    const why = msg`The nearest, ${change.after.words}, would come out as another colour of the eye does.`;
    if (namesOf(was) === namesOf(to))
      return { ...change, kind: 'keep', why, difference: '', after: change.before, part: null };
    return {
      ...change,
      kind: 'substitute',
      why,
      difference: msg`apart from the other colours of the eye`,
      after: { words: productsInWords(to.use), lab: to.lab, deltaE: to.deltaE },
      part: { of: 'step', stepId: was.id, set: { use: [...to.use] } },
    };
  });
}

/** What waits for a yes and would be as another colour of the eye is, is not offered. */
function notAlike(change: RefitChange, apartThen: ReadonlySet<string>, next: readonly Step[]): RefitChange {
  const { part, onlyIfAsked, ...rest } = change;
  if (!onlyIfAsked || part?.of !== 'step' || !part.set.use) return change;
  const use = part.set.use;
  const taken = next.map((step) => (step.id === part.stepId ? { ...step, use } : step));
  const alike = eyePairs(taken).some(
    (pair) =>
      [pair.lighter.id, pair.deeper.id].includes(part.stepId) &&
      apartThen.has(pairId(pair)) &&
      !isApart(pair),
  );
  if (!alike) return change;
  const why = msg`The nearest, ${change.after.words}, would come out as another colour of the eye does.`;
  return { ...rest, kind: 'keep', why, difference: '', after: change.before, part: null };
}

type Choice = Pick<Proposal, 'use' | 'lab' | 'cost' | 'deltaE'>;

/** What a step may be done with: what it has come to, and where it is free to be another the next best. */
function choicesOf(step: Step, isFree: boolean, context: FitContext): readonly Choice[] {
  if (step.role !== 'eye' || step.use.length === 0) return [];
  const own: Choice = { use: step.use, lab: colourOfUse(step.use), cost: 0, deltaE: null };
  const has = namesOf(step);
  return isFree
    ? [
        own,
        ...proposeProducts(step, context).filter(
          (p) => namesOf(p) !== has && p.use.every(({ unitId }) => unitId !== null),
        ),
      ]
    : [own];
}

const namesOf = ({ use }: Pick<Proposal, 'use'>): string => use.map(({ product }) => product.id).join();

type Pair = ReturnType<typeof eyePairs<Step>>[number];
const pairId = ({ lighter, deeper }: Pair): string => `${lighter.id} ${deeper.id}`;
function isApart({ lighter, deeper }: Pair): boolean {
  const [light, deep] = [lighter, deeper].map(({ use }) => colourOfUse(use));
  return !light || !deep || toldApart(light, deep);
}
