import { isOfTrial, workedIn, type Chart, type Step } from '../look';
import { usedInStep } from './amountsUsed';
import { asWorn } from './asWorn';
import type { ChairEvent } from './event';
import { variantWorked } from './progress';
import { sittingNear } from './sittings';

/** A sitting so many hours from when a face was put on is that face's. */
const SAME_FACE_HOURS = 12;

/**
 * The chart as it was put on at an instant, as a plan: in the variant that was worked, with what was really
 * used, without what was skipped. A step nobody ticked is taken to have been done as planned. Halves of a
 * trial stand for nothing.
 */
export function asUsed(chart: Chart, events: readonly ChairEvent[], appliedAt: string): Chart {
  const putOn = Date.parse(appliedAt);
  const sitting = sittingNear(events, putOn) ?? [];
  const near = sitting.some(({ at }) => Math.abs(Date.parse(at) - putOn) <= SAME_FACE_HOURS * 3_600_000)
    ? sitting
    : [];
  const looks = { ...chart, steps: chart.steps.filter((step) => !isOfTrial(step)) };
  const worked = workedIn(looks, variantWorked(looks, near));
  return { ...worked, steps: asWorn(worked, near).steps.flatMap(asLaid) };
}

function asLaid(step: Step): Step[] {
  const { done, ...plan } = step;
  if (done?.deviations.some(({ kind }) => kind === 'skipped')) return [];
  return [done?.ticked ? { ...plan, use: [...usedInStep(step)] } : plan];
}
