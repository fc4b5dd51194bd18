import { PRODUCT_KINDS, usualForm, type ProductKind } from '@toile/core';
import { ValidationError } from 'yup';
import { productInputSchema } from './kit';

const product = (kind: ProductKind, shade?: string) => ({
  id: '0190a3c2-0000-7000-8000-000000000001',
  maker: 'Oriel',
  line: 'Milk',
  ...(shade === undefined ? {} : { shade }),
  kind,
  lab: null,
  coverage: 'medium',
  finish: 'natural',
  ingredients: [],
  ...usualForm(kind),
  tintingStrength: 1,
  monthsAfterOpening: 12,
  withdrawn: false,
  singleUse: false,
});
const problems = async (kind: ProductKind, shade?: string): Promise<readonly string[]> => {
  try {
    await productInputSchema.validate(product(kind, shade), { abortEarly: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.inner.map((one) => `${one.path}: ${one.message}`);
  }
};
const WITHOUT: readonly ProductKind[] = ['prep', 'primer', 'spray', 'mascara', 'lashes'];

test.each(PRODUCT_KINDS)('a %s: its shade', async (kind) => {
  const asked = WITHOUT.includes(kind) ? [] : ['shade: Write the shade'];
  for (const none of ['', '  ', undefined]) expect(await problems(kind, none)).toEqual(asked);
  expect(await problems(kind, 'N4')).toEqual([]);
  expect(await problems(kind, 'n'.repeat(200))).toEqual([]);
  expect(await problems(kind, 'n'.repeat(201))).toEqual(['shade: At most 200 letters']);
});
