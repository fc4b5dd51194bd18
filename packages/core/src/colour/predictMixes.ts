import { illuminantWeights, type Spectrum } from './illuminants';
import { absorptionOverScattering } from './kubelkaMunk';
import type { Lab } from './lab';
import { BANDS } from './spectralTables';

// Taken out of the global once: these run in the innermost loops.
const { cbrt, sqrt, min, floor } = Math;

/** What the search needs to know of a product. */
export type Mixable = {
  readonly id: string;
  readonly lab: Lab;
  /** How strongly it tints in a mix; 1 unless calibrated by a test mix. */
  readonly tintingStrength?: number;
  /**
   * What one measure holds: a drop of adjuster is lighter than a pump of base. Any one unit; 1 by default.
   */
  readonly mgPerMeasure?: number;
};

/** Marks the empty places of a mix of fewer than three products. */
export const EMPTY = 255;

/** How much a measure of a product weighs in a mix: what it holds times how strongly it tints. */
export const strengthOf = (p: Mixable): number => (p.tintingStrength ?? 1) * (p.mgPerMeasure ?? 1);
const root = (t: number): number => (t > 216 / 24389 ? cbrt(t) : (t * (24389 / 27) + 16) / 116);

/** Mixes worked out side by side: one alone leaves most of the processor waiting for its root. */
export const LANES = 4;

/**
 * A function that writes the predicted L, a, b of up to four ratios of the same products, one after the
 * other: the work of `mixSpectra` and `labUnder` without their arrays. Written out for speed: the first table
 * of a kit is what a search waits for.
 */
export function predictor(
  kit: readonly Mixable[],
  spectra: readonly Spectrum[],
  ratios: readonly (readonly number[])[],
) {
  const weights = illuminantWeights('D65');
  const [whiteX, whiteY, whiteZ] = weights.white;
  // The observer's three weights of a band side by side, the white taken out.
  const observer = Float64Array.from({ length: 3 * BANDS }, (_, i) => {
    const band = floor(i / 3);
    return [weights.x[band]! / whiteX, weights.y[band]! / whiteY, weights.z[band]! / whiteZ][i % 3]!;
  });
  const curves = spectra.map((spectrum) => Float64Array.from(spectrum, absorptionOverScattering));
  const nothing = new Float64Array(BANDS);
  const strength = Float64Array.from(kit, strengthOf);
  const shares = new Float64Array(3 * LANES);
  const write = (X: number, Y: number, Z: number, out: Float32Array, at: number): void => {
    const fy = root(Y);
    out[at] = 116 * fy - 16;
    out[at + 1] = 500 * (root(X) - fy);
    out[at + 2] = 200 * (fy - root(Z));
  };
  return (
    a: number,
    b: number,
    c: number,
    firstRatio: number,
    count: number,
    out: Float32Array,
    at: number,
  ): void => {
    for (let lane = 0; lane < LANES; lane++) {
      const ratio = ratios[firstRatio + min(lane, count - 1)]!;
      const wa = ratio[0]! * strength[a]!;
      const wb = b === EMPTY ? 0 : ratio[1]! * strength[b]!;
      const wc = c === EMPTY ? 0 : ratio[2]! * strength[c]!;
      const whole = wa + wb + wc;
      shares[3 * lane] = wa / whole;
      shares[3 * lane + 1] = wb / whole;
      shares[3 * lane + 2] = wc / whole;
    }
    const a0 = shares[0]!;
    const b0 = shares[1]!;
    const c0 = shares[2]!;
    const a1 = shares[3]!;
    const b1 = shares[4]!;
    const c1 = shares[5]!;
    const a2 = shares[6]!;
    const b2 = shares[7]!;
    const c2 = shares[8]!;
    const a3 = shares[9]!;
    const b3 = shares[10]!;
    const c3 = shares[11]!;
    const ofA = curves[a]!;
    const ofB = b === EMPTY ? nothing : curves[b]!;
    const ofC = c === EMPTY ? nothing : curves[c]!;
    let X0 = 0;
    let Y0 = 0;
    let Z0 = 0;
    let X1 = 0;
    let Y1 = 0;
    let Z1 = 0;
    let X2 = 0;
    let Y2 = 0;
    let Z2 = 0;
    let X3 = 0;
    let Y3 = 0;
    let Z3 = 0;
    for (let i = 0, k = 0; i < BANDS; i++, k += 3) {
      const qa = ofA[i]!;
      const qb = ofB[i]!;
      const qc = ofC[i]!;
      const x = observer[k]!;
      const y = observer[k + 1]!;
      const z = observer[k + 2]!;
      const q0 = 1 + a0 * qa + b0 * qb + c0 * qc;
      const r0 = q0 - sqrt(q0 * q0 - 1);
      const q1 = 1 + a1 * qa + b1 * qb + c1 * qc;
      const r1 = q1 - sqrt(q1 * q1 - 1);
      const q2 = 1 + a2 * qa + b2 * qb + c2 * qc;
      const r2 = q2 - sqrt(q2 * q2 - 1);
      const q3 = 1 + a3 * qa + b3 * qb + c3 * qc;
      const r3 = q3 - sqrt(q3 * q3 - 1);
      X0 += r0 * x;
      Y0 += r0 * y;
      Z0 += r0 * z;
      X1 += r1 * x;
      Y1 += r1 * y;
      Z1 += r1 * z;
      X2 += r2 * x;
      Y2 += r2 * y;
      Z2 += r2 * z;
      X3 += r3 * x;
      Y3 += r3 * y;
      Z3 += r3 * z;
    }
    write(X0, Y0, Z0, out, at);
    if (count > 1) write(X1, Y1, Z1, out, at + 3);
    if (count > 2) write(X2, Y2, Z2, out, at + 6);
    if (count > 3) write(X3, Y3, Z3, out, at + 9);
  };
}
