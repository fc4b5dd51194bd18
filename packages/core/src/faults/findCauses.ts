import type { Kit } from '../kit';
import type { Chart, Step } from '../look';
import { reviewChart, type ReviewFinding } from '../review';
import { FAULTS, type Cause } from './faults';

export type LikelyCause = {
  readonly cause: Cause;
  /** Its share among the causes of what is seen, 0 to 1. */
  readonly share: number;
  /** What in this chart speaks for it; null when only experience does. */
  readonly because: string | null;
  /** The step it most likely sits in; null when the chart has none like it. */
  readonly step: Step | null;
};

/**
 * How much a cause gains when the chart shows it, and keeps when it could be seen in the chart and is not.
 * More than the most causes a fault has: what the chart shows leads, whatever is only usual.
 */
const SHOWN = 6;
const NOT_SHOWN = 0.4;
/**
 * How much it gains when it sits in the step at which the fault is seen, and keeps when the chart has no such
 * step.
 */
const SEEN_THERE = 1.6;
const NO_SUCH_STEP = 0.2;

/**
 * The causes of what is seen, likeliest first, for this chart: the order of experience, weighed by what the
 * review finds in the layers. Seen at a step, causes in that step come first. Throws a RangeError for a fault
 * it does not know.
 */
export function findCauses(
  chart: Chart,
  kit: Kit | null,
  faultId: string,
  seenAt: string | null = null,
): LikelyCause[] {
  return causesFrom(reviewChart(chart, kit), chart, faultId, seenAt);
}

/** The same from what the review found already. */
export function causesFrom(
  findings: readonly Pick<ReviewFinding, 'rule' | 'stepIds' | 'message'>[],
  chart: Chart,
  faultId: string,
  seenAt: string | null = null,
): LikelyCause[] {
  const fault = FAULTS.find((f) => f.id === faultId);
  if (!fault) throw new RangeError(`findCauses: nothing is known of “${faultId}”`);
  const weighed = fault.causes.map((cause, rank) => {
    const found =
      findings.find((f) => cause.rules.includes(f.rule) && (seenAt === null || f.stepIds.includes(seenAt))) ??
      findings.find((f) => cause.rules.includes(f.rule));
    const step = stepOf(chart, cause, found, seenAt);
    const shown = found ? SHOWN : cause.rules.length > 0 ? NOT_SHOWN : 1;
    const here = seenAt !== null && step?.id === seenAt ? SEEN_THERE : 1;
    return {
      cause,
      weight: ((step ? 1 : NO_SUCH_STEP) * shown * here) / (rank + 1),
      because: found?.message ?? null,
      step,
    };
  });
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed
    .map(({ weight, ...rest }) => ({ ...rest, share: weight / total }))
    .sort((a, b) => b.share - a.share);
}

function stepOf(
  chart: Chart,
  cause: Cause,
  found: Pick<ReviewFinding, 'stepIds'> | undefined,
  seenAt: string | null,
): Step | null {
  const own = chart.steps.filter((s) => s.variant === undefined);
  const byId = (id: string | undefined): Step | undefined => own.find((s) => s.id === id);
  const seen = byId(seenAt ?? undefined);
  const pointed = found?.stepIds.map(byId).filter((s) => s !== undefined) ?? [];
  return (
    pointed.find((s) => cause.roles.includes(s.role)) ??
    pointed[pointed.length - 1] ??
    (seen && cause.roles.includes(seen.role) ? seen : undefined) ??
    cause.roles.map((role) => ofRole(own, role)).find((s) => s !== undefined) ??
    null
  );
}

/**
 * The first step of a role; of care, which has many, the last one before something is laid: what lies
 * beneath.
 */
function ofRole(steps: readonly Step[], role: Step['role']): Step | undefined {
  if (role !== 'care') return steps.find((s) => s.role === role);
  const laid = steps.findIndex((s) => s.role !== 'care');
  return steps.slice(0, laid < 0 ? undefined : laid).findLast((s) => s.role === 'care');
}
