import { nameKey, type Product, type Unit } from '@toile/core';
import { newId, type ImportKitAnswer } from '@toile/contract';
import { ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import type { KitList } from './kitList';
import { wholeKit } from './queries';
import { insertUnits } from './ledger';

/** The kit carried in and out as files. */
export function registerKitFiles(services: Services): void {
  read(services, 'exportKit', async ({ tx, query }) => {
    const kit = await wholeKit(tx);
    const as = query.as === 'gpl' ? 'gpl' : 'csv';
    return {
      body: await services.print({ kind: 'kit', kit, as }),
      file: `kit.${as}`,
      type: as === 'gpl' ? 'text/plain' : 'text/csv',
    };
  });

  // All of it lands or none.
  write(services, 'importKit', async ({ tx, caller, body }) => {
    const kit = await wholeKit(tx);
    const { text, mapping, owned } = body;
    // What a thread of the press answers to this job is the JSON of a KitList.
    const file = JSON.parse(
      String(await services.print({ kind: 'kit-list', text, mapping, kit, owned })),
    ) as KitList;
    if (file.problems.length > 0)
      throw new ProblemError('bad-file', {
        fields: file.problems.map((message) => ({ path: 'text', message })),
      });
    const { good, wrong, wrongCount } = file;
    if (good.length === 0 || (wrongCount > 0 && !body.leaveOutWrong))
      throw new ProblemError('bad-file', {
        fields: wrong.flatMap(({ line, problems }) =>
          problems.map(({ column, message }) => ({ path: column, message, line })),
        ),
      });
    const idOf = new Map(kit.products.map((p) => [nameKey(p), p.id]));
    const products: Product[] = [];
    const units: Unit[] = [];
    for (const { product, unit, unitCount } of good) {
      const key = nameKey(product!);
      let id = idOf.get(key);
      if (id === undefined) {
        id = newId();
        idOf.set(key, id);
        products.push({ ...product!, id });
      }
      for (let i = 0; unit && i < unitCount; i++) units.push({ ...unit, id: newId(), productId: id });
    }
    for (let i = 0; i < products.length; i += 1000) {
      const rows = products
        .slice(i, i + 1000)
        .map((p) => ({ studio_id: caller.studioId, id: p.id, document: JSON.stringify(p) }));
      await tx.insertInto('products').values(rows).execute();
    }
    await insertUnits(tx, caller, units);
    const answer: ImportKitAnswer = { products: products.length, units: units.length, leftOut: wrongCount };
    return { status: 201, body: answer };
  });
}
