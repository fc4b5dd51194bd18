import type { Polyline } from '../face/point';
import { lineMiss, type LineMiss } from './lineMiss';
import { halfMissMm, joined, LINE_PARTS, scoreOfMiss, type Grade, type Part } from './score';

/** A guide's line with the mean width of what is laid along it, mm. */
export type LineGuide = { readonly line: Polyline; readonly widthMm: number };

export type LineScored = {
  readonly miss: LineMiss;
  readonly parts: readonly Part[];
  readonly score: number;
  readonly grade: Grade;
};

/** A finger is coarser than a pen: it may miss by a fifth more. */
const COARSE = 1.2;

/**
 * A drawn line against a guide: line, start, end, farthest place, turn and evenness, joined; a broken limit caps
 * it. `coarse`: drawn with a finger.
 */
export function scoreLine(
  drawn: Polyline,
  guide: LineGuide,
  { breachMm = 0, coarse = false }: { readonly breachMm?: number; readonly coarse?: boolean } = {},
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
  return { miss, parts, ...joined(parts, breachMm) };
}
