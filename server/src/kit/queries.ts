import type { KitAnswer } from '@toile/contract';
import { sql } from 'kysely';
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

/**
 * The same as JSON text, put together by the database: what is only handed on is not read first. Holds no
 * more than the schema of the documents, since it is the documents.
 */
export async function wholeKitText(tx: Tx): Promise<string> {
  const { rows } = await sql<{ products: string; units: string; revisions: string }>`
    select
      (select coalesce(string_agg(document::text, ',' order by id), '') from products) as products,
      (select coalesce(string_agg(document::text, ',' order by id), '') from units) as units,
      (select coalesce(string_agg('"' || id || '":' || revision, ',' order by id), '')
        from (select id, revision from products union all select id, revision from units) every) as revisions`.execute(
    tx,
  );
  const { products, units, revisions } = rows[0]!;
  return `{"products":[${products}],"units":[${units}],"revisions":{${revisions}}}`;
}
