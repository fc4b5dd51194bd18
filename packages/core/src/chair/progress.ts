import type { Chart, Step } from '../look';
import { asWorn } from './asWorn';
import type { ChairEvent } from './event';
import { nextStep, type NextStep, type RunningWait } from './nextStep';

/** How far a chart has come at the chair. */
export type Progress = {
  readonly worn: Chart;
  readonly doneCount: number;
  /** The first step still open; as many as there are steps when none is. */
  readonly nextIndex: number;
  /** Hands-on minutes of what is open. */
  readonly minutesLeft: number;
};

/** Steps still to do, and the first of them. */
export function progressOf(chart: Chart, events: readonly ChairEvent[]): Progress {
  const worn = asWorn(chart, events);
  const open = worn.steps.map((step, i) => ({ step, i })).filter(({ step }) => !isSettled(step));
  return {
    worn,
    doneCount: worn.steps.length - open.length,
    nextIndex: open[0]?.i ?? worn.steps.length,
    minutesLeft: open.reduce((sum, { step }) => sum + step.handsOnMinutes, 0),
  };
}

/**
 * The variant a chart is worked in by what was told: that of the newest tick or skip of a variant's own step;
 * null for the plan, also where all that was ticked of a variant was opened again.
 */
export function variantWorked(chart: Chart, events: readonly ChairEvent[]): string | null {
  const told = asWorn(chart, events).steps.flatMap((step) =>
    step.variant !== undefined && step.done && isSettled(step)
      ? [{ variant: step.variant, at: step.done.at }]
      : [],
  );
  const newest = told.reduce<(typeof told)[number] | null>(
    (last, one) => (last === null || Date.parse(one.at) >= Date.parse(last.at) ? one : last),
    null,
  );
  return newest?.variant ?? null;
}

/** Ticked, or skipped on purpose. */
export function isSettled(step: Step): boolean {
  return (
    step.done !== undefined && (step.done.ticked || step.done.deviations.some((d) => d.kind === 'skipped'))
  );
}

/** A wait that runs, with the step's title. */
export type DryingStep = RunningWait & { readonly title: string };

/** What is asked of a step to know when it is dry. */
export type Drying = Pick<Step, 'id' | 'title' | 'waitMinutes' | 'done'>;

/** Steps that still dry: ticked, and their wait not over. Minutes by the clock since 1970. */
export function waitsAt(steps: readonly Drying[], nowMs: number): readonly DryingStep[] {
  return steps.flatMap((step) => {
    if (!step.done?.ticked || step.waitMinutes === 0) return [];
    const untilMinutes = Date.parse(step.done.at) / 60_000 + step.waitMinutes;
    return untilMinutes * 60_000 > nowMs ? [{ stepId: step.id, title: step.title, untilMinutes }] : [];
  });
}

/** Steps whose wait ended after one moment and by another, ms since 1970. */
export function driedBetween(steps: readonly Drying[], afterMs: number, byMs: number): readonly DryingStep[] {
  return waitsAt(steps, afterMs).filter(({ untilMinutes }) => untilMinutes * 60_000 <= byMs);
}

/** When the last running wait is over, ms since 1970; 0 when none was started. */
export function lastDryAt(steps: readonly Drying[]): number {
  return Math.max(0, ...waitsAt(steps, 0).map((w) => w.untilMinutes * 60_000));
}

/** The step to work next once `also` is done too; null when all is done. */
export function nextAfter(worn: Chart, also: Step | null, nowMs: number): NextStep | null {
  const steps = also ? worn.steps.map((s) => (s.id === also.id ? ticked(s, nowMs) : s)) : worn.steps;
  const settled = new Set(steps.filter(isSettled).map((s) => s.id));
  return nextStep(steps, settled, waitsAt(steps, nowMs), nowMs / 60_000, worn.client, worn.schools);
}

const ticked = (step: Step, nowMs: number): Step => ({
  ...step,
  done: { deviations: [], by: '', ...step.done, ticked: true, at: new Date(nowMs).toISOString() },
});
