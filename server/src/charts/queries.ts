import { documentHash, type Chart } from '@toile/core';
import type { ChartAnswer, ChartSummary } from '@toile/contract';
import type { Tx } from '../db/connection';
import { found } from '../http/problem';

/** Newest version of each of a client's charts, newest first. */
export async function chartSummaries(tx: Tx, clientId: string): Promise<ChartSummary[]> {
  const rows = await tx
    .selectFrom('charts as c')
    .innerJoin('chart_versions as v', 'v.chart_id', 'c.id')
    .innerJoin('clients as p', 'p.id', 'c.client_id')
    .distinctOn('c.id')
    .select(['c.id', 'c.client_id', 'p.name', 'v.document', 'v.version', 'v.at', 'v.author'])
    .where('c.client_id', '=', clientId)
    .orderBy('c.id')
    .orderBy('v.version', 'desc')
    .execute();
  return rows
    .map((r) => ({
      id: r.id,
      clientId: r.client_id,
      clientName: r.name,
      lookName: r.document.look.name,
      version: r.version,
      date: r.document.occasion.date,
      occasion: r.document.occasion.kind,
      at: r.at.toISOString(),
      author: r.author,
    }))
    .sort((a, b) => b.date.localeCompare(a.date) || b.at.localeCompare(a.at));
}

/** The newest version's document, or null when there is no such chart. */
export async function newestVersion(tx: Tx, chartId: string): Promise<Chart | null> {
  const row = await tx.selectFrom('chart_versions').select('document').where('chart_id', '=', chartId).orderBy('version', 'desc').limit(1).executeTakeFirst();
  return row?.document ?? null;
}

/** A chart with its history and what happened at the chair with the version asked for (the newest by default). */
export async function chartAnswer(tx: Tx, chartId: string, version?: number): Promise<ChartAnswer> {
  const versions = await tx
    .selectFrom('chart_versions')
    .select(['version', 'author', 'at', 'reason', 'hash'])
    .where('chart_id', '=', chartId)
    .orderBy('version', 'desc')
    .execute();
  const wanted = version ?? versions[0]?.version;
  const row = found(
    wanted === undefined
      ? null
      : await tx.selectFrom('chart_versions').select('document').where('chart_id', '=', chartId).where('version', '=', wanted).executeTakeFirst(),
  );
  const events = await tx
    .selectFrom('chair_events')
    .select(['id', 'event'])
    .where('chart_id', '=', chartId)
    .where('version', '=', wanted!)
    .orderBy('seq')
    .execute();
  return {
    chart: row.document,
    events: events.map(({ id, event }) => ({ ...event, id })),
    versions: versions.map((v) => ({ ...v, at: v.at.toISOString() })),
  };
}

/** Adds a version row; the chart's own row must be there. Sealed with its hash. */
export async function insertVersion(tx: Tx, studioId: string, chart: Chart): Promise<Chart> {
  const { hash: _old, ...open } = chart;
  const sealed: Chart = { ...open, hash: documentHash(open) };
  await tx
    .insertInto('chart_versions')
    .values({
      studio_id: studioId,
      chart_id: chart.id,
      version: chart.version,
      document: JSON.stringify(sealed),
      hash: sealed.hash!,
      author: chart.author,
      reason: chart.reason,
      at: chart.at,
    })
    .execute();
  return sealed;
}
