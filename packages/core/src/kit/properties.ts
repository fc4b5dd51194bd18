import type { ProductSnapshot } from './product';

/** What a day asks of a product, with nothing left open. */
export type WearProperties = {
  /** Hours it holds. */
  readonly wearHours: number;
  readonly waterproof: boolean;
  readonly transferProof: boolean;
  /** The smallest share of a measure that can be taken. */
  readonly smallestShare: number;
};
export type WearProperty = keyof WearProperties;

type Described = Pick<
  ProductSnapshot,
  'kind' | 'line' | 'shade' | 'finish' | 'coverage' | 'texture' | 'family' | 'measure'
> &
  Partial<WearProperties>;

/** Words makers use for what lasts, turned round by 'not' and 'non'. */
const WATERPROOF = /\b(waterproof|water-proof|water ?resist\w*|tubing|tear-?proof)\b/i;
const LONG = /\b(long(-?(wear|last\w*))?|1[0-9] ?h(ours)?|2[0-4] ?h(ours)?|all ?day|hold|strong|stay\w*)\b/i;
const TRANSFER = /\b(transfer-?(proof|resist\w*)|kiss-?proof|stain|long-?wear liquid)\b/i;
const TURNED = /\b(not|non|no)\b[ -]*(waterproof|water|tubing|long|transfer|kiss)/i;

/** Usual hours by what a product is made of: full mattes and waxes hold longest, gloss and water shortest. */
function usualHours({ kind, finish, coverage, texture }: Described): number {
  if (kind === 'lip colour')
    return finish === 'dewy' || coverage === 'sheer' || coverage === 'light' ? 2 : finish === 'matte' ? 6 : 4;
  if (kind === 'spray') return finish === 'dewy' ? 4 : 8;
  if (kind === 'primer') return finish === 'matte' ? 10 : 6;
  if (texture === 'pressed' || texture === 'loose' || texture === 'pencil') return 8;
  if (finish === 'dewy') return 5;
  return finish === 'matte' && (coverage === 'full' || coverage === 'opaque')
    ? 10
    : coverage === 'sheer'
      ? 6
      : 8;
}

/**
 * What a product's kind, make and name let expect where nothing is stated. A proposal to confirm in the kit:
 * a name is not a property, and only what is stated can be relied on.
 */
export function proposedProperties(product: Described): WearProperties {
  const name = `${product.line} ${product.shade}`;
  const turned = TURNED.test(name);
  const waterproof = WATERPROOF.test(name) && !turned;
  const long = (LONG.test(name) && !turned) || waterproof;
  return {
    wearHours: long ? Math.max(10, usualHours(product)) : usualHours(product),
    waterproof,
    transferProof:
      (TRANSFER.test(name) && !turned) ||
      (product.kind === 'lip colour' && product.finish === 'matte' && long),
    smallestShare: product.measure === 'pump' ? 0.5 : 1,
  };
}

/** How a product wears: what is stated, and proposals for the rest. */
export function propertiesOf(product: Described): WearProperties {
  const proposed = proposedProperties(product);
  return {
    wearHours: product.wearHours ?? proposed.wearHours,
    waterproof: product.waterproof ?? proposed.waterproof,
    transferProof: product.transferProof ?? proposed.transferProof,
    smallestShare: product.smallestShare ?? proposed.smallestShare,
  };
}

/** What nobody has stated of a product yet, for a form to ask. */
export function unstated(product: Described): WearProperty[] {
  const asked: readonly WearProperty[] = ['wearHours', 'waterproof', 'transferProof', 'smallestShare'];
  return asked.filter((name) => product[name] === undefined);
}

/** Mg in the smallest amount of a product that can be taken. */
export function smallestMg(product: Described & Pick<ProductSnapshot, 'mgPerMeasure'>): number {
  return product.mgPerMeasure * propertiesOf(product).smallestShare;
}
