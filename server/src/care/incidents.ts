import { productName, type Incident } from '@toile/core';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { write, type Services } from '../http/register';

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
    const { chart, used } = await whatWasUsed(tx, params.id, body.chartId);
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

/** The newest version of a client's chart, and every product in it; nothing where no chart was named. */
async function whatWasUsed(
  tx: Tx,
  clientId: string,
  chartId: string | null,
): Promise<Pick<Incident, 'chart' | 'used'>> {
  if (chartId === null) return { chart: null, used: [] };
  const row = await tx
    .selectFrom('chart_versions as v')
    .innerJoin('charts as c', 'c.id', 'v.chart_id')
    .select('v.document')
    .where('c.client_id', '=', clientId)
    .where('v.chart_id', '=', chartId)
    .orderBy('v.version', 'desc')
    .limit(1)
    .executeTakeFirst();
  const { document } = found(row);
  const used = new Map(
    document.steps.flatMap((step) =>
      step.use.map(({ product }): [string, string] => [product.id, productName(product)]),
    ),
  );
  return {
    chart: { id: document.id, version: document.version },
    used: [...used].map(([productId, product]) => ({ productId, product })),
  };
}
