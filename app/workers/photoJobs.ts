import {
  bareMean,
  faceInPicture,
  KEPT_PHOTOGRAPHS,
  toFrame,
  whiteCast,
  withoutCameraNotes,
  zoneMeans,
  type Affine,
  type FaceTaps,
  type Lab,
  type Landmarks,
  type Picture,
  type Point,
  type Side,
  type ZoneCast,
} from '@toile/core';

type Photographed = { readonly blob: Blob; readonly taps: FaceTaps };
type BarePhotographed = Photographed & { readonly bare: Point };

/** The longest side a picture is looked at with: a zone still has thousands of pixels. */
const LONGEST_PX = 2000;
/** How tall a half is shown. */
const FRAME_PX = 840;
/** From such a share burnt out a zone tells nothing. */
const BURNT_SHARE = 0.3;
/** The best that is small enough is kept. */
const QUALITIES = [0.92, 0.8, 0.6] as const;
const HIDDEN = '#8b8783';

const scaled = (taps: FaceTaps, by: number): FaceTaps => {
  const at = ([x, y]: Point): Point => [x * by, y * by];
  return { pupil_right: at(taps.pupil_right), pupil_left: at(taps.pupil_left), gnathion: at(taps.gnathion) };
};

/** A photograph unpacked, no larger than is needed; everything tapped on it is scaled with it. */
async function unpacked(
  { blob, taps, bare }: BarePhotographed,
  landmarks: Landmarks,
): Promise<{ readonly picture: Picture; readonly face: Affine; readonly bare: Point }> {
  const bitmap = await createImageBitmap(blob);
  const by = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * by), Math.round(bitmap.height * by)];
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return {
    picture: { width, height, rgba: context.getImageData(0, 0, width, height).data },
    face: faceInPicture(landmarks, scaled(taps, by)),
    bare: [bare[0] * by, bare[1] * by],
  };
}

export const photoJobs = {
  /** What a flash threw back, zone by zone, against its twin in daylight. */
  cast: async ({
    day,
    flash,
    landmarks,
    skin,
  }: {
    readonly day: BarePhotographed;
    readonly flash: BarePhotographed;
    readonly landmarks: Landmarks;
    /** Where it is bare. */
    readonly skin: Lab;
  }): Promise<ZoneCast[]> => {
    const one = await unpacked(day, landmarks);
    const bareDay = bareMean(one.picture, one.bare, one.face);
    const dayMeans = zoneMeans(one.picture, landmarks, one.face);
    const other = await unpacked(flash, landmarks);
    const bareFlash = bareMean(other.picture, other.bare, other.face);
    if (!bareDay || !bareFlash)
      throw new Error('The bare place is burnt out or outside a picture. Tap another one.');
    return zoneMeans(other.picture, landmarks, other.face).flatMap(({ zone, side, rgb, burntShare }) => {
      const twin = dayMeans.find((mean) => mean.zone === zone && mean.side === side);
      return twin
        ? [
            {
              zone,
              side,
              burnt: Math.max(burntShare, twin.burntShare) > BURNT_SHARE,
              ...whiteCast({ day: twin.rgb, flash: rgb, bareDay, bareFlash, skin }),
            },
          ]
        : [];
    });
  },
  /**
   * As the studio keeps it: no larger than it keeps them, without what the camera wrote about place and time.
   */
  forStudio: async ({
    blob,
    taps,
    bare,
  }: Photographed & { readonly bare: Point | null }): Promise<{
    readonly jpeg: Uint8Array;
    readonly taps: FaceTaps;
    readonly bare: Point | null;
  }> => {
    const bitmap = await createImageBitmap(blob);
    const by = Math.min(1, KEPT_PHOTOGRAPHS.longestPx / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * by), Math.round(bitmap.height * by));
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    for (const quality of QUALITIES) {
      const made = await canvas.convertToBlob({ type: 'image/jpeg', quality });
      if (made.size <= KEPT_PHOTOGRAPHS.bytes)
        return {
          // Some browsers write of themselves what a camera does.
          jpeg: withoutCameraNotes(new Uint8Array(await made.arrayBuffer())),
          taps: scaled(taps, by),
          bare: bare && [bare[0] * by, bare[1] * by],
        };
    }
    throw new Error('The photograph cannot be made small enough for the studio. It stays on this device.');
  },
  /** One half of a face, upright, the other hidden; mirrored it looks like the other. */
  half: async ({
    blob,
    taps,
    landmarks,
    side,
    mirrored,
  }: Photographed & {
    readonly landmarks: Landmarks;
    readonly side: Side;
    readonly mirrored: boolean;
  }): Promise<Blob> => {
    const bitmap = await createImageBitmap(blob);
    const { map, width, height, midline } = toFrame(faceInPicture(landmarks, taps), FRAME_PX, mirrored);
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d')!;
    context.fillStyle = HIDDEN;
    context.fillRect(0, 0, width, height);
    context.setTransform(...map);
    context.drawImage(bitmap, 0, 0);
    bitmap.close();
    context.resetTransform();
    // The client's left lies on the right of a picture that is not mirrored.
    const hidesLeft = (side === 'left') !== mirrored;
    context.fillRect(hidesLeft ? 0 : midline, 0, midline, height);
    return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
  },
};
