import { checkLimits, offSides, sidesWhere, withinLimits } from '../face';
import type { Chart, ClientSnapshot, Look, LookStep, Occasion, Step } from './document';
import { PHASES } from './document';
import { proposeProducts, type FitContext, type Proposal } from './propose';
import type { Kit } from '../kit';

/** Who makes a version, when and why; ids are made outside. */
export type Stamp = { readonly id: string; readonly author: string; readonly at: string; readonly reason: string };

export type FittedLook = {
  readonly chart: Chart;
  /** For each step, products of the kit ranked, the first of which the chart uses. */
  readonly proposals: Readonly<Record<string, readonly Proposal[]>>;
  /** Steps for which the kit has nothing, and what was changed on this face, in sentences. */
  readonly notes: readonly string[];
};

/** A step without what this client's features rule out, and the reason; null in place of the step when nothing of it is left. */
function ruledOut(step: LookStep, client: ClientSnapshot): { readonly step: LookStep | null; readonly reason: string | null } {
  const narrow = sidesWhere(client.features, ({ narrowTemples }) => narrowTemples);
  const placements = offSides(step.placements, 'foreheadContour', narrow);
  if (placements.length === step.placements.length && placements.every((p, i) => p === step.placements[i])) return { step, reason: null };
  const reason =
    narrow.length === 2
      ? 'the temples are narrow; forehead contour would narrow them further'
      : `the client’s ${narrow[0]} temple is narrow; forehead contour would narrow it further`;
  return { step: placements.length > 0 ? { ...step, placements } : null, reason };
}

/**
 * Fits a look to one client for one occasion: places it on her face by the guides, keeps it inside the
 * limits, and binds every step to the kit's best proposal. Deterministic; throws when nothing of her skin is read.
 */
export function fitLook(look: Look, client: ClientSnapshot, kit: Kit, occasion: Occasion, stamp: Stamp): FittedLook {
  if (Object.keys(client.skin).length === 0) {
    throw new RangeError('fitLook: read the skin first; without a reading no shade can be chosen');
  }
  const context: FitContext = { client, kit, date: occasion.date, forbids: look.forbids };
  const notes: string[] = [];
  const proposals: Record<string, readonly Proposal[]> = {};
  const steps: Step[] = [];
  for (const given of look.steps) {
    const { step: plan, reason } = ruledOut(given, client);
    if (reason) notes.push(`${given.title} left out${plan ? ' in part' : ''}: ${reason}.`);
    if (!plan) continue;
    const placements = plan.placements.map((placement) => withinLimits(placement, client.landmarks, client.features, plan.role));
    plan.placements.forEach((placement, i) => {
      if (placements[i] === placement) return;
      const broken = checkLimits(placement, client.landmarks, client.features, plan.role)[0];
      notes.push(`${plan.title} was moved to keep its limits on this face${broken ? `. ${broken.message}` : '.'}`);
    });
    const placed: LookStep = { ...plan, placements };
    const ranked = plan.wants.kinds.length === 0 ? [] : proposeProducts(placed, context);
    if (plan.wants.kinds.length > 0 && ranked.length === 0)
      notes.push(`Nothing in the kit suits ${plan.title.toLowerCase()}; choose something or leave it out.`);
    proposals[plan.id] = ranked;
    steps.push({ ...placed, use: [...(ranked[0]?.use ?? [])] });
  }
  const chart: Chart = {
    format: 'toile.chart/1',
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
    ...(look.forbids.finishes.length + look.forbids.kinds.length > 0 ? { forbids: look.forbids } : {}),
    variants: look.variants,
    steps: inOrder(steps, look),
    findings: [],
  };
  return { chart, proposals, notes };
}

/** Phases in the order of the school; within a phase the look's own order holds. */
export function inOrder<T extends { readonly phase: LookStep['phase'] }>(steps: readonly T[], look: Pick<Look, 'schools'>): T[] {
  const order = phaseOrder(look.schools);
  return steps
    .map((step, i) => ({ step, i }))
    .sort((a, b) => order.indexOf(a.step.phase) - order.indexOf(b.step.phase) || a.i - b.i)
    .map(({ step }) => step);
}

/** The phases as a school lays them: eyes first moves brows, eyes and lashes before the base. */
export function phaseOrder(schools: Look['schools']): readonly LookStep['phase'][] {
  let order: readonly LookStep['phase'][] = PHASES;
  const move = (phases: readonly LookStep['phase'][], before: LookStep['phase']): void => {
    const rest = order.filter((p) => !phases.includes(p));
    const at = rest.indexOf(before);
    order = [...rest.slice(0, at), ...phases, ...rest.slice(at)];
  };
  if (schools.eyesOrFace === 'eyes first') move(['brows', 'eyes'], 'correct');
  if (schools.concealer === 'under base') move(['conceal'], 'base');
  if (schools.contour === 'under base') move(['sculpt'], 'base');
  return order;
}
