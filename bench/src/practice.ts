import { exercise, judge, LEVELS, lineMiss, type Level, type LineExercise } from '@toile/core';
import { medianMs, ms, row, type Row } from './measure';

const FACES = 40;

/** Faces of two skills at a level, and the time of the slowest but a few. */
function makeFaces(level: Level): { readonly made: readonly LineExercise[]; readonly p95: number } {
  const times: number[] = [];
  const made: LineExercise[] = [];
  for (let seed = 1; seed <= FACES; seed++) {
    const start = performance.now();
    const task = exercise(seed % 2 ? 'contour' : 'contour-long', seed, level);
    times.push(performance.now() - start);
    if (task?.kind === 'line') made.push(task);
  }
  return { made, p95: times.sort((a, b) => a - b)[Math.floor(0.95 * times.length)]! };
}

/** A face to practise on made, and a stroke on it judged. */
export function practiceRows(): Row[] {
  exercise('contour', 0, 0);
  const [first, , hardest] = LEVELS.map(makeFaces);
  if (!first || !hardest) throw new Error('no levels');
  const task = first.made[0]!;
  const drawn = task.guide.line.map(([x, y]) => [x + 1, y + 1] as const);
  const judged = medianMs(() => void judge(task, { kind: 'line', drawn, coarse: false, mmPerPixel: 0.2 }));
  const plain = medianMs(() => void lineMiss(drawn, task.guide.line));
  return [
    {
      what: `a face to practise on, p95 of ${FACES}`,
      ours: ms(first.p95),
      peer: 'limit 250 ms',
      ratio: `${(250 / first.p95).toFixed(1)} x`,
    },
    row(
      `at the highest level, the hardest of several, p95 of ${FACES}`,
      hardest.p95,
      'at the first level',
      first.p95,
    ),
    row(
      'a stroke judged: line, ends, limits of the face, words',
      judged,
      'its distance to the guide alone',
      plain,
    ),
    { what: 'the same', ours: ms(judged), peer: 'a frame 16.7 ms', ratio: `${(16.7 / judged).toFixed(1)} x` },
  ];
}
