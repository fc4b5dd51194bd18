import type { Kit } from '../kit';
import { deltaE2000, depthOf, type Lab } from '../colour';
import { msg } from '../messages';
import type { Adaptation, Chart, Look, LookStep, Shade, Step } from './document';
import { isWholeStep, withoutAdaptations } from './adapt';
import { chosenApart, isToldApart } from './coloursApart';
import type { Stamp } from './fitLook';
import { layingRank } from './phaseOrder';
import { skinTarget, wantedColour } from '../shade';
import { atHand, colourOfUse, proposeProducts, shownOfStep, type Proposal } from './propose';
import { contextOf } from './studioContext';
import { isOfTrial } from './variants';

export const PARTS = ['essential', 'free', 'left out', 'forbidden'] as const;
/**
 * What a step of a chart is to the look made from it: essential steps keep texture, finish and cover of what
 * was used, free ones may be left out or done otherwise, forbidden ones say what the look never has.
 */
export type PartOfLook = (typeof PARTS)[number];

export type LookChoices = {
  readonly name: string;
  readonly description: string;
  readonly tags: readonly string[];
  /** Steps not named are what `stepsForLook` says. */
  readonly parts: Readonly<Record<string, PartOfLook>>;
  readonly forbids: Look['forbids'];
};

/**
 * A kit's nearest shade is this near to what was asked, in shade steps; further off, another was chosen on
 * purpose.
 */
const CHOSEN_OTHERWISE = 0.75;

const nearer = (a: number, b: number): number =>
  Math.sign(a) !== Math.sign(b) ? 0 : Math.abs(a) < Math.abs(b) ? a : b;

/**
 * Where the kit is not at hand: a colour this near to what was asked is taken for its nearest (deltaE2000).
 * Fits of the demo's looks bind pans up to 11 off, nine in ten up to 7.
 */
const ANOTHER_COLOUR = 7;

/**
 * A step's shade as the look keeps it: as planned, or, where another was chosen, what was really used, said
 * as the plan said it.
 */
function shadeOf(step: Step, chart: Chart, kit: Kit | null): Shade {
  const used = colourOfUse(step.use);
  // What was asked of this client may be another colour than the look's own.
  const wanted = wantedColour(askedOf(step, chart), chart.client, chart.schools.contrast);
  if (step.shade === null || used === null) return step.shade;
  // The base follows whatever skin it is fitted to: a difference there is the kit's, not the look's.
  if (step.role === 'base' && 'relative' in step.shade) return step.shade;
  const ownChoice = isOwnChoice(step, chart, kit);
  if (ownChoice === false && wanted !== null) return step.shade;
  if ('lab' in step.shade) return { lab: [...ownColour(step.shade.lab, wanted, used, ownChoice === true)] };
  if (wanted === null) return step.shade;
  const skin = skinTarget(chart.client.skin);
  const shown = skin && (step.role === 'contour' || step.role === 'bronze') ? shownOfStep(step, skin) : null;
  // A film shows less than the pan: a shadow is chosen by what shows, so what shows says whether another was
  // chosen.
  const deeper = shown
    ? nearer(depthOf(shown) - depthOf(wanted), depthOf(used) - depthOf(wanted))
    : depthOf(used) - depthOf(wanted);
  if (Math.abs(deeper) <= CHOSEN_OTHERWISE) return step.shade;
  const depthSteps = Math.max(-6, Math.min(6, Math.round((step.shade.relative.depthSteps + deeper) * 2) / 2));
  return { relative: { ...step.shade.relative, depthSteps } };
}

/**
 * A look's own colour of lip, lid or cheek. A look's rose is another pan on deep skin than on fair: what was
 * used is compared with what the look asks on this skin, and where another was chosen the look's colour is
 * moved by as much.
 */
function ownColour(lab: Lab, wanted: Lab | null, used: Lab, ownChoice: boolean): Lab {
  if (wanted === null) return used;
  if (!ownChoice && deltaE2000(used, wanted) <= ANOTHER_COLOUR) return lab;
  const moved = (i: 0 | 1 | 2, least: number, most: number): number =>
    Math.min(most, Math.max(least, lab[i] + used[i] - wanted[i]));
  return [moved(0, 0, 100), moved(1, -128, 127), moved(2, -128, 127)];
}

/** The kit's best for a colour beside those it is told apart from: as a fit takes it. */
function bestBesideOthers(step: Step, chart: Chart, kit: Kit): Proposal | undefined {
  const context = contextOf(chart, kit);
  const choices = new Map(
    chart.steps
      .filter((one) => isToldApart(one) && one.use.length > 0)
      .map((one) => [one.id, atHand(proposeProducts(one, context))]),
  );
  const taken = chosenApart(chart.steps, ({ id }) => choices.get(id) ?? []);
  return choices.get(step.id)?.[taken.get(step.id) ?? 0];
}

/** A step as it was asked of this client: the look's own may ask for another finish, or colour. */
const askedOf = (step: Step, { steps }: Chart): Step => steps.find(({ id }) => id === step.id) ?? step;

/** Whether somebody chose otherwise than the kit's best for the step; null where that cannot be told. */
function isOwnChoice(step: Step, chart: Chart, kit: Kit | null): boolean | null {
  if (kit === null) return null;
  const asked = askedOf(step, chart);
  const best = isToldApart(asked)
    ? bestBesideOthers(asked, chart, kit)
    : proposeProducts(asked, contextOf(chart, kit))[0];
  const idsOf = (use: Step['use']): string => use.map(({ product }) => product.id).join();
  return best === undefined ? null : idsOf([...best.use]) !== idsOf(step.use);
}

/**
 * Whether what a step is made of and how it finishes was asked by this client or day, and not by the look.
 */
const isAskedOtherwise = (step: Step, { adaptations = [] }: Chart): boolean =>
  adaptations.some(
    ({ stepId, change, refused, now }) =>
      stepId === step.id && change === 'changed' && !refused && now !== undefined && 'wants' in now,
  );

function stepOf(step: Step, chart: Chart, part: PartOfLook, kit: Kit | null): LookStep {
  const { use, done: _done, optional: _optional, ...plan } = step;
  const textures = [...new Set(use.map((u) => u.product.texture))];
  const finishes = [...new Set(use.map((u) => u.product.finish))];
  // How much it covers is what a base and a concealer are chosen by.
  const coverages = [
    ...new Set(use.filter((u) => u.product.kind !== 'adjuster').map((u) => u.product.coverage)),
  ];
  const covers = (plan.role === 'base' || plan.role === 'conceal') && coverages.length > 0;
  const asUsed =
    use.length === 0 || isAskedOtherwise(step, chart)
      ? plan.wants
      : { ...plan.wants, textures, finishes, ...(covers ? { coverages } : {}) };
  const wants =
    part === 'essential' ? asUsed : { kinds: plan.wants.kinds, ...(plan.wants.mix ? { mix: true } : {}) };
  return { ...plan, wants, shade: shadeOf(step, chart, kit), ...(part === 'free' ? { optional: true } : {}) };
}

/**
 * A step as a look may be cut from it, what it is to the look unless somebody says otherwise, and why it is
 * that.
 */
export type StepForLook = { readonly step: Step; readonly part: PartOfLook; readonly why: string | null };

/**
 * The steps a look is cut from, as the look had them: what one client or one day asked for belongs to their
 * chart. A step that was added for them is left out of the look, one that was left out for them stands in it.
 */
export function stepsForLook(chart: Chart): readonly StepForLook[] {
  const adaptations = (chart.adaptations ?? []).filter(({ refused }) => !refused);
  const added = new Map(adaptations.flatMap((a) => (a.change === 'added' ? [[a.stepId, a] as const] : [])));
  const there: readonly StepForLook[] = chart.steps.map((step) => {
    const one = added.get(step.id);
    const asHad = withoutAdaptations(step, adaptations);
    if (isOfTrial(step)) return { step: asHad, part: 'left out', why: msg`A half of a trial.` };
    return one
      ? { step: asHad, part: 'left out', why: msg`Added for this chart: ${one.why}.` }
      : { step: asHad, part: 'essential', why: null };
  });
  return leftOutOf(chart, adaptations).reduce<readonly StepForLook[]>((steps, { step, why }) => {
    const rank = layingRank(chart.schools);
    const at = steps.findIndex((one) => rank(one.step) > rank(step));
    const before = steps.slice(0, at < 0 ? steps.length : at);
    const back = { step, part: 'essential' as const, why: msg`Left out of this chart: ${why}.` };
    return [...before, back, ...steps.slice(before.length)];
  }, there);
}

function leftOutOf(
  { steps }: Chart,
  adaptations: readonly Adaptation[],
): readonly { readonly step: Step; readonly why: string }[] {
  return adaptations.flatMap(({ change, was, why }) =>
    change === 'left out' && was && isWholeStep(was) && !steps.some(({ id }) => id === was.id)
      ? [{ step: { ...withoutAdaptations(was, adaptations), use: [] }, why }]
      : [],
  );
}

/**
 * A look cut from a chart, free of any face and any product: placements by their guides, shades against the
 * skin. By the kit a colour that was chosen on purpose is told from its nearest. Kinds of product of
 * forbidden steps are forbidden unless another step keeps them. Throws a RangeError when no step is left.
 */
export function lookFromChart(
  chart: Chart,
  choices: LookChoices,
  stamp: Stamp,
  kit: Kit | null = null,
): Look {
  const all = stepsForLook(chart).map(({ step, part }) => ({ step, part: choices.parts[step.id] ?? part }));
  const kept = all.filter(({ part }) => part === 'essential' || part === 'free');
  if (kept.length === 0) throw new RangeError('A look needs a step: make one of them essential or free.');
  const keptKinds = new Set(kept.flatMap(({ step }) => step.wants.kinds));
  const forbidden = all
    .filter(({ part }) => part === 'forbidden')
    .flatMap(({ step }) => step.wants.kinds)
    .filter((kind) => !keptKinds.has(kind));
  const variantsUsed = new Set(kept.flatMap(({ step }) => (step.variant ? [step.variant] : [])));
  return {
    format: 'toile.look/1',
    id: stamp.id,
    version: 1,
    parent: null,
    author: stamp.author,
    at: stamp.at,
    reason: stamp.reason,
    name: choices.name,
    description: choices.description,
    tags: [...choices.tags],
    schools: chart.schools,
    forbids: {
      ...choices.forbids,
      finishes: [...choices.forbids.finishes],
      kinds: [...new Set([...choices.forbids.kinds, ...forbidden])],
    },
    variants: chart.variants.filter((variant) => variantsUsed.has(variant.id)),
    steps: kept.map(({ step, part }) => stepOf(step, chart, part, kit)),
  };
}
