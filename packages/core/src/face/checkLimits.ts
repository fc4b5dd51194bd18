import { outlineOf, placementKind, type Placement, type PlacedShape } from './outlineOf';
import { faceModel, type FaceModel } from './faceModel';
import { PLAIN_FEATURES, type Features } from './features';
import { freeTriangle, INITIAL_PARAMS } from './guides';
import type { Landmarks } from './landmarks';
import { distanceToLine, isInside, type Point } from './point';
import { areaOf, intersectRegions } from './region';

export const LIMITS = ['pupil line', 'smile line', 'mouth height', 'eye area', 'free triangle', 'face edge'] as const;
export type Limit = (typeof LIMITS)[number];

export type LimitBreach = {
  readonly limit: Limit;
  readonly side: PlacedShape['side'];
  /** How far over, in mm (for areas: the side of a square of that area). */
  readonly overMm: number;
  /** What is wrong and why it matters, in a sentence. */
  readonly message: string;
};

/** Less than this is not worth a word. */
const TOLERANCE_MM = 0.3;
const SMILE_CLEARANCE = 3;
const MOUTH_CLEARANCE = 5;

/** Which limits of the trade a placement breaks on this face; empty when it keeps them all. */
export function checkLimits(placement: Placement, landmarks: Landmarks, features: Features = PLAIN_FEATURES): LimitBreach[] {
  const face = faceModel(landmarks, features);
  const kind = placementKind(placement);
  return outlineOf(placement, landmarks, features).flatMap((shape) => {
    if (kind === 'contour' && isCheek(placement)) return cheekBreaches(shape, face);
    if (kind === 'contour')
      return areaBreach(
        shape,
        [freeTriangle(face)],
        'free triangle',
        'the triangle between the brow arches and the hairline stays free, or the forehead looks smaller',
      );
    if (kind === 'blush') return areaBreach(shape, eyeAreas(shape, face), 'eye area', 'colour in the eye area drags the eye down');
    return [];
  });
}

function isCheek(placement: Placement): boolean {
  return 'guide' in placement && placement.guide === 'cheekContour';
}

function cheekBreaches(shape: PlacedShape, face: FaceModel): LimitBreach[] {
  if (shape.side === 'centre') return [];
  const half = face[shape.side];
  const points = shape.region.flat().map(half.fromFace);
  const lowest = half.at('mouth_corner')[1] - MOUTH_CLEARANCE;
  const breach = (limit: Limit, over: number, message: string): LimitBreach[] =>
    over > TOLERANCE_MM
      ? [{ limit, side: shape.side, overMm: over, message: `${capital(sideWords(shape.side))}: ${message} (${over.toFixed(1)} mm over).` }]
      : [];
  const worst = (measure: (p: Point) => number): number => points.reduce((most, p) => Math.max(most, measure(p)), -Infinity);
  return [
    ...breach(
      'pupil line',
      worst((p) => half.irisRim - p[0]),
      'it passes the line under the outer rim of the iris, which pulls the face narrow',
    ),
    ...breach(
      'smile line',
      worst((p) => SMILE_CLEARANCE - distanceToLine(p, half.smileLine)),
      'it runs into the smile line and will move with every smile',
    ),
    ...breach(
      'mouth height',
      worst((p) => p[1] - lowest),
      'it sinks to the height of the mouth corner and drags the cheek down',
    ),
    ...breach(
      'face edge',
      worst((p) => (isInside(half.toFace(p), face.outline) ? 0 : distanceToLine(half.toFace(p), [...face.outline, face.outline[0]!]))),
      'it leaves the face',
    ),
  ];
}

function eyeAreas(shape: PlacedShape, face: FaceModel): Point[][] {
  if (shape.side === 'centre') return [];
  return [face[shape.side].orbit.map(face[shape.side].toFace)];
}

function areaBreach(shape: PlacedShape, forbidden: readonly (readonly Point[])[], limit: Limit, why: string): LimitBreach[] {
  const over = Math.sqrt(areaOf(intersectRegions(shape.region, forbidden)));
  return over > 1 ? [{ limit, side: shape.side, overMm: over, message: `${capital(sideWords(shape.side))}: it reaches into the ${limit}; ${why}.` }] : [];
}

function sideWords(side: PlacedShape['side']): string {
  return side === 'centre' ? 'centre' : `client’s ${side}`;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Brings a guided placement back inside its limits by easing reach, then lift, then width towards the guide. */
export function withinLimits(placement: Placement, landmarks: Landmarks, features: Features = PLAIN_FEATURES): Placement {
  if (!('guide' in placement) || checkLimits(placement, landmarks, features).length === 0) return placement;
  const given = { ...INITIAL_PARAMS, ...placement.params };
  for (const ease of [0, 0.25, 0.5, 0.75, 1]) {
    const towards = (value: number, initial: number): number => value + (initial - value) * ease;
    const eased: Placement = {
      ...placement,
      params: {
        reach: Math.min(towards(given.reach, 100), given.reach > 100 && ease > 0 ? 100 : given.reach),
        liftMm: towards(given.liftMm, 0),
        width: given.width > 100 ? towards(given.width, 100) : given.width,
      },
    };
    if (checkLimits(eased, landmarks, features).length === 0) return eased;
  }
  return { ...placement, params: { ...INITIAL_PARAMS } };
}
