import { msg, type Product } from '@toile/core';
import { productInputSchema } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving, type Saving } from '../../data/useSaving';
import { productOf, type ProductForm } from './productForm';

export type ProductSaving = Pick<Saving, 'busy' | 'failure' | 'errors'> & {
  /** Saves; the product as saved, or null when something was wrong and is shown. */
  readonly save: (form: ProductForm, over: number | null) => Promise<Product | null>;
};

/** Saves a product: a new one without a revision, a known one over the revision it was opened at. */
export function useSaveProduct(): ProductSaving {
  const refresh = useRefresh();
  const { busy, failure, errors, save } = useSaving();
  return {
    busy,
    // The form is long: that something is wrong is said at its foot too.
    failure: failure ?? (Object.keys(errors).length > 0 ? msg`Some fields need another look.` : null),
    errors,
    save: (form, over) =>
      save(async () => {
        const body = productOf(form);
        await productInputSchema.validate(body, { abortEarly: false });
        const { product } =
          over === null
            ? await call('createProduct', { body })
            : await call('updateProduct', { params: { id: form.id }, body, revision: over });
        await refresh();
        return product;
      }),
  };
}
