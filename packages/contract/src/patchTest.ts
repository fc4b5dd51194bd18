import { array, object, string } from 'yup';
import { msg, PATCH_PLACES, PATCH_RESULTS, type PatchTest } from '@toile/core';
import { uuid } from './client';
import { day, instant } from './shapes';
import { text } from './text';

const isReading = (one: unknown): one is { readonly at: string } =>
  typeof one === 'object' && one !== null && 'at' in one && typeof one.at === 'string';

/**
 * A patch test as it is planned, laid and read; who read it and the product's name are the server's to say.
 */
export const patchTestInputSchema = object({
  id: uuid().required(),
  productId: uuid().required(() => msg`Choose a product`),
  unitId: uuid().nullable().default(null),
  place: string()
    .oneOf([...PATCH_PLACES], () => msg`Say where it is laid`)
    .required(() => msg`Say where it is laid`),
  plannedFor: day().required(() => msg`Choose a day`),
  laidAt: instant().nullable().default(null),
  readings: array()
    .of(
      object({
        at: instant().required(),
        result: string()
          .oneOf([...PATCH_RESULTS], () => msg`Say what was seen`)
          .required(() => msg`Say what was seen`),
        note: text()
          .default('')
          .max(4000, () => msg`At most 4000 letters`),
      }).noUnknown('${unknown} is not known here'),
    )
    .max(12, () => msg`At most 12 readings`)
    .default([]),
  note: text()
    .default('')
    .max(4000, () => msg`At most 4000 letters`),
})
  .noUnknown('${unknown} is not known here')
  .test(
    'order',
    () => msg`It is read after it was laid`,
    function ({ laidAt, readings }) {
      // What is no list of readings is said of by itself.
      const read: readonly unknown[] = Array.isArray(readings) ? readings : [];
      const wrong = read.findIndex((one) => isReading(one) && (!laidAt || one.at < laidAt));
      return wrong < 0
        ? true
        : this.createError({ path: `readings[${wrong}].at`, message: msg`It is read after it was laid` });
    },
  );
export type PatchTestInput = Omit<PatchTest, 'clientId' | 'product' | 'readings'> & {
  readings: Omit<PatchTest['readings'][number], 'by'>[];
};
