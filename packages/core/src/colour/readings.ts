import { median } from '../math';
import { deltaE2000 } from './deltaE2000';
import { depthOf } from './depth';
import type { Lab } from './lab';

export type SampleSummary = {
  /** Mean of the samples kept. */
  readonly lab: Lab;
  readonly keptCount: number;
  /** One entry per sample given: true when it was set aside as an outlier. */
  readonly dropped: readonly boolean[];
  /** Root mean square distance of the kept samples from their mean, in CIELAB units. */
  readonly spread: number;
  /** Uncertainty of the mean: spread / sqrt(kept). */
  readonly uncertainty: number;
  /** How many more samples until the uncertainty is expected under `wanted`; 0 when it is. */
  readonly moreNeeded: number;
};

export type SummaryOptions = {
  /** The uncertainty to aim for, in CIELAB units. Lower asks for more samples. */
  readonly wanted?: number;
  /** No mean is trusted below this number of kept samples. */
  readonly minimum?: number;
};

/** The smallest distance at which a sample can be an outlier: about four times a reader's repeatability. */
const OUTLIER_FLOOR = 1.5;
/** Typical spread from placing the reader again: expected before enough samples tell their own. */
const TYPICAL_SPREAD = 1.08;
/** Nobody holds still for more: past this the spread is the skin's, not the reader's. */
const MOST_SAMPLES = 8;
const MOST_SAMPLES_STRICT = 12;

/**
 * Summarises repeated readings of one zone: a sample further from the channel-wise median than
 * max(1.5, 2.5 times the median distance) is dropped, the rest are averaged. `null` without samples.
 */
export function summariseReadings(
  samples: readonly Lab[],
  options: SummaryOptions = {},
): SampleSummary | null {
  if (samples.length === 0) return null;
  const wanted = options.wanted ?? 0.5;
  const minimum = options.minimum ?? 3;
  const centre: Lab = [
    median(samples.map((s) => s[0])),
    median(samples.map((s) => s[1])),
    median(samples.map((s) => s[2])),
  ];
  const distances = samples.map((s) => euclidean(s, centre));
  const limit = Math.max(OUTLIER_FLOOR, 2.5 * median(distances));
  const dropped = distances.map((d) => samples.length >= 3 && d > limit);
  const kept = samples.filter((_, i) => !dropped[i]);
  const lab: Lab = [mean(kept, 0), mean(kept, 1), mean(kept, 2)];
  const sumSquares = kept.reduce((sum, s) => sum + euclidean(s, lab) ** 2, 0);
  const spread = kept.length > 1 ? Math.sqrt(sumSquares / (kept.length - 1)) : TYPICAL_SPREAD;
  const uncertainty = spread / Math.sqrt(kept.length);
  const needed = Math.min(
    wanted < 0.5 ? MOST_SAMPLES_STRICT : MOST_SAMPLES,
    Math.max(minimum, Math.ceil((spread / wanted) ** 2)),
  );
  return {
    lab,
    keptCount: kept.length,
    dropped,
    spread,
    uncertainty,
    moreNeeded: Math.max(0, needed - kept.length),
  };
}

function mean(labs: readonly Lab[], channel: 0 | 1 | 2): number {
  return labs.reduce((sum, lab) => sum + lab[channel], 0) / labs.length;
}

function euclidean(a: Lab, b: Lab): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}

export type Drift = {
  readonly deltaE: number;
  /** Shade steps by which the skin is deeper now (negative: lighter). */
  readonly stepsDeeper: number;
};

/** How far a zone has moved between two readings. */
export function driftBetween(before: Lab, now: Lab): Drift {
  return { deltaE: deltaE2000(before, now), stepsDeeper: depthOf(now) - depthOf(before) };
}
