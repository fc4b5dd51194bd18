import type { Chart, Step } from '../look';
import type { ChairEvent } from './event';

/**
 * The chart with what was really done written into its steps: what a repeat starts from. Events for unknown
 * steps, and those settled by a later one, are left out.
 */
export function asWorn(chart: Chart, events: readonly ChairEvent[]): Chart {
  const settled = new Set(events.flatMap((e) => e.settles ?? []));
  const valid = events.filter((e) => e.id === undefined || !settled.has(e.id));
  return {
    ...chart,
    steps: chart.steps.map((step) => valid.filter((e) => e.stepId === step.id).reduce(applied, step)),
  };
}

function applied(step: Step, event: ChairEvent): Step {
  const done = step.done ?? { ticked: false, at: event.at, by: event.by, deviations: [] };
  // Done or open again after all: it is not skipped any more.
  const deviations = done.deviations.filter(({ kind }) => kind !== 'skipped');
  switch (event.kind) {
    case 'done':
      return { ...step, done: { ...done, deviations, ticked: true, at: event.at, by: event.by } };
    case 'undone': {
      if (deviations.length > 0) return { ...step, done: { ...done, deviations, ticked: false } };
      const { done: _removed, ...rest } = step;
      return rest;
    }
    case 'deviation':
      return { ...step, done: { ...done, deviations: [...done.deviations, event.deviation] } };
  }
}
