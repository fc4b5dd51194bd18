/** One or more products proposed, with what speaks against them and how far off their colour is. */
type Proposed = {
  readonly parts: readonly { readonly product: { readonly id: string } }[];
  readonly cost: number;
  /** CIEDE2000; null without a colour. */ readonly deltaE: number | null;
};

/**
 * Of mixes of the same products the best alone, and none that comes no nearer than one of its own products
 * does for less: whoever chooses is shown ways that differ. Best first. `singles` are those at hand.
 */
export function worthStirring<Mix extends Proposed>(
  mixes: readonly Mix[],
  singles: readonly Proposed[],
): Mix[] {
  const known = new Set<string>();
  return [...mixes]
    .sort((one, other) => one.cost - other.cost)
    .filter((mix) => {
      const products = mix.parts.map(({ product }) => product.id);
      const key = [...products].sort().join();
      const forNothing = singles.some(
        (single) =>
          products.includes(single.parts[0]!.product.id) &&
          single.cost <= mix.cost &&
          (single.deltaE ?? Infinity) <= (mix.deltaE ?? Infinity),
      );
      // Another ratio of the same may come nearer.
      if (forNothing || known.has(key)) return false;
      known.add(key);
      return true;
    });
}
