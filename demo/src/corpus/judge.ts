import { reviewChart } from '@toile/core';
import { TOPICS, type Case, type Topic } from './case';
import { fitted } from './ground';

export type Verdict = {
  readonly case: Case;
  readonly found: boolean;
  /** Findings nothing in the case asks for, with what they say. */
  readonly stray: readonly string[];
};

export type Score = {
  readonly topic: Topic | 'all';
  readonly cases: number;
  readonly precision: number;
  readonly recall: number;
};

/** A gap the kit has on purpose is told by the fit: a step without a product is no false alarm. */
const ALWAYS_ALLOWED: readonly string[] = ['no-product'];

export function judge(one: Case): Verdict {
  const scene = one.by(fitted(one.setting));
  const findings = reviewChart(scene.chart, scene.kit);
  const allowed = [...one.finds, ...(one.also ?? []), ...ALWAYS_ALLOWED];
  return {
    case: one,
    found: one.finds.length === 0 || findings.some((f) => one.finds.includes(f.rule)),
    stray: findings.filter((f) => !allowed.includes(f.rule)).map((f) => `${f.rule}: ${f.message}`),
  };
}

/**
 * Precision: of all that was said, how much was asked for. Recall: of all that is broken, how much was found.
 */
export function score(verdicts: readonly Verdict[]): Score[] {
  const of = (topic: Score['topic'], some: readonly Verdict[]): Score => {
    const brokenOnes = some.filter((v) => v.case.finds.length > 0);
    const hits = brokenOnes.filter((v) => v.found).length;
    const strays = some.reduce((sum, v) => sum + v.stray.length, 0);
    return {
      topic,
      cases: some.length,
      precision: hits + strays === 0 ? 1 : hits / (hits + strays),
      recall: brokenOnes.length === 0 ? 1 : hits / brokenOnes.length,
    };
  };
  return [
    ...TOPICS.map((topic) =>
      of(
        topic,
        verdicts.filter((v) => v.case.topic === topic),
      ),
    ),
    of('all', verdicts),
  ];
}
