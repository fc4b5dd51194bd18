import type { Lab } from './lab';

// Taken out of the global once: these run in the innermost loops.
const { sqrt, exp, atan2, cos, sin, floor } = Math;

const RAD = Math.PI / 180;
const TWENTY_FIVE_7 = 25 ** 7;
/** Below this product of chromas at least one colour is a grey without a hue. */
const TINY = 1e-60;

/**
 * Colour difference CIEDE2000 (kL = kC = kH = 1) after Sharma, Wu and Dalal, "The CIEDE2000
 * color-difference formula", Color Research and Application 30 (2005); symbols are the paper's.
 * Symmetric, 0 for equal colours; about 1 is just noticeable side by side.
 */
export function deltaE2000(first: Lab, second: Lab): number {
  return deltaE2000Raw(first[0], first[1], first[2], second[0], second[1], second[2]);
}

/** {@link deltaE2000} on plain numbers, for inner loops. */
export function deltaE2000Raw(
  L1: number,
  a1: number,
  b1: number,
  L2: number,
  a2: number,
  b2: number,
): number {
  const CMean = (sqrt(a1 * a1 + b1 * b1) + sqrt(a2 * a2 + b2 * b2)) / 2;
  const G = chromaStretch(CMean);
  const a1p = a1 * (1 + G);
  const a2p = a2 * (1 + G);
  const C1p = sqrt(a1p * a1p + b1 * b1);
  const C2p = sqrt(a2p * a2p + b2 * b2);
  const product = C1p * C2p;

  // Mean hue as a direction: the bisector of the two hue vectors, so no angle is wrapped.
  let ux = a1p * C2p + a2p * C1p;
  let uy = b1 * C2p + b2 * C1p;
  const length2 = ux * ux + uy * uy;
  if (product < TINY) {
    ux = a1p + a2p;
    uy = b1 + b2;
    const length = sqrt(ux * ux + uy * uy);
    ux = length === 0 ? 1 : ux / length;
    uy = length === 0 ? 0 : uy / length;
  } else if (length2 < 1e-20 * product * product) {
    const mean = (angle(a1p, b1) + angle(a2p, b2)) / 2;
    ux = cos(mean);
    uy = sin(mean);
  } else {
    const length = sqrt(length2);
    ux /= length;
    uy /= length;
  }

  const dL = L2 - L1;
  const dC = C2p - C1p;
  // 2 sqrt(C1' C2') sin(dh'/2), written so that nothing cancels near equal hues nor near opposite ones.
  const cross = a1p * b2 - a2p * b1;
  const dot = a1p * a2p + b1 * b2;
  let dH: number;
  if (product < TINY) dH = 0;
  else if (dot > 0) dH = cross / sqrt((product + dot) / 2);
  else dH = (cross < 0 ? -1 : 1) * sqrt(2 * (product - dot));

  const LMean50 = (L1 + L2) / 2 - 50;
  const CpMean = (C1p + C2p) / 2;
  const SL = 1 + (0.015 * LMean50 * LMean50) / sqrt(20 + LMean50 * LMean50);
  const SC = 1 + 0.045 * CpMean;
  const SH = 1 + 0.015 * CpMean * hueWeight(ux, uy);

  const l = dL / SL;
  const c = dC / SC;
  const h = dH / SH;
  return sqrt(Math.max(0, l * l + c * c + h * h + rotation(CpMean, ux, uy) * c * h));
}

function chromaStretch(C: number): number {
  const C7 = C * C * C * C * C * C * C;
  return 0.5 * (1 - sqrt(C7 / (C7 + TWENTY_FIVE_7)));
}

/** T of the paper, its four cosines written out by multiple-angle identities from (cos h, sin h). */
function hueWeight(c: number, s: number): number {
  const c2 = c * c - s * s;
  const s2 = 2 * s * c;
  const c3 = c * c2 - s * s2;
  const s3 = s * c2 + c * s2;
  const c4 = c2 * c2 - s2 * s2;
  const s4 = 2 * s2 * c2;
  return (
    1 -
    0.17 * (c * COS30 + s * SIN30) +
    0.24 * c2 +
    0.32 * (c3 * COS6 - s3 * SIN6) -
    0.2 * (c4 * COS63 + s4 * SIN63)
  );
}

const COS30 = cos(30 * RAD);
const SIN30 = sin(30 * RAD);
const COS6 = cos(6 * RAD);
const SIN6 = sin(6 * RAD);
const COS95 = cos(95 * RAD);
const SIN95 = sin(95 * RAD);
const COS56 = cos(56 * RAD);
const COS63 = cos(63 * RAD);
const SIN63 = sin(63 * RAD);

/**
 * R_T of the paper: a bell around mean hue 275 degrees. Within 56 degrees of the opposite hue it is
 * under 5e-11, which moves no difference by a billionth, so the angle is not worked out; most skin lies
 * there.
 */
function rotation(C: number, ux: number, uy: number): number {
  if (ux * COS95 + uy * SIN95 > COS56) return 0;
  const x = (angle(ux, uy) / RAD - 275) / 25;
  const dTheta = 30 * exp(-x * x);
  const C7 = C * C * C * C * C * C * C;
  return -2 * sqrt(C7 / (C7 + TWENTY_FIVE_7)) * sin(2 * dTheta * RAD);
}

function angle(x: number, y: number): number {
  const a = atan2(y, x);
  return a < 0 ? a + 2 * Math.PI : a;
}

/** Pieces a quarter turn is cut into: twice as many bring the error down sixteenfold. */
const PIECES = 1024;

/**
 * sin(2 dTheta) of the paper over the whole turn as cubics, four numbers a piece, along s / (|c| + |s|) in
 * each quarter: within 1e-11 of the formula and free of its arctangent, exponential and sine.
 */
const TURN = ((): Float64Array => {
  const table = new Float64Array(4 * PIECES * 4);
  for (let quarter = 0; quarter < 4; quarter++) {
    const [cSign, sSign] = [quarter & 1 ? -1 : 1, quarter & 2 ? -1 : 1];
    const at = (t: number): number => {
      // Measured from the side of the axis: below it a hue of 0 is 360, as the formula has it.
      const above = atan2(t, cSign * (1 - t));
      const x = ((sSign < 0 ? 2 * Math.PI - above : above) / RAD - 275) / 25;
      return sin(60 * exp(-x * x) * RAD);
    };
    for (let piece = 0; piece < PIECES; piece++) {
      // Newton's cubic through the ends and thirds of the piece, in u = 0 to 1.
      const [f0, f1, f2, f3] = [0, 1, 2, 3].map((k) => at((piece + k / 3) / PIECES)) as [
        number,
        number,
        number,
        number,
      ];
      const [d1, d2, d3] = [f1 - f0, (f2 - 2 * f1 + f0) / 2, (f3 - 3 * f2 + 3 * f1 - f0) / 6];
      table.set([f0, 3 * (d1 - d2 + 2 * d3), 9 * (d2 - 3 * d3), 27 * d3], 4 * (quarter * PIECES + piece));
    }
  }
  return table;
})();

function sineOfTurn(c: number, s: number): number {
  const [absC, absS] = [c < 0 ? -c : c, s < 0 ? -s : s];
  const scaled = (absS / (absC + absS)) * PIECES;
  const piece = scaled >= PIECES ? PIECES - 1 : scaled | 0;
  const u = scaled - piece;
  const at = 4 * (((s < 0 ? 2 : 0) + (c < 0 ? 1 : 0)) * PIECES + piece);
  return TURN[at]! + u * (TURN[at + 1]! + u * (TURN[at + 2]! + u * TURN[at + 3]!));
}

/**
 * One colour against many. `labs` holds n colours as L, a, b triples; the n differences are
 * written to `out` (length at least n) which is returned. Written out in one loop: what belongs to the target
 * is worked out once, and a root is taken only where the result needs it.
 */
export function deltaE2000Many(target: Lab, labs: Float64Array, out: Float64Array): Float64Array {
  const n = floor(labs.length / 3);
  if (out.length < n) throw new RangeError(`deltaE2000Many: out holds ${out.length}, ${n} are needed`);
  const [L1, a1, b1] = target;
  const b1b1 = b1 * b1;
  const C1 = sqrt(a1 * a1 + b1b1);
  for (let i = 0, at = 0; i < n; i++, at += 3) {
    const L2 = labs[at]!;
    const a2 = labs[at + 1]!;
    const b2 = labs[at + 2]!;
    const b2b2 = b2 * b2;
    const C = (C1 + sqrt(a2 * a2 + b2b2)) / 2;
    const C3 = C * C * C;
    const C7 = C3 * C3 * C;
    const stretch = 1.5 - 0.5 * sqrt(C7 / (C7 + TWENTY_FIVE_7));
    const a1p = a1 * stretch;
    const a2p = a2 * stretch;
    const C1p = sqrt(a1p * a1p + b1b1);
    const C2p = sqrt(a2p * a2p + b2b2);
    const product = C1p * C2p;
    const ux = a1p * C2p + a2p * C1p;
    const uy = b1 * C2p + b2 * C1p;
    const length2 = ux * ux + uy * uy;
    // Greys and opposite hues go the careful way.
    if (product < TINY || length2 < 1e-20 * product * product) {
      out[i] = deltaE2000Raw(L1, a1, b1, L2, a2, b2);
      continue;
    }
    const inverse = 1 / sqrt(length2);
    const c = ux * inverse;
    const s = uy * inverse;
    const cross = a1p * b2 - a2p * b1;
    const dot = a1p * a2p + b1 * b2;
    const dH2 = dot > 0 ? (2 * cross * cross) / (product + dot) : 2 * (product - dot);
    const LMean50 = (L1 + L2) / 2 - 50;
    const LMean502 = LMean50 * LMean50;
    const CpMean = (C1p + C2p) / 2;
    const c2 = c * c - s * s;
    const s2 = 2 * s * c;
    const T =
      1 -
      0.17 * (c * COS30 + s * SIN30) +
      0.24 * c2 +
      0.32 * ((c * c2 - s * s2) * COS6 - (s * c2 + c * s2) * SIN6) -
      0.2 * ((c2 * c2 - s2 * s2) * COS63 + 2 * s2 * c2 * SIN63);
    const SH = 1 + 0.015 * CpMean * T;
    const l = (L2 - L1) / (1 + (0.015 * LMean502) / sqrt(20 + LMean502));
    const chroma = (C2p - C1p) / (1 + 0.045 * CpMean);
    let sum = l * l + chroma * chroma + dH2 / (SH * SH);
    if (c * COS95 + s * SIN95 < COS56) {
      const Cp3 = CpMean * CpMean * CpMean;
      const Cp7 = Cp3 * Cp3 * CpMean;
      const RT = -2 * sqrt(Cp7 / (Cp7 + TWENTY_FIVE_7)) * sineOfTurn(c, s);
      sum += (RT * chroma * (cross < 0 ? -sqrt(dH2) : sqrt(dH2))) / SH;
    }
    out[i] = sum > 0 ? sqrt(sum) : 0;
  }
  return out;
}
