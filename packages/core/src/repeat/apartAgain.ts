import {
  chosenApart,
  colourOfUse,
  comeOutAlike,
  isToldApart,
  pairsMeantApart,
  productsInWords,
  proposeProducts,
  type ApartPair,
  type FitContext,
  type Proposal,
  type Step,
} from '../look';
import { msg } from '../messages';
import type { RefitChange } from './change';

/** What becomes of a step by matching it anew. */
const MATCHED: readonly RefitChange['kind'][] = ['keep', 'remix', 'substitute'];

/**
 * The changes of products with the colours of an eye, or of the lips, kept apart where they were worn apart:
 * each is matched to the skin of now by itself, and two of them may come to the same pan. One of them then
 * takes its next best, but for what something was said of at the chair.
 */
export function keptApart(
  proposed: readonly RefitChange[],
  worn: readonly Step[],
  next: readonly Step[],
  context: FitContext,
): RefitChange[] {
  const apartThen = new Set(
    pairsMeantApart(worn).flatMap((pair) => (comeOutAlike(pair) ? [] : [pairId(pair)])),
  );
  const changes = proposed.map((change) => notAlike(change, apartThen, next));
  const lost = pairsMeantApart(next).filter((pair) => apartThen.has(pairId(pair)) && comeOutAlike(pair));
  if (lost.length === 0) return changes;
  const told = new Set(worn.flatMap(({ id, done }) => (done?.deviations.length ? [id] : [])));
  const free = new Set(
    changes.flatMap(({ stepId, kind, onlyIfAsked }) =>
      stepId !== null && MATCHED.includes(kind) && !onlyIfAsked && !told.has(stepId) ? [stepId] : [],
    ),
  );
  const choices = new Map(next.map((step) => [step.id, choicesOf(step, free.has(step.id), context)]));
  const taken = chosenApart(next, (step) => choices.get(step.id)!);
  return changes.map((change) => {
    const index = change.stepId === null ? 0 : (taken.get(change.stepId) ?? 0);
    const to = index === 0 ? undefined : choices.get(change.stepId!)![index];
    const was = worn.find(({ id }) => id === change.stepId);
    if (!to || !was) return change;
    if (namesOf(was) === namesOf(to)) return { ...change, ...asWorn(change, was) };
    return {
      ...change,
      kind: 'substitute',
      why:
        change.kind === 'keep' ? nearestIsAlike(change, was) : `${change.why} ${nearestIsAlike(change, was)}`,
      difference:
        was.role === 'lip' ? msg`another than the other lip` : msg`apart from the other colours of the eye`,
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
  const own = next.find(({ id }) => id === part.stepId);
  const taken = next.map((step) => (step === own ? { ...step, use } : step));
  const alike = pairsMeantApart(taken).some(
    (pair) =>
      [pair.lighter.id, pair.deeper.id].includes(part.stepId) &&
      apartThen.has(pairId(pair)) &&
      comeOutAlike(pair),
  );
  return own && alike ? { ...rest, ...asWorn(change, own) } : change;
}

const nearestIsAlike = ({ after }: RefitChange, { role }: Step): string =>
  role === 'lip'
    ? msg`The nearest, ${after.words}, would come out as the other lip does.`
    : msg`The nearest, ${after.words}, would come out as another colour of the eye does.`;
/** What a change becomes where the step stays as it was worn. */
const asWorn = (
  change: RefitChange,
  step: Step,
): Pick<RefitChange, 'kind' | 'why' | 'difference' | 'after' | 'part'> => ({
  kind: 'keep',
  why: nearestIsAlike(change, step),
  difference: '',
  after: change.before,
  part: null,
});

type Choice = Pick<Proposal, 'use' | 'lab' | 'cost' | 'costs' | 'deltaE'>;

/** What a step may be done with: what it has come to, and where it is free to be another the next best. */
function choicesOf(step: Step, isFree: boolean, context: FitContext): readonly Choice[] {
  if (!isToldApart(step) || step.use.length === 0) return [];
  const proposals = isFree ? proposeProducts(step, context) : [];
  const own: Choice = {
    use: step.use,
    lab: colourOfUse(step.use),
    cost: proposals[0]?.cost ?? 0,
    costs: [],
    deltaE: null,
  };
  const has = namesOf(step);
  return [
    own,
    ...proposals.filter((p) => namesOf(p) !== has && p.use.every(({ unitId }) => unitId !== null)),
  ];
}

const namesOf = ({ use }: Pick<Proposal, 'use'>): string => use.map(({ product }) => product.id).join();

const pairId = ({ lighter, deeper }: ApartPair<Step>): string => `${lighter.id} ${deeper.id}`;
