import { sql } from 'kysely';
import {
  msg,
  nextVersion,
  shadeName,
  substituteInChart,
  substituteRefused,
  type Chart,
  type Kit,
  type Substitute,
} from '@toile/core';
import { type ProductUsesAnswer, type SubstitutionAnswer, type SubstitutionInput } from '@toile/contract';
import { chartNow } from '../care/chartNow';
import { insertVersion, newestVersion, summaryOf } from '../charts/queries';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';

/** What a substitute is judged by: its products, with all that is owned of them. */
async function kitOfParts(tx: Tx, { parts }: Substitute): Promise<Kit> {
  const units = await tx
    .selectFrom('units')
    .select('document')
    .where(
      'product_id',
      'in',
      parts.map(({ product }) => product.id),
    )
    .execute();
  return { products: parts.map(({ product }) => product), units: units.map(({ document }) => document) };
}

/** Where a product is used, and a substitute put in its place. */
export function registerSubstitutions(services: Services): void {
  read(services, 'productUses', async ({ tx, params }) => {
    found(await tx.selectFrom('products').select('id').where('id', '=', params.id).executeTakeFirst());
    const charts = await chartsUsing(tx, params.id);
    const answer: ProductUsesAnswer = {
      charts: charts.map(summaryOf).sort((a, b) => b.date.localeCompare(a.date)),
    };
    return { body: answer };
  });

  write(services, 'substituteProduct', async ({ tx, caller, body, params, now }) => {
    const product = found(
      await tx.selectFrom('products').select('document').where('id', '=', params.id).executeTakeFirst(),
    ).document;
    const substitute = await fromKit(tx, body);
    const kit = await kitOfParts(tx, substitute);
    const changed: { chartId: string; version: number }[] = [];
    const left: SubstitutionAnswer['left'][number][] = [];
    for (const chartId of [...new Set(body.chartIds)].sort()) {
      await oneAtATime(tx, chartId);
      const newest = found(await newestVersion(tx, chartId));
      const next = substituteInChart(newest, product.id, substitute);
      if (!next)
        throw new ProblemError('bad-input', {
          fields: [{ path: 'chartIds', message: msg`The chart of ${newest.client.name} no longer uses it` }],
        });
      const because = substituteRefused(await chartNow(tx, newest, now), product.id, substitute.parts, kit);
      if (because !== null) {
        left.push({ chartId, clientName: newest.client.name, because });
        continue;
      }
      const names = substitute.parts.map((p) => shadeName(p.product)).join(msg` with `);
      const reason = body.reason || msg`${shadeName(product)} replaced by ${names}`;
      const kept = await insertVersion(
        tx,
        caller.studioId,
        nextVersion(next, newest, { author: caller.name, at: now.toISOString(), reason }),
      );
      changed.push({ chartId, version: kept.version });
    }
    if (changed.length === 0)
      throw new ProblemError('bad-input', {
        fields: left.map((one) => ({
          path: 'chartIds',
          message: msg`The chart of ${one.clientName} stays as it is. ${one.because}`,
        })),
      });
    const answer: SubstitutionAnswer = { changed, left };
    return { status: 201, body: answer, subject: product.id };
  });
}

/** Newest versions that use a product; the index on the documents finds any version that ever did. */
async function chartsUsing(tx: Tx, productId: string): Promise<Chart[]> {
  const holds = JSON.stringify({ steps: [{ use: [{ product: { id: productId } }] }] });
  const rows = await tx
    .selectFrom('chart_versions')
    .select('chart_id')
    .distinct()
    .where(sql<boolean>`document @> ${holds}::jsonb`)
    .limit(1000)
    .execute();
  const charts: Chart[] = [];
  for (const { chart_id } of rows) {
    const newest = await newestVersion(tx, chart_id);
    if (newest?.steps.some((step) => step.use.some((u) => u.product.id === productId))) charts.push(newest);
  }
  return charts;
}

/** The substitute as the studio's own kit has it: a product or unit from elsewhere is refused. */
export async function fromKit(
  tx: Tx,
  { parts, doseFactor }: Pick<SubstitutionInput, 'parts' | 'doseFactor'>,
): Promise<Substitute> {
  const members = await Promise.all(
    parts.map(async ({ productId, unitId, pumps }) => {
      const product = await tx
        .selectFrom('products')
        .select('document')
        .where('id', '=', productId)
        .executeTakeFirst();
      const unit = await tx
        .selectFrom('units')
        .select('document')
        .where('id', '=', unitId)
        .where('product_id', '=', productId)
        .executeTakeFirst();
      if (!product || !unit)
        throw new ProblemError('bad-input', {
          fields: [{ path: 'parts', message: msg`A product or unit is not in this kit` }],
        });
      return { product: product.document, unit: unit.document, pumps };
    }),
  );
  return { parts: members, lab: null, deltaE: null, onSkin: null, doseFactor, cost: 0, reasons: [] };
}
