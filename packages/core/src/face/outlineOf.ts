import {
  guideNamed,
  INITIAL_PARAMS,
  type GuideName,
  type GuideParams,
  type GuideParameter,
  type LayerKind,
} from './guides';
import { boxesTouch, boxOf } from './box';
import { faceModel, withEyesClosed, type FaceModel, type HalfFace } from './faceModel';
import { PLAIN_FEATURES, type Features } from './features';
import type { Landmarks, Side } from './landmarks';
import { mirror, type Point, type Polyline } from './point';
import { areaOf, subtractRegion, uniteOutlines, type Region } from './region';
import { ZONES, type ZoneName } from './zones';

/**
 * Places in canonical mm wiped off a placement: each an outline where it lies on the canonical face, not
 * mirrored.
 */
type Wiped = { readonly without?: readonly (readonly Point[])[] };

/**
 * Where a step's product goes: by a guide that is redrawn on every face, or by an outline kept in canonical
 * mm.
 */
export type Placement =
  | ({
      readonly guide: GuideName;
      readonly params?: Partial<GuideParams>;
      readonly side: Side | 'both';
    } & Wiped)
  | ({
      readonly outline: readonly Point[];
      readonly featherMm: number;
      readonly side: Side | 'both';
      /** The stroke it was drawn with: its centreline and radius at each point, canonical mm. */
      readonly stroke?: readonly (readonly [x: number, y: number, radius: number])[];
    } & Wiped);

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

/** Eyes open, as the face is drawn, or closed, as lids are worked. */
export type Eyes = 'open' | 'closed';

/**
 * A placement as outlines on a face, one shape a side; with the eyes closed, lid and lash guides follow the
 * closed lid.
 */
export function outlineOf(
  placement: Placement,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
  eyes: Eyes = 'open',
): readonly PlacedShape[] {
  const held = kept.get(placement);
  if (held && held.landmarks === landmarks && held.features === features && held.eyes === eyes)
    return held.shapes;
  const shapes = placed(placement, landmarks, features, eyes);
  kept.set(placement, { landmarks, features, eyes, shapes });
  return shapes;
}

type Kept = {
  readonly landmarks: Landmarks;
  readonly features: Features;
  readonly eyes: Eyes;
  readonly shapes: readonly PlacedShape[];
};
// Placements never change once made; drawing, review, areas and words ask for the same one again and again.
const kept = new WeakMap<Placement, Kept>();

function placed(placement: Placement, landmarks: Landmarks, features: Features, eyes: Eyes): PlacedShape[] {
  const open = faceModel(landmarks, features);
  const face = eyes === 'open' ? open : withEyesClosed(open);
  const shapes = 'outline' in placement ? drawnShapes(placement, face) : guidedShapes(placement, face);
  return placement.without?.length ? wipedOff(shapes, placement.without, face) : shapes;
}

function drawnShapes(placement: Extract<Placement, { outline: unknown }>, face: FaceModel): PlacedShape[] {
  return sidesOf(placement).map((side) => drawnShape(placement, face, side));
}

function guidedShapes(placement: Extract<Placement, { guide: unknown }>, face: FaceModel): PlacedShape[] {
  const guide = guideNamed(placement.guide);
  const params = { ...INITIAL_PARAMS, ...placement.params };
  const isZone = placement.guide.startsWith('zone.');
  const atTheLashes = guide.kind === 'liner' || guide.kind === 'lash';
  const built = (side: Side): PlacedShape => {
    const shape = guide.build(face[side], face, params);
    const region = isZone || atTheLashes ? shape.region : clearOfEye(face[side], shape.region);
    return guidedShape({ ...shape, region }, face[side], side);
  };
  if (!guide.central) return sidesOf(placement).map(built);
  if (isZone) return [{ ...built('left'), side: 'centre' }];
  const [onLeft, onRight] = [built('left'), built('right')];
  return [{ ...onLeft, side: 'centre', region: uniteOutlines([...onLeft.region, ...onRight.region]) }];
}

/** A region without the open eye of its side: nothing but what is for lashes and lash line is laid there. */
function clearOfEye(half: HalfFace, region: Region): Region {
  const eye = [...half.upperLid, ...half.lowerLid];
  const points = region.flat();
  return points.length > 0 && boxesTouch([boxOf(points)], [boxOf(eye)])
    ? subtractRegion(region, [eye])
    : region;
}

const sidesOf = ({ side }: Placement): readonly Side[] => (side === 'both' ? ['left', 'right'] : [side]);

function wipedOff(
  shapes: readonly PlacedShape[],
  without: readonly (readonly Point[])[],
  face: FaceModel,
): PlacedShape[] {
  const wiped = uniteOutlines(without.map((outline) => outline.map(face.warp.toFace)));
  return shapes.map((shape) => ({ ...shape, region: subtractRegion(shape.region, wiped) }));
}

type LocalShape = Omit<PlacedShape, 'side'>;

function guidedShape(shape: LocalShape, half: HalfFace, side: Side): PlacedShape {
  const handles = Object.fromEntries(
    Object.entries(shape.handles).map(([name, p]) => [name, half.toFace(p)]),
  );
  return {
    ...shape,
    side,
    region: shape.region.map((polygon) => polygon.map(half.toFace)),
    line: shape.line?.map(half.toFace) ?? null,
    handles,
  };
}

function drawnShape(
  { outline, featherMm, stroke }: Extract<Placement, { outline: unknown }>,
  face: FaceModel,
  side: Side,
): PlacedShape {
  const carry = ([x, y]: readonly [number, number, ...number[]]): Point =>
    face.warp.toFace(side === 'right' ? mirror([x, y]) : [x, y]);
  return {
    side,
    region: uniteOutlines([outline.map(carry)]),
    line: stroke?.map(carry) ?? null,
    handles: {},
    featherMm,
    fade: [1, 1],
  };
}

/** What a placement is for and what it is called. */
export function placementKind(placement: Placement): LayerKind | null {
  return 'guide' in placement ? guideNamed(placement.guide).kind : null;
}

/** How much more skin there is than the front view shows, for guides that are not zones. */
const DRAWN_CURVATURE = 1.5;

/** Skin area of a placement on this face in cm2, both sides together. */
export function placementArea(
  placement: Placement,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): number {
  const mm2 = outlineOf(placement, landmarks, features).reduce((sum, shape) => sum + areaOf(shape.region), 0);
  const zone =
    'guide' in placement && placement.guide.startsWith('zone.')
      ? (placement.guide.slice(5) as ZoneName)
      : null;
  return (mm2 / 100) * (zone ? ZONES[zone].curvature : DRAWN_CURVATURE);
}
