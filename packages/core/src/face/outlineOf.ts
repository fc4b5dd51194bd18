import { guideNamed, INITIAL_PARAMS, type GuideName, type GuideParams, type GuideParameter, type LayerKind } from './guides';
import { faceModel, type FaceModel, type HalfFace } from './faceModel';
import { PLAIN_FEATURES, type Features } from './features';
import type { Landmarks, Side } from './landmarks';
import { mirror, type Point, type Polyline } from './point';
import { areaOf, uniteOutlines, type Region } from './region';
import { ZONES, type ZoneName } from './zones';

/** Where a step's product goes: by a guide that is redrawn on every face, or by an outline kept in canonical mm. */
export type Placement =
  | { readonly guide: GuideName; readonly params?: Partial<GuideParams>; readonly side: Side | 'both' }
  | { readonly outline: readonly Point[]; readonly featherMm: number; readonly side: Side | 'both' };

export type PlacedShape = {
  /** The client's side, or 'centre' for shapes across the midline. */
  readonly side: Side | 'centre';
  /** Outlines in this face's mm. */
  readonly region: Region;
  readonly line: Polyline | null;
  readonly handles: { readonly [name in GuideParameter]?: Point };
  readonly featherMm: number;
  readonly fade: readonly [start: number, end: number];
};

/** A placement as outlines on a face, one shape a side. */
export function outlineOf(placement: Placement, landmarks: Landmarks, features: Features = PLAIN_FEATURES): PlacedShape[] {
  const face = faceModel(landmarks, features);
  const sides: readonly Side[] = placement.side === 'both' ? ['left', 'right'] : [placement.side];
  if ('outline' in placement) return sides.map((side) => drawnShape(placement.outline, placement.featherMm, face, side));
  const guide = guideNamed(placement.guide);
  const params = { ...INITIAL_PARAMS, ...placement.params };
  if (!guide.central) return sides.map((side) => guidedShape(guide.build(face[side], face, params), face[side], side));
  if (placement.guide.startsWith('zone.')) return [{ ...guidedShape(guide.build(face.left, face, params), face.left, 'left'), side: 'centre' }];
  const [left, right] = [guide.build(face.left, face, params), guide.build(face.right, face, params)];
  const [onLeft, onRight] = [guidedShape(left, face.left, 'left'), guidedShape(right, face.right, 'right')];
  return [{ ...onLeft, side: 'centre', region: uniteOutlines([...onLeft.region, ...onRight.region]) }];
}

type LocalShape = Omit<PlacedShape, 'side'>;

function guidedShape(shape: LocalShape, half: HalfFace, side: Side): PlacedShape {
  const handles = Object.fromEntries(Object.entries(shape.handles).map(([name, p]) => [name, half.toFace(p)]));
  return { ...shape, side, region: shape.region.map((polygon) => polygon.map(half.toFace)), line: shape.line?.map(half.toFace) ?? null, handles };
}

function drawnShape(outline: readonly Point[], featherMm: number, face: FaceModel, side: Side): PlacedShape {
  const placed = outline.map((p) => face.warp.toFace(side === 'right' ? mirror(p) : p));
  return { side, region: uniteOutlines([placed]), line: null, handles: {}, featherMm, fade: [1, 1] };
}

/** What a placement is for and what it is called. */
export function placementKind(placement: Placement): LayerKind | null {
  return 'guide' in placement ? guideNamed(placement.guide).kind : null;
}

/** How much more skin there is than the front view shows, for guides that are not zones. */
const DRAWN_CURVATURE = 1.5;

/** Skin area of a placement on this face in cm2, both sides together. */
export function placementArea(placement: Placement, landmarks: Landmarks, features: Features = PLAIN_FEATURES): number {
  const mm2 = outlineOf(placement, landmarks, features).reduce((sum, shape) => sum + areaOf(shape.region), 0);
  const zone = 'guide' in placement && placement.guide.startsWith('zone.') ? (placement.guide.slice(5) as ZoneName) : null;
  return (mm2 / 100) * (zone ? ZONES[zone].curvature : DRAWN_CURVATURE);
}

/** A placement said aloud: "cheek contour, client's left, from the ear towards the mouth corner". */
export function describePlacement(placement: Placement): string {
  const side = placement.side === 'both' ? 'both sides' : `client’s ${placement.side}`;
  if ('outline' in placement) return `drawn by hand, ${side}`;
  const guide = guideNamed(placement.guide);
  return [guide.label.toLowerCase(), ...(guide.central ? [] : [side]), guide.where].join(', ');
}
