import { asWorn, type ChairEvent, type Chart, type Kit, type Step } from '@toile/core';

/** Steps still to do, and the first of them. */
export function progressOf(
  chart: Chart,
  events: readonly ChairEvent[],
): { readonly worn: Chart; readonly doneCount: number; readonly nextIndex: number; readonly minutesLeft: number } {
  const worn = asWorn(chart, events);
  const open = worn.steps.map((step, i) => ({ step, i })).filter(({ step }) => !isSettled(step));
  return {
    worn,
    doneCount: worn.steps.length - open.length,
    nextIndex: open[0]?.i ?? worn.steps.length,
    minutesLeft: open.reduce((sum, { step }) => sum + step.handsOnMinutes, 0),
  };
}

/** Ticked, or skipped on purpose. */
export function isSettled(step: Step): boolean {
  return step.done !== undefined && (step.done.ticked || step.done.deviations.some((d) => d.kind === 'skipped'));
}

/** Where a product is in the cases: 'case 2, C4'. */
export function placeInKit(step: Step, kit: Kit | undefined): string | null {
  const places = step.use.flatMap((u) => kit?.units.find((unit) => unit.id === u.unitId)?.place ?? []);
  return places.length > 0 ? places.join(' and ') : null;
}

/** '1:10' of seconds. */
export function clockOf(seconds: number): string {
  const s = Math.max(0, Math.ceil(seconds));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}
