import { isDay } from '@toile/core';
import type { ChartSummary, IncidentInput } from '@toile/contract';

/** The chart most likely worn on a day: the last for that day or one before it, else the nearest to come. */
export function chartOfDay<C extends Pick<ChartSummary, 'id' | 'date'>>(
  charts: readonly C[],
  day: string,
): C | undefined {
  const newestFirst = [...charts].sort((a, b) => b.date.localeCompare(a.date));
  return newestFirst.find(({ date }) => date <= day) ?? newestFirst.at(-1);
}

/** What another day changes: its chart too, unless another was chosen by hand. */
export function movedTo(
  charts: readonly Pick<ChartSummary, 'id' | 'date'>[],
  form: Pick<IncidentInput, 'on' | 'chartId'>,
  on: string,
): Partial<IncidentInput> {
  const byDay = (day: string): string | null => chartOfDay(charts, day)?.id ?? null;
  if (!isDay(on) || form.chartId !== byDay(form.on) || form.chartId === byDay(on)) return { on };
  return { on, chartId: byDay(on), suspected: [] };
}
