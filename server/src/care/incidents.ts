import { addDays, dayIn, productName, productsMet, type Incident } from '@toile/core';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { write, type Services } from '../http/register';
import { daysTold } from '../studio/day';

/** The most incidents of one answer: more than anyone has. */
const MOST = 200;

/** What went wrong on a client, to be asked together with something else. */
export const incidentsQuery = (tx: Tx, clientId: string) =>
  tx
    .selectFrom('incidents')
    .select('document')
    .where('client_id', '=', clientId)
    .orderBy('at', 'desc')
    .limit(MOST);

/** Newest day first. */
export const incidentsOfRows = (rows: readonly { readonly document: Incident }[]): Incident[] =>
  rows.map(({ document }) => document).sort((a, b) => b.on.localeCompare(a.on) || b.at.localeCompare(a.at));

/** Incidents are written down and stay as they were written. */
export function registerIncidents(services: Services): void {
  write(services, 'createIncident', async ({ tx, caller, body, params, now }) => {
    found(await tx.selectFrom('clients').select('id').where('id', '=', params.id).executeTakeFirst());
    const { chart, used } = await whatWasUsed(tx, params.id, body.chartId, body.on);
    const suspected = await Promise.all(
      [...new Set(body.suspected)].map(async (productId) => {
        const row = await tx
          .selectFrom('products')
          .select('document')
          .where('id', '=', productId)
          .executeTakeFirst();
        return { productId, product: productName(found(row).document) };
      }),
    );
    const incident: Incident = {
      id: body.id,
      clientId: params.id,
      on: body.on,
      seen: body.seen,
      done: body.done,
      chart,
      used,
      suspected,
      by: caller.name,
      at: now.toISOString(),
    };
    const inserted = await tx
      .insertInto('incidents')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        client_id: params.id,
        document: JSON.stringify(incident),
        at: now,
      })
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return { status: 201, body: incident, subject: body.id };
  });
}

/**
 * A client's chart in the version worn last on that day, else in its newest, and every product they may have
 * met by what was worn; nothing where no chart was named.
 */
async function whatWasUsed(
  tx: Tx,
  clientId: string,
  chartId: string | null,
  on: string,
): Promise<Pick<Incident, 'chart' | 'used'>> {
  if (chartId === null) return { chart: null, used: [] };
  const near = await tx
    .selectFrom('chair_events')
    .select(['version', 'event', 'at'])
    .where('chart_id', '=', chartId)
    .where('at', '>=', new Date(`${addDays(on, -1)}T00:00:00Z`))
    .where('at', '<', new Date(`${addDays(on, 2)}T00:00:00Z`))
    .orderBy('seq')
    .execute();
  // A trial and the day itself may follow one another: what was told that day speaks, where anything was.
  const { zone } = await daysTold(tx);
  const thatDay = near.filter(({ at }) => dayIn(zone, at) === on);
  const told = thatDay.length > 0 ? thatDay : near;
  const worn = [...new Set(told.map(({ version }) => version))];
  const rows = await tx
    .selectFrom('chart_versions as v')
    .innerJoin('charts as c', 'c.id', 'v.chart_id')
    .select('v.document')
    .where('c.client_id', '=', clientId)
    .where('v.chart_id', '=', chartId)
    .$if(worn.length > 0, (query) => query.where('v.version', 'in', worn))
    .$if(worn.length === 0, (query) => query.limit(1))
    .orderBy('v.version', 'desc')
    .execute();
  const { document } = found(rows[0]);
  // A chart may have been saved anew while it was worked: both were met.
  const used = productsMet(
    { steps: rows.flatMap((row) => row.document.steps) },
    told.map(({ event }) => event),
  );
  return {
    chart: { id: document.id, version: document.version },
    used: used.map((product) => ({ productId: product.id, product: productName(product) })),
  };
}
