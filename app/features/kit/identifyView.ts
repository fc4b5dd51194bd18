import { msg, shadeName, type PanIdentification, type ProductSnapshot } from '@toile/core';

/** What to say of it: one name, a few, or none. */
export function verdictInWords({
  verdict,
  guesses,
}: PanIdentification<Pick<ProductSnapshot, 'kind' | 'lab' | 'line' | 'shade'>>): string {
  const first = guesses[0];
  if (verdict === 'none' || !first) return msg`None of the kit’s: nothing has this colour.`;
  const name = shadeName(first.product);
  if (verdict === 'sure') return msg`${name}, sure.`;
  if (verdict === 'likely') return msg`Most likely ${name}.`;
  return msg`Too near to tell: ${guesses
    .slice(0, 3)
    .map((g) => shadeName(g.product))
    .join(msg` or `)}.`;
}
