import {
  clearestInk,
  labToHex,
  labToSrgb,
  meanLab,
  over,
  hexToSrgb,
  type Lab,
  type SkinZone,
} from '../colour';
import { faceWarp } from './faceWarp';
import type { Landmarks } from './landmarks';
import type { Point } from './point';

type ReadSkin = { readonly [zone in SkinZone]?: Lab };

/** What a face is drawn with on its own skin, '#rrggbb' each. */
export type SkinInks = {
  readonly skin: string;
  readonly neck: string;
  /** Under the chin and beside the nose. */
  readonly shade: string;
  /** The lips' own tint. */
  readonly lip: string;
  readonly ink: string;
  /** Guides. */
  readonly chalk: string;
  /** Brows and lashes: hair, not lines, and dark on every skin. */
  readonly hair: string;
};

/** Lines dark as ink or light as chalk, and guides blue in both: whichever stands out on a skin. */
export const LINE_INKS = ['#161616', '#f4f4f4'] as const;
export const GUIDE_INKS = ['#0b2f54', '#d9ebfb'] as const;
export const PATTERN_INKS = ['#111111', '#f2f2f2'] as const;
/** How strongly a pattern lies on its layer. */
export const PATTERN_STRENGTH = 0.8;

const FACE_ZONES = ['forehead', 'cheek', 'mouthSide', 'chin'] as const satisfies readonly SkinZone[];

/** What her lips and the shade under her chin differ from her skin by, in CIELAB; a drawing's convention. */
const LIP: Lab = [-9, 10, 0];
const SHADE: Lab = [-9, 0, -1];

const shifted = ([L, a, b]: Lab, [dL, da, db]: Lab): Lab => [Math.max(4, L + dL), a + da, b + db];
const labsOf = (skin: ReadSkin, zones: readonly SkinZone[]): Lab[] =>
  zones.flatMap((zone) => (skin[zone] ? [skin[zone]] : []));

/** The colour a whole face is laid in: the mean of what was read of it, of anything when the face was not. */
export function generalSkin(skin: ReadSkin): Lab | null {
  const face = labsOf(skin, FACE_ZONES);
  const read = face.length > 0 ? face : Object.values(skin);
  return read.length > 0 ? meanLab(read.map((lab) => ({ lab, weight: 1 }))) : null;
}

/**
 * The inks for a drawing on her own skin, lines and guides each at 3:1 or more against every zone that was
 * read, from the fairest to the deepest; null while nothing has been read.
 */
export function skinInks(skin: ReadSkin): SkinInks | null {
  const general = generalSkin(skin);
  if (!general) return null;
  const grounds = [general, ...Object.values(skin)].map(labToSrgb);
  return {
    skin: labToHex(general),
    neck: labToHex(skin.neck ?? general),
    shade: labToHex(shifted(general, SHADE)),
    lip: labToHex(shifted(general, LIP)),
    ink: clearestInk(LINE_INKS, grounds),
    chalk: clearestInk(GUIDE_INKS, grounds),
    hair: LINE_INKS[0],
  };
}

/** The ink of a layer's pattern on its fill, itself laid on a skin at a strength of 0 to 1. */
export function patternInk(skinHex: string, fillHex: string, strength: number): string {
  return clearestInk(PATTERN_INKS, [over(hexToSrgb(fillHex), hexToSrgb(skinHex), strength)]);
}

/** A zone's colour on the face: middle and half-axes in mm; full in the middle, none at the edge. */
export type SkinSpot = {
  readonly zone: SkinZone;
  readonly at: Point;
  readonly radii: readonly [number, number];
  readonly colour: string;
};

/** Where each zone lies on the canonical face and how far it reaches, mm; paired ones on her left. */
const SPOTS: Readonly<
  Record<SkinZone, readonly { readonly at: Point; readonly radii: readonly [number, number] }[]>
> = {
  forehead: [{ at: [0, -44], radii: [46, 24] }],
  cheek: [
    { at: [42, 34], radii: [24, 26] },
    { at: [-42, 34], radii: [24, 26] },
  ],
  underEye: [
    { at: [31, 14], radii: [17, 8] },
    { at: [-31, 14], radii: [17, 8] },
  ],
  mouthSide: [
    { at: [34, 68], radii: [15, 18] },
    { at: [-34, 68], radii: [15, 18] },
  ],
  chin: [{ at: [0, 94], radii: [22, 14] }],
  // The neck is a part of the drawing and filled whole.
  neck: [],
  decollete: [{ at: [0, 178], radii: [58, 22] }],
};

/** The read zones as soft spots on this face, to be laid over its general colour. */
export function skinSpots(skin: ReadSkin, landmarks: Landmarks): SkinSpot[] {
  const { toFace } = faceWarp(landmarks);
  return (Object.keys(SPOTS) as SkinZone[]).flatMap((zone) => {
    const lab = skin[zone];
    if (!lab) return [];
    const colour = labToHex(lab);
    return SPOTS[zone].map(({ at, radii: [rx, ry] }) => {
      const [middle, right, low] = [toFace(at), toFace([at[0] + rx, at[1]]), toFace([at[0], at[1] + ry])];
      return {
        zone,
        at: middle,
        radii: [Math.abs(right[0] - middle[0]), Math.abs(low[1] - middle[1])] as const,
        colour,
      };
    });
  });
}
