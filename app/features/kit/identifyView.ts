import { msg, type PanIdentification, type ProductSnapshot } from '@toile/core';

/** What to say of it: one name, a few, or none. */
export function verdictInWords({
  verdict,
  guesses,
}: PanIdentification<Pick<ProductSnapshot, 'kind' | 'lab' | 'line' | 'shade'>>): string {
  const first = guesses[0];
  if (verdict === 'none' || !first) return msg`None of the kit’s: nothing has this colour.`;
  const name = `${first.product.line} ${first.product.shade}`;
  if (verdict === 'sure') return msg`${name}, sure.`;
  if (verdict === 'likely') return msg`Most likely ${name}.`;
  return msg`Too near to tell: ${guesses
    .slice(0, 3)
    .map((g) => `${g.product.line} ${g.product.shade}`)
    .join(msg` or `)}.`;
}
