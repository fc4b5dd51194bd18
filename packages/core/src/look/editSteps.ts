import type { LayerKind, Placement } from '../face';
import { msg, term } from '../messages';
import { MOST_DOSE, MOST_IN_A_STEP, titleOf, type Chart, type Phase, type Step } from './document';
import { basesFace } from './ofSkin';
import { layingRank } from './phaseOrder';
import { laidInPhase } from './sculpted';

type Plan = Pick<
  Step,
  | 'phase'
  | 'title'
  | 'wants'
  | 'shade'
  | 'doseMgPerCm2'
  | 'tool'
  | 'technique'
  | 'handsOnMinutes'
  | 'waitMinutes'
>;

/** What a new layer of a kind starts as: the usual phase, product, dose, tool and minutes. */
const PLANS: Readonly<Record<LayerKind, Plan>> = {
  correct: plan('correct', () => msg`Correct`, ['corrector'], 0.2, 'small brush', 'press', 2, 0, 0),
  base: plan('base', () => msg`Base`, ['base'], 0.6, 'damp sponge', 'press', 6, 1, 0),
  conceal: plan('conceal', () => msg`Conceal`, ['concealer'], 0.3, 'small brush', 'dot and melt', 3, 0, -0.5),
  contour: plan('sculpt', () => msg`Contour`, ['contour'], 0.4, 'angled brush', 'press', 3, 0, 2.5),
  bronze: plan('sculpt', () => msg`Bronze`, ['bronzer'], 0.3, 'loose brush', 'sweep', 2, 0, 1.5),
  blush: plan('sculpt', () => msg`Blush`, ['blush'], 0.3, 'loose brush', 'press', 2, 0, null),
  highlight: plan('sculpt', () => term('Light', 'layer'), ['highlight'], 0.2, 'finger', 'press', 2, 0, -2),
  powder: plan('set', () => msg`Powder`, ['powder'], 0.3, 'puff', 'press', 2, 0, 0),
  brow: plan('brows', () => msg`Brows`, ['brow'], 0.5, 'angled brush', 'flick', 4, 0, null),
  eye: plan('eyes', () => msg`Eyes`, ['shadow'], 0.5, 'small brush', 'press', 4, 0, null),
  liner: plan('eyes', () => msg`Liner`, ['liner'], 0.6, 'angled brush', 'line', 4, 1, null),
  lash: plan('lashes', () => msg`Lashes`, ['mascara'], 0.5, 'spoolie', 'sweep', 3, 1, null),
  'lip line': plan('lips', () => msg`Lip line`, ['lip liner'], 0.6, 'none', 'line', 2, 0, null),
  lip: plan('lips', () => msg`Lip`, ['lip colour'], 1, 'small brush', 'press', 3, 0, null),
  adornment: plan('finish', () => msg`Adornment`, [], 0, 'finger', 'press', 4, 0, null),
};

function plan(
  phase: Phase,
  title: () => string,
  kinds: Step['wants']['kinds'],
  doseMgPerCm2: number,
  tool: Step['tool'],
  technique: Step['technique'],
  handsOnMinutes: number,
  waitMinutes: number,
  depthSteps: number | null,
): Plan {
  return {
    phase,
    get title() {
      return title();
    },
    wants: { kinds },
    shade: depthSteps === null ? null : { relative: { to: 'skin', depthSteps } },
    doseMgPerCm2,
    tool,
    technique,
    handsOnMinutes,
    waitMinutes,
  };
}

/** A new layer of a kind, without a product yet. */
export function newStep(kind: LayerKind, id: string, placements: readonly Placement[] = []): Step {
  return {
    ...PLANS[kind],
    id,
    role: kind,
    placements: [...placements],
    passes: 1,
    note: kind === 'conceal' ? term(EDGES_FIRST) : '',
    use: [],
  };
}

/** What leaves no layer: prepares, primes, or keeps what was laid. */
export const CARE_STEPS = ['prep', 'primer', 'mist'] as const;
export type CareStep = (typeof CARE_STEPS)[number];
const CARE: Readonly<Record<CareStep, Plan>> = {
  prep: plan('prep', () => msg`Prepare the skin`, ['prep'], 0.9, 'finger', 'press', 4, 3, null),
  primer: plan('prime', () => msg`Prime`, ['primer'], 0.8, 'finger', 'press', 2, 2, null),
  mist: plan('finish', () => msg`Mist`, ['spray'], 0.6, 'none', 'spray', 1, 1, null),
};

/** A new step of care over the whole face, without a product yet. */
export function newCareStep(care: CareStep, id: string): Step {
  return {
    ...CARE[care],
    id,
    role: 'care',
    placements: [{ guide: 'zone.wholeFace', side: 'both' }],
    passes: 1,
    note: '',
    use: [],
  };
}

/** The order in which a spot of concealer is melted: the middle keeps its cover. */
export const EDGES_FIRST = 'Edges first, middle last.';

/**
 * A deeper edge is this much deeper than the skin, in shade steps: in the middle of what still joins the base
 * without a stripe.
 */
const DEEPER_EDGE_STEPS = 1.5;

/**
 * The chart with a second, deeper base at its edges (temples and jawline) right after its base, which keeps
 * the look's way of working half its dose and half its minutes; the same chart when it has no base.
 */
export function withDeeperEdge(chart: Chart, id: string): Chart {
  const base = chart.steps.find(basesFace);
  if (!base) return chart;
  const { done: _done, ...plan } = base;
  const edge: Step = {
    ...plan,
    id,
    title: msg`Deeper edge`,
    shade: { relative: { to: 'skin', depthSteps: DEEPER_EDGE_STEPS } },
    placements: (['zone.temple', 'zone.jawline'] as const).map((guide) => ({ guide, side: 'both' })),
    doseMgPerCm2: base.doseMgPerCm2 / 2,
    handsOnMinutes: base.handsOnMinutes / 2,
    note: msg`Joined to the base while both are wet.`,
    use: [],
  };
  return { ...chart, steps: chart.steps.flatMap((s) => (s === base ? [s, edge] : [s])) };
}

/**
 * The chart with a step put where its phase comes in the chart's school: after the last step of its phase or
 * of an earlier one.
 */
export function withStep(chart: Chart, step: Step): Chart {
  const rank = layingRank(chart.schools);
  let at = chart.steps.length;
  while (at > 0 && rank(chart.steps[at - 1]!) > rank(step)) at--;
  return { ...chart, steps: [...chart.steps.slice(0, at), step, ...chart.steps.slice(at)] };
}

/**
 * A changed chart with colour that went from cream to powder, or back, where its phase comes now; all else
 * stays where it stood.
 */
export function relaid(was: Pick<Chart, 'steps'>, next: Chart): Chart {
  const laid = new Map(was.steps.map((step) => [step.id, laidInPhase(step)]));
  const moves = next.steps.filter(
    (step) => step.use.length > 0 && laid.has(step.id) && laid.get(step.id) !== laidInPhase(step),
  );
  return moves.reduce(
    (chart, step) => withStep({ ...chart, steps: chart.steps.filter(({ id }) => id !== step.id) }, step),
    next,
  );
}

/** The chart without a step; the last one stays, since a chart has at least one. */
export function withoutStep(chart: Chart, stepId: string): Chart {
  return chart.steps.length === 1 ? chart : { ...chart, steps: chart.steps.filter((s) => s.id !== stepId) };
}

/** The chart with a step moved to another place in its order. */
export function movedStep(chart: Chart, stepId: string, to: number): Chart {
  const step = chart.steps.find((s) => s.id === stepId);
  if (!step) return chart;
  const rest = chart.steps.filter((s) => s.id !== stepId);
  const at = Math.max(0, Math.min(rest.length, to));
  return { ...chart, steps: [...rest.slice(0, at), step, ...rest.slice(at)] };
}

/**
 * The chart with its steps in another order; steps it does not name, those of variants, follow the step they
 * followed.
 */
export function orderedSteps(chart: Chart, stepIds: readonly string[]): Chart {
  const place = new Map(stepIds.map((id, i) => [id, i]));
  let last = -1;
  const keyed = chart.steps.map((step, i) => {
    const at = place.get(step.id);
    if (at !== undefined) last = at;
    return { step, at: at ?? last + 0.5, i };
  });
  return { ...chart, steps: keyed.sort((a, b) => a.at - b.at || a.i - b.i).map(({ step }) => step) };
}

/** The chart with a copy of a step right after it, under a new id and not yet done. */
export function duplicatedStep(chart: Chart, stepId: string, id: string): Chart {
  return {
    ...chart,
    steps: chart.steps.flatMap((step) => {
      if (step.id !== stepId) return [step];
      const { done: _done, ...copy } = step;
      return [step, { ...copy, id, title: titleOf(msg`${step.title} again`) }];
    }),
  };
}

/** One step as two, each with half the dose and half the minutes; the second keeps the wait. */
export function splitStep(chart: Chart, stepId: string, id: string): Chart {
  return {
    ...chart,
    steps: chart.steps.flatMap((step) => {
      if (step.id !== stepId) return [step];
      const half = {
        doseMgPerCm2: step.doseMgPerCm2 / 2,
        handsOnMinutes: step.handsOnMinutes / 2,
        use: step.use.map((u) => ({ ...u, parts: u.parts / 2 })),
      };
      const { done: _done, ...plain } = step;
      return [
        { ...plain, ...half, waitMinutes: 0 },
        { ...plain, ...half, id, title: titleOf(msg`${step.title}, second layer`) },
      ];
    }),
  };
}

/** Why a step cannot be stirred into the one before it; null where it can. */
export function notStirred(chart: Pick<Chart, 'steps'>, stepId: string): string | null {
  const at = chart.steps.findIndex((s) => s.id === stepId);
  if (at < 1) return msg`It is the first step.`;
  const [into, step] = [chart.steps[at - 1]!, chart.steps[at]!];
  if (into.variant !== step.variant) return msg`The step before belongs to another variant.`;
  const use = usedTogether(into.use, step.use);
  if (use.length > MOST_IN_A_STEP.products)
    return msg`Together they are more than ${MOST_IN_A_STEP.products} products.`;
  if (use.some(({ parts }) => parts > MOST_IN_A_STEP.measures))
    return msg`Together they take more than ${MOST_IN_A_STEP.measures} measures of one product.`;
  if (placedTogether(into, step).length > MOST_IN_A_STEP.places)
    return msg`Together they lie on more than ${MOST_IN_A_STEP.places} places.`;
  if (into.handsOnMinutes + step.handsOnMinutes > MOST_IN_A_STEP.minutes)
    return msg`Together they take more than ${MOST_IN_A_STEP.minutes} minutes.`;
  if (notedTogether(into, step).length > MOST_IN_A_STEP.letters)
    return msg`Together their notes have more than ${MOST_IN_A_STEP.letters} letters.`;
  return null;
}

const notedTogether = (into: Step, step: Step): string => [into.note, step.note].filter(Boolean).join(' ');
/** What two steps take, a product both take once with the measures of both. */
function usedTogether(one: Step['use'], other: Step['use']): Step['use'] {
  const same = (a: Step['use'][number], b: Step['use'][number]): boolean =>
    a.unitId === b.unitId && a.product.id === b.product.id && a.measure === b.measure;
  return [
    ...one.map((u) => {
      const more = other.find((o) => same(u, o));
      return more ? { ...u, parts: u.parts + more.parts } : u;
    }),
    ...other.filter((o) => !one.some((u) => same(u, o))),
  ];
}
function placedTogether(into: Step, step: Step): Step['placements'] {
  const known = new Set(into.placements.map((p) => JSON.stringify(p)));
  return [...into.placements, ...step.placements.filter((p) => !known.has(JSON.stringify(p)))];
}

/**
 * A step stirred into the one before it: products together, places of both, doses and minutes added. What a
 * variant did instead of it is done instead of both. Unchanged where `notStirred` says why.
 */
export function mergedStep(chart: Chart, stepId: string): Chart {
  if (notStirred(chart, stepId) !== null) return chart;
  const at = chart.steps.findIndex((s) => s.id === stepId);
  const [into, step] = [chart.steps[at - 1]!, chart.steps[at]!];
  const { done: _done, ...plain } = into;
  const merged: Step = {
    ...plain,
    title: titleOf(msg`${into.title} with ${step.title.toLowerCase()}`),
    use: usedTogether(into.use, step.use),
    wants: { ...into.wants, kinds: [...new Set([...into.wants.kinds, ...step.wants.kinds])], mix: true },
    placements: placedTogether(into, step),
    doseMgPerCm2: Math.min(MOST_DOSE, into.doseMgPerCm2 + step.doseMgPerCm2),
    handsOnMinutes: into.handsOnMinutes + step.handsOnMinutes,
    waitMinutes: Math.max(into.waitMinutes, step.waitMinutes),
    note: notedTogether(into, step),
  };
  const steps = [...chart.steps.slice(0, at - 1), merged, ...chart.steps.slice(at + 1)];
  return { ...chart, steps: steps.map((s) => (s.instead === step.id ? { ...s, instead: into.id } : s)) };
}
