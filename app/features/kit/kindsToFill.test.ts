import { PRODUCT_KINDS, type Product } from '@toile/core';
import { kindsMissing } from './KindsToFill';
import { emptyForm } from './productForm';

const of = (...kinds: Product['kind'][]) => ({ products: kinds.map((kind) => ({ kind })) });

test('a first kit says what it is still without, and a grown one nothing', () => {
  expect(kindsMissing(of())).toContain('base');
  expect(kindsMissing(of('base', 'base'))).not.toContain('base');
  expect(kindsMissing(of('base'))).toContain('mascara');
  expect(kindsMissing(of(...PRODUCT_KINDS))).toEqual([]);
  expect(kindsMissing(of(...Array.from({ length: 20 }, () => 'base' as const)))).toEqual([]);
});

test('a form of a kind begins as that kind usually comes', () => {
  for (const kind of PRODUCT_KINDS) expect(emptyForm(null, kind).kind).toBe(kind);
  expect(emptyForm(null, 'blush')).toMatchObject({ texture: 'pressed', measure: 'swipe' });
  expect(emptyForm()).toMatchObject({ kind: 'base', texture: 'liquid', measure: 'pump' });
});
