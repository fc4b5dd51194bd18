import { depthOf, productName } from '@toile/core';
import type { KitRow } from './kitView';

/** What the kit's table shows of a product, and can be put in order by. */
export const COLUMNS = ['product', 'kind', 'finish', 'depth', 'left', 'place', 'state'] as const;
export type Column = (typeof COLUMNS)[number];

export type Sorting = { readonly by: Column; readonly down: boolean };

/** Touching a column sorts by it; touching it again turns it round. */
export const sortedBy = (now: Sorting | null, by: Column): Sorting => ({
  by,
  down: now?.by === by && !now.down,
});

type Key = string | number | null;

const KEYS: Readonly<Record<Column, (row: KitRow) => Key>> = {
  product: ({ product }) => productName(product),
  kind: ({ product }) => product.kind,
  finish: ({ product }) => product.finish,
  depth: ({ product }) => (product.lab ? depthOf(product.lab) : null),
  left: ({ units }) => (units.length > 0 ? units.reduce((sum, u) => sum + u.remainingMg, 0) : null),
  place: ({ units }) => units[0]?.place ?? null,
  state: ({ fact }) => fact,
};

function compare(a: Key, b: Key): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  return String(a).localeCompare(String(b), 'en', { numeric: true });
}

/**
 * The rows in the order asked for; rows alike stay in the order of use, and rows that have nothing to be
 * sorted by come last either way.
 */
export function sortRows(rows: readonly KitRow[], sorting: Sorting | null): readonly KitRow[] {
  if (!sorting) return rows;
  const keyed = rows.map((row) => ({ row, key: KEYS[sorting.by](row) }));
  const turn = sorting.down ? -1 : 1;
  return keyed
    .sort((a, b) =>
      a.key === null || b.key === null
        ? Number(a.key === null) - Number(b.key === null)
        : turn * compare(a.key, b.key),
    )
    .map(({ row }) => row);
}
