import { labToSrgb, labToXyz, linearChannel, xyzToLab, type Lab } from '../colour';
import { FLASHBACK_WARNING, scatteredBack, type FlashGrade } from '../shade';
import type { LinearRgb } from './zoneMeans';

/** What a flash threw back in one zone, measured on two pictures. */
export type WhiteCast = {
  /** Light added, as a share of (1 - R) squared; with its standard error. */
  readonly added: number;
  readonly error: number;
  /** Lightness it gains by that. */
  readonly deltaL: number;
  /** Whether it shows; null where the pictures cannot tell. */
  readonly cast: boolean | null;
};

/** How well a zone's mean is known: of itself, and for a camera's own noise. */
const RELATIVE_NOISE = 0.012;
const NOISE_FLOOR = 0.0015;

const linearOf = (lab: Lab): LinearRgb => {
  const [r, g, b] = labToSrgb(lab);
  return [linearChannel(r), linearChannel(g), linearChannel(b)];
};
const three = (of: (i: 0 | 1 | 2) => number): [number, number, number] => [of(0), of(1), of(2)];

/** Lightness of a surface of this reflectance in linear sRGB. */
function lightness([r, g, b]: LinearRgb): number {
  const white = labToXyz([100, 0, 0]);
  return xyzToLab([white[0], 0.2126 * r + 0.7152 * g + 0.0722 * b, white[2]])[0];
}

/**
 * The white cast of a zone: its colour in flash against its twin in daylight, each held against a place
 * without make-up in the same picture, which takes exposure and white balance out. What is left may be nearer
 * to the flash (all channels alike) or covered by what throws light back (most where the skin is darkest):
 * flash = a G + b (1 - G)^2, by weighted least squares over the three channels, where G is the zone's
 * reflectance in daylight, known by the skin's own reading. Added is b / a.
 */
export function whiteCast(asked: {
  readonly day: LinearRgb;
  readonly flash: LinearRgb;
  readonly bareDay: LinearRgb;
  readonly bareFlash: LinearRgb;
  /** The skin where it is bare, as read. */
  readonly skin: Lab;
}): WhiteCast {
  const { day, flash, bareDay, bareFlash, skin } = asked;
  const own = linearOf(skin);
  const held = (zone: LinearRgb, bare: LinearRgb): LinearRgb =>
    three((i) => (zone[i] / Math.max(1e-6, bare[i])) * own[i]);
  const G = held(day, bareDay).map((one) => Math.min(0.97, one)) as [number, number, number];
  const F = held(flash, bareFlash);
  const V = three((i) => (1 - G[i]) ** 2);
  // Both pictures are noisy, twice each: the zone and the bare place.
  const weight = three((i) => 1 / (2 * RELATIVE_NOISE * F[i] + NOISE_FLOOR) ** 2);
  const sum = (one: LinearRgb, other: LinearRgb): number =>
    three((i) => weight[i] * one[i] * other[i]).reduce((all, part) => all + part, 0);
  const [gg, gv, vv, gf, vf] = [sum(G, G), sum(G, V), sum(V, V), sum(G, F), sum(V, F)];
  const det = gg * vv - gv * gv;
  const a = (gf * vv - vf * gv) / det;
  const b = (vf * gg - gf * gv) / det;
  const error = Math.sqrt(gg / det) / Math.abs(a);
  const added = Math.max(0, b / a);
  const gained = (share: number): number => lightness(three((i) => G[i] + share * V[i])) - lightness(G);
  const deltaL = gained(added);
  // Said where even the far end of what the noise allows is on the same side.
  const least = gained(Math.max(0, added - error));
  const most = gained(added + error);
  const cast = least >= FLASHBACK_WARNING ? true : most < FLASHBACK_WARNING ? false : null;
  return { added, error, deltaL, cast };
}

/** The grade of a product that was laid so thick and added so much: the nearest of the model's. */
export function gradeOfCast(added: number, doseMgPerCm2: number): FlashGrade {
  const grades: readonly FlashGrade[] = [0, 1, 2, 3];
  const off = (grade: FlashGrade): number => Math.abs(scatteredBack(grade, doseMgPerCm2) - added);
  return grades.reduce((best, grade) => (off(grade) < off(best) ? grade : best));
}
