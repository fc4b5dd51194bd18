import type { ChartSummary } from '@toile/contract';

/** The chart most likely worn on a day: the last for that day or one before it, else the nearest to come. */
export function chartOfDay<C extends Pick<ChartSummary, 'id' | 'date'>>(
  charts: readonly C[],
  day: string,
): C | undefined {
  const newestFirst = [...charts].sort((a, b) => b.date.localeCompare(a.date));
  return newestFirst.find(({ date }) => date <= day) ?? newestFirst.at(-1);
}
