import {
  daysBetween,
  messages,
  msg,
  plural,
  skillNamed,
  type DrawnExercise,
  type Grade,
  type Point,
  type SkillNow,
} from '@toile/core';

export const GRADE_WORDS: Readonly<Record<Grade, string>> = messages({
  sure: '● sure',
  good: '◐ good',
  near: '○ near',
  again: '· once more',
});

/** What a miss is told in: millimetres of a line, steps of a shade, pairs that stood wrong. */
export function missWords(skill: string, miss: number): string {
  const kind = skillNamed(skill)?.kind;
  if (kind === 'line' || kind === 'patch') return msg`${miss.toFixed(1)} mm`;
  if (kind === 'depth') return msg`${miss.toFixed(1)} of a step`;
  if (kind === 'undertone') return msg`${miss.toFixed(0)} degrees`;
  if (kind === 'corrector' || kind === 'mix') return msg`${miss.toFixed(1)} off the best`;
  if (kind === 'broken') return miss === 0 ? msg`seen` : msg`${miss.toFixed(0)} missed or taken wrongly`;
  return plural(miss)`1 pair|${miss.toFixed(0)} pairs`;
}

/** Where a hand stands in a line: 'due today · last five 2.4 mm (1.9 to 3.1)'. */
export function standsWords(one: SkillNow, today: string): string {
  return [dueWords(one.due, today), lastWords(one), one.better ? msg`better than at first` : null]
    .filter((words) => words !== null)
    .join(' · ');
}

export function dueWords(due: string | null, today: string): string {
  if (due === null) return msg`new`;
  const days = daysBetween(today, due);
  return days <= 0 ? msg`due today` : plural(days)`tomorrow|in ${days} days`;
}

export function lastWords({ skill, last }: Pick<SkillNow, 'skill' | 'last'>): string | null {
  if (!last) return null;
  const { misses, median, least, most } = last;
  const value = missWords(skill, median);
  return misses.length === 1
    ? msg`last ${value}`
    : msg`last ${misses.length}: ${value} (${missWords(skill, least)} to ${missWords(skill, most)})`;
}

/** Round what is to be drawn so much of the face is shown, mm. */
const ROUND_MM = 26;

/** What was to be drawn: a line, or round a patch and back to its beginning. */
export const askedLine = (task: DrawnExercise): readonly Point[] =>
  task.kind === 'line' ? task.guide.line : [...task.wanted.outline, task.wanted.outline[0]!];

/** The part of the face an exercise is drawn on: near enough that a millimetre can be drawn. */
export function frameOf(task: DrawnExercise): readonly [number, number, number, number] {
  const line = askedLine(task);
  // Both sides are seen where one is to match the other.
  const points: readonly Point[] =
    task.kind === 'line' && task.shown ? [...line, ...line.map(([x, y]): Point => [-x, y])] : line;
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, top] = [Math.min(...xs) - ROUND_MM, Math.min(...ys) - ROUND_MM];
  return [left, top, Math.max(...xs) + ROUND_MM - left, Math.max(...ys) + ROUND_MM - top];
}

/** How a stroke is laid from its beginning to its end, in a sentence. */
export function fadeWords([start, end]: readonly [start: number, end: number]): string {
  if (Math.abs(start - end) < 0.05) return msg`It is laid evenly.`;
  return start > end
    ? msg`Most lies where the brush lands; it fades from there.`
    : msg`It begins lightly; most lies at its end.`;
}

/** A seed for a fresh exercise: any will do. */
export const freshSeed = (random: () => number = Math.random): number => Math.floor(random() * 1_000_000);
