import type { Features, DryZone } from './features';
import { guideNamed, type LayerKind } from './guides';
import type { Placement } from './outlineOf';

export type SkinPlace = Features['oily'][number] | DryZone;
type GuideName = Extract<Placement, { guide: unknown }>['guide'];

/**
 * The zones of the face that are meant where skin is said to be oily or dry. A lid is not primed with the
 * face.
 */
export const GUIDES_OF_SKIN: Readonly<Record<SkinPlace, readonly GuideName[]>> = {
  forehead: ['zone.foreheadCentre'],
  nose: ['zone.noseSide', 'zone.noseBridge'],
  chin: ['zone.chin'],
  cheeks: ['zone.apple'],
  lids: [],
  'under the eyes': ['zone.underEye'],
  'round the mouth': ['zone.upperLipSkin', 'zone.smileLine'],
};

/** Other guides of what covers and sets the skin, and where they lie. */
const LIES_OVER: Readonly<Partial<Record<GuideName, readonly SkinPlace[] | 'all'>>> = {
  'zone.wholeFace': 'all',
  tZonePowder: ['forehead', 'nose', 'chin'],
  smilePowder: ['round the mouth'],
  underEyeLight: ['under the eyes'],
  correctUnderEye: ['under the eyes'],
  innerComma: ['under the eyes'],
  outerWedge: ['under the eyes'],
  'zone.innerCorner': ['under the eyes'],
  correctNoseWing: ['nose'],
  'zone.ala': ['nose'],
  'zone.noseTip': ['nose'],
  correctMouthCorner: ['round the mouth'],
  'zone.foreheadSide': ['forehead'],
  'zone.cheekboneTop': ['cheeks'],
  'zone.hollow': ['cheeks'],
};

const AT_EYES_OR_LIPS: readonly LayerKind[] = ['brow', 'eye', 'liner', 'lash', 'lip', 'lip line'];
const EYE_ZONES: readonly GuideName[] = ['zone.mobileLid', 'zone.crease', 'zone.browBone'];

/**
 * Whether all of a step lies at brows, lids, lashes or lips: what primes or sets a lid is none of what is
 * asked of the skin. False for what is placed nowhere, or drawn by hand.
 */
export const isAtEyesOrLips = ({ placements }: { readonly placements: readonly Placement[] }): boolean =>
  placements.length > 0 &&
  placements.every(
    (p) =>
      'guide' in p && (EYE_ZONES.includes(p.guide) || AT_EYES_OR_LIPS.includes(guideNamed(p.guide).kind)),
  );

const AT_LIPS: readonly LayerKind[] = ['lip', 'lip line'];

/** Whether all of a step lies on the lips. */
export const isAtLips = ({ placements }: { readonly placements: readonly Placement[] }): boolean =>
  placements.length > 0 &&
  placements.every((p) => 'guide' in p && AT_LIPS.includes(guideNamed(p.guide).kind));

const BELOW_THE_JAW: readonly GuideName[] = ['zone.neck', 'zone.decollete'];

/** Whether all of a step lies on neck and decollete. False for what is placed nowhere, or drawn by hand. */
export const isBelowTheJaw = ({ placements }: { readonly placements: readonly Placement[] }): boolean =>
  placements.length > 0 && placements.every((p) => 'guide' in p && BELOW_THE_JAW.includes(p.guide));

const AT_EYES: readonly LayerKind[] = ['eye', 'liner', 'lash'];
const LID_ZONES: readonly GuideName[] = ['zone.mobileLid', 'zone.crease'];

/** Whether any of what is placed by guides lies at lids or lashes. */
export const touchesEyes = (placements: readonly Placement[]): boolean =>
  placements.some(
    (p) => 'guide' in p && (LID_ZONES.includes(p.guide) || AT_EYES.includes(guideNamed(p.guide).kind)),
  );

/** Whether a guide lies over such a place. */
export function liesOver(guide: GuideName, place: SkinPlace): boolean {
  const over = LIES_OVER[guide];
  return over === 'all' || over?.includes(place) === true || GUIDES_OF_SKIN[place].includes(guide);
}
