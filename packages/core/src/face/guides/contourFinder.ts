import type { FaceModel, HalfFace } from '../faceModel';
import { distanceToLine, normalsOf, type Point, type Polygon, type Polyline } from '../point';
import { cheekLine } from './cheek';

/** Where the hollow leaves the ear: this far under the cheek line's start, mm. */
const UNDER_THE_EAR_MM = 18;
/** Where it runs out: beside and under the mouth corner, mm. */
const BESIDE_MOUTH: Point = [9, 4];
/**
 * The hollow lies under the bone: where it is only inferred and the line is steep, it is kept at least this
 * far from the edge, mm.
 */
const LEAST_GAP_MM = 6;

/**
 * The two lines contour is found by: the edge a smile shows along the cheekbone, where contour lies, and the
 * hollow that sucking the cheeks in shows, which is too low. All in the half's own frame, mm.
 */
export type ContourFinder = {
  readonly smileEdge: Polyline;
  readonly hollowLine: Polyline;
  /** What lies between the two. */
  readonly gap: Polygon;
  /** How far the middle of the hollow lies from the smile edge, mm. */
  readonly gapMm: number;
};

/** Both lines of one half and the gap between them. */
export function contourFinder(half: HalfFace, face: FaceModel): ContourFinder {
  const smileEdge = cheekLine(half, face);
  const hollow = underEdge(half.at('hollow'), smileEdge);
  const corner = half.at('mouth_corner');
  const from: Point = [half.earAttachment[0], half.earAttachment[1] + UNDER_THE_EAR_MM];
  const to: Point = [corner[0] + BESIDE_MOUTH[0], corner[1] + BESIDE_MOUTH[1]];
  // The control point that takes a quadratic curve through the hollow half-way.
  const control: Point = [2 * hollow[0] - (from[0] + to[0]) / 2, 2 * hollow[1] - (from[1] + to[1]) / 2];
  const hollowLine = Array.from({ length: 61 }, (_, i): Point => {
    const t = i / 60;
    const [u, v, w] = [(1 - t) * (1 - t), 2 * t * (1 - t), t * t];
    return [u * from[0] + v * control[0] + w * to[0], u * from[1] + v * control[1] + w * to[1]];
  });
  return {
    smileEdge,
    hollowLine,
    gap: [...smileEdge, ...[...hollowLine].reverse()],
    gapMm: distanceToLine(hollow, smileEdge),
  };
}

/** A point at least the least gap outwards of a line. */
function underEdge(p: Point, edge: Polyline): Point {
  const normals = normalsOf(edge);
  let nearest = 0;
  edge.forEach((q, i) => {
    const best = edge[nearest]!;
    if (Math.hypot(q[0] - p[0], q[1] - p[1]) < Math.hypot(best[0] - p[0], best[1] - p[1])) nearest = i;
  });
  const [q, n] = [edge[nearest]!, normals[nearest]!];
  const out = (p[0] - q[0]) * n[0] + (p[1] - q[1]) * n[1];
  return out >= LEAST_GAP_MM ? p : [q[0] + n[0] * LEAST_GAP_MM, q[1] + n[1] * LEAST_GAP_MM];
}

/** Whether a point of the half lies nearer the hollow than the smile edge. */
export function isInHollow(p: Point, { smileEdge, hollowLine }: ContourFinder): boolean {
  return distanceToLine(p, hollowLine) < distanceToLine(p, smileEdge);
}
