import { buildMixTable, deltaE2000, type Lab, type Mixable, type MixTable } from '../colour';
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

/** So many are stirred two by two: a table holds few more, and of so many the nearest do it. */
const MOST_FOR_PAIRS = 160;

/**
 * Of some products those that are stirred into a colour: the nearest to it, and whatever is there to be
 * stirred in.
 */
export function nearestToStir(
  products: readonly Coloured[],
  target: Lab,
  most: number = MOST_FOR_PAIRS,
): readonly Coloured[] {
  if (products.length <= most) return products;
  const adjusters = products.filter(({ kind }) => kind === 'adjuster').slice(0, most / 4);
  const rest = products
    .filter(({ kind }) => kind !== 'adjuster')
    .map((product) => ({ product, off: deltaE2000(target, product.lab) }))
    .sort((a, b) => a.off - b.off)
    .map(({ product }) => product);
  return [...rest.slice(0, most - adjusters.length), ...adjusters];
}

/**
 * Of some products as many as can be stirred two by two, as unlike each other as there are: for questions
 * about every skin at once. What is left out is next to one that is not.
 */
export function spreadToStir(
  products: readonly Coloured[],
  most: number = MOST_FOR_PAIRS,
): readonly Coloured[] {
  if (products.length <= most) return products;
  const [first, ...rest] = products;
  const taken = [first!];
  const left = rest.map((product) => ({ product, off: deltaE2000(first!.lab, product.lab) }));
  while (taken.length < most) {
    const at = left.reduce((best, { off }, i) => (off > left[best]!.off ? i : best), 0);
    const { product } = left.splice(at, 1)[0]!;
    taken.push(product);
    for (const one of left) one.off = Math.min(one.off, deltaE2000(product.lab, one.product.lab));
  }
  return taken;
}

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
