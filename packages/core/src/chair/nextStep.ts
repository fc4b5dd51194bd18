import type { Look, Step } from '../look';
import { linksOf } from '../order';
import type { Features, Landmarks } from '../face';

/** A wait that runs: which step dries, and until when, in any clock's minutes. */
export type RunningWait = { readonly stepId: string; readonly untilMinutes: number };

export type NextStep = {
  /** Index of the step to work now. */
  readonly index: number;
  /**
   * Why it is not simply the next one of the list: what is still drying under that one; null when nothing is
   * woven in.
   */
  readonly whileDrying: Step | null;
  /** Minutes its own wait still runs when nothing else can be worked. */
  readonly waitMinutes: number;
};

/**
 * What the hands can work now: the first open step everything under which is done and dry; while the next of
 * the list still dries, a later one that does not touch it. When all wait, the one free soonest, with its
 * minutes. Null when every step is settled.
 */
export function nextStep(
  steps: readonly Step[],
  settled: ReadonlySet<string>,
  waits: readonly RunningWait[],
  nowMinutes: number,
  client: { readonly landmarks: Landmarks; readonly features: Features },
  schools: Look['schools'],
): NextStep | null {
  const open = steps.flatMap((step, i) => (settled.has(step.id) ? [] : [i]));
  const first = open[0];
  if (first === undefined) return null;
  const links = linksOf(steps, client, schools);
  const left = (i: number): number =>
    Math.max(0, ...waits.filter((w) => w.stepId === steps[i]!.id).map((w) => w.untilMinutes - nowMinutes));
  // Minutes until a step may start, or null while something under it is not done.
  const free = (j: number): number | null => {
    const under = links.filter((l) => l.to === j);
    if (under.some((l) => !settled.has(steps[l.from]!.id))) return null;
    return Math.max(0, ...under.filter((l) => l.lagMinutes > 0).map((l) => left(l.from)));
  };
  const ready = open
    .map((index) => ({ index, minutes: free(index) }))
    .filter((s): s is { index: number; minutes: number } => s.minutes !== null);
  const now = ready.find((s) => s.minutes === 0);
  const drying = links.find((l) => l.to === first && l.lagMinutes > 0 && left(l.from) > 0);
  if (now)
    return {
      index: now.index,
      whileDrying: now.index === first || !drying ? null : steps[drying.from]!,
      waitMinutes: 0,
    };
  const soonest = ready.reduce<{ index: number; minutes: number } | null>(
    (best, s) => (best && best.minutes <= s.minutes ? best : s),
    null,
  );
  return soonest
    ? { index: soonest.index, whileDrying: null, waitMinutes: soonest.minutes }
    : { index: first, whileDrying: null, waitMinutes: 0 };
}
