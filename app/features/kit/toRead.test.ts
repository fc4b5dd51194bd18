import type { Kit, Product, ProductKind } from '@toile/core';
import { PLAIN_PRODUCT } from './product.testing';
import { formOf, productOf } from './productForm';
import { nextToRead, productsToRead, readInWords } from './toRead';

const product = (id: string, kind: ProductKind, more: Partial<Product> = {}): Product => ({
  ...PLAIN_PRODUCT,
  id,
  shade: id,
  kind,
  ...more,
});
const unit = (productId: string) => ({
  id: `unit of ${productId}`,
  productId,
  openedOn: null,
  remainingMg: 1000,
  place: '',
});
const KIT: Kit = {
  products: [
    product('lip', 'lip colour'),
    product('gloss', 'lip colour', { coverage: 'sheer' }),
    product('not owned', 'base'),
    product('base b', 'base'),
    product('base a', 'base'),
    product('read', 'base', { lab: [60, 12, 18] }),
    product('gone', 'base', { withdrawn: true }),
    product('spray', 'spray'),
    product('powder', 'powder'),
  ],
  units: ['lip', 'gloss', 'base b', 'base a', 'read', 'gone', 'spray', 'powder'].map(unit),
};

test('what has a colour nobody has read, owned first, as it comes at the chair, else as the kit lists it', () => {
  expect(productsToRead(KIT).map(({ id }) => id)).toEqual(['base b', 'base a', 'lip', 'not owned']);
  expect(productsToRead({ products: [], units: [] })).toEqual([]);
});

test('what is put off is passed over until nothing else is left', () => {
  const waiting = productsToRead(KIT);
  expect(nextToRead(waiting, new Set())?.id).toBe('base b');
  expect(nextToRead(waiting, new Set(['base b', 'lip']))?.id).toBe('base a');
  expect(nextToRead(waiting, new Set(waiting.map(({ id }) => id)))).toBeNull();
});

test('keeping a colour changes nothing else of the product', () => {
  for (const before of KIT.products) {
    const { lab: _lab, ...rest } = before;
    expect(productOf(formOf({ ...before, lab: [55.5, 12.1, 18] }))).toEqual({
      ...rest,
      lab: [55.5, 12.1, 18],
    });
  }
});

test('how many is said as one says it', () => {
  expect([readInWords(1), readInWords(2), readInWords(1200)]).toEqual([
    'Read 1 colour',
    'Read 2 colours',
    'Read 1,200 colours',
  ]);
});
