import { mirror, type Point } from './point';

export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];

const MIDLINE = {
  vertex: [0, -123.5],
  hairline_c: [0, -72],
  forehead_c: [0, -46],
  glabella: [0, -20],
  nasion: [0, -6],
  bridge_mid: [0, 14],
  nose_tip: [0, 35.5],
  subnasale: [0, 45],
  lip_dip: [0, 57.2],
  stomion: [0, 64.2],
  lip_low_c: [0, 74.3],
  mentolabial: [0, 83],
  chin_c: [0, 95],
  gnathion: [0, 108.2],
  sternal_notch: [0, 184],
} as const satisfies Record<string, Point>;

/** The client's left one of each pair; the right is its mirror image. */
const PAIRED = {
  hairline_mid: [27, -68],
  hairline_corner: [49, -53],
  temple: [62.5, -28],
  head_side: [73, -40],
  crown_side: [47, -107],
  brow_inner: [12.5, -19.8],
  brow_mid: [26, -22.8],
  brow_arch: [42, -25.2],
  brow_tail: [56.5, -20.6],
  eye_inner: [16.3, 2.4],
  lid_up_in: [22.6, -2.9],
  lid_up_mid: [30.8, -4.5],
  lid_up_out: [38.6, -3.2],
  eye_outer: [44.8, -0.7],
  lid_lo_out: [38.4, 4.3],
  lid_lo_mid: [31, 5.4],
  lid_lo_in: [23, 4.7],
  pupil: [31.3, 0],
  crease_in: [20.2, -5],
  crease_mid: [31, -8.8],
  crease_out: [44.6, -4.9],
  ear_top: [72.5, -15.5],
  ear_lobe: [67.4, 38.5],
  zygion: [66, 13],
  malar: [47, 18],
  cheek_apple: [35, 34],
  hollow: [50, 46],
  bridge_side: [6.2, 8],
  tip_side: [7.2, 38],
  ala: [16.2, 37.5],
  smile_top: [17, 40.5],
  smile_mid: [24.6, 51.5],
  smile_low: [31.5, 67],
  mouth_corner: [25, 64.6],
  cupid_peak: [5.3, 55.2],
  lip_up_mid: [14.5, 59.2],
  lip_low_mid: [13, 72.4],
  jaw_ramus: [61.8, 43],
  gonion: [51.6, 72],
  jaw_mid: [37.2, 91.5],
  mentolateral: [14.5, 105.2],
  neck_mid: [42.5, 126],
  neck_base: [58, 164],
  clavicle_in: [11, 182],
} as const satisfies Record<string, Point>;

export type MidlineName = keyof typeof MIDLINE;
export type PairedName = keyof typeof PAIRED;
export type LandmarkName = MidlineName | `${PairedName}_${Side}`;
/** Every landmark of one face, in mm. */
export type Landmarks = { readonly [name in LandmarkName]: Point };

const midlineNames = Object.keys(MIDLINE) as MidlineName[];
const pairedNames = Object.keys(PAIRED) as PairedName[];

/** All 103 landmark names: the midline first, then each pair left and right. */
export const LANDMARKS: readonly LandmarkName[] = [
  ...midlineNames,
  ...pairedNames.flatMap((name) => [`${name}_left`, `${name}_right`] as const),
];
export const PAIRED_LANDMARKS: readonly PairedName[] = pairedNames;
export const MIDLINE_LANDMARKS: readonly MidlineName[] = midlineNames;

/** Builds a full set from a rule that gives each landmark's place. */
export function landmarksFrom(place: (name: LandmarkName) => Point): Landmarks {
  const entries = LANDMARKS.map((name) => [name, place(name)] as const);
  return Object.fromEntries(entries) as Record<LandmarkName, Point>;
}

/** The canonical face: symmetric, average proportions, the pattern every look is cut on. */
export const TEMPLATE: Landmarks = landmarksFrom((name) => {
  const { base, side } = splitName(name);
  if (side === null) return MIDLINE[base];
  const place: Point = PAIRED[base];
  return side === 'left' ? place : mirror(place);
});

type SplitName =
  { readonly base: MidlineName; readonly side: null } | { readonly base: PairedName; readonly side: Side };

/** Takes a landmark's name apart into what it is and whose side it is on. */
export function splitName(name: LandmarkName): SplitName {
  if (isMidline(name)) return { base: name, side: null };
  const side: Side = name.endsWith('_left') ? 'left' : 'right';
  return { base: name.slice(0, name.lastIndexOf('_')) as PairedName, side };
}

function isMidline(name: LandmarkName): name is MidlineName {
  return name in MIDLINE;
}

/** The same landmark on the other side; midline ones are their own mirror. */
export function mirrorName(name: LandmarkName): LandmarkName {
  const { base, side } = splitName(name);
  return side === null ? base : `${base}_${side === 'left' ? 'right' : 'left'}`;
}
