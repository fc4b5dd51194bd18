import { faceModel } from './faceModel';
import { PLAIN_FEATURES, type Features } from './features';
import { guidesFor, type LayerKind } from './guides';
import type { Landmarks, Side } from './landmarks';
import { outlineOf, type Placement } from './outlineOf';
import {
  add,
  centreOf,
  distance,
  distanceToLine,
  mirror,
  mix,
  resample,
  rounded,
  type Point,
  type Polygon,
  type Polyline,
} from './point';
import { areaOf, intersectRegions, simplified } from './region';

type Drawn = Extract<Placement, { outline: unknown }>;
/** A point of a stroke in this face's mm, with how broad it is there. */
export type StrokePoint = readonly [x: number, y: number, radius: number];

/** An outline is kept to this, mm: finer is not seen, coarser is. */
const SIMPLIFY_MM = 0.12;
/**
 * Between kept points an outline is refined to this before it is carried, or a straight edge would not bend
 * with the face.
 */
const DENSIFY_MM = 1.5;
/** Most points a kept centreline has. */
const LINE_POINTS = 10;
/** A stroke this near a guide of its kind follows it, mean mm. */
export const SNAP_MM = 5;

function refined(outline: Polygon): Point[] {
  return outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const parts = Math.max(1, Math.ceil(distance(p, q) / DENSIFY_MM));
    return Array.from({ length: parts }, (_, k) => mix(p, q, k / parts));
  });
}

/**
 * An outline in this face's mm as the canonical face keeps it: simplified, refined, carried back and rounded
 * to 0.01 mm.
 */
export function canonicalOutline(
  outline: Polygon,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): Point[] {
  const { warp } = faceModel(landmarks, features);
  const largest = simplified([outline], SIMPLIFY_MM)[0] ?? outline;
  return refined(largest).map((p) => rounded(warp.toCanonical(p)));
}

/** Which of the client's sides a stroke lies on, by its middle. */
export function sideOfStroke(stroke: readonly StrokePoint[], landmarks: Landmarks): Side {
  const [x, y] = centreOf(stroke.map(([px, py]): Point => [px, py]));
  return x >= faceModel(landmarks).midline(y) ? 'left' : 'right';
}

/**
 * A stroke drawn on one face as a placement for any face. `outline` and `stroke` are in this face's mm;
 * mirrored, it lies on both sides. Throws a RangeError when the outline has fewer than three places.
 */
export function drawnPlacement(
  {
    outline,
    stroke,
    featherMm,
    mirrored,
  }: {
    readonly outline: Polygon;
    readonly stroke: readonly StrokePoint[];
    readonly featherMm: number;
    readonly mirrored: boolean;
  },
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): Drawn {
  if (outline.length < 3) throw new RangeError('A stroke needs more than a touch: draw a little further.');
  const { warp } = faceModel(landmarks, features);
  const side = sideOfStroke(stroke, landmarks);
  const own = (p: Point): Point => (side === 'right' ? mirror(p) : p);
  const step = Math.max(1, (stroke.length - 1) / (LINE_POINTS - 1));
  const kept = Array.from(
    { length: Math.min(stroke.length, LINE_POINTS) },
    (_, i) => stroke[Math.min(stroke.length - 1, Math.round(i * step))]!,
  );
  return {
    outline: canonicalOutline(outline, landmarks, features).map(own),
    stroke: kept.map(([x, y, radius]): StrokePoint => [
      ...rounded(own(warp.toCanonical([x, y]))),
      Math.round(radius * 100) / 100,
    ]),
    featherMm,
    side: mirrored ? 'both' : side,
  };
}

/**
 * Placements with an outline, in this face's mm, wiped off: only those it touches change. Mirrored, the other
 * side is wiped too.
 */
export function wipe(
  placements: readonly Placement[],
  outline: Polygon,
  mirrored: boolean,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): Placement[] {
  const own = canonicalOutline(outline, landmarks, features);
  const wiped = mirrored ? [own, own.map(mirror)] : [own];
  const face = faceModel(landmarks, features);
  const onFace = wiped.map((polygon) => polygon.map(face.warp.toFace));
  return placements.map((placement) => {
    const shapes = outlineOf(placement, landmarks, features);
    const touched = wiped.filter((_, i) =>
      shapes.some((shape) => areaOf(intersectRegions(shape.region, [onFace[i]!])) > 0.05),
    );
    return touched.length === 0
      ? placement
      : { ...placement, without: [...(placement.without ?? []), ...touched] };
  });
}

/** Whether a placement has been wiped off altogether. */
export function isWipedAway(
  placement: Placement,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): boolean {
  return (
    outlineOf(placement, landmarks, features).reduce((sum, shape) => sum + areaOf(shape.region), 0) < 0.5
  );
}

/** A drawn placement moved by mm on the canonical face: outwards from the middle and down are positive. */
export function nudged(placement: Drawn, outMm: number, downMm: number): Drawn {
  const move = (p: Point): Point => rounded(add(p, [outMm, downMm]));
  return {
    ...placement,
    outline: placement.outline.map(move),
    ...(placement.stroke
      ? { stroke: placement.stroke.map(([x, y, r]): StrokePoint => [...move([x, y]), r]) }
      : {}),
  };
}

/** A stroke pulled onto the nearest guide of its kind when it runs near one all along; itself otherwise. */
export function snapToGuide(
  stroke: readonly StrokePoint[],
  kind: LayerKind,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): readonly StrokePoint[] {
  const lines = guidesFor(kind)
    .flatMap((guide) => outlineOf({ guide, side: 'both' }, landmarks, features))
    .flatMap((shape): Polyline[] => (shape.line ? [resample(shape.line, 0.5)] : []));
  const meanTo = (line: Polyline): number =>
    stroke.reduce((sum, [x, y]) => sum + distanceToLine([x, y], line), 0) / stroke.length;
  const nearest = lines.map((line) => ({ line, mm: meanTo(line) })).sort((a, b) => a.mm - b.mm)[0];
  if (!nearest || nearest.mm > SNAP_MM) return stroke;
  return stroke.map(([x, y, radius]): StrokePoint => {
    const at = nearest.line.reduce((best, p) => (distance(p, [x, y]) < distance(best, [x, y]) ? p : best));
    return [at[0], at[1], radius];
  });
}
