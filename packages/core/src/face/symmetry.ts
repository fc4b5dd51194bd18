import type { FaceModel } from './faceModel';
import { centreOf, distanceToLine, mirror, resample, type Point, type Polyline } from './point';
import { areaOf, type Region } from './region';

/** Left against right, both seen on the client's left half. */
export type Symmetry = {
  /** Mean and largest distance between the outlines, both ways, in mm. */
  readonly meanMm: number;
  readonly largestMm: number;
  /** The smaller area over the larger, 0 to 1; blind to a shift. */
  readonly areaRatio: number;
  /** Where they differ most, on the client's left, in this face's mm. */
  readonly at: Point;
};

/** A mean distance up to this is as even as hands are; up to twice this is fair. */
export const EVEN_MM = 1;

const closed = (region: Region): Polyline[] =>
  region.map((polygon) => resample([...polygon, polygon[0]!], 1));

/**
 * Compares a left with a right region over the face's own midline, outlines sampled every mm; null when one
 * is empty.
 */
export function symmetryOf(left: Region, right: Region, face: FaceModel): Symmetry | null {
  const here = closed(left.map((polygon) => polygon.map(face.left.fromFace)));
  const there = closed(right.map((polygon) => polygon.map(face.right.fromFace)));
  if (here.length === 0 || there.length === 0) return null;
  let [sum, count, largest] = [0, 0, 0];
  let at: Point = centreOf(here[0]!);
  const measure = (from: readonly Polyline[], to: readonly Polyline[]): void => {
    for (const p of from.flat()) {
      const mm = Math.min(...to.map((line) => distanceToLine(p, line)));
      sum += mm;
      count++;
      if (mm > largest) [largest, at] = [mm, p];
    }
  };
  measure(here, there);
  measure(there, here);
  const [a, b] = [areaOf(left), areaOf(right)];
  return {
    meanMm: sum / count,
    largestMm: largest,
    areaRatio: Math.min(a, b) / Math.max(a, b),
    at: face.left.toFace(at),
  };
}

/** A region moved to the other side of the canonical face. */
export const mirroredOutline = (outline: readonly Point[]): Point[] => outline.map(mirror);
