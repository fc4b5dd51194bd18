import { isUnread, numberTold, plural, PRODUCT_KINDS, type Kit, type Product } from '@toile/core';

/**
 * Products that have a colour nobody has read yet, as they are taken out of the cases: what is owned first,
 * by kind as they come at the chair.
 */
export function productsToRead({ products, units }: Kit): readonly Product[] {
  const owned = new Set(units.map(({ productId }) => productId));
  const rank = (product: Product): number =>
    (owned.has(product.id) ? 0 : PRODUCT_KINDS.length) + PRODUCT_KINDS.indexOf(product.kind);
  return products
    .filter((product) => !product.withdrawn && isUnread(product))
    .map((product, i) => ({ product, i }))
    .sort((a, b) => rank(a.product) - rank(b.product) || a.i - b.i)
    .map(({ product }) => product);
}

/** The one to read now: the first that was not put off; null when all that is left was. */
export const nextToRead = (waiting: readonly Product[], putOff: ReadonlySet<string>): Product | null =>
  waiting.find(({ id }) => !putOff.has(id)) ?? null;

/** 'Read 3 colours' */
export const readInWords = (count: number): string =>
  plural(count)`Read ${count} colour|Read ${numberTold(count)} colours`;
