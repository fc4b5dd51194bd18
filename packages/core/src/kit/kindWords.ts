import { FINISHES, PRODUCT_KINDS, type Finish, type ProductKind, type Texture } from './product';

/**
 * What makers, shops and lists of one's own call the kinds, each beside what it means here. Those above win
 * over those below where both are told: a primer for shadows is a primer, a powder blush is a blush.
 */
const RANKS: readonly (readonly (readonly [kind: ProductKind, told: RegExp])[])[] = [
  [
    ['primer', /\b(primers?|pore filler|lid base|shadow base|lash base)\b/],
    ['spray', /\b((setting|fixing|finishing|make-?up) (sprays?|mists?|fixers?)|sprays?)\b/],
    [
      'adjuster',
      /\b(adjusters?|mixing (medium|drops|pigment)|(shade|colou?r|lightening|darkening|white) (adjust\w*|drops)|mixers?)\b/,
    ],
    ['lip liner', /\blip ?-?(liners?|pencils?|contours?)\b/],
    ['brow', /\b(eye ?)?brows?\b/],
  ],
  [
    ['prep', /\b(lip (balms?|masks?|scrubs?|oils?|treatments?)|tinted lip balms?)\b/],
    [
      'base',
      /\b(foundations?|tinted moisturi[sz]ers?|(bb|cc|dd) ?creams?|bb|cc|skin tints?|complexion|cushions?)\b/,
    ],
  ],
  [
    [
      'lip colour',
      /\b(lip ?sticks?|(lip )?gloss(es)?|lip ?(colou?rs?|tints?|stains?|creams?|paints?|lacquers?|crayons?)|liquid lips?|lips?)\b/,
    ],
    [
      'lashes',
      /\b((false|strip|individual|cluster|faux) ?(eye ?)?lash(es)?|lash (strips?|bands?|clusters?)|(eye ?)?lashes|falsies)\b/,
    ],
    ['mascara', /\bmascaras?\b/],
    ['liner', /\b(eye ?-?liners?|liners?|kajals?|kohls?)\b/],
    [
      'shadow',
      /\b(eye ?-?shadows?|shadows?|eye (colou?rs?|pigments?|palettes?|tints?)|pigments?|glitters?)\b/,
    ],
    ['corrector', /\b(correct(ors?|ing|ion)|neutrali[sz]ers?)\b/],
    ['concealer', /\b(concealers?|camouflage)\b/],
    ['contour', /\b(contours?|contouring|sculpt(ing|or)?)\b/],
    ['bronzer', /\bbronz(ers?|ing)\b/],
    ['blush', /\b(blush(es|ers?)?|cheek (tints?|colou?rs?|stains?)|rouges?)\b/],
    ['highlight', /\b(highlight(ers?|ing)?|illuminat(ors?|ing)|luminizers?|strobes?|strobing)\b/],
  ],
  [['powder', /\bpowders?\b/]],
  [
    [
      'prep',
      /\b(preps?|moisturi[sz]ers?|cleansers?|toners?|serums?|spf( ?\d+)?|sun ?-?(screens?|creams?|blocks?)|micellar( water)?|(face|eye|day|night|hydrating|barrier) (creams?|mists?|gels?|oils?|masks?|patches)|essences?|skin ?-?care|removers?|exfoliat\w+)\b/,
    ],
  ],
];
/** Goes with what is laid on, and is none of it. */
const NO_PRODUCT =
  /\b(glues?|adhesives?|brush(es)?|sponges?|puffs?|tools?|curlers?|tweezers?|sharpeners?|palette knife)\b/;

const TEXTURE_WORDS: readonly (readonly [texture: Texture, told: RegExp])[] = [
  ['pencil', /\b(pencils?|crayons?|kajals?|kohls?)\b/],
  ['stick', /\bsticks?\b/],
  ['loose', /\b(loose|pigments?|glitters?)\b/],
  ['pressed', /\b(pressed|compact|baked|pan|powder)\b/],
  ['gel', /\b(gels?|jelly)\b/],
  ['cream', /\b(creams?|cr[eè]mes?|mousse|pomades?|balms?|putty|souffl[eé])(?!\w)/],
  ['liquid', /\b(liquids?|fluids?|serums?|drops|gloss(es)?|ink|tints?)\b/],
];
const FINISH_WORDS: readonly (readonly [finish: Finish, told: RegExp])[] = [
  ['shimmer', /\b(shimmer\w*|glitters?|metallic|sparkl\w+|pearl\w*|frost\w*)\b/],
  ['dewy', /\b(dewy|glow(y|ing)?|radian\w+|luminous|gloss(es|y)?)\b/],
  ['matte', /\bmatt(e|ifying)?\b/],
  ['satin', /\bsatin\b/],
];

const plain = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[_/&+]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/**
 * The kind a few words of a list mean, whoever wrote it; more than one where they may mean either, none where
 * they mean no product that is laid on a face.
 */
export function kindsTold(words: string): readonly ProductKind[] {
  const text = plain(words);
  const exact = PRODUCT_KINDS.find((kind) => kind === text || `${kind}s` === text);
  if (exact) return [exact];
  if (NO_PRODUCT.test(text)) return [];
  for (const rank of RANKS) {
    const told = rank.filter(([, word]) => word.test(text)).map(([kind]) => kind);
    if (told.length > 0) return told;
  }
  return [];
}

/** The texture a name or a kind's name tells, if it tells one: 'powder foundation', 'stick', 'gel liner'. */
export function textureTold(words: string): Texture | null {
  const text = plain(words);
  return TEXTURE_WORDS.find(([, word]) => word.test(text))?.[0] ?? null;
}

/** The finish a name tells, if it tells one. */
export function finishTold(words: string): Finish | null {
  const text = plain(words);
  return (
    FINISHES.find((finish) => finish === text) ??
    FINISH_WORDS.find(([, word]) => word.test(text))?.[0] ??
    null
  );
}

/** Whether a name says that a powder has no colour of its own: 'translucent'. */
export const clearTold = (words: string): boolean =>
  /\b(translucent|transparent|clear|colou?rless|invisible|no[ -]colou?r)\b/.test(plain(words));

/** Whether a name says that it is, or may not be, for the eyes; null where it says neither. */
export function forEyesTold(words: string): boolean | null {
  const text = plain(words);
  // What glitters is ground for bodies as often as for lids.
  if (/\b(glitters?|pigments?|not for (the )?eyes?|body)\b/.test(text)) return false;
  return /\b(eye ?-?(primer|base|concealer|cream|safe)|under ?-?eye|lid (primer|base))s?\b/.test(text)
    ? true
    : null;
}
