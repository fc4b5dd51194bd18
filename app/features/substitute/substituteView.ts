import type { Substitute } from '@toile/core';

/** 'Veil V4', or '2 : 1 Veil V4 with Veil V6'. */
export function substituteName({ parts }: Substitute): string {
  const names = parts.map((p) => `${p.product.line} ${p.product.shade}`).join(' with ');
  return parts.length === 1 ? names : `${parts.map((p) => p.pumps).join(' : ')} ${names}`;
}

export const substituteKey = ({ parts }: Substitute): string =>
  parts.map((p) => `${p.product.id.slice(-12)} ${p.pumps}`).join();
