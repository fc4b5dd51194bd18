import { BANDS } from '../colour/spectralTables';
import { labUnder, type Spectrum } from '../colour';
import type { Product } from '../kit';

/** How strongly a product throws a flash back: 0 not at all, 3 plainly. */
export type FlashGrade = 0 | 1 | 2 | 3;

/**
 * Constants of the model, invented and to be set by a studio's own flash photos: reflectance added by a thick
 * layer.
 */
const BY_GRADE: Readonly<Record<FlashGrade, number>> = { 0: 0, 1: 0.012, 2: 0.03, 3: 0.06 };
/** A white cast is warned of from this lightness gained. */
export const FLASHBACK_WARNING = 2;

/**
 * What a product is expected to do in a flash: the studio's own result, else a guess from texture and
 * ingredients.
 */
export function flashGradeOf(
  product: Pick<Product, 'flashGrade' | 'ingredients' | 'texture' | 'finish'>,
): FlashGrade {
  if (product.flashGrade !== undefined) return product.flashGrade;
  const has = (word: RegExp): boolean => product.ingredients.some((i) => word.test(i.toLowerCase()));
  if (has(/zinc oxide/) && has(/titanium dioxide/)) return 2;
  if (product.texture === 'loose' && has(/silica/)) return product.finish === 'matte' ? 2 : 3;
  if (product.texture === 'loose' && has(/titanium dioxide|zinc oxide/)) return 2;
  return has(/silica|zinc oxide/) ? 1 : 0;
}

/** The light thrown back by a layer of this grade and dose, as a share of (1 - R)^2. */
export function scatteredBack(grade: FlashGrade, doseMgPerCm2: number): number {
  return (BY_GRADE[grade] * (1 - Math.exp(-doseMgPerCm2 / 0.5))) / (1 - Math.exp(-2));
}

export type FlashLayer = { readonly grade: FlashGrade; readonly doseMgPerCm2: number };
export type Flashback = {
  /** Lightness gained in the photo. */
  readonly deltaL: number;
  readonly cast: boolean;
  /** The surface as the flash sees it. */
  readonly spectrum: Spectrum;
};

/**
 * The white cast of layers over a surface in a flash photo: R' = R + k (1 - R)^2 for each, in order. A model
 * with invented constants: a flash photo in a dark room is the test.
 */
export function flashback(surface: Spectrum, layers: readonly FlashLayer[]): Flashback {
  const spectrum = Float64Array.from(surface);
  for (const { grade, doseMgPerCm2 } of layers) {
    const k = scatteredBack(grade, doseMgPerCm2);
    for (let i = 0; i < BANDS; i++) spectrum[i] = spectrum[i]! + k * (1 - spectrum[i]!) ** 2;
  }
  const deltaL = labUnder(spectrum, 'D55')[0] - labUnder(surface, 'D55')[0];
  return { deltaL, cast: deltaL >= FLASHBACK_WARNING, spectrum };
}
