import { useState } from 'react';
import { ValidationError } from 'yup';
import type { Product } from '@toile/core';
import { productInputSchema } from '@toile/contract';
import { call, CallError, fieldErrors } from '../../data/call';
import { errorsByField } from '../../data/errorsByField';
import { useRefresh } from '../../data/hooks';
import { productOf, type ProductForm } from './productForm';

export type ProductSaving = {
  readonly busy: boolean;
  readonly failure: string | null;
  readonly errors: Readonly<Record<string, string>>;
  /** Saves; the product as saved, or null when something was wrong and is shown. */
  readonly save: (form: ProductForm, over: number | null) => Promise<Product | null>;
};

/** Saves a product: a new one without a revision, a known one over the revision it was opened at. */
export function useSaveProduct(): ProductSaving {
  const refresh = useRefresh();
  const [busy, setBusy] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const save = async (form: ProductForm, over: number | null): Promise<Product | null> => {
    setBusy(true);
    setFailure(null);
    setErrors({});
    try {
      const body = productOf(form);
      await productInputSchema.validate(body, { abortEarly: false });
      const { product } =
        over === null
          ? await call('createProduct', { body })
          : await call('updateProduct', { params: { id: form.id }, body, revision: over });
      await refresh();
      return product;
    } catch (error) {
      if (error instanceof ValidationError) {
        setErrors(errorsByField(error));
        setFailure('Some fields need another look.');
      } else {
        setErrors(fieldErrors(error));
        setFailure(error instanceof CallError ? error.message : 'Something went wrong. Try again.');
      }
      return null;
    } finally {
      setBusy(false);
    }
  };
  return { busy, failure, errors, save };
}
