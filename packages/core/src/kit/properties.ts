import { shadeName, type ProductSnapshot } from './product';

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

/** Words makers use for what lasts. Another of them is one more way a name is believed. */
const WATERPROOF = /\b((water|sweat|tear|rain|swim)[ -]?(proof|resist\w*)|tubing)\b/i;
const LONG =
  /\b(long([ -]?(wear|last|stay|hold)\w*)?|(1[0-9]|2[0-4])[ -]?(h|hrs?|hours?)|all[ -]?day|hold|strong|stay\w*)\b/i;
const TRANSFER =
  /\b((transfer|kiss|smudge|budge)[ -]?(proof|resist\w*|free)|(no|non)[ -]?transfer\w*|stain|long-?wear liquid)\b/i;
/** Said before a word it takes the word back; 'non-transfer' is the one that says it. */
const TAKEN_BACK = /\b(not|never|isn.t|less|non|no)[ -]+(so |very |quite |really )?$/i;

/** Whether a name says it, and does not take it back where it does. */
function says(name: string, what: RegExp): boolean {
  const found = what.exec(name);
  return found !== null && !TAKEN_BACK.test(name.slice(0, found.index));
}

/** Whether somebody's own words for a product say that water does not take it off. */
export const waterproofTold = (words: string): boolean => says(words, WATERPROOF);

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
  const name = shadeName(product);
  const waterproof = says(name, WATERPROOF);
  const long = says(name, LONG) || waterproof;
  return {
    wearHours: long ? Math.max(10, usualHours(product)) : usualHours(product),
    waterproof,
    transferProof:
      says(name, TRANSFER) || (product.kind === 'lip colour' && product.finish === 'matte' && long),
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
