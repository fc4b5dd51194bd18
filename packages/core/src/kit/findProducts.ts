import { plainWords } from '../plainWords';
import type { Product, ProductKind } from './product';

/** What kinds are called by whoever looks for one; each is read as its kind by `kindsTold` too. */
export const CALLED_ALSO: Readonly<Record<ProductKind, readonly string[]>> = {
  prep: ['moisturiser', 'moisturizer', 'serum', 'toner', 'cleanser', 'lip balm', 'skincare'],
  primer: ['face primer', 'eye primer'],
  corrector: ['colour corrector', 'color corrector'],
  base: ['foundation', 'tinted moisturiser', 'skin tint'],
  adjuster: ['mixer', 'white adjuster'],
  concealer: ['camouflage'],
  powder: ['setting powder', 'translucent powder'],
  contour: ['sculpting'],
  bronzer: ['bronzing'],
  blush: ['blusher', 'rouge', 'cheek colour', 'cheek tint'],
  highlight: ['highlighter', 'illuminator'],
  brow: ['eyebrow', 'brow pencil'],
  shadow: ['eyeshadow', 'eye shadow', 'pigment'],
  liner: ['eyeliner', 'eye liner', 'kohl', 'kajal'],
  mascara: ['mascaras'],
  lashes: ['false lashes', 'strip lashes', 'eyelashes', 'falsies'],
  'lip liner': ['lipliner', 'lip pencil'],
  'lip colour': ['lipstick', 'lip gloss', 'lip color', 'lip tint', 'lip stain'],
  spray: ['setting spray', 'fixing spray', 'setting mist'],
};

type Named = Pick<Product, 'maker' | 'line' | 'shade' | 'kind' | 'texture' | 'finish'>;
const searched = new WeakMap<Named, string>();

/**
 * What a product is found by: its name, its kind by any name, texture and finish; kept by the product itself.
 */
function textOf(product: Named): string {
  let text = searched.get(product);
  if (text === undefined) {
    const { maker, line, shade, kind, texture, finish } = product;
    text = plainWords([maker, line, shade, kind, ...CALLED_ALSO[kind], texture, finish].join(' '));
    searched.set(product, text);
  }
  return text;
}

/**
 * What finds products by words typed in a hurry, in any order, without case and accents: 'rose lipstick',
 * 'loose powder', 'foundations 3n'. Every word has to be met; nothing typed meets all.
 */
export function productFinder(typed: string): (product: Named) => boolean {
  const words = plainWords(typed)
    .split(/[\s,]+/)
    .filter(Boolean)
    // A plural finds what is one.
    .map((word) => (/[^s]s$/.test(word) && word.length > 4 ? [word, word.slice(0, -1)] : [word]));
  return (product) => {
    const text = textOf(product);
    return words.every((ways) => ways.some((word) => text.includes(word)));
  };
}
