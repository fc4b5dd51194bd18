import { excludedBecause, type LaidWhere, type Substitute } from '../shade';
import { productName, snapshotOf, type Kit } from '../kit';
import { MOST_DOSE, MOST_IN_A_STEP, type Chart, type Step, type Use } from './document';
import { relaid } from './editSteps';
import { contextOf } from './studioContext';

type Instead = Pick<Substitute, 'parts' | 'doseFactor'>;

/** A substitute as a step uses it: as much colour as before, the dose adjusted so that it covers alike. */
export function substituted(
  step: Step,
  replaces: (use: Use) => boolean,
  { parts, doseFactor }: Instead,
): Step {
  const before = step.use.filter(replaces);
  const neededMg = before.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0) * doseFactor;
  const perRound = parts.reduce((sum, p) => sum + p.pumps * p.product.mgPerMeasure, 0);
  const rounds = Math.max(1, Math.round(neededMg / perRound));
  const use = parts.map(({ product, unit, pumps }): Use => ({
    unitId: unit.id,
    product: snapshotOf(product),
    parts: Math.min(MOST_IN_A_STEP.measures, pumps * rounds),
    measure: product.measure,
  }));
  const rest = step.use.filter((u) => !replaces(u));
  // Alone in its step the whole dose moves with it; in a mix the others keep theirs.
  const doseMgPerCm2 =
    rest.length === 0 ? Math.min(MOST_DOSE, step.doseMgPerCm2 * doseFactor) : step.doseMgPerCm2;
  return { ...step, doseMgPerCm2, use: [...rest, ...use].slice(0, MOST_IN_A_STEP.products) };
}

/** The steps of a chart that use a product, as far as it matters to what may stand in for it. */
export const stepsUsing = (chart: Pick<Chart, 'steps'>, productId: string): readonly LaidWhere[] =>
  chart.steps
    .filter((step) => step.use.some(({ product }) => product.id === productId))
    .map(({ role, placements }) => ({ role, placements }));

/**
 * Why a substitute must not stand in for a product in a chart, in words: what its client must not meet, what
 * its look forbids, what is not meant for the steps it would be used in. Null where nothing speaks against
 * it. Asked of a chart as it is to be minded now; what the nearest is for one client may be the worst for
 * another.
 */
export function substituteRefused(
  chart: Chart,
  productId: string,
  parts: readonly Pick<Substitute['parts'][number], 'product'>[],
  kit: Kit,
): string | null {
  const context = contextOf(chart, kit);
  for (const step of stepsUsing(chart, productId))
    for (const { product } of parts) {
      const why = excludedBecause(product, { ...step, wants: { kinds: [product.kind] } }, context);
      if (why) return `${productName(product)}: ${why}`;
    }
  return null;
}

/**
 * The chart with a product replaced in every step that uses it, powder for cream laid where powder is; null
 * when none does.
 */
export function substituteInChart(chart: Chart, productId: string, substitute: Instead): Chart | null {
  const replaces = (use: Use): boolean => use.product.id === productId;
  const uses = (step: Step): boolean => step.use.some(replaces);
  if (!chart.steps.some(uses)) return null;
  const steps = chart.steps.map((step) => (uses(step) ? substituted(step, replaces, substitute) : step));
  return relaid(chart, { ...chart, steps });
}
