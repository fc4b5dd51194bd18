import {
  isAboutPlace,
  messages,
  msg,
  plural,
  reviewChart,
  type Chart,
  type Kit,
  type Mended,
  type RuleGrades,
  type Severity,
} from '@toile/core';
import type { ReviewLine } from '../../workers/fittingJobs';

export const SEVERITY_MARKS: Readonly<Record<Severity, string>> = { stop: '■', caution: '▲', note: '·' };
export const SEVERITY_WORDS: Readonly<Record<Severity, string>> = messages({
  stop: 'stop',
  caution: 'caution',
  note: 'note',
});

/** What is about a place is told at the face itself. */
export const openLines = (lines: readonly ReviewLine[]): ReviewLine[] =>
  lines.filter((l) => l.accepted === null && !isAboutPlace(l.rule));
export const acceptedLines = (lines: readonly ReviewLine[]): ReviewLine[] =>
  lines.filter((l) => l.accepted !== null);

/** More findings of one rule than this are read as one, and each on request. */
const MOST_OF_A_RULE = 3;

/**
 * Findings as they are read: one by one, but many of one rule together, where the first of them stands. What
 * is to be stopped at is never gathered.
 */
export function gathered(lines: readonly ReviewLine[]): readonly (readonly ReviewLine[])[] {
  const alike = (line: ReviewLine): readonly ReviewLine[] =>
    lines.filter((other) => other.rule === line.rule && other.severity === line.severity);
  return lines.flatMap((line) => {
    const all = alike(line);
    if (line.severity === 'stop' || all.length <= MOST_OF_A_RULE) return [[line]];
    return all[0] === line ? [all] : [];
  });
}

/** '1 to stop at, 2 cautions, 3 notes' */
export function reviewInWords(lines: readonly ReviewLine[]): string {
  const count = (severity: Severity): number => lines.filter((l) => l.severity === severity).length;
  const [stops, cautions, notes] = [count('stop'), count('caution'), count('note')];
  const words = [
    ...(stops > 0 ? [msg`${stops} to stop at`] : []),
    ...(cautions > 0 ? [plural(cautions)`${cautions} caution|${cautions} cautions`] : []),
    ...(notes > 0 ? [plural(notes)`${notes} note|${notes} notes`] : []),
  ];
  return words.join(', ') || msg`nothing to look at again`;
}

/**
 * The chart with a finding's fix applied, and what was done; null when the finding is gone. `minded` is the
 * chart with what was noted of its client since: found and mended by that, and kept as it was written.
 */
export function fixed(
  chart: Chart,
  kit: Kit | null,
  grades: RuleGrades,
  line: Pick<ReviewLine, 'rule' | 'stepIds'>,
  minded: Chart = chart,
): Mended | null {
  const finding = reviewChart(minded, kit, grades).find(
    (f) => f.rule === line.rule && f.stepIds.join() === line.stepIds.join(),
  );
  if (!finding?.fix) return null;
  const { chart: mended, done } = finding.fix.mend(minded);
  return { chart: { ...mended, client: chart.client }, done };
}
