import type { Chart, Step, Use } from '../look';
import { asWorn } from './asWorn';
import type { ChairEvent } from './event';

/**
 * What a step really used as recorded at the chair: nothing before it is ticked, nothing when it was skipped.
 */
export function usedInStep(step: Step): readonly Use[] {
  if (!step.done?.ticked) return [];
  let use: readonly Use[] = step.use;
  for (const deviation of step.done.deviations) {
    if (deviation.kind === 'skipped') return [];
    if (deviation.kind === 'other product' && deviation.use) use = deviation.use;
    const planned = use.reduce((sum, u) => sum + u.parts, 0);
    if (deviation.kind === 'amount' && deviation.measures !== undefined && planned > 0)
      use = use.map((u) => ({ ...u, parts: (u.parts * deviation.measures!) / planned }));
  }
  return use;
}

/** Mg taken from each unit by one step of a chart, by what happened at the chair at each sitting so far. */
export function takenFromUnits(
  chart: Chart,
  stepId: string,
  sittings: readonly (readonly ChairEvent[])[],
): ReadonlyMap<string, number> {
  const plan = chart.steps.filter((s) => s.id === stepId);
  const taken = new Map<string, number>();
  for (const events of sittings)
    for (const { unitId, parts, product } of asWorn({ ...chart, steps: plan }, events).steps.flatMap(
      usedInStep,
    ))
      if (unitId) taken.set(unitId, (taken.get(unitId) ?? 0) + parts * product.mgPerMeasure);
  return taken;
}
