import type { Lab } from '../colour';
import { clearTold, type Product } from '../kit';

/** Talc, silica and starch are white, and a powder of nothing else leaves little of them. */
const WHITE: { readonly lab: Lab; readonly coverage: Product['coverage'] } = {
  lab: [90, 1, 4],
  coverage: 'sheer',
};

type Described = Pick<Product, 'kind' | 'line' | 'shade' | 'lab' | 'coverage'>;

/** Whether a powder has no colour and says so: one that says nothing may be of any. */
export const isClear = ({ kind, line, shade, lab }: Described): boolean =>
  kind === 'powder' && lab === null && clearTold(`${line} ${shade}`);

/**
 * A product as it is seen on skin: a clear powder is a thin white film, nothing on light skin and ash on deep
 * skin. Any other as it is.
 */
export const asLaid = <P extends Described>(product: P): P =>
  isClear(product) ? { ...product, lab: [...WHITE.lab], coverage: WHITE.coverage } : product;

/**
 * How much of a film of these products is seen: of a clear powder two fifths, since its grains go clear on
 * skin. With the whole of it the layer model finds ash from medium skin on, where the trade sets with it
 * every day; so it is taken up to medium skin and found to be ash on deep skin.
 */
export const shareSeen = (products: readonly Described[]): number =>
  products.length > 0 && products.every(isClear) ? 0.4 : 1;
