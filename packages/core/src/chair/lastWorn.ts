import type { Chart } from '../look';
import { asWorn } from './asWorn';
import type { ChairEvent } from './event';
import { isSettled } from './progress';
import { sittingsOf } from './sittings';

/**
 * The chart as it was worn last: each step as in the last sitting in which it was done or skipped, with what
 * was said of it since. A step nobody did keeps all that was said of it.
 */
export function lastWorn(chart: Chart, events: readonly ChairEvent[]): Chart {
  const sittings = sittingsOf(events);
  if (sittings.length < 2) return asWorn(chart, events);
  return {
    ...chart,
    steps: chart.steps.map((step) => {
      const own = { ...chart, steps: [step] };
      const told = sittings.map((sitting) => sitting.filter(({ stepId }) => stepId === step.id));
      const last = told.findLastIndex((sitting) => asWorn(own, sitting).steps.some(isSettled));
      if (last < 0) return asWorn(own, told.flat()).steps[0] ?? step;
      const since = told.slice(last + 1).flat();
      const said = since.filter(({ kind }) => kind === 'deviation');
      return asWorn(own, [...told[last]!, ...said]).steps[0] ?? step;
    }),
  };
}
