import type { Substitute } from '../shade';
import { snapshotOf } from '../kit';
import { MOST_DOSE, MOST_IN_A_STEP, type Chart, type Step, type Use } from './document';

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

/** The chart with a product replaced in every step that uses it; null when none does. */
export function substituteInChart(chart: Chart, productId: string, substitute: Substitute): Chart | null {
  const replaces = (use: Use): boolean => use.product.id === productId;
  const uses = (step: Step): boolean => step.use.some(replaces);
  if (!chart.steps.some(uses)) return null;
  return {
    ...chart,
    steps: chart.steps.map((step) => (uses(step) ? substituted(step, replaces, substitute) : step)),
  };
}
