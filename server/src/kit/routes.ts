import type { KitAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';
import { read, type Services } from '../http/register';

/** Products and units. */
export function registerKit(services: Services): void {
  read(services, 'kit', async ({ tx }) => ({ body: await wholeKit(tx) }));
}

export async function wholeKit(tx: Tx): Promise<KitAnswer> {
  const products = await tx.selectFrom('products').select('document').orderBy('id').execute();
  const units = await tx.selectFrom('units').select('document').orderBy('id').execute();
  return { products: products.map((p) => p.document), units: units.map((u) => u.document) };
}
