import type { Product } from '@toile/core';

/** A liquid base nobody has read, for tests to change. */
export const PLAIN_PRODUCT: Omit<Product, 'id'> = {
  maker: 'Ordway',
  line: 'Line',
  shade: 'S1',
  kind: 'base',
  lab: null,
  coverage: 'medium',
  finish: 'natural',
  texture: 'liquid',
  family: 'silicone',
  ingredients: ['dimethicone'],
  measure: 'pump',
  mgPerMeasure: 150,
  tintingStrength: 1,
  monthsAfterOpening: 12,
  withdrawn: false,
  singleUse: false,
  eyeSafe: false,
};
