import { capital } from '../capital';
import { msg, term } from '../messages';
import { outlineOf, placementKind, type Placement, type PlacedShape } from './outlineOf';
import { ribbon } from './curve';
import { faceModel, type FaceModel, type HalfFace } from './faceModel';
import { PLAIN_FEATURES, type Features } from './features';
import { freeTriangle, INITIAL_PARAMS, type LayerKind } from './guides';
import type { Landmarks } from './landmarks';
import { centreOf, distanceToLine, isInside, rounded, signedArea, type Point, type Polygon } from './point';
import { areaOf, grown, intersectRegions, subtractRegion, uniteOutlines } from './region';

export const LIMITS = [
  'pupil line',
  'smile line',
  'mouth height',
  'eye area',
  'free triangle',
  'bridge',
  'face edge',
] as const;
export type Limit = (typeof LIMITS)[number];

export type LimitBreach = {
  readonly limit: Limit;
  readonly side: PlacedShape['side'];
  /** How far over, in mm (for areas: the side of a square of that area). */
  readonly overMm: number;
  /** Where on the face it is worst, in this face's mm. */
  readonly at: Point;
  /** What is wrong and why it matters, in a sentence. */
  readonly message: string;
};

/** Less than this is not worth a word. */
const TOLERANCE_MM = 0.3;
const SMILE_CLEARANCE = 3;
const MOUTH_CLEARANCE = 5;

/**
 * Which limits of the trade a placement breaks on this face; empty when it keeps them all. A drawn outline is
 * checked as the kind of layer it belongs to, which its step knows.
 */
export function checkLimits(
  placement: Placement,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
  role?: LayerKind | 'care',
): LimitBreach[] {
  const face = faceModel(landmarks, features);
  const kind = placementKind(placement) ?? role ?? null;
  if (kind !== 'contour' && kind !== 'bronze' && kind !== 'blush') return [];
  return outlineOf(placement, landmarks, features).flatMap((shape) => {
    if (shape.region.length === 0) return [];
    if (kind === 'blush')
      return areaBreach(
        shape,
        eyeAreas(shape, face),
        'eye area',
        msg`colour in the eye area drags the eye down`,
      );
    if (kind === 'bronze') return [];
    switch (contourPlace(placement, shape, face)) {
      case 'cheek':
        return cheekBreaches(shape, face);
      case 'nose':
        return noseBreaches(shape, face);
      case 'elsewhere':
        return areaBreach(
          shape,
          [freeTriangle(face)],
          'free triangle',
          msg`the triangle between the brow arches and the hairline stays free, or the forehead looks smaller`,
        );
    }
  });
}

/** Guides say where they are; what is drawn by hand is where its middle lies. */
function contourPlace(
  placement: Placement,
  shape: PlacedShape,
  face: FaceModel,
): 'cheek' | 'nose' | 'elsewhere' {
  if ('guide' in placement)
    return placement.guide === 'cheekContour'
      ? 'cheek'
      : placement.guide === 'noseContour'
        ? 'nose'
        : 'elsewhere';
  const points = shape.region.flat();
  const half = face[shape.side === 'right' ? 'right' : 'left'];
  const [x, y] = half.fromFace(centreOf(points));
  if (x > half.at('eye_inner')[0] && y > half.at('eye_outer')[1] && y < half.at('gonion')[1] - 8)
    return 'cheek';
  return Math.abs(x) <= half.at('ala')[0] && y > face.landmarks.nasion[1] && y < face.landmarks.subnasale[1]
    ? 'nose'
    : 'elsewhere';
}

/** Nose contour lies on top of the bridge: further out it widens the nose. */
function noseBreaches(shape: PlacedShape, face: FaceModel): LimitBreach[] {
  const [top, bottom] = [face.landmarks.nasion[1] + 6, face.landmarks.nose_tip[1] - 6];
  let worst = { over: 0, at: shape.region[0]![0]! };
  for (const p of shape.region.flat()) {
    if (p[1] < top || p[1] > bottom) continue;
    const half = face[p[0] >= face.midline(p[1]) ? 'left' : 'right'];
    const over = half.fromFace(p)[0] - half.at('bridge_side')[0];
    if (over > worst.over) worst = { over, at: p };
  }
  if (worst.over <= TOLERANCE_MM) return [];
  const message = msg`It lies out on the side of the nose, which widens it; keep it on top of the bridge (${worst.over.toFixed(1)} mm over).`;
  return [{ limit: 'bridge', side: shape.side, overMm: worst.over, at: worst.at, message }];
}

function cheekBreaches(shape: PlacedShape, face: FaceModel): LimitBreach[] {
  if (shape.side === 'centre') return [];
  const half = face[shape.side];
  const points = shape.region.flat().map(half.fromFace);
  const lowest = half.at('mouth_corner')[1] - MOUTH_CLEARANCE;
  const breach = (limit: Limit, over: (p: Point) => number, why: string): LimitBreach[] => {
    let worst = -Infinity;
    let at: Point = points[0]!;
    for (const p of points) {
      const mm = over(p);
      if (mm > worst) [worst, at] = [mm, p];
    }
    if (worst <= TOLERANCE_MM) return [];
    return [
      {
        limit,
        side: shape.side,
        overMm: worst,
        at: half.toFace(at),
        message: msg`${capital(sideWords(shape.side))}: ${why} (${worst.toFixed(1)} mm over).`,
      },
    ];
  };
  const edge = [...face.outline, face.outline[0]!];
  return [
    ...breach(
      'pupil line',
      (p) => half.irisRim - p[0],
      msg`it passes the line under the outer rim of the iris, which pulls the face narrow`,
    ),
    ...breach(
      'smile line',
      (p) => SMILE_CLEARANCE - distanceToLine(p, half.smileLine),
      msg`it runs into the smile line and will move with every smile`,
    ),
    ...breach(
      'mouth height',
      (p) => p[1] - lowest,
      msg`it sinks to the height of the mouth corner and drags the cheek down`,
    ),
    ...breach(
      'face edge',
      (p) => (isInside(half.toFace(p), face.outline) ? 0 : distanceToLine(half.toFace(p), edge)),
      msg`it leaves the face`,
    ),
  ];
}

function eyeAreas(shape: PlacedShape, face: FaceModel): Point[][] {
  if (shape.side === 'centre') return [];
  return [face[shape.side].orbit.map(face[shape.side].toFace)];
}

function areaBreach(
  shape: PlacedShape,
  forbidden: readonly (readonly Point[])[],
  limit: Limit,
  why: string,
): LimitBreach[] {
  const overlap = intersectRegions(shape.region, forbidden);
  const over = Math.sqrt(areaOf(overlap));
  if (over <= 1) return [];
  const message = msg`${capital(sideWords(shape.side))}: it reaches into the ${term(limit)}; ${why}.`;
  return [{ limit, side: shape.side, overMm: over, at: centreOf(overlap.flat()), message }];
}

function sideWords(side: PlacedShape['side']): string {
  return side === 'centre' ? msg`centre` : msg`client’s ${term(side)}`;
}

/**
 * Brings a placement back inside its limits: a guided one by easing reach, then lift, then width towards the
 * guide; a drawn one by wiping off what lies outside.
 */
export function withinLimits(
  placement: Placement,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
  role?: LayerKind | 'care',
): Placement {
  if (checkLimits(placement, landmarks, features, role).length === 0) return placement;
  if (!('guide' in placement)) return wipedToLimits(placement, landmarks, features, role);
  const given = { ...INITIAL_PARAMS, ...placement.params };
  for (const ease of [0, 0.25, 0.5, 0.75, 1]) {
    const towards = (value: number, initial: number): number => value + (initial - value) * ease;
    const eased: Placement = {
      ...placement,
      params: {
        ...given,
        reach: Math.min(towards(given.reach, 100), given.reach > 100 && ease > 0 ? 100 : given.reach),
        liftMm: towards(given.liftMm, 0),
        width: given.width > 100 ? towards(given.width, 100) : given.width,
      },
    };
    if (checkLimits(eased, landmarks, features).length === 0) return eased;
  }
  return { ...placement, params: { ...given, reach: 100, liftMm: 0, width: 100 } };
}

/** What a drawn placement may not cover on one half, as outlines of that half. */
function forbiddenOn(
  half: HalfFace,
  role: LayerKind | 'care' | undefined,
  place: ReturnType<typeof contourPlace>,
): Polygon[] {
  const box = (left: number, top: number, right: number, bottom: number): Polygon => [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ];
  if (role === 'blush') return [half.orbit];
  if (place === 'cheek') {
    return [
      box(-200, -200, half.irisRim, 300),
      box(-200, half.at('mouth_corner')[1] - MOUTH_CLEARANCE, 200, 300),
      ribbon(half.smileLine, () => SMILE_CLEARANCE + 0.1),
    ];
  }
  if (place === 'nose') return [box(half.at('bridge_side')[0], -200, 200, 300)];
  return [];
}

function wipedToLimits(
  placement: Extract<Placement, { outline: unknown }>,
  landmarks: Landmarks,
  features: Features,
  role: LayerKind | 'care' | undefined,
): Placement {
  const face = faceModel(landmarks, features);
  const shapes = outlineOf(placement, landmarks, features);
  const wiped = shapes.flatMap((shape): Polygon[] => {
    const place = role === 'contour' ? contourPlace(placement, shape, face) : 'elsewhere';
    const halves =
      place === 'nose' ? [face.left, face.right] : [face[shape.side === 'right' ? 'right' : 'left']];
    const outside = [
      ...halves.flatMap((half) => forbiddenOn(half, role, place).map((outline) => outline.map(half.toFace))),
      ...(role === 'contour' && place === 'elsewhere' ? [freeTriangle(face)] : []),
    ];
    const inside = intersectRegions(shape.region, uniteOutlines(outside));
    const beyond = place === 'cheek' ? subtractRegion(shape.region, [face.outline]) : [];
    return [...inside, ...beyond];
  });
  const canonical = wiped
    .filter((outline) => Math.abs(signedArea(outline)) > 0.02)
    .map((outline) => grown(outline, 0.25).map(face.warp.toCanonical).map(rounded));
  return { ...placement, without: [...(placement.without ?? []), ...canonical] };
}
