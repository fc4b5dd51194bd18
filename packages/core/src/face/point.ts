/** A point in mm: origin midway between the pupils, x to the client's left (the viewer's right), y down. */
export type Point = readonly [x: number, y: number];
export type Polyline = readonly Point[];
/** A closed outline; the last point joins the first. */
export type Polygon = readonly Point[];

export const add = (p: Point, q: Point): Point => [p[0] + q[0], p[1] + q[1]];
export const subtract = (p: Point, q: Point): Point => [p[0] - q[0], p[1] - q[1]];
export const scale = (p: Point, k: number): Point => [p[0] * k, p[1] * k];
export const mix = (p: Point, q: Point, t: number): Point => [
  p[0] + (q[0] - p[0]) * t,
  p[1] + (q[1] - p[1]) * t,
];
export function distance(p: Point, q: Point): number {
  // Not Math.hypot: on a face nothing overflows, and a plain root is quicker.
  const dx = p[0] - q[0];
  const dy = p[1] - q[1];
  return Math.sqrt(dx * dx + dy * dy);
}
export const mirror = (p: Point): Point => [-p[0], p[1]];

/** To a hundredth of a mm, as documents keep places. */
export const rounded = (p: Point): [number, number] => [
  Math.round(p[0] * 100) / 100,
  Math.round(p[1] * 100) / 100,
];

/** A polyline with its lengths added up, for many look-ups along it. */
export type MeasuredLine = { readonly lengthMm: number; readonly at: (t: number) => Point };

/** Measures a polyline once; `at(t)` then gives the point a fraction t of the way along, held at the ends. */
export function measureLine(line: Polyline): MeasuredLine {
  if (line.length === 0) throw new RangeError('measureLine: the line has no points');
  const reached = new Float64Array(line.length);
  for (let i = 1; i < line.length; i++) reached[i] = reached[i - 1]! + distance(line[i - 1]!, line[i]!);
  const lengthMm = reached[line.length - 1]!;
  const at = (t: number): Point => {
    const wanted = Math.max(0, Math.min(1, t)) * lengthMm;
    let low = 0;
    let high = line.length - 1;
    while (high - low > 1) {
      const mid = (low + high) >> 1;
      if (reached[mid]! <= wanted) low = mid;
      else high = mid;
    }
    const step = reached[high]! - reached[low]!;
    return step === 0 ? line[high]! : mix(line[low]!, line[high]!, (wanted - reached[low]!) / step);
  };
  return { lengthMm, at };
}

/** The polyline again with points every `stepMm` (its ends kept). */
export function resample(line: Polyline, stepMm: number): Point[] {
  return portion(line, 0, 1, stepMm);
}

/** The point a fraction t of the way along a polyline, by length. */
export function pointAt(line: Polyline, t: number): Point {
  return measureLine(line).at(t);
}

/** The part of a polyline between two fractions of its length. */
export function portion(line: Polyline, from: number, to: number, stepMm = 1): Point[] {
  const { lengthMm, at } = measureLine(line);
  const count = Math.max(2, Math.round((Math.abs(to - from) * lengthMm) / stepMm));
  return Array.from({ length: count + 1 }, (_, i) => at(from + ((to - from) * i) / count));
}

/** Unit normals of a polyline, turned 90 degrees anticlockwise on screen from its direction. */
export function normalsOf(line: Polyline): Point[] {
  return line.map((_, i) => {
    const before = line[Math.max(0, i - 1)]!;
    const after = line[Math.min(line.length - 1, i + 1)]!;
    const length = distance(before, after) || 1;
    return [(after[1] - before[1]) / length, -(after[0] - before[0]) / length];
  });
}

/** Distance from a point to the nearest place on a polyline, in mm. */
export function distanceToLine(p: Point, line: Polyline): number {
  if (line.length === 1) return distance(p, line[0]!);
  let best = Infinity;
  for (let i = 1; i < line.length; i++) {
    const square = squaredToSegment(p, line[i - 1]!, line[i]!);
    if (square < best) best = square;
  }
  return Math.sqrt(best);
}

/** Distance from a point to a straight part of a line, in mm. */
export const distanceToSegment = (p: Point, a: Point, b: Point): number =>
  Math.sqrt(squaredToSegment(p, a, b));

/** By place, not taken apart: lines are asked for their nearest place by the hundred thousand. */
function squaredToSegment(p: Point, a: Point, b: Point): number {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  const toX = p[0] - a[0];
  const toY = p[1] - a[1];
  const length2 = dx * dx + dy * dy;
  const along = length2 === 0 ? 0 : (toX * dx + toY * dy) / length2;
  const t = along < 0 ? 0 : along > 1 ? 1 : along;
  const offX = toX - t * dx;
  const offY = toY - t * dy;
  return offX * offX + offY * offY;
}

/** Whether a point lies in a closed outline (even-odd). */
export function isInside(p: Point, polygon: Polygon): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const a = polygon[i]!;
    const b = polygon[j]!;
    if (a[1] > p[1] !== b[1] > p[1] && p[0] < ((b[0] - a[0]) * (p[1] - a[1])) / (b[1] - a[1]) + a[0])
      inside = !inside;
  }
  return inside;
}

/** Signed area in mm2 (shoelace); positive when the outline runs clockwise on screen. */
export function signedArea(polygon: Polygon): number {
  let sum = 0;
  for (let i = 0; i < polygon.length; i++) {
    const p = polygon[i]!;
    const q = polygon[(i + 1) % polygon.length]!;
    sum += p[0] * q[1] - q[0] * p[1];
  }
  return sum / 2;
}

/** The mean of an outline's points. */
export function centreOf(points: readonly Point[]): Point {
  const sum = points.reduce((s, p) => add(s, p), [0, 0] as Point);
  return scale(sum, 1 / Math.max(1, points.length));
}

/** An ellipse as an outline, turned by `degrees` clockwise on screen. */
export function ellipse(centre: Point, rx: number, ry: number, degrees = 0, steps = 40): Point[] {
  const turn = (degrees * Math.PI) / 180;
  return Array.from({ length: steps }, (_, i) => {
    const a = (2 * Math.PI * i) / steps;
    const [x, y] = [rx * Math.cos(a), ry * Math.sin(a)];
    return [
      centre[0] + x * Math.cos(turn) - y * Math.sin(turn),
      centre[1] + x * Math.sin(turn) + y * Math.cos(turn),
    ];
  });
}
