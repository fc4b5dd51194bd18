import type { Chart, Refit, RefitChange } from '@toile/core';

/** Changes that are a choice; the rest is only told. */
export const isChoice = (change: RefitChange): boolean => change.kind === 'remix' || change.kind === 'substitute';

/** The refitted chart with only the accepted changes; what was refused keeps the product it had. */
export function accepted(refit: Refit, worn: Chart, refused: ReadonlySet<string>): Chart {
  return {
    ...refit.chart,
    steps: refit.chart.steps.map((step) => {
      const before = worn.steps.find((s) => s.id === step.id);
      return refused.has(step.id) && before ? { ...step, use: before.use } : step;
    }),
  };
}

/** '3 changes, 14 kept'. */
export function summaryOf(changes: readonly RefitChange[]): string {
  const choices = changes.filter(isChoice).length;
  const kept = changes.filter((c) => c.kind === 'keep').length;
  return `${choices} ${choices === 1 ? 'change' : 'changes'}, ${kept} kept`;
}

/** Why a version was made, when nothing else was written. */
export function reasonFor(refit: Refit, date: string): string {
  const drift = refit.drift;
  const moved =
    drift && Math.abs(drift.stepsDeeper) >= 0.15
      ? `; skin ${Math.abs(drift.stepsDeeper).toFixed(1)} steps ${drift.stepsDeeper > 0 ? 'deeper' : 'lighter'}`
      : '';
  return `Repeated as worn for ${date}${moved}`;
}
