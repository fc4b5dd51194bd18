import { arrangePalette, type Palette, type Product } from '@toile/core';
import { idFor } from './ids';
import { PRODUCTS } from './products';

const compact = (
  name: string,
  rows: number,
  columns: number,
  holds: (product: Product) => boolean,
): Palette => {
  const pans = PRODUCTS.filter(holds)
    .slice(0, rows * columns)
    .map((product, i) => ({ row: Math.floor(i / columns), column: i % columns, productId: product.id }));
  return { id: idFor(`palette ${name}`), name, rows, columns, pans };
};

/** The studio's compacts: what came out of its boxes and lost its name there. */
export const PALETTES: readonly Palette[] = [
  arrangePalette(
    compact(
      'Creams, flat case',
      4,
      5,
      (p) => p.kind === 'corrector' || (p.kind === 'contour' && p.texture === 'cream') || p.line === 'Flush',
    ),
    PRODUCTS,
    'order of use',
  ),
  compact('Eyes, everyday', 3, 4, (p) => p.kind === 'shadow'),
  compact('Lips', 2, 4, (p) => p.line === 'Mouth'),
];
