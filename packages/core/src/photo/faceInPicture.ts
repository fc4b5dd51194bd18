import type { Landmarks, Point } from '../face';

/** Where three places of a face fall on a picture, in its pixels; the sides are the client's. */
export type FaceTaps = {
  readonly pupil_right: Point;
  readonly pupil_left: Point;
  readonly gnathion: Point;
};
/** An affine map (x, y) -> (a x + c y + e, b x + d y + f), in the order a canvas takes it. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** Three places that lie nearly in a line say nothing of a face; as a share of the sides' product. */
const LEAST_SPREAD = 0.1;

export const mapped = ([a, b, c, d, e, f]: Affine, [x, y]: Point): Point => [
  a * x + c * y + e,
  b * x + d * y + f,
];

/** One map after another: `first` is done first. */
export function after(then: Affine, first: Affine): Affine {
  const [a, b, c, d, e, f] = first;
  const [A, B, C, D] = then;
  const [x, y] = mapped(then, [e, f]);
  return [A * a + C * b, B * a + D * b, A * c + C * d, B * c + D * d, x, y];
}

/** The map turned round. Throws a RangeError for one that flattens. */
export function turnedRound([a, b, c, d, e, f]: Affine): Affine {
  const det = a * d - b * c;
  if (Math.abs(det) < 1e-12) throw new RangeError('The map is flat: it cannot be turned round.');
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
}

/**
 * From a face's mm to a picture's pixels, by the pupils and the underside of the chin: size, turn, a head
 * bent a little up or down, and a picture as a mirror shows it. Throws a RangeError, with what to do, for
 * taps that lie in a line.
 */
export function faceInPicture(landmarks: Landmarks, taps: FaceTaps): Affine {
  const names = ['pupil_right', 'pupil_left', 'gnathion'] as const;
  const [p, q, r] = names.map((name) => taps[name]) as [Point, Point, Point];
  const across: Point = [q[0] - p[0], q[1] - p[1]];
  const down: Point = [r[0] - p[0], r[1] - p[1]];
  const area = Math.abs(across[0] * down[1] - across[1] * down[0]);
  if (!(area > LEAST_SPREAD * Math.hypot(...across) * Math.hypot(...down)))
    throw new RangeError('The taps lie in a line. Tap both pupils and the underside of the chin again.');
  const from = (all: readonly Point[]): Affine => {
    const [o, x, y] = all as [Point, Point, Point];
    return [x[0] - o[0], x[1] - o[1], y[0] - o[0], y[1] - o[1], o[0], o[1]];
  };
  return after(from([p, q, r]), turnedRound(from(names.map((name) => landmarks[name]))));
}

/** What of a face a picture of a half shows, mm from the midline and from the pupils. */
const SHOWN = { outMm: 92, aboveMm: 92, belowMm: 148 } as const;

/**
 * From a picture's pixels to an upright frame `height` px tall that shows the face from above the brow to
 * under the chin, mirrored or as it is; with the frame's size and where the midline runs in it.
 */
export function toFrame(
  face: Affine,
  height: number,
  mirrored: boolean,
): { readonly map: Affine; readonly width: number; readonly height: number; readonly midline: number } {
  const scale = height / (SHOWN.aboveMm + SHOWN.belowMm);
  const width = Math.round(2 * SHOWN.outMm * scale);
  const put: Affine = [mirrored ? -scale : scale, 0, 0, scale, width / 2, SHOWN.aboveMm * scale];
  return { map: after(put, turnedRound(face)), width, height, midline: width / 2 };
}
