import { compactFrom, lessonFrom, type Chart } from '@toile/core';
import type { StudioBundle } from '@toile/contract';
import { idFor } from './ids';

/** A compact a client took home with a lesson of twenty minutes, in tins of two rows of three. */
export function compactFor(chart: Chart, today: string): StudioBundle['compacts'][number] {
  const stepIds = lessonFrom(chart, { minutes: 20 }).steps.map(({ stepId }) => stepId);
  const key = `compact ${chart.client.name}`;
  const { compact } = compactFrom(
    chart,
    stepIds,
    { perWeek: 3, rows: 2, columns: 3, by: 'order of use' },
    { id: idFor(key), tins: Array.from({ length: 6 }, (_, i) => idFor(`${key} tin ${i + 1}`)), today },
  );
  return {
    compact,
    clientId: chart.client.id,
    chartId: chart.id,
    version: chart.version,
    madeBy: 'Teodor Marsh',
    madeAt: `${today}T08:30:00.000Z`,
  };
}
