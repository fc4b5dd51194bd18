import { xyzUnder, type Spectrum } from './illuminants';
import { BANDS } from './spectralTables';

// Taken out of the global once: these run in the innermost loops.
const { sqrt, exp } = Math;

/** K/S of a thick layer of reflectance r (Kubelka and Munk, 1931): (1 - r)^2 / 2r. */
export function absorptionOverScattering(r: number): number {
  return ((1 - r) * (1 - r)) / (2 * r);
}

/** The reflectance of a thick layer with this K/S. */
export function reflectanceOf(q: number): number {
  return 1 + q - sqrt(q * q + 2 * q);
}

export type MixPart = {
  readonly spectrum: Spectrum;
  /** Amount, in any one unit (pumps, mg). */
  readonly parts: number;
  /** How strongly it tints in a mix; 1 unless calibrated by a test mix. */
  readonly tintingStrength?: number;
};

/**
 * The spectrum of a mix of opaque products: single-constant Kubelka-Munk, K/S averaged by amount
 * times tinting strength. The order of parts does not matter. Throws when the amounts are not positive.
 */
export function mixSpectra(parts: readonly MixPart[]): Spectrum {
  const total = parts.reduce((sum, p) => sum + p.parts * (p.tintingStrength ?? 1), 0);
  if (!(total > 0) || parts.some((p) => p.parts < 0)) {
    throw new RangeError('mixSpectra: amounts must be zero or more and not all zero');
  }
  const mixed = new Float64Array(BANDS);
  for (const part of parts) {
    const weight = (part.parts * (part.tintingStrength ?? 1)) / total;
    for (let i = 0; i < BANDS; i++) mixed[i]! += weight * absorptionOverScattering(part.spectrum[i]!);
  }
  return mixed.map(reflectanceOf);
}

/** A film of one product: its masstone and its scattering power S times thickness X (no unit). */
export type Film = { readonly masstone: Spectrum; readonly sx: number };

/**
 * Reflectance of one band of a film over a background (Kubelka, 1948, in the form without
 * hyperbolic functions). sx = 0 gives the background, sx -> infinity the masstone.
 */
export function filmOver(background: number, masstone: number, sx: number): number {
  const e = exp(-(1 / masstone - masstone) * sx);
  const inverse = 1 / masstone;
  return (
    ((e * inverse - masstone) * background + (1 - e)) / ((e - 1) * background + (inverse - masstone * e))
  );
}

/**
 * The same film as a Moebius map of what lies beneath, R -> (al R + be) / (ga R + 1): films over films
 * multiply as 2x2 matrices.
 */
export function filmMap(masstone: number, sx: number): readonly [al: number, be: number, ga: number] {
  const e = exp(-(1 / masstone - masstone) * sx);
  const d = 1 / masstone - masstone * e;
  return [(e / masstone - masstone) / d, (1 - e) / d, (e - 1) / d];
}

/** {@link filmOver} on all 36 bands. */
export function layerOver(background: Spectrum, film: Film): Spectrum {
  return background.map((r, i) => filmOver(r, film.masstone[i]!, film.sx));
}

/** Coverage classes and the contrast ratio they stand for at 1 mg per cm2 (Y over black / Y over white). */
export const COVERAGES = { sheer: 0.15, light: 0.35, medium: 0.6, full: 0.85, opaque: 0.97 } as const;
export type Coverage = keyof typeof COVERAGES;

/** The scattering power per mg/cm2 at which a product shows its coverage class, by bisection. */
export function scatteringFor(masstone: Spectrum, coverage: Coverage): number {
  const wanted = COVERAGES[coverage];
  const over = (ground: number, sx: number): number =>
    xyzUnder(layerOver(new Float64Array(BANDS).fill(ground), { masstone, sx }), 'D65')[1];
  let low = 0;
  let high = 1;
  while (over(0.005, high) / over(0.8, high) < wanted && high < 1e4) high *= 2;
  for (let round = 0; round < 60; round++) {
    const mid = (low + high) / 2;
    if (over(0.005, mid) / over(0.8, mid) < wanted) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
