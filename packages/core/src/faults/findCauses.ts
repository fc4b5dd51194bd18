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
 */
const SHOWN = 4;
const NOT_SHOWN = 0.4;

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
  const fault = FAULTS.find((f) => f.id === faultId);
  if (!fault) throw new RangeError(`findCauses: nothing is known of “${faultId}”`);
  const findings = reviewChart(chart, kit);
  const weighed = fault.causes.map((cause, rank) => {
    const found =
      findings.find((f) => cause.rules.includes(f.rule) && (seenAt === null || f.stepIds.includes(seenAt))) ??
      findings.find((f) => cause.rules.includes(f.rule));
    const step = stepOf(chart, cause, found, seenAt);
    const shown = found ? SHOWN : cause.rules.length > 0 ? NOT_SHOWN : 1;
    const here = seenAt !== null && step?.id === seenAt ? 1.6 : 1;
    return {
      cause,
      weight: ((step ? 1 : 0.2) * (shown * here)) / (rank + 1),
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
  found: ReviewFinding | undefined,
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
    cause.roles.map((role) => own.find((s) => s.role === role)).find((s) => s !== undefined) ??
    null
  );
}
