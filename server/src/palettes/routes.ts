import { sql } from 'kysely';
import { type PaletteAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { readHeld } from '../http/readHeld';
import { read, write, type Services } from '../http/register';

/** Palettes: compacts as grids of pans, and their labels. */
export function registerPalettes(services: Services): void {
  readHeld(services, 'listPalettes', ['palettes'], async ({ tx }) => {
    const rows = await tx.selectFrom('palettes').select(['document', 'revision']).orderBy('id').execute();
    const body: PaletteAnswer[] = rows.map(({ document, revision }) => ({ palette: document, revision }));
    return { body };
  });

  write(services, 'createPalette', async ({ tx, caller, body: { palette } }) => {
    await checkProducts(
      tx,
      palette.pans.map((p) => p.productId),
    );
    await tx
      .insertInto('palettes')
      .values({ studio_id: caller.studioId, id: palette.id, document: JSON.stringify(palette) })
      .execute();
    return {
      status: 201,
      body: { palette, revision: 1 } satisfies PaletteAnswer,
      subject: palette.id,
      revision: 1,
    };
  });

  write(services, 'updatePalette', async ({ tx, body: { palette }, params, revision, stale }) => {
    const current = found(
      await tx.selectFrom('palettes').selectAll().where('id', '=', params.id).executeTakeFirst(),
    );
    if (palette.id !== params.id)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'palette.id', message: msg`must be the id of the address` }],
      });
    await checkProducts(
      tx,
      palette.pans.map((p) => p.productId),
    );
    const updated = await tx
      .updateTable('palettes')
      .set({ document: JSON.stringify(palette), revision: sql<number>`revision + 1` })
      .where('id', '=', params.id)
      .where('revision', '=', revision)
      .returning('revision')
      .executeTakeFirst();
    if (!updated) throw stale(current.document, palette);
    return {
      body: { palette, revision: updated.revision } satisfies PaletteAnswer,
      subject: palette.id,
      revision: updated.revision,
    };
  });

  read(services, 'paletteLabels', async ({ tx, params, origin }) => {
    const palette = found(
      await tx.selectFrom('palettes').select('document').where('id', '=', params.id).executeTakeFirst(),
    ).document;
    const ids = palette.pans.map((p) => p.productId);
    const products =
      ids.length === 0
        ? []
        : await tx.selectFrom('products').select('document').where('id', 'in', ids).execute();
    const body = await services.print({
      kind: 'labels',
      palette,
      products: products.map((p) => p.document),
      origin,
    });
    return { body, file: 'labels.pdf', type: 'application/pdf' };
  });
}

/** Every pan holds a product of this kit. */
async function checkProducts(tx: Tx, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  const known = await tx.selectFrom('products').select('id').where('id', 'in', ids).execute();
  if (known.length < new Set(ids).size)
    throw new ProblemError('bad-input', {
      fields: [{ path: 'palette.pans', message: msg`A pan holds a product that is not in this kit` }],
    });
}
