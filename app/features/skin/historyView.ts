import { depthOf, driftBetween, msg, skinTarget, type Lab, type Skin, type SkinZone } from '@toile/core';
import type { ReadingAnswer } from '@toile/contract';

export type HistoryPoint = { readonly at: string; readonly lab: Lab; readonly depth: number };

/** Whole face, neck and decollete together, or one zone. */
export type HistoryOf = SkinZone | 'whole';

const labOf = (skin: Skin, of: HistoryOf): Lab | null =>
  of === 'whole' ? skinTarget(skin) : (skin[of] ?? null);

/** A zone over time, oldest first; readings without it are left out. */
export function historyOf(readings: readonly ReadingAnswer[], of: HistoryOf): HistoryPoint[] {
  return readings
    .flatMap(({ at, skin }) => {
      const lab = labOf(skin, of);
      return lab ? [{ at, lab, depth: depthOf(lab) }] : [];
    })
    .sort((a, b) => a.at.localeCompare(b.at));
}

/** Less than this is within the reader's own noise. */
const SEEN = 0.5;

/** What has changed between two colours and what that means for her shades, in sentences. */
export function driftInWords(before: Lab, now: Lab, since: string): string {
  const { deltaE, stepsDeeper } = driftBetween(before, now);
  if (deltaE < SEEN) return msg`Since ${since}: no change that would be seen. The shades still hold.`;
  const steps = Math.abs(stepsDeeper);
  const depth =
    steps < 0.15
      ? msg`no deeper or lighter`
      : msg`${steps.toFixed(1)} shade steps ${stepsDeeper > 0 ? msg`deeper` : msg`lighter`}`;
  const meaning =
    steps >= 0.8
      ? msg`Take the next shade, or mix towards it.`
      : steps >= 0.3
        ? msg`Mix a little towards it; half a step is seen at the neck.`
        : deltaE >= 2
          ? msg`Depth holds, the hue has moved: match again.`
          : msg`The shades still hold.`;
  return msg`Since ${since}: ${deltaE.toFixed(1)} different, ${depth}. ${meaning}`;
}
