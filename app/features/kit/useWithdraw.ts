import type { Product } from '@toile/core';
import type { KitAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';

/** Withdraws several products at once, or brings them back; each over the revision it was seen at. */
export function useWithdraw(kit: KitAnswer): {
  readonly busy: boolean;
  readonly failure: string | null;
  /** Whether all of them were. */
  readonly withdraw: (products: readonly Product[], withdrawn: boolean) => Promise<boolean>;
} {
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  return {
    busy,
    failure,
    withdraw: async (products, withdrawn) => {
      const done = await save(async () => {
        try {
          for (const product of products)
            await call('updateProduct', {
              params: { id: product.id },
              body: { ...product, withdrawn },
              revision: kit.revisions[product.id] ?? 1,
            });
        } finally {
          // What was written before one failed is shown as it is.
          await refresh();
        }
        return true;
      });
      return done === true;
    },
  };
}
