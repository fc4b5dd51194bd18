import { exercise, judge, lineMiss, type LineExercise } from '@toile/core';
import { medianMs, ms, row, type Row } from './measure';

const FACES = 40;

/** A face to practise on made, and a stroke on it judged. */
export function practiceRows(): Row[] {
  const times: number[] = [];
  const made: LineExercise[] = [];
  exercise('contour', 0, 0);
  for (let seed = 1; seed <= FACES; seed++) {
    const start = performance.now();
    const task = exercise(seed % 2 ? 'contour' : 'contour-long', seed, 0);
    times.push(performance.now() - start);
    if (task?.kind === 'line') made.push(task);
  }
  const sorted = [...times].sort((a, b) => a - b);
  const p95 = sorted[Math.floor(0.95 * sorted.length)]!;
  const task = made[0]!;
  const drawn = task.guide.line.map(([x, y]) => [x + 1, y + 1] as const);
  const judged = medianMs(() => void judge(task, { kind: 'line', drawn, coarse: false, mmPerPixel: 0.2 }));
  const plain = medianMs(() => void lineMiss(drawn, task.guide.line));
  return [
    {
      what: `a face to practise on, p95 of ${FACES}`,
      ours: ms(p95),
      peer: 'limit 250 ms',
      ratio: `${(250 / p95).toFixed(1)} x`,
    },
    row(
      'a stroke judged: line, ends, limits of the face, words',
      judged,
      'its distance to the guide alone',
      plain,
    ),
    { what: 'the same', ours: ms(judged), peer: 'a frame 16.7 ms', ratio: `${(16.7 / judged).toFixed(1)} x` },
  ];
}
