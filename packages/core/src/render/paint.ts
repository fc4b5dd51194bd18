import { filmMap, type Illuminant } from '../colour';
import { scatteredBack, type FlashGrade, type Optics } from '../shade';
import type { Mask } from './mask';
import { rgbRows, SIX, toSixBands } from './sixBands';

const LEVELS = 256;

/**
 * A film's Moebius map R -> (al R + be) / (ga R + 1) for each of 256 doses and six bands, three numbers each.
 */
export type FilmTable = { readonly maps: Float32Array; readonly flash: Float32Array };

/** A product's film from no dose to a full one. */
export function filmTable(optics: Optics, fullDoseMgPerCm2: number, grade: FlashGrade = 0): FilmTable {
  const maps = new Float32Array(LEVELS * SIX * 3);
  const flash = new Float32Array(LEVELS);
  const masstone = toSixBands(optics.masstone);
  for (let level = 0; level < LEVELS; level++) {
    const dose = (fullDoseMgPerCm2 * level) / (LEVELS - 1);
    flash[level] = scatteredBack(grade, dose);
    for (let i = 0; i < SIX; i++)
      maps.set(filmMap(masstone[i]!, optics.scattering * dose), 3 * (SIX * level + i));
  }
  return { maps, flash };
}

export type PaintLayer = { readonly masks: readonly Mask[]; readonly film: FilmTable };

/** A picture being painted: six reflectances a pixel, and where there is skin. */
export type Surface = { readonly width: number; readonly height: number; readonly bands: Float32Array };
export type Rectangle = {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
};

/** Lays one film over a surface in place, within a rectangle. `inFlash` adds what the film throws back. */
export function layFilm(
  surface: Surface,
  { masks, film }: PaintLayer,
  within: Rectangle,
  inFlash = false,
): void {
  const { bands, width } = surface;
  const { maps, flash } = film;
  for (const mask of masks) {
    const { cover } = mask;
    const right = Math.min(mask.x + mask.width, within.x + within.width);
    const bottom = Math.min(mask.y + mask.height, within.y + within.height);
    for (let y = Math.max(mask.y, within.y); y < bottom; y++) {
      for (let x = Math.max(mask.x, within.x); x < right; x++) {
        const level = (cover[mask.width * (y - mask.y) + (x - mask.x)]! * 255 + 0.5) | 0;
        if (level === 0) continue;
        const at = SIX * (width * y + x);
        const m = 18 * level;
        // Written out: a loop over the bands is several times slower.
        const r0 = bands[at]!;
        const r1 = bands[at + 1]!;
        const r2 = bands[at + 2]!;
        const r3 = bands[at + 3]!;
        const r4 = bands[at + 4]!;
        const r5 = bands[at + 5]!;
        bands[at] = (maps[m]! * r0 + maps[m + 1]!) / (maps[m + 2]! * r0 + 1);
        bands[at + 1] = (maps[m + 3]! * r1 + maps[m + 4]!) / (maps[m + 5]! * r1 + 1);
        bands[at + 2] = (maps[m + 6]! * r2 + maps[m + 7]!) / (maps[m + 8]! * r2 + 1);
        bands[at + 3] = (maps[m + 9]! * r3 + maps[m + 10]!) / (maps[m + 11]! * r3 + 1);
        bands[at + 4] = (maps[m + 12]! * r4 + maps[m + 13]!) / (maps[m + 14]! * r4 + 1);
        bands[at + 5] = (maps[m + 15]! * r5 + maps[m + 16]!) / (maps[m + 17]! * r5 + 1);
        if (!inFlash || flash[level] === 0) continue;
        const k = flash[level]!;
        for (let i = at; i < at + SIX; i++) bands[i] = bands[i]! + k * (1 - bands[i]!) * (1 - bands[i]!);
      }
    }
  }
}

const GAMMA_STEPS = 4096;
const GAMMA = Uint8ClampedArray.from({ length: GAMMA_STEPS + 1 }, (_, i) => {
  const x = i / GAMMA_STEPS;
  return Math.round(255 * (x <= 0.0031308 ? 12.92 * x : 1.055 * x ** (1 / 2.4) - 0.055));
});
const encoded = (linear: number): number =>
  GAMMA[linear <= 0 ? 0 : linear >= 1 ? GAMMA_STEPS : (linear * GAMMA_STEPS + 0.5) | 0]!;

/**
 * Six bands as display colours under a light, within a rectangle. `skin` is where there is any (the alpha),
 * `shading` multiplies; `before` and `eaten` bring colours back towards the bare face, as a camera does.
 */
export function develop(
  surface: Surface,
  light: Illuminant,
  within: Rectangle,
  out: Uint8ClampedArray,
  options: {
    readonly skin: Float32Array;
    readonly shading: Float32Array;
    readonly before?: Float32Array;
    readonly eaten?: number;
  },
): void {
  const { bands, width } = surface;
  const { skin, shading, before, eaten = 0 } = options;
  const m = rgbRows(light);
  for (let y = within.y; y < within.y + within.height; y++) {
    for (let x = within.x; x < within.x + within.width; x++) {
      const pixel = width * y + x;
      if (skin[pixel] === 0) {
        out[4 * pixel + 3] = 0;
        continue;
      }
      const at = SIX * pixel;
      let r0 = bands[at]!;
      let r1 = bands[at + 1]!;
      let r2 = bands[at + 2]!;
      let r3 = bands[at + 3]!;
      let r4 = bands[at + 4]!;
      let r5 = bands[at + 5]!;
      if (before && eaten > 0) {
        r0 += eaten * (before[at]! - r0);
        r1 += eaten * (before[at + 1]! - r1);
        r2 += eaten * (before[at + 2]! - r2);
        r3 += eaten * (before[at + 3]! - r3);
        r4 += eaten * (before[at + 4]! - r4);
        r5 += eaten * (before[at + 5]! - r5);
      }
      const s = shading[pixel]!;
      out[4 * pixel] = encoded(
        s * (m[0]! * r0 + m[1]! * r1 + m[2]! * r2 + m[3]! * r3 + m[4]! * r4 + m[5]! * r5),
      );
      out[4 * pixel + 1] = encoded(
        s * (m[6]! * r0 + m[7]! * r1 + m[8]! * r2 + m[9]! * r3 + m[10]! * r4 + m[11]! * r5),
      );
      out[4 * pixel + 2] = encoded(
        s * (m[12]! * r0 + m[13]! * r1 + m[14]! * r2 + m[15]! * r3 + m[16]! * r4 + m[17]! * r5),
      );
      out[4 * pixel + 3] = Math.round(255 * skin[pixel]!);
    }
  }
}
