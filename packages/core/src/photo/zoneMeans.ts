import { linearChannel } from '../colour';
import { isInside, SIDES, type Landmarks, type Point, type Polygon, type Side } from '../face';
import { TRIAL_ZONES, trialZoneOutlines, type TrialZone } from '../trial';
import { mapped, type Affine } from './faceInPicture';

/** A picture unpacked: four bytes a pixel, row by row, display sRGB. */
export type Picture = {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8Array | Uint8ClampedArray;
};
/** A colour in linear light, each channel 0 to 1 as the camera exposed it. */
export type LinearRgb = readonly [r: number, g: number, b: number];
export type ZoneMean = {
  readonly zone: TrialZone;
  readonly side: Side;
  readonly rgb: LinearRgb;
  /** How many of the pixels looked at were burnt out: such a zone tells nothing. */
  readonly burntShare: number;
};

/** At most so many pixels of a zone are looked at, on an even grid. */
const GRID = 60;
/** Of a zone's pixels so much is left out at either end: highlights, hair, pores in shadow. */
const TRIM = 0.2;
/** A channel from here up is burnt out. */
const BURNT = 251;
const LEAST_PIXELS = 30;

const LINEAR = Float64Array.from({ length: 256 }, (_, i) => linearChannel(i / 255));

/**
 * The mean in linear light of the middle of what a polygon of a picture shows; null where the picture does
 * not show it.
 */
export function meanInside(
  { width, height, rgba }: Picture,
  polygon: Polygon,
): { readonly rgb: LinearRgb; readonly burntShare: number } | null {
  const [xs, ys] = [polygon.map(([x]) => x), polygon.map(([, y]) => y)];
  const [left, right] = [Math.max(0, Math.min(...xs)), Math.min(width - 1, Math.max(...xs))];
  const [top, bottom] = [Math.max(0, Math.min(...ys)), Math.min(height - 1, Math.max(...ys))];
  if (!(right > left && bottom > top)) return null;
  const stride = Math.max(1, (right - left) / GRID, (bottom - top) / GRID);
  const seen: { readonly r: number; readonly g: number; readonly b: number; readonly light: number }[] = [];
  let [asked, burnt] = [0, 0];
  for (let y = top; y <= bottom; y += stride)
    for (let x = left; x <= right; x += stride) {
      if (!isInside([x, y], polygon)) continue;
      const at = 4 * (Math.round(y) * width + Math.round(x));
      const [R, G, B] = [rgba[at]!, rgba[at + 1]!, rgba[at + 2]!];
      asked++;
      if (Math.max(R, G, B) >= BURNT) {
        burnt++;
        continue;
      }
      const [r, g, b] = [LINEAR[R]!, LINEAR[G]!, LINEAR[B]!];
      seen.push({ r, g, b, light: 0.2126 * r + 0.7152 * g + 0.0722 * b });
    }
  if (asked < LEAST_PIXELS || seen.length < LEAST_PIXELS) return null;
  seen.sort((one, other) => one.light - other.light);
  const kept = seen.slice(Math.floor(TRIM * seen.length), Math.ceil((1 - TRIM) * seen.length));
  const mean = (of: 'r' | 'g' | 'b'): number => kept.reduce((sum, one) => sum + one[of], 0) / kept.length;
  return { rgb: [mean('r'), mean('g'), mean('b')], burntShare: burnt / asked };
}

/**
 * The mean colour of every zone of a trial, left and right, as a picture shows it; what it does not show is
 * missing.
 */
export function zoneMeans(picture: Picture, landmarks: Landmarks, face: Affine): ZoneMean[] {
  return TRIAL_ZONES.flatMap((zone) =>
    SIDES.flatMap((side): ZoneMean[] => {
      const [largest] = trialZoneOutlines(zone, landmarks, side)
        .map((outline) =>
          meanInside(
            picture,
            outline.map((p): Point => mapped(face, p)),
          ),
        )
        .filter((mean) => mean !== null);
      return largest ? [{ zone, side, ...largest }] : [];
    }),
  );
}

/**
 * A round patch of bare skin, tapped on a picture: its mean; null where the picture does not show enough of
 * it.
 */
export function bareMean(picture: Picture, [x, y]: Point, face: Affine): LinearRgb | null {
  const pixelsAMm = Math.sqrt(Math.abs(face[0] * face[3] - face[1] * face[2]));
  const radius = Math.max(4, BARE_MM * pixelsAMm);
  const circle = Array.from({ length: 24 }, (_, i): Point => [
    x + radius * Math.cos((i * Math.PI) / 12),
    y + radius * Math.sin((i * Math.PI) / 12),
  ]);
  return meanInside(picture, circle)?.rgb ?? null;
}
const BARE_MM = 5;
