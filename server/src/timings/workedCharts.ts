import type { ChairEvent, Chart } from '@toile/core';
import type { Tx } from '../db/connection';

/** A chart as it was planned, and what was told of it at the chair. */
export type WorkedChart = { readonly chart: Chart; readonly told: readonly ChairEvent[] };

/** The charts a studio worked last, the newest first: what hands do is learned from these. */
export async function workedCharts(tx: Tx, most: number): Promise<WorkedChart[]> {
  const worked = await tx
    .selectFrom('chair_events')
    .select((eb) => ['chart_id', 'version', eb.fn.max('seq').as('last')])
    .groupBy(['chart_id', 'version'])
    .orderBy('last', 'desc')
    .limit(most)
    .execute();
  if (worked.length === 0) return [];
  const of = <T extends { chart_id: string; version: number }>(
    rows: readonly T[],
    one: { chart_id: string; version: number },
  ): T[] => rows.filter((r) => r.chart_id === one.chart_id && r.version === one.version);
  const ids = worked.map((w) => w.chart_id);
  const versions = await tx
    .selectFrom('chart_versions')
    .select(['chart_id', 'version', 'document'])
    .where('chart_id', 'in', ids)
    .execute();
  const events = await tx
    .selectFrom('chair_events')
    .select(['chart_id', 'version', 'event'])
    .where('chart_id', 'in', ids)
    .orderBy('seq')
    .execute();
  return worked.flatMap((one) => {
    const chart = of(versions, one)[0]?.document;
    return chart ? [{ chart, told: of(events, one).map((row) => row.event) }] : [];
  });
}
