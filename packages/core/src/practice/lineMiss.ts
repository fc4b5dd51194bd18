import {
  distance,
  distanceToLine,
  distanceToSegment,
  measureLine,
  resample,
  subtract,
  type Point,
  type Polyline,
} from '../face/point';
import { msg } from '../messages';

/** How a drawn line misses a guide, in mm, in the half's own frame. */
export type LineMiss = {
  readonly meanMm: number;
  /** Drawn to guide: what is where it should not be. */ readonly offMm: number;
  /** Guide to drawn: what was left out. */ readonly leftMm: number;
  /** The larger 95th percentile of the two. */ readonly farMm: number;
  /** Where the drawn line is farthest off. */ readonly at: Point;
  /** Mean signed distance: positive to the left of the guide's way with y up. */ readonly sideMm: number;
  /** Along the guide: late and short positive, running over negative. */ readonly startMm: number;
  readonly endMm: number;
  /** How far beside the guide the drawn line begins and ends: start and end alone are told along it. */
  readonly startBesideMm: number;
  readonly endBesideMm: number;
  /** From the guide's chord to the drawn one's. */ readonly turnDegrees: number;
  /** Drawn from the other end: measured reversed. */ readonly backwards: boolean;
};

const STEP_MM = 0.5;

/**
 * The miss of a drawn line: means over points every half a millimetre, weighted by trapezoids, both ways.
 * Never the one farthest point, which a slip of the finger decides. Throws a RangeError for a line of fewer
 * than two points.
 */
export function lineMiss(drawn: Polyline, guide: Polyline): LineMiss {
  for (const [name, line] of [
    [msg`drawn line`, drawn],
    ['guide', guide],
  ] as const)
    if (line.length < 2)
      throw new RangeError(`lineMiss: the ${name} has ${line.length} points, at least two are needed`);
  const ends = (line: Polyline): [Point, Point] => [line[0]!, line.at(-1)!];
  const [from, to] = ends(drawn);
  const [start, end] = ends(guide);
  const backwards = distance(from, end) + distance(to, start) < distance(from, start) + distance(to, end);
  const line = resample(backwards ? [...drawn].reverse() : drawn, STEP_MM);
  const wanted = resample(guide, STEP_MM);
  const off = line.map((p) => distanceToLine(p, guide));
  const left = wanted.map((p) => distanceToLine(p, line));
  const signed = line.map((p, i) => off[i]! * sideOf(p, wanted));
  const worst = off.reduce((most, one, i) => (one > off[most]! ? i : most), 0);
  const offMm = trapezoid(off);
  const leftMm = trapezoid(left);
  return {
    meanMm: (offMm + leftMm) / 2,
    offMm,
    leftMm,
    farMm: Math.max(percentile95(off), percentile95(left)),
    at: line[worst]!,
    sideMm: trapezoid(signed),
    startMm: alongFrom(line[0]!, guide, true),
    endMm: alongFrom(line.at(-1)!, guide, false),
    startBesideMm: off[0]!,
    endBesideMm: off.at(-1)!,
    turnDegrees: turnBetween(subtract(end, start), subtract(line.at(-1)!, line[0]!)),
    backwards,
  };
}

/** The mean of values at even steps, the ends counting half. */
function trapezoid(values: readonly number[]): number {
  if (values.length < 2) return values[0] ?? 0;
  const sum = values.reduce((all, one) => all + one, 0) - (values[0]! + values.at(-1)!) / 2;
  return sum / (values.length - 1);
}

function percentile95(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(0.95 * (sorted.length - 1)))]!;
}

/** 1 where a point lies to one side of the nearest part of a line, -1 on the other. */
function sideOf(p: Point, line: Polyline): number {
  let least = Infinity;
  let side = 0;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const away = distanceToSegment(p, a, b);
    if (away >= least - 1e-12) continue;
    least = away;
    side = Math.sign((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]));
  }
  return side;
}

/** How far inside a guide's end a point lies, along it; beyond the end, along its tangent, below none. */
function alongFrom(p: Point, guide: Polyline, fromStart: boolean): number {
  const line = fromStart ? guide : [...guide].reverse();
  const [end, next] = [line[0]!, line[1]!];
  const length = Math.max(1e-9, distance(end, next));
  const along = ((p[0] - end[0]) * (next[0] - end[0]) + (p[1] - end[1]) * (next[1] - end[1])) / length;
  if (along < 0) return along;
  const { lengthMm, at } = measureLine(line);
  const steps = Math.max(1, Math.ceil(lengthMm / 0.1));
  let best = { away: Infinity, mm: 0 };
  for (let i = 0; i <= steps; i++) {
    const away = distance(p, at(i / steps));
    if (away < best.away - 1e-9) best = { away, mm: (i / steps) * lengthMm };
  }
  return best.mm;
}

function turnBetween(from: Point, to: Point): number {
  const degrees = ((Math.atan2(to[1], to[0]) - Math.atan2(from[1], from[0])) * 180) / Math.PI;
  return ((degrees + 540) % 360) - 180;
}
