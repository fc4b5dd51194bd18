import type { PanIdentification, ProductSnapshot } from '@toile/core';

/** What to say of it: one name, a few, or none. */
export function verdictInWords({
  verdict,
  guesses,
}: PanIdentification<Pick<ProductSnapshot, 'kind' | 'lab' | 'line' | 'shade'>>): string {
  const first = guesses[0];
  if (verdict === 'none' || !first) return 'None of the kit’s: nothing has this colour.';
  const name = `${first.product.line} ${first.product.shade}`;
  if (verdict === 'sure') return `${name}, sure.`;
  if (verdict === 'likely') return `Most likely ${name}.`;
  return `Too near to tell: ${guesses
    .slice(0, 3)
    .map((g) => `${g.product.line} ${g.product.shade}`)
    .join(' or ')}.`;
}
