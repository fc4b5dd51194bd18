import { xyzToLab, type Lab, type Xyz } from './lab';
import {
  BANDS,
  CMF_X,
  CMF_X_10,
  CMF_Y,
  CMF_Y_10,
  CMF_Z,
  CMF_Z_10,
  DAYLIGHT_S0,
  DAYLIGHT_S1,
  DAYLIGHT_S2,
  F11_BY_5,
  wavelengthNm,
} from './spectralTables';

/**
 * Lights by name: daylight D65, D50 (print booth), D55 (flash), A (incandescent), F11 (tube), LED about 4100
 * K.
 */
export const ILLUMINANTS = ['D65', 'D50', 'D55', 'A', 'F11', 'LED'] as const;
export type Illuminant = (typeof ILLUMINANTS)[number];

/** The CIE's standard observers by the field they see, degrees: 1931 and 1964. */
export type Observer = 2 | 10;
const CMF = { 2: [CMF_X, CMF_Y, CMF_Z], 10: [CMF_X_10, CMF_Y_10, CMF_Z_10] } as const;
type Cmf = (typeof CMF)[Observer];

/** Reflectances in 36 bands, 380 to 730 nm by 10, each 0 to 1. */
export type Spectrum = Float64Array;

/** Band weights of a light for an observer, and their white. */
export type Weights = {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly z: Float64Array;
  readonly white: Xyz;
};

const SAMPLES = CMF_Y.length;
const cache = { 2: new Map<Illuminant, Weights>(), 10: new Map<Illuminant, Weights>() };

/**
 * Band weights light x observer so that a reflectance's Y is between 0 and 1; 740 to 780 nm are lumped into
 * 730.
 */
export function illuminantWeights(illuminant: Illuminant, observer: Observer = 2): Weights {
  const held = cache[observer].get(illuminant);
  if (held) return held;
  const made = buildWeights(illuminant, CMF[observer]);
  cache[observer].set(illuminant, made);
  return made;
}

function buildWeights(illuminant: Illuminant, cmf: Cmf): Weights {
  const x = new Float64Array(BANDS);
  const y = new Float64Array(BANDS);
  const z = new Float64Array(BANDS);
  const add = (sample: number, power: number): void => {
    const band = Math.min(BANDS - 1, sample);
    x[band]! += power * cmf[0][sample]!;
    y[band]! += power * cmf[1][sample]!;
    z[band]! += power * cmf[2][sample]!;
  };
  if (illuminant === 'F11') foldFine(F11_BY_5, 5, cmf, x, y, z);
  else if (illuminant === 'LED') foldFine(ledByOne(), 1, cmf, x, y, z);
  else for (let i = 0; i < SAMPLES; i++) add(i, smoothPower(illuminant, wavelengthNm(i), i));
  const total = y.reduce((sum, v) => sum + v, 0);
  for (const w of [x, y, z]) for (let i = 0; i < BANDS; i++) w[i]! /= total;
  const sum = (w: Float64Array): number => w.reduce((s, v) => s + v, 0);
  return { x, y, z, white: [sum(x), sum(y), sum(z)] };
}

function smoothPower(illuminant: 'D65' | 'D55' | 'D50' | 'A', nm: number, sample: number): number {
  if (illuminant === 'A') {
    // CIE 15:2004 eq. 3.1 (Planck at 2848 K on the 1931 scale).
    const k = 1.435e7 / 2848;
    return (100 * (560 / nm) ** 5 * (Math.exp(k / 560) - 1)) / (Math.exp(k / nm) - 1);
  }
  // For D65 and D50 the nominal temperatures come nearest to the CIE's own tabulated factors.
  const [m1, m2] = daylightFactors({ D65: 6500, D55: 5503, D50: 5000 }[illuminant]);
  return DAYLIGHT_S0[sample]! + m1 * DAYLIGHT_S1[sample]! + m2 * DAYLIGHT_S2[sample]!;
}

/** CIE 15:2004 eqs. 3.3 to 3.6 for correlated colour temperatures up to 7000 K. */
function daylightFactors(kelvin: number): [number, number] {
  const x = -4.607e9 / kelvin ** 3 + 2.9678e6 / kelvin ** 2 + 99.11 / kelvin + 0.244063;
  const y = -3 * x * x + 2.87 * x - 0.275;
  const d = 0.0241 + 0.2562 * x - 0.7341 * y;
  return [(-1.3515 - 1.7703 * x + 5.9114 * y) / d, (0.03 - 31.4424 * x + 30.0717 * y) / d];
}

/**
 * Line spectra must not be sampled at 10 nm (a mean error of one unit): each fine sample, with the
 * observer interpolated by a cubic, is shared between its two neighbouring bands by distance,
 * which is exact for reflectances linear between bands.
 */
function foldFine(
  power: readonly number[],
  stepNm: number,
  cmf: Cmf,
  x: Float64Array,
  y: Float64Array,
  z: Float64Array,
): void {
  for (let i = 0; i < power.length; i++) {
    const at = (i * stepNm) / 10;
    const low = Math.min(SAMPLES - 2, Math.floor(at));
    const t = at - low;
    const lowBand = Math.min(BANDS - 1, low);
    const highBand = Math.min(BANDS - 1, low + 1);
    for (const [target, table] of [
      [x, cmf[0]],
      [y, cmf[1]],
      [z, cmf[2]],
    ] as const) {
      const value = power[i]! * cubicAt(table, at);
      target[lowBand]! += value * (1 - t);
      target[highBand]! += value * t;
    }
  }
}

/** Lagrange's cubic through the four nearest entries of a table at a fractional index. */
function cubicAt(table: readonly number[], at: number): number {
  const first = Math.min(table.length - 4, Math.max(0, Math.floor(at) - 1));
  let sum = 0;
  for (let j = first; j < first + 4; j++) {
    let term = table[j]!;
    for (let m = first; m < first + 4; m++) if (m !== j) term *= (at - m) / (j - m);
    sum += term;
  }
  return sum;
}

/** A fit to a common phosphor lamp of about 4100 K (blue peak and broad phosphor); not a CIE curve. */
function ledByOne(): number[] {
  const bump = (nm: number, mean: number, left: number, right: number): number =>
    Math.exp(-0.5 * ((nm - mean) / (nm < mean ? left : right)) ** 2);
  return Array.from(
    { length: 401 },
    (_, i) => 1.06277 * bump(380 + i, 448, 9, 12) + bump(380 + i, 575, 42, 46.3647),
  );
}

/** XYZ (Y of white = 1) of a reflectance under a light. */
export function xyzUnder(spectrum: Spectrum, illuminant: Illuminant, observer: Observer = 2): Xyz {
  const w = illuminantWeights(illuminant, observer);
  let X = 0;
  let Y = 0;
  let Z = 0;
  for (let i = 0; i < BANDS; i++) {
    const r = spectrum[i]!;
    X += r * w.x[i]!;
    Y += r * w.y[i]!;
    Z += r * w.z[i]!;
  }
  return [X, Y, Z];
}

/** CIELAB of a reflectance under a light, relative to that light's white. */
export function labUnder(spectrum: Spectrum, illuminant: Illuminant, observer: Observer = 2): Lab {
  return xyzToLab(xyzUnder(spectrum, illuminant, observer), illuminantWeights(illuminant, observer).white);
}
