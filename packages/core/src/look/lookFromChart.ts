import { depthOf } from '../colour';
import type { Chart, Look, LookStep, Shade, Step } from './document';
import { withoutAdaptations } from './adapt';
import type { Stamp } from './fitLook';
import { skinTarget, wantedColour } from '../shade';
import { colourOfUse, shownOfStep } from './propose';

export const PARTS = ['essential', 'free', 'left out', 'forbidden'] as const;
/**
 * What a step of a chart is to the look made from it: essential steps keep texture, finish and cover of what was
 * used, free ones may be left out or done otherwise, forbidden ones say what the look never has.
 */
export type PartOfLook = (typeof PARTS)[number];

export type LookChoices = {
  readonly name: string;
  readonly description: string;
  readonly tags: readonly string[];
  /** Steps not named are essential. */
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
 * A step's shade as the look keeps it: as planned, or, where another was chosen, what was really used, said
 * as the plan said it.
 */
function shadeOf(step: Step, chart: Chart): Shade {
  const used = colourOfUse(step.use);
  const wanted = wantedColour(step, chart.client);
  if (step.shade === null || used === null) return step.shade;
  if ('lab' in step.shade) return { lab: [used[0], used[1], used[2]] };
  // The base follows whatever skin it is fitted to: a difference there is the kit's, not the look's.
  if (wanted === null || step.role === 'base') return step.shade;
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

function stepOf(step: Step, chart: Chart, part: PartOfLook): LookStep {
  const { use, done: _done, optional: _optional, ...plan } = step;
  const textures = [...new Set(use.map((u) => u.product.texture))];
  const finishes = [...new Set(use.map((u) => u.product.finish))];
  // How much it covers is what a base and a concealer are chosen by.
  const coverages = [
    ...new Set(use.filter((u) => u.product.kind !== 'adjuster').map((u) => u.product.coverage)),
  ];
  const covers = (plan.role === 'base' || plan.role === 'conceal') && coverages.length > 0;
  const wants =
    part === 'essential' && use.length > 0
      ? { ...plan.wants, textures, finishes, ...(covers ? { coverages } : {}) }
      : { kinds: plan.wants.kinds, ...(plan.wants.mix ? { mix: true } : {}) };
  return { ...plan, wants, shade: shadeOf(step, chart), ...(part === 'free' ? { optional: true } : {}) };
}

/**
 * A look cut from a chart, free of any face and any product: placements by their guides, shades against the
 * skin. Kinds of product of forbidden steps are forbidden unless another step keeps them. Throws a RangeError
 * when no step is left.
 */
export function lookFromChart(chart: Chart, choices: LookChoices, stamp: Stamp): Look {
  const partOf = (step: Step): PartOfLook => choices.parts[step.id] ?? 'essential';
  // What one client or one day asked for belongs to her chart, not to the look.
  const adaptations = chart.adaptations ?? [];
  const added = new Set(adaptations.flatMap((a) => (a.change === 'added' && !a.refused ? [a.stepId] : [])));
  const steps = chart.steps.map((step) => withoutAdaptations(step, adaptations));
  const kept = steps
    .filter((step) => !(added.has(step.id) && choices.parts[step.id] === undefined))
    .filter((step) => partOf(step) === 'essential' || partOf(step) === 'free');
  if (kept.length === 0) throw new RangeError('A look needs a step: make one of them essential or free.');
  const keptKinds = new Set(kept.flatMap((step) => step.wants.kinds));
  const forbidden = chart.steps
    .filter((step) => partOf(step) === 'forbidden')
    .flatMap((step) => step.wants.kinds)
    .filter((kind) => !keptKinds.has(kind));
  const variantsUsed = new Set(kept.flatMap((step) => (step.variant ? [step.variant] : [])));
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
    steps: kept.map((step) => stepOf(step, chart, partOf(step))),
  };
}
