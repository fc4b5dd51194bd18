import { clamp } from '../math';
import {
  BROW,
  CLOSED_CREASE,
  CLOSED_LASH_LINE,
  CREASE,
  EAR,
  EAR_ATTACHMENT,
  HAIRLINE,
  LOWER_LID,
  NECK,
  OUTLINE,
  SMILE_LINE,
  UPPER_LID,
} from './canonicalLines';
import { mirrored, throughPoints } from './curve';
import { faceWarp, type FaceWarp } from './faceWarp';
import { PLAIN_FEATURES, type Features, type Lid } from './features';
import { TEMPLATE, type Landmarks, type LandmarkName, type PairedName, type Side } from './landmarks';
import { ellipse, mirror, type Point, type Polygon, type Polyline } from './point';

/**
 * One half of a face laid out as a client's left half: x from the face's own midline, always positive
 * outwards. Guides are written once, for this frame, and carried to either side.
 */
export type HalfFace = {
  readonly side: Side;
  readonly at: (name: PairedName) => Point;
  readonly toFace: (p: Point) => Point;
  readonly fromFace: (p: Point) => Point;
  readonly outline: Polyline;
  readonly hairline: Polyline;
  readonly smileLine: Polyline;
  readonly upperLid: Polyline;
  readonly lowerLid: Polyline;
  readonly crease: Polyline;
  readonly brow: Polyline;
  readonly earAttachment: Point;
  /** Outer rim of the iris: contour stays outside it. */
  readonly irisRim: number;
  /** The eye area: blush stays out of it. */
  readonly orbit: Polygon;
};

export type FaceModel = {
  readonly landmarks: Landmarks;
  readonly features: Features;
  readonly warp: FaceWarp;
  /** x of the face's own midline at a height. */
  readonly midline: (y: number) => number;
  /** Hairline, sides and chin as one closed outline. */
  readonly outline: Polygon;
  readonly neck: Polygon;
  /** The ears, client's left first. */
  readonly ears: readonly [Polygon, Polygon];
  readonly left: HalfFace;
  readonly right: HalfFace;
  /** Hairline to chin over cheekbone width. */
  readonly lengthRatio: number;
};

const cache = new WeakMap<Landmarks, Map<Features, FaceModel>>();

/** Everything that is drawn or measured on one face, worked out once from its landmarks and features. */
export function faceModel(landmarks: Landmarks, features: Features = PLAIN_FEATURES): FaceModel {
  let byFeatures = cache.get(landmarks);
  if (!byFeatures) cache.set(landmarks, (byFeatures = new Map()));
  let model = byFeatures.get(features);
  if (!model) byFeatures.set(features, (model = build(landmarks, features)));
  return model;
}

/** Midline names that pair midpoints and centre points are fitted on: no ears, hair or neck. */
const MIDLINE_FIT: readonly LandmarkName[] = [
  'glabella',
  'nasion',
  'bridge_mid',
  'nose_tip',
  'subnasale',
  'lip_dip',
  'stomion',
  'chin_c',
  'gnathion',
];
const MIDLINE_PAIRS: readonly PairedName[] = [
  'pupil',
  'eye_inner',
  'eye_outer',
  'ala',
  'mouth_corner',
  'zygion',
  'gonion',
];

/** Least-squares line x = m0 + m1 y through centre points and pair midpoints. */
function fitMidline(l: Landmarks): (y: number) => number {
  const points: Point[] = [
    ...MIDLINE_FIT.map((name) => l[name]),
    ...MIDLINE_PAIRS.map((name): Point => {
      const [a, b] = [l[`${name}_left`], l[`${name}_right`]];
      return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    }),
  ];
  const n = points.length;
  const meanX = points.reduce((s, p) => s + p[0], 0) / n;
  const meanY = points.reduce((s, p) => s + p[1], 0) / n;
  const slope =
    points.reduce((s, p) => s + (p[0] - meanX) * (p[1] - meanY), 0) /
    points.reduce((s, p) => s + (p[1] - meanY) ** 2, 0);
  return (y) => meanX + slope * (y - meanY);
}

function build(landmarks: Landmarks, features: Features): FaceModel {
  const warp = faceWarp(landmarks);
  const midline = fitMidline(landmarks);
  const warped = (line: Polyline, stepMm = 1.5): Point[] => throughPoints(line, stepMm).map(warp.toFace);
  const half = (side: Side): HalfFace => halfFace(side, landmarks, features, warp, midline);
  const outline = mirrored([...throughPoints(HAIRLINE, 2), ...throughPoints(OUTLINE, 2).slice(9)]).map(
    warp.toFace,
  );
  // Skin goes on below the shoulders' line, past the edge of the drawing.
  const neck = [
    ...warped(NECK),
    ...([
      [206, 280],
      [-206, 280],
    ] as const),
    ...warped(NECK.map(mirror)).reverse(),
  ];
  const cheek = landmarks.zygion_left[0] - landmarks.zygion_right[0];
  return {
    landmarks,
    features,
    warp,
    midline,
    outline,
    neck,
    ears: [warped(EAR, 1), warped(EAR.map(mirror), 1)],
    left: half('left'),
    right: half('right'),
    lengthRatio: (landmarks.gnathion[1] - landmarks.hairline_c[1]) / cheek,
  };
}

function halfFace(
  side: Side,
  landmarks: Landmarks,
  features: Features,
  warp: FaceWarp,
  midline: (y: number) => number,
): HalfFace {
  const sign = side === 'left' ? 1 : -1;
  const fromFace = ([x, y]: Point): Point => [sign * (x - midline(y)), y];
  const toFace = ([x, y]: Point): Point => [midline(y) + sign * x, y];
  const at = (name: PairedName): Point => fromFace(landmarks[`${name}_${side}`]);
  const carry = (p: Point): Point => fromFace(warp.toFace([sign * p[0], p[1]]));
  const carried = (line: Polyline, stepMm: number): Point[] => throughPoints(line, stepMm).map(carry);
  const upperLid = carried(UPPER_LID, 0.8);
  const pupil = at('pupil');
  const eyeOuter = at('eye_outer');
  const eyeWidth = eyeOuter[0] - at('eye_inner')[0];
  return {
    side,
    at,
    toFace,
    fromFace,
    outline: carried(OUTLINE, 1.5),
    hairline: carried(HAIRLINE, 1.5),
    smileLine: carried(SMILE_LINE, 1.5),
    upperLid,
    lowerLid: carried(LOWER_LID, 0.8),
    crease: throughPoints(CREASE, 0.8).map((p) => creasePoint(p, carry, landmarks, features, side)),
    brow: carried(BROW, 0.8),
    earAttachment: carry(EAR_ATTACHMENT),
    irisRim: pupil[0] + irisRadius(eyeWidth),
    orbit: ellipse(pupil, eyeOuter[0] - pupil[0] + 8, 17),
  };
}

const closedCache = new WeakMap<FaceModel, FaceModel>();

/**
 * The same face with its eyes closed: lashes lie on the lower line and the whole lid shows up to its crease.
 */
export function withEyesClosed(face: FaceModel): FaceModel {
  let closed = closedCache.get(face);
  if (!closed)
    closedCache.set(
      face,
      (closed = { ...face, left: closedHalf(face.left, face), right: closedHalf(face.right, face) }),
    );
  return closed;
}

function closedHalf(half: HalfFace, face: FaceModel): HalfFace {
  const sign = half.side === 'left' ? 1 : -1;
  const carry = (p: Point): Point => half.fromFace(face.warp.toFace([sign * p[0], p[1]]));
  const lashes = throughPoints(CLOSED_LASH_LINE, 0.8).map(carry);
  // A lid that shows more open is longer closed: its own show over the average's moves the crease.
  const show = face.landmarks[`lid_up_mid_${half.side}`][1] - face.landmarks[`crease_mid_${half.side}`][1];
  const raise = clamp(show - (TEMPLATE.lid_up_mid_left[1] - TEMPLATE.crease_mid_left[1]), -2.5, 3.5);
  const crease = throughPoints(CLOSED_CREASE, 0.8).map(carry);
  const raised = crease.map(([x, y], i): Point => [
    x,
    y - raise * Math.sin((Math.PI * i) / (crease.length - 1)),
  ]);
  return { ...half, upperLid: lashes, lowerLid: [...lashes].reverse(), crease: raised };
}

/** Radius of the iris in mm: it varies little, and with the eye's width. */
export function irisRadius(eyeWidthMm: number): number {
  return (5.85 * eyeWidthMm) / 28.5;
}

/** How much of its lid an open eye shows. Without a crease the skin of the lid folds in at the lashes. */
const HOODING: Readonly<Record<Lid, number>> = {
  open: 1,
  'partly hooded': 0.6,
  hooded: 0.3,
  'without a crease': 0.3,
};

/**
 * A crease point rides on the lid: its height above the lash line is the canonical one scaled by how
 * much lid this eye shows.
 */
function creasePoint(
  p: Point,
  carry: (p: Point) => Point,
  landmarks: Landmarks,
  features: Features,
  side: Side,
): Point {
  const lidY = lidHeightAt(p[0]);
  const onLid = carry([p[0], lidY]);
  const show = landmarks[`lid_up_mid_${side}`][1] - landmarks[`crease_mid_${side}`][1];
  const canonical = TEMPLATE.lid_up_mid_left[1] - TEMPLATE.crease_mid_left[1];
  const factor = clamp(show / canonical, 0.15, 2.2) * HOODING[features.lids[side]];
  return [onLid[0], onLid[1] - (lidY - p[1]) * factor];
}

/** y of the canonical upper lid at an x, held at its ends. */
function lidHeightAt(x: number): number {
  const first = UPPER_LID[0]!;
  if (x <= first[0]) return first[1];
  for (let i = 1; i < UPPER_LID.length; i++) {
    const [a, b] = [UPPER_LID[i - 1]!, UPPER_LID[i]!];
    if (x <= b[0]) return a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0]);
  }
  return UPPER_LID[UPPER_LID.length - 1]![1];
}
