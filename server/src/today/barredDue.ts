import { barredIn, mindedNow, msg, notedBy, productName, type Chart, type NotedRecord } from '@toile/core';
import type { DueItem, VisitAnswer } from '@toile/contract';

/** What is noted of somebody who comes. */
export type NotedClient = NotedRecord & { readonly id: string; readonly name: string };

/** More are found by opening the chart. */
const MOST_TOLD = 2;

/**
 * Charts of coming visits that hold what their client must not have by what is noted now, in one line a
 * chart: noted after it was made, or never looked at. The review of the chart says the same, to whoever opens
 * it.
 */
export function barredDue(
  visits: readonly VisitAnswer[],
  charts: readonly Chart[],
  clients: readonly NotedClient[],
  today: string,
  now: Date,
): DueItem[] {
  const coming = new Set(visits.flatMap(({ chartId }) => chartId ?? []));
  return charts.flatMap((written): DueItem[] => {
    const client = clients.find(({ id }) => id === written.client.id);
    if (!client || !coming.has(written.id)) return [];
    const chart = mindedNow(written, notedBy(client, today, now));
    const told = barredIn(chart.steps, chart.client).map(
      ({ step, product, why }) => msg`${step.title}: ${productName(product)} ${why}`,
    );
    const each = [...new Set(told)];
    if (each.length === 0) return [];
    const more = each.length - MOST_TOLD;
    const words = `${client.name}: ${each.slice(0, MOST_TOLD).join('; ')}`;
    return [
      {
        kind: 'barred',
        words: more > 0 ? msg`${words}; and ${more} more` : words,
        clientId: client.id,
        chartId: chart.id,
      },
    ];
  });
}
