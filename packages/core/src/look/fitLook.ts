import { checkLimits, withinLimits } from '../face';
import { productName, type Kit } from '../kit';
import { listed } from '../listed';
import { msg } from '../messages';
import { setAside, type StepGap } from '../shade';
import { adaptationInWords, adaptLook } from './adapt';
import { boundStep } from './boundStep';
import type { Adaptation, Chart, ClientSnapshot, Look, LookStep, Occasion, Step } from './document';
import { CHART_FORMAT } from './document';
import { madeExactByPowder } from './exactByPowder';
import { alikeInWords, chosenApart, comeOutAlike, pairsMeantApart } from './coloursApart';
import { linedLikeLips } from './linedLikeLips';
import { inOrder } from './phaseOrder';
import { TOOL_FOR_TEXTURE } from './toolInstead';
import { atHand, productsInWords, type FitContext, type Proposal } from './propose';

/** Who makes a version, when and why; ids are made outside. */
export type Stamp = {
  readonly id: string;
  readonly author: string;
  readonly at: string;
  readonly reason: string;
};

export type FittedLook = {
  readonly chart: Chart;
  /** For each step, products of the kit ranked, the first of which the chart uses. */
  readonly proposals: Readonly<Record<string, readonly Proposal[]>>;
  /**
   * Steps for which nothing in the kit is in range, by id: the nearest, how far it is, what to stir or to
   * buy.
   */
  readonly gaps: Readonly<Record<string, StepGap>>;
  /** What was changed for this client and this day, each with its reason. */
  readonly adaptations: readonly Adaptation[];
  /** All of that in sentences. */
  readonly notes: readonly string[];
};

export type FitOptions = {
  /** Adaptations that are not wanted, by id. */
  readonly refused?: readonly string[];
};

/**
 * Fits a look to one client for one occasion: changes what her face, her skin and the day ask for, places it
 * on her face by the guides, keeps it inside the limits, and binds every step to the kit's best answer, or
 * says that the kit has none. Deterministic; throws when nothing of her skin is read.
 */
export function fitLook(
  look: Look,
  client: ClientSnapshot,
  kit: Kit,
  occasion: Occasion,
  stamp: Stamp,
  options: FitOptions = {},
): FittedLook {
  if (Object.keys(client.skin).length === 0) {
    throw new RangeError('fitLook: read the skin first; without a reading no shade can be chosen');
  }
  const { sound, aside } = setAside(kit.products);
  const context: FitContext = {
    client,
    kit: { ...kit, products: sound },
    date: occasion.date,
    occasion,
    forbids: look.forbids,
    contrast: look.schools.contrast,
  };
  const adapted = adaptLook(look, client, occasion, options.refused);
  const titles = new Map(look.steps.map((s) => [s.id, s.title]));
  // What was changed of a step before something left it out is no news of this chart.
  const standing = new Set(adapted.steps.map((s) => s.id));
  const notes = adapted.adaptations
    .filter(({ change, stepId }) => change !== 'changed' || standing.has(stepId))
    .map((a) => adaptationInWords(a, titles.get(a.stepId)));
  const proposals: Record<string, readonly Proposal[]> = {};
  const gaps: Record<string, StepGap> = {};
  const tools: Adaptation[] = [];
  const steps = adapted.steps.map((plan): Step => {
    const placements = plan.placements.map((placement) =>
      withinLimits(placement, client.landmarks, client.features, plan.role),
    );
    plan.placements.forEach((placement, i) => {
      if (placements[i] === placement) return;
      const broken = checkLimits(placement, client.landmarks, client.features, plan.role)[0];
      notes.push(
        msg`${plan.title} was moved to keep its limits on this face${broken ? `. ${broken.message}` : '.'}`,
      );
    });
    const placed: LookStep = { ...plan, placements };
    if (plan.wants.kinds.length === 0) {
      proposals[plan.id] = [];
      return { ...placed, use: [] };
    }
    const { step, ranked, gap, tool } = boundStep(
      placed,
      context,
      !options.refused?.includes(TOOL_FOR_TEXTURE),
    );
    proposals[plan.id] = ranked;
    if (gap) gaps[plan.id] = gap;
    if (tool) tools.push(tool);
    return step;
  });
  notes.push(...tools.map((a) => adaptationInWords(a, undefined)));
  const apart = colouredApart(steps, proposals);
  notes.push(...apart.notes);
  const lined = linedLikeLips(apart.steps, context);
  notes.push(...lined.notes);
  Object.assign(gaps, lined.gaps);
  const ranked = { ...proposals, ...apart.proposals, ...lined.proposals };
  notes.push(...gapsInWords(steps.flatMap(({ id, title }) => (gaps[id] ? [{ title, gap: gaps[id] }] : []))));
  notes.push(...notAsAsked(lined.steps, ranked));
  const exact = madeExactByPowder(lined.steps, gaps, context);
  const used = new Set(adapted.steps.flatMap((s) => s.wants.kinds));
  for (const { product, why } of aside)
    if (used.has(product.kind)) notes.push(msg`${productName(product)} is set aside. ${why}`);
  const adaptations = [...adapted.adaptations, ...tools, ...exact.adaptations];
  const chart: Chart = {
    format: CHART_FORMAT,
    id: stamp.id,
    version: 1,
    parent: null,
    author: stamp.author,
    at: stamp.at,
    reason: stamp.reason,
    look: { id: look.id, version: look.version, name: look.name },
    client,
    occasion,
    schools: look.schools,
    ...(forbidsAnything(look.forbids) ? { forbids: look.forbids } : {}),
    variants: look.variants,
    steps: inOrder(exact.steps, look),
    findings: [],
    ...(adaptations.length > 0 ? { adaptations } : {}),
  };
  return {
    chart,
    proposals: ranked,
    gaps,
    adaptations,
    // Two liners for two lips are said once.
    notes: [...new Set([...notes, ...exact.adaptations.map((a) => adaptationInWords(a, undefined))])],
  };
}

/**
 * Colours that stay apart as their look means them: where each step's best would come out alike, the next
 * best that do not, told with their reason; where the kit has nothing between them, that.
 */
function colouredApart(
  steps: readonly Step[],
  proposals: Readonly<Record<string, readonly Proposal[]>>,
): Pick<FittedLook, 'proposals' | 'notes'> & { readonly steps: readonly Step[] } {
  const chosenFrom = ({ id, use }: Step): readonly Proposal[] =>
    use.length === 0 ? [] : atHand(proposals[id] ?? []);
  const taken = chosenApart(steps, chosenFrom);
  const moved = new Map<string, readonly Proposal[]>();
  const notes: string[] = [];
  for (const step of steps) {
    const index = taken.get(step.id) ?? 0;
    if (index === 0) continue;
    const from = chosenFrom(step);
    const own = from[index]!;
    moved.set(step.id, [own, ...proposals[step.id]!.filter((p) => p !== own)]);
    const [one, first] = [productsInWords(own.use), productsInWords(from[0]!.use)];
    notes.push(
      step.role === 'lip'
        ? msg`${step.title}: ${one} instead of ${first}, so that one lip is another than the other.`
        : msg`${step.title}: ${one} instead of ${first}, so that the colours of the eye stay apart.`,
    );
  }
  const chosen = steps.map((step) => ({ ...step, use: [...(moved.get(step.id)?.[0]?.use ?? step.use)] }));
  for (const pair of pairsMeantApart(chosen).filter(comeOutAlike))
    notes.push(msg`${alikeInWords(pair)}: the kit has nothing further apart.`);
  return { steps: chosen, proposals: Object.fromEntries(moved), notes };
}

/** What is of another texture or finish than asked, as the kit has nothing nearer: in one sentence. */
function notAsAsked(
  steps: readonly Step[],
  proposals: Readonly<Record<string, readonly Proposal[]>>,
): readonly string[] {
  const other = steps.flatMap(({ id, title, use, wants }) => {
    const missed = (proposals[id]?.[0]?.costs ?? []).filter(
      ({ part }) => (part === 'texture' && wants.textures) || (part === 'finish' && wants.finishes),
    );
    return use.length === 0 || missed.length === 0
      ? []
      : [`${title.toLowerCase()} (${missed.map(({ words }) => words).join(', ')})`];
  });
  return other.length === 0 ? [] : [msg`The nearest of the kit is otherwise than asked: ${listed(other)}.`];
}

const forbidsAnything = ({ finishes, kinds, places = [], shapes = [] }: Look['forbids']): boolean =>
  finishes.length + kinds.length + places.length + shapes.length > 0;

/** What the kit has nothing for, how far the nearest is and what would do it. */
export const gapInWords = (gap: StepGap): string => withRemedy(gap.words, gap);

const withRemedy = (words: string, { mixNeeds, buy }: StepGap): string =>
  [words, mixNeeds ? msg`Stirred, ${mixNeeds} would do it.` : null, buy ? msg`Buy ${buy}.` : null]
    .filter(Boolean)
    .join(' ');

/**
 * All a kit has nothing for, in sentences: what only nobody has read is said once for all of it, and what is
 * wanting for several steps alike once for them.
 */
export function gapsInWords(gaps: readonly { readonly title: string; readonly gap: StepGap }[]): string[] {
  const unread = gaps.filter(({ gap }) => gap.unread > 0);
  const alike = new Map<string, { readonly titles: string[]; readonly gap: StepGap }>();
  for (const { title, gap } of gaps.filter(({ gap }) => gap.unread === 0 || unread.length < 2)) {
    const said = withRemedy(gap.why, gap);
    const known = alike.get(said);
    if (known) known.titles.push(title.toLowerCase());
    else alike.set(said, { titles: [title], gap });
  }
  const rest = [...alike].map(([said, { titles, gap }]) =>
    titles.length === 1 ? gapInWords(gap) : `${listed(titles)}: ${said}`,
  );
  if (unread.length < 2) return rest;
  const named = unread.map(({ title, gap }) => `${title.toLowerCase()} (${gap.unread})`);
  return [
    msg`What is at hand has no colour read, so nobody can say what suits, for ${listed(named)}. Read the pans, or choose by eye in each step.`,
    ...rest,
  ];
}
