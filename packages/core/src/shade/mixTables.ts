import { buildMixTable, type Mixable, type MixTable } from '../colour';
import { mayBeStirred, type Product } from '../kit';

/** A product that has a colour. */
export type Coloured = Product & { readonly lab: NonNullable<Product['lab']> };
export const isColoured = (product: Product): product is Coloured => product.lab !== null;

/** What the mix search needs of a product. */
export function mixableOf({ id, lab, tintingStrength, mgPerMeasure }: Coloured): Mixable {
  return { id, lab, tintingStrength, mgPerMeasure };
}

/**
 * Of what is worn at least so much by weight is base: drops that lighten or tint it have neither its cover
 * nor its wear. Two drops in a pump, one in half a pump.
 */
const LEAST_BASE = 2 / 3;

/** Tables kept: one for singles and pairs, one for triples, and the ones before. */
const KEPT = 4;
const kept = new Map<string, MixTable>();

/**
 * Every mix of these products that may be stirred, adjusters never alone and never more than a third.
 * The same products give the same table again without work, however the list came here; a change of colour,
 * strength or measure gives a new one.
 */
export function mixTableOf(
  products: readonly Coloured[],
  maxProducts: 2 | 3,
  onProgress?: (share: number) => void,
): MixTable {
  const key = JSON.stringify([
    maxProducts,
    products.map((p) => [p.id, p.lab, p.tintingStrength, p.mgPerMeasure, p.family, p.texture, p.kind]),
  ]);
  let table = kept.get(key);
  kept.delete(key);
  table ??= buildMixTable(products.map(mixableOf), {
    maxProducts,
    mayMix: (i, j) => mayBeStirred(products[i]!, products[j]!),
    mayLead: (i) => products[i]!.kind !== 'adjuster',
    leastLed: LEAST_BASE,
    onProgress,
  });
  kept.set(key, table);
  if (kept.size > KEPT) kept.delete(kept.keys().next().value!);
  return table;
}
