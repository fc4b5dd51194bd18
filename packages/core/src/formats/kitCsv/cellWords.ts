import type { Coverage } from '../../colour';
import { finishTold, textureTold, type Family, type Finish, type Measure, type Texture } from '../../kit';

/**
 * What a list's own words in a column mean here: makers, shops and artists have theirs. A word of ours always
 * means itself; null where nobody could say.
 */
type Words<T extends string> = readonly (readonly [meant: T, told: RegExp])[];
const first = <T extends string>(words: Words<T>, cell: string): T | null =>
  words.find(([, told]) => told.test(cell.toLowerCase()))?.[0] ?? null;

/** Said of a finish more finely than it is told apart here; before 'matte' alone. */
const HALFWAY: Words<Finish> = [
  ['natural', /\b(natural|skin-?like|second skin|(semi|demi|half)[ -]?matte?)\b/],
];
const FINISHES: Words<Finish> = [
  ['shimmer', /\b(foil(ed)?|chrome|duo-?chrome|iridescent|holographic)\b/],
  ['dewy', /\b(wet|glassy?|shiny|hydrating)\b/],
  ['satin', /\b(silky?|sheen|cream(y)?|demi)\b/],
  ['matte', /\b(flat|velvety?|blurr(ed|ing)|soft[ -]focus|powdery)\b/],
];
export const finishInCell = (cell: string): Finish | null =>
  first(HALFWAY, cell) ?? finishTold(cell) ?? first(FINISHES, cell);

const TEXTURES: Words<Texture> = [
  ['liquid', /\b(lotion|spray|mist|milk|emulsion|oil|water(y)?)\b/],
  ['cream', /\b(wax|paste|pot|whipped|soft)\b/],
  ['pressed', /\b(cake|powders)\b/],
];
/** A 'powder' is pressed, but where the product's name says that it is loose. */
export function textureInCell(cell: string, called: string): Texture | null {
  const told = textureTold(cell) ?? first(TEXTURES, cell);
  return told === 'pressed' && /^\s*(setting )?powders?\s*$/i.test(cell) && textureTold(called) === 'loose'
    ? 'loose'
    : told;
}

/** Of a range ("light to medium") the less: more of it is a second layer. */
const COVERAGES: Words<Coverage> = [
  ['sheer', /\b(sheer|transparent|translucent|very light)\b/],
  ['light', /\b(light|low)\b/],
  ['medium', /\b(medium|mid|moderate)\b/],
  ['full', /\b(full|high|heavy|maximum)\b/],
  ['opaque', /\b(opaque|total)\b/],
];
export const coverageInCell = (cell: string): Coverage | null => first(COVERAGES, cell);

const FAMILIES: Words<Family> = [
  ['silicone', /\b(silicones?|dimethicone)\b/],
  ['water', /\b(water|aqua|aqueous)\b/],
  ['oil', /\boils?\b(?![ -]?free)/],
  ['wax', /\bwax(es|y)?\b/],
  ['alcohol', /\balcohols?\b(?![ -]?free)/],
  ['powder', /\bpowders?\b/],
];
export const familyInCell = (cell: string): Family | null => first(FAMILIES, cell);

const MEASURES: Words<Measure> = [
  ['pump', /\bpumps?\b/],
  ['drop', /\bdrops?\b/],
  ['dot', /\bdots?\b/],
  ['swipe', /\b(swipes?|strokes?)\b/],
  ['rice-grain', /\b(rice|grains?)\b/],
];
export const measureInCell = (cell: string): Measure | null => first(MEASURES, cell);
