import type { Landmarks } from './landmarks';
import { termsOf, type MeasurementName } from './measurements';
import type { Point } from './point';

/**
 * Where the tape goes for a measurement on this face: two ends in mm. A width runs level at the mean height
 * of what it measures, a height straight down at their mean distance from the middle; a difference between
 * the sides joins the two places.
 */
export function tapeLine(name: MeasurementName, landmarks: Landmarks): readonly [Point, Point] {
  const terms = termsOf(name);
  const places = terms.map(([landmark]) => landmarks[landmark]);
  const mean = (axis: 0 | 1, points: readonly Point[]): number =>
    points.reduce((sum, p) => sum + p[axis], 0) / points.length;
  const ends = (axis: 0 | 1): readonly [Point[], Point[]] => [
    terms.flatMap(([landmark, , weight]) => (weight < 0 ? [landmarks[landmark]] : [])),
    terms
      .flatMap(([landmark, , weight]) => (weight > 0 ? [landmarks[landmark]] : []))
      .sort((a, b) => a[axis] - b[axis]),
  ];
  const axis = terms[0]![1];
  const [less, more] = ends(axis);
  if (less.length === 0 || name === 'eyeTilt' || name === 'mouthTilt')
    return [places[0]!, places[places.length - 1]!];
  // Where both eyes are averaged, the tape goes on the client's left.
  const onOneSide = (points: readonly Point[]): readonly Point[] =>
    terms.length === 4 ? points.filter(([x]) => x > 0) : points;
  const ofSide = [...onOneSide(less), ...onOneSide(more)];
  if (terms.length === 4) return [ofSide[0]!, ofSide[1]!];
  if (axis === 0)
    return [
      [mean(0, less), mean(1, places)],
      [mean(0, more), mean(1, places)],
    ];
  const x = mean(0, places);
  return [
    [x, mean(1, less)],
    [x, mean(1, more)],
  ];
}
