import { useEffect } from 'react';

/** How many hooks show each address just now. */
const shown = new Map<string, number>();

/** Notes that what is read at an address is shown, for as long as it is; null is no address. */
export function useShown(address: string | null): void {
  useEffect(() => {
    if (address === null) return;
    shown.set(address, (shown.get(address) ?? 0) + 1);
    return () => {
      const left = (shown.get(address) ?? 1) - 1;
      if (left > 0) shown.set(address, left);
      else shown.delete(address);
    };
  }, [address]);
}

/** Whether anything on the page shows what is read at an address. */
export const isShown = (address: unknown): boolean => typeof address === 'string' && shown.has(address);
