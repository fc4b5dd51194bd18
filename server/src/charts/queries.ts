import { sql } from 'kysely';
import { documentHash, type Chart } from '@toile/core';
import type { ChartAnswer, ChartSummary } from '@toile/contract';
import type { Tx } from '../db/connection';
import { instant, together } from '../db/together';
import { found } from '../http/problem';
import { eventOfRow } from './events';
import { carriedOfRows, earlierDocuments, earlierEvents, versionAsked } from './told';

/** The newest version of each of a client's charts, to be asked together with something else. */
export const chartSummariesQuery = (clientId: string) => sql<ChartSummary>`
    (select distinct on (c.id) c.id, c.client_id as "clientId", p.name as "clientName",
      v.document #>> '{look,name}' as "lookName", v.version, v.document #>> '{occasion,date}' as date,
      v.document #>> '{occasion,kind}' as occasion, v.document ->> 'at' as at, v.author
    from charts c join chart_versions v on v.chart_id = c.id join clients p on p.id = c.client_id
    where c.client_id = ${clientId} order by c.id, v.version desc)`;

/** Newest first. */
export const chartSummariesOfRows = (rows: readonly ChartSummary[]): ChartSummary[] =>
  [...rows].sort((a, b) => b.date.localeCompare(a.date) || b.at.localeCompare(a.at));

/** A chart's line in a list. */
export function summaryOf(chart: Chart): ChartSummary {
  const { id, client, look, version, occasion, at, author } = chart;
  return {
    id,
    clientId: client.id,
    clientName: client.name,
    lookName: look.name,
    version,
    date: occasion.date,
    occasion: occasion.kind,
    at,
    author,
  };
}

/** The newest version's document, or null when there is no such chart. */
export async function newestVersion(tx: Tx, chartId: string): Promise<Chart | null> {
  const row = await tx
    .selectFrom('chart_versions')
    .select('document')
    .where('chart_id', '=', chartId)
    .orderBy('version', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row?.document ?? null;
}

/**
 * A chart with its history and what happened at the chair with the version asked for (the newest by default),
 * and with what of the versions before it stands in it.
 */
export async function chartAnswer(tx: Tx, chartId: string, version?: number): Promise<ChartAnswer> {
  const wanted = versionAsked(tx, chartId, version);
  const { versions, documents, events, before, beforeDocuments } = await together(tx, {
    versions: tx
      .selectFrom('chart_versions')
      .select((eb) => [
        'version',
        'author',
        'at',
        'reason',
        'hash',
        eb
          .exists(
            eb
              .selectFrom('chair_events as e')
              .select('e.id')
              .whereRef('e.chart_id', '=', 'chart_versions.chart_id')
              .whereRef('e.version', '=', 'chart_versions.version'),
          )
          .$castTo<boolean>()
          .as('worked'),
      ])
      .where('chart_id', '=', chartId)
      .orderBy('version', 'desc'),
    documents: tx
      .selectFrom('chart_versions')
      .select('document')
      .where('chart_id', '=', chartId)
      .where('version', '=', wanted),
    events: tx
      .selectFrom('chair_events')
      .select(['id', 'event'])
      .where('chart_id', '=', chartId)
      .where('version', '=', wanted)
      .orderBy('seq'),
    before: earlierEvents(tx, chartId, wanted),
    beforeDocuments: earlierDocuments(tx, chartId, wanted),
  });
  const chart = found(documents[0]).document;
  const carried = carriedOfRows(chart, before, beforeDocuments);
  return {
    chart,
    events: events.map(eventOfRow),
    ...(carried.length > 0 ? { carried } : {}),
    versions: versions.map((v) => ({ ...v, at: instant(v.at) })),
  };
}

/** One version's document; throws where there is none. */
export async function chartVersion(tx: Tx, chartId: string, version: number): Promise<Chart> {
  const row = await tx
    .selectFrom('chart_versions')
    .select('document')
    .where('chart_id', '=', chartId)
    .where('version', '=', version)
    .executeTakeFirst();
  return found(row).document;
}

/** A version as its row, sealed with its hash. */
export function versionRow(studioId: string, chart: Chart) {
  const sealed = sealedChart(chart);
  return {
    studio_id: studioId,
    chart_id: chart.id,
    version: chart.version,
    document: JSON.stringify(sealed),
    hash: sealed.hash,
    author: chart.author,
    reason: chart.reason,
    at: chart.at,
  };
}

function sealedChart(chart: Chart): Chart & { hash: string } {
  const { hash: _old, ...open } = chart;
  return { ...open, hash: documentHash(open) };
}

/** Adds a version; the chart's own row must be there. Gives it sealed with its hash. */
export async function insertVersion(tx: Tx, studioId: string, chart: Chart): Promise<Chart> {
  await tx.insertInto('chart_versions').values(versionRow(studioId, chart)).execute();
  return sealedChart(chart);
}
