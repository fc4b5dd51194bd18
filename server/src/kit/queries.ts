import type { KitAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';

/** The whole kit of the studio, with the revision each edit starts from. */
export async function wholeKit(tx: Tx): Promise<KitAnswer> {
  const products = await tx.selectFrom('products').select(['document', 'revision']).orderBy('id').execute();
  const units = await tx.selectFrom('units').select(['document', 'revision']).orderBy('id').execute();
  return {
    products: products.map((p) => p.document),
    units: units.map((u) => u.document),
    revisions: Object.fromEntries(
      [...products, ...units].map(({ document, revision }) => [document.id, revision]),
    ),
  };
}
