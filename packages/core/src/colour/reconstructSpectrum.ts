import { solveInPlace } from '../math';
import {
  illuminantWeights,
  type Illuminant,
  type Observer,
  type Spectrum,
  type Weights,
} from './illuminants';
import { labToXyz, type Lab, type Xyz } from './lab';
import { BANDS, SKIN_FIXED, SKIN_HAEMOGLOBIN, wavelengthNm } from './spectralTables';

/**
 * How a spectrum was guessed from three numbers: by skin pigments, by cosmetic oxides, or as the smoothest
 * curve.
 */
export type SpectrumMethod = 'skin' | 'oxide' | 'smooth';
export type Reconstruction = { readonly spectrum: Spectrum; readonly method: SpectrumMethod };

/**
 * A reflectance that has exactly this CIELAB colour under the given light for the given observer. One colour
 * holds no information about metamerism: the result is a model's guess, best when `as` says what is measured.
 * Tries the three-pigment basis first and falls back to the smoothest curve (LHTSS).
 * Throws a RangeError for colours no reflectance can have.
 */
export function reconstructSpectrum(
  lab: Lab,
  illuminant: Illuminant = 'D65',
  as: SpectrumMethod = 'smooth',
  observer: Observer = 2,
): Reconstruction {
  const weights = illuminantWeights(illuminant, observer);
  const xyz = labToXyz(lab, weights.white);
  if (as !== 'smooth') {
    const spectrum = solveBasis(as === 'skin' ? SKIN_BASIS : OXIDE_BASIS, xyz, weights);
    if (spectrum) return { spectrum, method: as };
  }
  const spectrum = smoothest(xyz, weights);
  if (!spectrum) {
    throw new RangeError(
      `reconstructSpectrum: CIELAB ${lab.map((v) => v.toFixed(2)).join(' ')} under ${illuminant} is outside what a surface can reflect`,
    );
  }
  return { spectrum, method: 'smooth' };
}

/** Three parameters to 36 reflectances, with the derivative of each band by each parameter. */
type Basis = {
  readonly start: readonly [number, number, number];
  readonly evaluate: (p: readonly number[], spectrum: Float64Array, derivative: Float64Array) => void;
};

// Melanin absorbs as a power of wavelength; the exponent is the usual epidermal one.
const MELANIN = ((): Float64Array => {
  const curve = Float64Array.from({ length: BANDS }, (_, i) => wavelengthNm(i) ** -3.48);
  const mean = curve.reduce((s, v) => s + v, 0) / BANDS;
  return curve.map((v) => v / mean);
})();

const SKIN_BASIS: Basis = {
  start: [0, 0.3, 0.2],
  evaluate: (p, spectrum, derivative) => {
    for (let i = 0; i < BANDS; i++) {
      const r = Math.exp(-(SKIN_FIXED[i]! + p[0]! + p[1]! * MELANIN[i]! + p[2]! * SKIN_HAEMOGLOBIN[i]!));
      spectrum[i] = r;
      derivative[3 * i] = -r;
      derivative[3 * i + 1] = -r * MELANIN[i]!;
      derivative[3 * i + 2] = -r * SKIN_HAEMOGLOBIN[i]!;
    }
  },
};

/**
 * K/S of white, yellow, red and black oxide over the scattering of white (invented curves of the usual
 * shapes).
 */
const OXIDES = ((): { white: Float64Array; pigments: readonly Float64Array[] } => {
  const rise = (nm: number, mid: number, width: number): number => 1 / (1 + Math.exp((nm - mid) / width));
  const bump = (nm: number, mid: number, s: number): number => Math.exp(-0.5 * ((nm - mid) / s) ** 2);
  const over = (k: (nm: number) => number): Float64Array =>
    Float64Array.from({ length: BANDS }, (_, i) => k(wavelengthNm(i)) / (550 / wavelengthNm(i)) ** 1.1);
  return {
    white: over((nm) => 0.0008 + 1.5 * Math.exp(-(nm - 380) / 9)),
    pigments: [
      over(
        (nm) => 1.1 * rise(nm, 516, 17) * (1 + 0.35 * bump(nm, 435, 40)) + 0.045 * bump(nm, 655, 45) + 0.012,
      ),
      over(
        (nm) =>
          1.9 * rise(nm, 578, 9.5) * (1 + 0.25 * bump(nm, 530, 25)) +
          0.13 * (nm < 655 ? bump(nm, 655, 35) : bump(nm, 655, 45)) +
          0.05,
      ),
      over(() => 3.2),
    ],
  };
})();

const OXIDE_BASIS: Basis = {
  start: [-1.5, -2.5, -4],
  evaluate: (p, spectrum, derivative) => {
    const e = [Math.exp(p[0]!), Math.exp(p[1]!), Math.exp(p[2]!)] as const;
    for (let i = 0; i < BANDS; i++) {
      const parts = [
        e[0] * OXIDES.pigments[0]![i]!,
        e[1] * OXIDES.pigments[1]![i]!,
        e[2] * OXIDES.pigments[2]![i]!,
      ];
      const q = OXIDES.white[i]! + parts[0]! + parts[1]! + parts[2]!;
      const root = Math.sqrt(q * q + 2 * q);
      spectrum[i] = 1 + q - root;
      const slope = 1 - (q + 1) / root;
      for (let k = 0; k < 3; k++) derivative[3 * i + k] = slope * parts[k]!;
    }
  },
};

/**
 * Newton on three parameters until the colour is met; null when it leaves (.001, .98) or does not converge.
 */
function solveBasis(basis: Basis, xyz: Xyz, w: Weights): Spectrum | null {
  const spectrum = new Float64Array(BANDS);
  const derivative = new Float64Array(3 * BANDS);
  const p: number[] = [...basis.start];
  for (let round = 0; round < 40; round++) {
    basis.evaluate(p, spectrum, derivative);
    const residual = new Float64Array(xyz);
    const jacobian = new Float64Array(9);
    for (let i = 0; i < BANDS; i++) {
      const bands = [w.x[i]!, w.y[i]!, w.z[i]!];
      for (let row = 0; row < 3; row++) {
        residual[row]! -= bands[row]! * spectrum[i]!;
        for (let k = 0; k < 3; k++) jacobian[3 * row + k]! += bands[row]! * derivative[3 * i + k]!;
      }
    }
    if (Math.abs(residual[0]!) + Math.abs(residual[1]!) + Math.abs(residual[2]!) < 1e-12) {
      return spectrum.every((r) => r > 0.001 && r < 0.98) ? spectrum : null;
    }
    try {
      solveInPlace(jacobian, residual, 3);
    } catch {
      return null;
    }
    for (let k = 0; k < 3; k++) p[k]! += Math.max(-1.5, Math.min(1.5, residual[k]!));
    if (!p.every(Number.isFinite)) return null;
  }
  return null;
}

/**
 * Least hyperbolic-tangent slope squared (Burns, "Numerical methods for smoothest reflectance
 * reconstruction", Color Research and Application 45, 2020): R = (tanh z + 1) / 2, smoothest z.
 */
function smoothest(xyz: Xyz, w: Weights): Spectrum | null {
  if (!(xyz[1] > 1e-7 && xyz[1] < 1)) return null;
  const n = BANDS + 3;
  const bands = [w.x, w.y, w.z];
  const z = new Float64Array(BANDS).fill(Math.atanh(2 * xyz[1] - 1));
  const multipliers = new Float64Array(3);
  const matrix = new Float64Array(n * n);
  const rhs = new Float64Array(n);
  for (let round = 0; round < 60; round++) {
    matrix.fill(0);
    rhs.fill(0);
    let worst = 0;
    for (let i = 0; i < BANDS; i++) {
      const neighbours = i === 0 || i === BANDS - 1 ? 1 : 2;
      let gradient = 2 * neighbours * z[i]!;
      if (i > 0) gradient -= 2 * z[i - 1]!;
      if (i < BANDS - 1) gradient -= 2 * z[i + 1]!;
      const th = Math.tanh(z[i]!);
      const slope = (1 - th * th) / 2;
      const curve = -2 * th * slope;
      matrix[i * n + i] = 2 * neighbours;
      if (i > 0) matrix[i * n + i - 1] = -2;
      if (i < BANDS - 1) matrix[i * n + i + 1] = -2;
      for (let k = 0; k < 3; k++) {
        const weight = bands[k]![i]!;
        gradient += multipliers[k]! * weight * slope;
        matrix[i * n + i]! += multipliers[k]! * weight * curve;
        matrix[i * n + BANDS + k] = weight * slope;
        matrix[(BANDS + k) * n + i] = weight * slope;
        rhs[BANDS + k]! -= (weight * (th + 1)) / 2;
      }
      rhs[i] = -gradient;
      worst = Math.max(worst, Math.abs(gradient));
    }
    for (let k = 0; k < 3; k++) {
      rhs[BANDS + k]! += xyz[k]!;
      worst = Math.max(worst, Math.abs(rhs[BANDS + k]!));
    }
    if (worst < 1e-11) return z.map((v) => (Math.tanh(v) + 1) / 2);
    try {
      solveInPlace(matrix, rhs, n);
    } catch {
      return null;
    }
    for (let i = 0; i < BANDS; i++) z[i]! += Math.max(-2, Math.min(2, rhs[i]!));
    for (let k = 0; k < 3; k++) multipliers[k]! += rhs[BANDS + k]!;
  }
  return null;
}
