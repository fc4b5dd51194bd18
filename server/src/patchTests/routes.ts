import { sql } from 'kysely';
import type { PatchTestAnswer, PatchTestInput } from '@toile/contract';
import { msg, productName, type PatchTest } from '@toile/core';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { write, type Services } from '../http/register';
import { patchTestsOfRows, patchTestsQuery } from './queries';

/** Patch tests: planned, laid, read. */
export function registerPatchTests(services: Services): void {
  write(services, 'createPatchTest', async ({ tx, caller, body, params }) => {
    found(await tx.selectFrom('clients').select('id').where('id', '=', params.id).executeTakeFirst());
    const document = await documentOf(tx, body, params.id, caller.name, []);
    const inserted = await tx
      .insertInto('patch_tests')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        client_id: params.id,
        product_id: body.productId,
        document: JSON.stringify(document),
      })
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return { status: 201, body: { ...document, revision: 1 }, subject: body.id, revision: 1 };
  });

  write(services, 'updatePatchTest', async ({ tx, caller, body, params, revision, stale }) => {
    const there = await patchTestAnswer(tx, params.id);
    const wrong = body.id !== params.id ? 'id' : body.productId !== there.productId ? 'productId' : null;
    if (wrong)
      throw new ProblemError('bad-input', {
        fields: [
          {
            path: wrong,
            message:
              wrong === 'id'
                ? msg`must be the id of the address`
                : msg`A test stays with its product: plan another`,
          },
        ],
      });
    // What was seen is seen: a reading is added to, never taken away or turned.
    const altered = there.readings.findIndex(({ by: _by, ...old }, i) => {
      const now = body.readings[i];
      return !now || now.at !== old.at || now.result !== old.result || now.note !== old.note;
    });
    if (there.revision === revision && altered >= 0)
      throw new ProblemError('bad-input', {
        fields: [{ path: `readings[${altered}]`, message: msg`What was read stays: add another reading` }],
      });
    const document = await documentOf(tx, body, there.clientId, caller.name, there.readings);
    const updated = await tx
      .updateTable('patch_tests')
      .set({ document: JSON.stringify(document), revision: sql<number>`revision + 1` })
      .where('id', '=', params.id)
      .where('revision', '=', revision)
      .returning('revision')
      .executeTakeFirst();
    if (!updated) throw stale(await patchTestAnswer(tx, params.id), body);
    return {
      body: { ...document, revision: updated.revision },
      subject: body.id,
      revision: updated.revision,
    };
  });
}

/** A test as it is kept: with the product's name as it is now, and who read it. */
async function documentOf(
  tx: Tx,
  body: PatchTestInput,
  clientId: string,
  by: string,
  before: PatchTest['readings'],
): Promise<PatchTest> {
  const { document: product } = found(
    await tx.selectFrom('products').select('document').where('id', '=', body.productId).executeTakeFirst(),
  );
  if (body.unitId)
    found(
      await tx
        .selectFrom('units')
        .select('id')
        .where('id', '=', body.unitId)
        .where('product_id', '=', body.productId)
        .executeTakeFirst(),
    );
  return {
    ...body,
    clientId,
    product: productName(product),
    readings: body.readings.map((reading, i) => ({ ...reading, by: before[i]?.by ?? by })),
  };
}

async function patchTestAnswer(tx: Tx, id: string): Promise<PatchTestAnswer> {
  const [test] = patchTestsOfRows(await patchTestsQuery(tx).where('id', '=', id).execute());
  return found(test);
}
