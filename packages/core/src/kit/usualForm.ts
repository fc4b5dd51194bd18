import { isPowder, type Family, type Measure, type Product, type ProductKind, type Texture } from './product';

export type UsualForm = Pick<Product, 'texture' | 'family' | 'measure' | 'mgPerMeasure' | 'eyeSafe'>;

/** What a texture is mostly made of. */
const FAMILY_OF: Readonly<Record<Texture, Family>> = {
  liquid: 'silicone',
  cream: 'silicone',
  gel: 'silicone',
  stick: 'wax',
  pencil: 'wax',
  loose: 'powder',
  pressed: 'powder',
};
/** How a texture is taken, and how much that is, mg. */
const TAKEN: Readonly<Record<Texture, readonly [Measure, number]>> = {
  liquid: ['pump', 170],
  cream: ['rice-grain', 60],
  gel: ['rice-grain', 40],
  stick: ['swipe', 10],
  pencil: ['swipe', 3],
  loose: ['swipe', 6],
  pressed: ['swipe', 6],
};
/** Made for the eye: whoever makes one says where it must not be put. */
const FOR_EYES: ReadonlySet<ProductKind> = new Set<ProductKind>([
  'shadow',
  'liner',
  'mascara',
  'lashes',
  'brow',
]);
/** Laid by the pump or the grain; of everything else a little is much. */
const LARGE: ReadonlySet<ProductKind> = new Set<ProductKind>(['prep', 'primer', 'base', 'adjuster', 'spray']);
const FACE: ReadonlySet<ProductKind> = new Set<ProductKind>([
  'concealer',
  'corrector',
  'contour',
  'bronzer',
  'blush',
  'highlight',
]);
/** A large brush or a puff takes up more powder than a small brush, mg. */
const POWDER_FOR_THE_FACE = 15;
const takenOf = (kind: ProductKind, texture: Texture): readonly [Measure, number] => {
  if (isPowder({ texture }) && (kind === 'base' || kind === 'powder')) return ['swipe', POWDER_FOR_THE_FACE];
  if (LARGE.has(kind) || isPowder({ texture }) || texture === 'pencil' || texture === 'stick')
    return TAKEN[texture];
  return FACE.has(kind) && texture === 'liquid' ? ['dot', 20] : ['swipe', 10];
};
type Own = { readonly texture: Texture } & Partial<UsualForm>;
const PRESSED: Own = { texture: 'pressed' };
const DRAWN: Own = { texture: 'pencil' };
const USUAL: Partial<Record<ProductKind, Own>> = {
  prep: { texture: 'cream', measure: 'pump', mgPerMeasure: 170 },
  adjuster: { texture: 'liquid', measure: 'drop', mgPerMeasure: 30 },
  concealer: { texture: 'liquid' },
  corrector: { texture: 'cream', measure: 'dot', mgPerMeasure: 10 },
  powder: PRESSED,
  contour: PRESSED,
  bronzer: PRESSED,
  blush: PRESSED,
  highlight: PRESSED,
  shadow: PRESSED,
  brow: DRAWN,
  liner: DRAWN,
  'lip liner': DRAWN,
  mascara: { texture: 'liquid', family: 'wax', measure: 'swipe', mgPerMeasure: 25 },
  'lip colour': { texture: 'stick' },
  lashes: { texture: 'gel', family: 'alcohol', measure: 'dot', mgPerMeasure: 5 },
  spray: { texture: 'liquid', family: 'water' },
};

/**
 * How a kind usually comes and is measured: a beginning, changed to what the package says. Of a `texture`
 * that is known it is how that is made and taken.
 */
export function usualForm(kind: ProductKind, texture?: Texture): UsualForm {
  const own: Own = USUAL[kind] ?? { texture: 'liquid' };
  const real = texture ?? own.texture;
  const [measure, mgPerMeasure] = takenOf(kind, real);
  const usual = {
    texture: real,
    family: FAMILY_OF[real],
    measure,
    mgPerMeasure,
    eyeSafe: FOR_EYES.has(kind),
  };
  return real === own.texture ? { ...usual, ...own } : usual;
}
