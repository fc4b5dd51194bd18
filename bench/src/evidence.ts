import {
  drawSides,
  evidence,
  seededRandom,
  signTest,
  standardNormal,
  type Outcome,
  type Side,
} from '@toile/core';
import type { Row } from './measure';

const RUNS = 2000;
const TRIALS = 40;
const CLEAR = 10;
/** Zones and hours of one trial, counted as if each were a trial of its own. */
const CELLS = 35;
/** Grades: how far a face's two sides lie apart by themselves, and how unlike two looks at one place are. */
const SIDE_SD = 0.5;
const LOOK_SD = 0.7;

/**
 * How often something is said of two that are alike, in a hundred studios, beside what is done by habit;
 * seeded.
 */
export function evidenceRows(): Row[] {
  const random = seededRandom(15);
  const runs = Array.from({ length: RUNS }, (_, i) => studio(random, i));
  const share = (speaks: (run: Outcome[]) => boolean): number => runs.filter(speaks).length / RUNS;
  const ours = share((run) => evidence(run).some((e) => e >= CLEAR));
  const byP = share((run) =>
    run.some((_, n) => signTest(run.slice(0, n + 1).map(({ won }) => won)).p < 0.05),
  );
  const cells = Array.from({ length: RUNS }, () => oneFace(random)).filter((seen) => signTest(seen).p < 0.05);
  return [
    row(
      `two alike called clear, looked at after each of ${TRIALS} trials`,
      ours,
      'p under .05 each time',
      byP,
    ),
    row(
      'two alike called clear after one face',
      // One trial at most multiplies the evidence by one and a half.
      share((run) => evidence(run.slice(0, 1)).some((e) => e >= CLEAR)),
      `sign test over its ${CELLS} zones and hours`,
      cells.length / RUNS,
    ),
  ];
}

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
const row = (what: string, ours: number, peer: string, theirs: number): Row => ({
  what,
  ours: percent(ours),
  peer: `${peer} ${percent(theirs)}`,
  ratio: ours === 0 ? '' : `${(theirs / ours).toFixed(1)} x`,
});

/**
 * A studio's trials of two that are alike: sides drawn as the server draws them, a hand with a habit of its
 * own.
 */
function studio(random: () => number, name: number): Outcome[] {
  const habit = 0.5 * standardNormal(random);
  const sides: Side[] = [];
  return Array.from({ length: TRIALS }, (_, n): Outcome => {
    const { aSide, chance: left } = drawSides(`bench-${name}/trial-${n}`, sides);
    sides.push(aSide);
    const leftBetter = habit + standardNormal(random) > 0;
    return { won: leftBetter === (aSide === 'left') ? 1 : -1, chance: leftBetter ? left : 1 - left };
  });
}

/** What is seen of one face in every zone at every hour, in half grades, of two that are alike. */
function oneFace(random: () => number): number[] {
  const side = SIDE_SD * standardNormal(random);
  return Array.from({ length: CELLS }, () => Math.round(2 * (side + LOOK_SD * standardNormal(random))) / 2);
}
