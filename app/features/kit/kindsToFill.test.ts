import { PRODUCT_KINDS, type Product } from '@toile/core';
import { kindsMissing } from './KindsToFill';
import { emptyForm, ofKind, type ProductForm } from './productForm';

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

describe('a kind that is changed while a product is written down', () => {
  test('from any kind to any other an untouched form is as that kind usually comes', () => {
    for (const from of PRODUCT_KINDS)
      for (const to of PRODUCT_KINDS) {
        const { id: _a, ...changed } = ofKind(emptyForm(null, from), to);
        const { id: _b, ...begun } = emptyForm(null, to);
        expect([from, to, changed]).toEqual([from, to, begun]);
      }
  });
  test('what was said by hand stays, whatever the kind', () => {
    const said: ProductForm = {
      ...emptyForm(null, 'base'),
      texture: 'stick',
      family: 'oil',
      measure: 'dot',
      mgPerMeasure: '33',
      eyeSafe: true,
    };
    for (const kind of PRODUCT_KINDS)
      expect(ofKind(said, kind)).toMatchObject({
        kind,
        texture: 'stick',
        family: 'oil',
        measure: 'dot',
        mgPerMeasure: '33',
        eyeSafe: true,
      });
  });
});
