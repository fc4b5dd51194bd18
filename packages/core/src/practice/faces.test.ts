import { faceModel, type Point, type Polyline } from '../face';
import { exercise, judge, SKILLS, type LineExercise } from '.';

const FACES = 200;
const LINES = SKILLS.filter((one) => one.kind === 'line').map(({ id }) => id);
/** Two hundred faces, every skill of a line in turn. */
const tasks = Array.from({ length: FACES }, (_, i) => {
  const task = exercise(LINES[i % LINES.length]!, 1000 + i, 0);
  if (task?.kind !== 'line') throw new Error(`${LINES[i % LINES.length]} ${1000 + i} is no line`);
  return task;
});
const judged = (task: LineExercise, drawn: Polyline) =>
  judge(task, { kind: 'line', drawn, coarse: false, mmPerPixel: null });
const middle = (line: Polyline): Point => {
  const sum = line.reduce<Point>(([x, y], p) => [x + p[0], y + p[1]], [0, 0]);
  return [sum[0] / line.length, sum[1] / line.length];
};
const turned = (line: Polyline, degrees: number): Polyline => {
  const [cx, cy] = middle(line);
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return line.map(([x, y]): Point => [
    cx + cos * (x - cx) - sin * (y - cy),
    cy + sin * (x - cx) + cos * (y - cy),
  ]);
};
/** The first part of a line, by points. */
const shortened = (line: Polyline, share: number): Polyline =>
  line.slice(0, Math.max(2, Math.round(share * line.length)));
/** Off to both sides in turn, as a hand shakes. */
const shaken = (line: Polyline, mm: number): Polyline =>
  line.map(([x, y], i): Point => [x + (i % 2 ? mm : -mm), y]);
const moved = (task: LineExercise, mm: number): Polyline => {
  const half = faceModel(task.model.landmarks, task.model.features)[task.side];
  return task.guide.line.map((p) => {
    const [x, y] = half.fromFace(p);
    return half.toFace([x + mm, y + mm]);
  });
};
/** Each worse than the one before, by more than rounding; the first is the guide. */
function falls(scores: readonly number[]): boolean {
  return scores.every((score, i) => i === 0 || score <= scores[i - 1]! + 0.5);
}

/** Ways to miss; how far, in turn, and what is at most left of the whole at the farthest. */
const MISSES = [
  { says: 'moved out and up', away: (task: LineExercise, k: number) => moved(task, -1.5 * k), least: 80 },
  { says: 'moved in and down', away: (task: LineExercise, k: number) => moved(task, 1.5 * k), least: 80 },
  { says: 'turned', away: (task: LineExercise, k: number) => turned(task.guide.line, 8 * k), least: 80 },
  {
    says: 'turned back',
    away: (task: LineExercise, k: number) => turned(task.guide.line, -8 * k),
    least: 80,
  },
  {
    says: 'cut short',
    away: (task: LineExercise, k: number) => shortened(task.guide.line, 1 - 0.2 * k),
    least: 80,
  },
  // A hand that shakes draws no other line: it costs less than a line elsewhere.
  { says: 'shaken', away: (task: LineExercise, k: number) => shaken(task.guide.line, 0.8 * k), least: 97 },
] as const;

test('on 200 faces the guide is whole, and a line is told less the further it is: each skill missed in each way', () => {
  const wrong = tasks.flatMap((task, i) => {
    const { says, away, least } = MISSES[i % MISSES.length]!;
    const told = [0, 1, 3].map((k) => judged(task, away(task, k)));
    const scores = told.map(({ score }) => score);
    return told[0]!.grade === 'sure' && scores[0]! > 99 && falls(scores) && scores[2]! < least
      ? []
      : [`${task.skill} ${task.seed} ${says}: ${scores.map((s) => s.toFixed(0)).join(' ')}`];
  });
  expect(wrong).toEqual([]);
});
