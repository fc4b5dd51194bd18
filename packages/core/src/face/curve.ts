import { distance, mirror, normalsOf, type Point, type Polygon, type Polyline } from './point';

/**
 * Centripetal Catmull-Rom curve through the points (Barry and Goldman, 1988; Yuksel et al., 2011):
 * no cusps or loops however uneven the spacing. `stepMm` sets how finely it is sampled.
 */
export function throughPoints(points: Polyline, stepMm = 1, closed = false): Point[] {
  const n = points.length;
  if (n < 2) return [...points];
  const at = (i: number): Point => {
    if (closed) return points[(i + n) % n]!;
    if (i < 0) return extend(points[1]!, points[0]!);
    if (i >= n) return extend(points[n - 2]!, points[n - 1]!);
    return points[i]!;
  };
  const curve: Point[] = [];
  const spans = closed ? n : n - 1;
  for (let i = 0; i < spans; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const steps = Math.max(1, Math.round(distance(p1, p2) / stepMm));
    for (let s = 0; s < steps; s++) curve.push(span(p0, p1, p2, p3, s / steps));
  }
  if (!closed) curve.push(points[n - 1]!);
  return curve;
}

function extend(from: Point, to: Point): Point {
  return [2 * to[0] - from[0], 2 * to[1] - from[1]];
}

function span(p0: Point, p1: Point, p2: Point, p3: Point, s: number): Point {
  const knot = (a: Point, b: Point): number => Math.max(1e-6, Math.sqrt(distance(a, b)));
  const t0 = 0;
  const t1 = t0 + knot(p0, p1);
  const t2 = t1 + knot(p1, p2);
  const t3 = t2 + knot(p2, p3);
  const t = t1 + s * (t2 - t1);
  const blend = (a: Point, b: Point, ta: number, tb: number): Point => {
    const w = (t - ta) / (tb - ta);
    return [a[0] + (b[0] - a[0]) * w, a[1] + (b[1] - a[1]) * w];
  };
  const a1 = blend(p0, p1, t0, t1);
  const a2 = blend(p1, p2, t1, t2);
  const a3 = blend(p2, p3, t2, t3);
  return blend(blend(a1, a2, t0, t2), blend(a2, a3, t1, t3), t1, t2);
}

/** A half curve that starts on the midline, continued by its mirror image on the client's right. */
export function mirrored(half: Polyline): Point[] {
  const other = half.map(mirror).reverse();
  const last = half[half.length - 1]!;
  return [...half, ...(Math.abs(last[0]) < 1e-9 ? other.slice(1) : other)];
}

/**
 * The outline of a stroke along a line: `halfWidth(t)` in mm at fraction t of its length, ends rounded.
 */
export function ribbon(line: Polyline, halfWidth: (t: number) => number): Polygon {
  const normals = normalsOf(line);
  const last = line.length - 1;
  const edge = (i: number, sign: 1 | -1): Point => {
    const w = sign * halfWidth(i / last);
    return [line[i]![0] + normals[i]![0] * w, line[i]![1] + normals[i]![1] * w];
  };
  const one = line.map((_, i) => edge(i, 1));
  const other = line.map((_, i) => edge(i, -1)).reverse();
  return [
    ...one,
    ...cap(line[last]!, one[last]!, other[0]!),
    ...other,
    ...cap(line[0]!, other[last]!, one[0]!),
  ];
}

/** A half circle's points from one edge of a stroke to the other, round its end. */
function cap(centre: Point, from: Point, to: Point): Point[] {
  const r = distance(centre, from);
  if (r < 0.4) return [];
  const start = Math.atan2(from[1] - centre[1], from[0] - centre[0]);
  let turn = Math.atan2(to[1] - centre[1], to[0] - centre[0]) - start;
  while (turn <= 0) turn += 2 * Math.PI;
  const steps = Math.max(3, Math.round(r * 2));
  return Array.from({ length: steps - 1 }, (_, k) => {
    const a = start + (turn * (k + 1)) / steps;
    return [centre[0] + r * Math.cos(a), centre[1] + r * Math.sin(a)];
  });
}
