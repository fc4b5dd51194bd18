import type { Polyline } from '../face/point';
import { lineMiss, type LineMiss } from './lineMiss';
import { COARSE, halfMissMm, joined, LINE_PARTS, scoreOfMiss, type Grade, type Part } from './score';

/**
 * A guide's line with the mean width of what is laid along it, mm, and how much lies at its start and at its
 * end.
 */
export type LineGuide = {
  readonly line: Polyline;
  readonly widthMm: number;
  readonly fade?: readonly [start: number, end: number];
};

export type LineScored = {
  readonly miss: LineMiss;
  readonly parts: readonly Part[];
  readonly score: number;
  readonly grade: Grade;
  /** As `fadeMiss` tells it; null where nothing told how hard it was pressed. */ readonly fade:
    number | null;
};

/**
 * A drawn line against a guide: line, start, end, farthest place, turn and evenness, joined; a broken limit
 * caps it. `coarse`: drawn with a finger.
 */
export function scoreLine(
  drawn: Polyline,
  guide: LineGuide,
  {
    breachMm = 0,
    coarse = false,
    pressure = null,
  }: {
    readonly breachMm?: number;
    readonly coarse?: boolean;
    /** How hard it was pressed at each drawn point, 0 to 1; null where the hand had nothing that tells. */
    readonly pressure?: readonly number[] | null;
  } = {},
): LineScored {
  const miss = lineMiss(drawn, guide.line);
  const half = halfMissMm(guide.widthMm) * (coarse ? COARSE : 1);
  const part = (name: 'line' | 'start' | 'end' | 'farthest', mm: number): Part => ({
    part: name,
    score: scoreOfMiss(mm, half * LINE_PARTS[name].half),
    weight: LINE_PARTS[name].weight,
  });
  // What is left of the miss when the mean shift to one side is taken off: wavering.
  const wavering = Math.sqrt(Math.max(0, miss.offMm ** 2 - miss.sideMm ** 2));
  const parts: Part[] = [
    part('line', miss.meanMm),
    part('start', Math.abs(miss.startMm)),
    part('end', Math.abs(miss.endMm)),
    part('farthest', miss.farMm),
    {
      part: 'turn',
      score: scoreOfMiss(miss.turnDegrees, LINE_PARTS.turn.halfDegrees),
      weight: LINE_PARTS.turn.weight,
    },
    {
      part: 'evenness',
      score: scoreOfMiss(wavering, LINE_PARTS.evenness.halfMm),
      weight: LINE_PARTS.evenness.weight,
    },
  ];
  const softness = pressure && guide.fade ? fadeMiss(pressure, guide.fade, miss.backwards) : null;
  if (softness !== null)
    parts.push({
      part: 'softness',
      score: scoreOfMiss(Math.abs(softness), Math.log2(LINE_PARTS.softness.halfFactor)),
      weight: LINE_PARTS.softness.weight,
    });
  return { miss, parts, fade: softness, ...joined(parts, breachMm) };
}

/** Fewer points than this tell nothing of how a hand let go. */
const LEAST_POINTS = 6;

/**
 * How far a stroke's pressure fades otherwise than its guide, in doublings: what its last third was pressed
 * of its first, against what the guide leaves: positive where too much is left at the end. Null where too
 * little was told.
 */
export function fadeMiss(
  pressure: readonly number[],
  [start, end]: readonly [number, number],
  backwards: boolean,
): number | null {
  if (pressure.length < LEAST_POINTS || start <= 0 || end <= 0) return null;
  const third = Math.floor(pressure.length / 3);
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, one) => sum + Math.min(1, Math.max(0, one)), 0) / values.length;
  const along = backwards ? [...pressure].reverse() : pressure;
  const [first, last] = [mean(along.slice(0, third)), mean(along.slice(-third))];
  if (first <= 0 || last <= 0) return null;
  // A guide fades evenly: its outer thirds lie a sixth from its ends.
  const wanted = (end + (start - end) / 6) / (start + (end - start) / 6);
  return Math.log2(last / first / wanted);
}
