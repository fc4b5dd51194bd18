import { sql } from 'kysely';
import {
  carriedInto,
  isSameWork,
  sittingsOf,
  type Chart,
  type RecordedEvent,
  type Sitting,
} from '@toile/core';
import type { Tx } from '../db/connection';
import { eventOfRow } from './events';

/** A sitting of which nothing was told for so long when a version was saved was over then, hours. */
const LOOKED_BACK_HOURS = 24;

/** What was told lately with versions before one, when that was saved; to be asked beside other things. */
export const earlierEvents = (tx: Tx, chartId: string, version: Version) =>
  tx
    .selectFrom('chair_events as e')
    .select(['e.version', 'e.id', 'e.event'])
    .where('e.chart_id', '=', chartId)
    .where('e.version', '<', version)
    .where('e.at', '>', (eb) =>
      eb
        .selectFrom('chart_versions as v')
        .select(sql<Date>`v.at - make_interval(hours => ${LOOKED_BACK_HOURS})`.as('since'))
        .where('v.chart_id', '=', chartId)
        .where('v.version', '=', version),
    )
    .orderBy('e.seq');

/** The documents of the versions those were told with. */
export const earlierDocuments = (tx: Tx, chartId: string, version: Version) =>
  tx
    .selectFrom('chart_versions as d')
    .select('d.document')
    .where('d.chart_id', '=', chartId)
    .where('d.version', 'in', (eb) =>
      eb.selectFrom(earlierEvents(tx, chartId, version).as('told')).select('told.version'),
    )
    .orderBy('d.version');

type Version = number | ReturnType<typeof versionAsked>;

/** The version asked for, else the newest. */
export const versionAsked = (tx: Tx, chartId: string, version?: number) =>
  tx
    .selectFrom('chart_versions')
    .select('version')
    .where('chart_id', '=', chartId)
    .$if(version !== undefined, (query) => query.where('version', '=', version!))
    .orderBy('version', 'desc')
    .limit(1);

type EventRow = Parameters<typeof eventOfRow>[0] & { readonly version: number };

/** What of that stands in a version. */
export const carriedOfRows = (
  chart: Chart,
  events: readonly EventRow[],
  documents: readonly { readonly document: Chart }[],
): readonly RecordedEvent[] =>
  carriedInto(
    chart,
    documents.map(({ document }) => ({
      chart: document,
      events: events.filter(({ version }) => version === document.version).map(eventOfRow),
    })),
  );

/** All that was told of a version: with it, and what stands in it of what was told before it was saved. */
export async function toldOf(tx: Tx, chart: Chart): Promise<readonly RecordedEvent[]> {
  const own = await tx
    .selectFrom('chair_events')
    .select(['id', 'event'])
    .where('chart_id', '=', chart.id)
    .where('version', '=', chart.version)
    .orderBy('seq')
    .execute();
  const earlier = await earlierEvents(tx, chart.id, chart.version).execute();
  if (earlier.length === 0) return own.map(eventOfRow);
  const documents = await earlierDocuments(tx, chart.id, chart.version).execute();
  return [...carriedOfRows(chart, earlier, documents), ...own.map(eventOfRow)];
}

/** One step's work: the versions in which it is the same, and what was told of it with them, by sitting. */
export type StepTold = {
  readonly versions: readonly number[];
  readonly sittings: readonly Sitting<RecordedEvent>[];
};

/** What was told of a step of a version at each sitting, also with versions in which it is the same work. */
export async function stepTold(tx: Tx, chart: Chart, stepId: string): Promise<StepTold> {
  const rows = await tx
    .selectFrom('chair_events')
    .select(['id', 'version', 'step_id', 'event'])
    .where('chart_id', '=', chart.id)
    .orderBy('seq')
    .execute();
  const others = [...new Set(rows.filter((row) => row.step_id === stepId).map((row) => row.version))].filter(
    (version) => version !== chart.version,
  );
  const documents =
    others.length === 0
      ? []
      : await tx
          .selectFrom('chart_versions')
          .select('document')
          .where('chart_id', '=', chart.id)
          .where('version', 'in', others)
          .execute();
  const step = chart.steps.find(({ id }) => id === stepId);
  const same = documents.filter(({ document }) =>
    document.steps.some((other) => step !== undefined && isSameWork(step, other)),
  );
  const versions = [chart.version, ...same.map(({ document }) => document.version)];
  const counted = new Set(
    rows.filter((row) => row.step_id === stepId && versions.includes(row.version)).map((row) => row.id),
  );
  // When a sitting began and ended is told by all its steps.
  return {
    versions,
    sittings: sittingsOf(rows.map(eventOfRow)).map((sitting) => sitting.filter(({ id }) => counted.has(id))),
  };
}
