import { PLAIN_FEATURES, type Features } from './features';
import { guidesFor, type LayerKind } from './guides';
import type { Landmarks } from './landmarks';
import { outlineOf, type Placement } from './outlineOf';
import { distanceToLine, resample, type Polyline } from './point';

/**
 * How far a stroke drawn by hand runs from the nearest guide of its kind on this face: the mean distance of
 * its centreline in mm, each side for itself and the larger taken. Null for guided placements, for filled
 * outlines without a centreline, and for kinds whose guides have no line.
 */
export function distanceToGuide(
  placement: Placement,
  kind: LayerKind,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
): number | null {
  if ('guide' in placement || !placement.stroke) return null;
  const lines = guidesFor(kind)
    .flatMap((guide) => outlineOf({ guide, side: 'both' }, landmarks, features))
    .flatMap((shape): Polyline[] => (shape.line ? [shape.line] : []));
  if (lines.length === 0) return null;
  const strokes = outlineOf(placement, landmarks, features).flatMap((shape) =>
    shape.line ? [resample(shape.line, 2)] : [],
  );
  return Math.max(
    ...strokes.map((stroke) =>
      Math.min(
        ...lines.map((line) => stroke.reduce((sum, p) => sum + distanceToLine(p, line), 0) / stroke.length),
      ),
    ),
  );
}
