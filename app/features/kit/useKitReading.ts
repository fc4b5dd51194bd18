import { useState } from 'react';
import { impossibleBecause, summariseReadings, type Lab, type Product } from '@toile/core';
import type { KitAnswer } from '@toile/contract';
import type { Reader } from '../reading/useReader';
import { formOf } from './productForm';
import { useSaveProduct } from './useSaveProduct';

type Read = { readonly id: string; readonly samples: readonly Lab[] };
const tenth = (value: number): number => Math.round(10 * value) / 10;

/** Touches of one product after the other: what they come to, whether they are enough, and keeping it. */
export function useKitReading(
  kit: KitAnswer | undefined,
  product: Product | null,
  reader: Reader,
  onKept: () => void,
) {
  const [read, setRead] = useState<Read | null>(null);
  const saving = useSaveProduct();
  const [failed, setFailed] = useState<string | null>(null);
  const samples = read !== null && read.id === product?.id ? read.samples : [];
  const summary = summariseReadings(samples);
  const touch = async (): Promise<void> => {
    if (reader.busy || !product) return;
    const { id } = product;
    const lab = await reader.touch({ productId: id });
    if (lab) setRead((now) => ({ id, samples: now?.id === id ? [...now.samples, lab] : [lab] }));
  };
  const keep = async ([L, a, b]: Lab): Promise<void> => {
    if (saving.busy || !product || !kit) return;
    const form = formOf({ ...product, lab: [tenth(L), tenth(a), tenth(b)] });
    const saved = await saving.save(form, kit.revisions[product.id] ?? 1);
    setFailed(saved ? null : product.id);
    if (saved) onKept();
  };
  return {
    summary,
    impossible: summary && product ? impossibleBecause(product.kind, summary.lab) : null,
    enough: summary !== null && summary.moreNeeded === 0,
    failure: reader.failure ?? (failed === product?.id ? saving.failure : null),
    touch,
    keep,
    anew: () => setRead(null),
  };
}
