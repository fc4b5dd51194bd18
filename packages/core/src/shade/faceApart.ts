import { deltaE2000, meanLab, type Lab, type SkinZone } from '../colour';
import { messages, msg } from '../messages';

/** CIELAB by zone, for the zones that were read. */
export type Skin = { readonly [zone in SkinZone]?: Lab };

/** Zones of the face itself, the one most seen first; under the eye is a shadow, not the face's colour. */
export const FACE_ZONES = ['cheek', 'forehead', 'chin', 'mouthSide'] as const;
export type FaceZone = (typeof FACE_ZONES)[number];

/**
 * From here on (deltaE2000) two parts are of another colour, not of another depth of one: their mean is
 * nowhere on the face. Depths of one skin stay within six or seven, a flushed cheek or a lighter patch does
 * not.
 */
const OF_ANOTHER_COLOUR = 10;
/**
 * A part this far (deltaE2000) from what a base is matched to is not met by it; even faces vary by two to
 * four.
 */
export const PART_APART = 5;

/**
 * Parts of a face of which one colour can be told: those that agree with the neck, or the decollete, or where
 * neither was read with the part the others are nearest to. All of them where none agrees, as on a face that
 * was in the sun.
 */
export function agreeing(skin: Skin): readonly Lab[] {
  const read = FACE_ZONES.map((zone) => skin[zone]).filter((lab) => lab !== undefined);
  const middle = skin.neck ?? skin.decollete ?? nearestToAll(read);
  const near = read.filter((lab) => middle && deltaE2000(lab, middle) <= OF_ANOTHER_COLOUR);
  return near.length > 0 ? near : read;
}

function nearestToAll(labs: readonly Lab[]): Lab | null {
  const sums = labs.map((one) => labs.reduce((sum, other) => sum + deltaE2000(one, other), 0));
  return labs[sums.indexOf(Math.min(...sums))] ?? null;
}

/** The colour a face is told by: the mean of its parts that agree. `null` before any reading. */
export function faceColour(skin: Skin): Lab | null {
  const labs = agreeing(skin);
  return labs.length === 0 ? null : meanLab(labs.map((lab) => ({ lab, weight: 1 })));
}

export type PartApart = { readonly zone: FaceZone; readonly lab: Lab; readonly deltaE: number };

/** Parts of a face too far from a colour to be met by it, the furthest first. */
export function partsApart(skin: Skin, from: Lab): readonly PartApart[] {
  return FACE_ZONES.flatMap((zone): PartApart[] => {
    const lab = skin[zone];
    const deltaE = lab ? deltaE2000(lab, from) : 0;
    return lab && deltaE > PART_APART ? [{ zone, lab, deltaE }] : [];
  }).sort((a, b) => b.deltaE - a.deltaE);
}

const WORDS: Readonly<Record<FaceZone, string>> = messages({
  cheek: 'the cheek',
  forehead: 'the forehead',
  chin: 'the chin',
  mouthSide: 'the skin beside the mouth',
});

/**
 * 'the forehead is 12.3 deeper, the chin 9.1 deeper': how each part differs from a colour, by what differs
 * most.
 */
export function apartInWords(parts: readonly PartApart[], from: Lab): string {
  return parts
    .map(
      ({ zone, lab, deltaE }, i) =>
        `${WORDS[zone]}${i === 0 ? msg` is` : ''} ${deltaE.toFixed(1)} ${way(lab, from)}`,
    )
    .join(', ');
}

function way(lab: Lab, from: Lab): string {
  const [dL, da, db] = [lab[0] - from[0], lab[1] - from[1], lab[2] - from[2]];
  if (Math.abs(dL) >= Math.max(Math.abs(da), Math.abs(db))) return dL < 0 ? msg`deeper` : msg`lighter`;
  if (Math.abs(da) >= Math.abs(db)) return da > 0 ? msg`redder` : msg`less red`;
  return db > 0 ? msg`yellower` : msg`less yellow`;
}
