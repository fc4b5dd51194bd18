import type { Product, ProductKind } from './product';

/**
 * What a new one usually holds, mg, by kind: taken when nothing is said of how much is left, since an owned
 * bottle nobody counted is far more often nearly full than empty. Raising a number lets uncounted ones last
 * longer before they are called nearly out.
 */
const FULL_MG: Readonly<Record<ProductKind, number>> = {
  prep: 30_000,
  primer: 30_000,
  corrector: 4_000,
  base: 30_000,
  adjuster: 15_000,
  concealer: 6_000,
  powder: 10_000,
  contour: 8_000,
  bronzer: 9_000,
  blush: 6_000,
  highlight: 6_000,
  brow: 2_000,
  shadow: 1_500,
  liner: 600,
  mascara: 8_000,
  lashes: 500,
  'lip liner': 1_000,
  'lip colour': 3_500,
  spray: 80_000,
};
/** A case of single ones holds about this many. */
const SINGLES = 10;

/**
 * How much a full unit of a product holds, mg: what is usual for its kind, never less than one dose of it.
 */
export function fullMg({
  kind,
  mgPerMeasure,
  singleUse,
}: Pick<Product, 'kind' | 'mgPerMeasure' | 'singleUse'>): number {
  return Math.max(singleUse ? SINGLES * mgPerMeasure : FULL_MG[kind], mgPerMeasure);
}
