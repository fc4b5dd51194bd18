import { sql } from 'kysely';
import { msg, type Unit } from '@toile/core';
import { type LedgerAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { readHeld } from '../http/readHeld';
import { read, write, type Services } from '../http/register';
import { registerKitFiles } from './files';
import { addToLedger, insertUnits } from './ledger';
import { wholeKitText } from './queries';
import { registerSubstitutions } from './substitutions';

/** Products and the units owned of them. */
export function registerKit(services: Services): void {
  readHeld(services, 'kit', ['products', 'units'], async ({ tx }) => ({
    text: await wholeKitText(tx),
  }));

  write(services, 'createProduct', async ({ tx, caller, body }) => {
    await tx
      .insertInto('products')
      .values({ studio_id: caller.studioId, id: body.id, document: JSON.stringify(body) })
      .execute();
    return { status: 201, body: { product: body, revision: 1 }, subject: body.id, revision: 1 };
  });

  write(services, 'updateProduct', async ({ tx, body, params, revision, stale }) => {
    sameId(body.id, params.id);
    const current = found(
      await tx.selectFrom('products').selectAll().where('id', '=', params.id).executeTakeFirst(),
    );
    const updated = await tx
      .updateTable('products')
      .set({ document: JSON.stringify(body), revision: sql<number>`revision + 1` })
      .where('id', '=', params.id)
      .where('revision', '=', revision)
      .returning('revision')
      .executeTakeFirst();
    if (!updated) throw stale(current.document, body);
    return {
      body: { product: body, revision: updated.revision },
      subject: body.id,
      revision: updated.revision,
    };
  });

  write(services, 'createUnit', async ({ tx, caller, body }) => {
    found(await tx.selectFrom('products').select('id').where('id', '=', body.productId).executeTakeFirst());
    await insertUnits(tx, caller, [body]);
    return { status: 201, body: { unit: body, revision: 1 }, subject: body.id, revision: 1 };
  });

  write(services, 'updateUnit', async ({ tx, body, params, revision, stale }) => {
    sameId(body.id, params.id);
    const current = found(
      await tx.selectFrom('units').selectAll().where('id', '=', params.id).forUpdate().executeTakeFirst(),
    );
    if (current.revision !== revision) throw stale(current.document, body);
    if (body.productId !== current.product_id)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'productId', message: msg`A unit stays a unit of its product` }],
      });
    // How much is left moves by the ledger alone.
    const unit: Unit = { ...body, remainingMg: current.document.remainingMg };
    await tx
      .updateTable('units')
      .set({ document: JSON.stringify(unit), revision: revision + 1 })
      .where('id', '=', params.id)
      .execute();
    return { body: { unit, revision: revision + 1 }, subject: unit.id, revision: revision + 1 };
  });

  write(services, 'countUnit', async ({ tx, caller, body, params }) => {
    const unit = found(
      await tx
        .selectFrom('units')
        .select('document')
        .where('id', '=', params.id)
        .forUpdate()
        .executeTakeFirst(),
    ).document;
    await addToLedger(tx, caller, {
      id: body.id,
      unitId: unit.id,
      mg: body.remainingMg - unit.remainingMg,
      reason: 'count',
      note: body.note,
    });
    return { status: 201, body: await ledgerAnswer(tx, unit.id), subject: unit.id };
  });

  read(services, 'unitLedger', async ({ tx, params }) => ({ body: await ledgerAnswer(tx, params.id) }));

  registerKitFiles(services);
  registerSubstitutions(services);
}

function sameId(inBody: string, inAddress: string): void {
  if (inBody !== inAddress)
    throw new ProblemError('bad-input', {
      fields: [{ path: 'id', message: msg`must be the id of the address` }],
    });
}

async function ledgerAnswer(tx: Tx, unitId: string): Promise<LedgerAnswer> {
  const unit = found(
    await tx.selectFrom('units').select('document').where('id', '=', unitId).executeTakeFirst(),
  ).document;
  const rows = await tx
    .selectFrom('unit_ledger')
    .selectAll()
    .where('unit_id', '=', unitId)
    .orderBy('seq', 'desc')
    .limit(200)
    .execute();
  return {
    unitId,
    remainingMg: unit.remainingMg,
    entries: rows.map((r) => ({
      id: r.id,
      at: r.at.toISOString(),
      by: r.by_name,
      mg: r.mg,
      reason: r.reason,
      note: r.note,
      chartId: r.chart_id,
    })),
  };
}
