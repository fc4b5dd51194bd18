import type { Point } from '../face';
import type { Kit } from '../kit';
import { stepsOfVariant, type Chart } from '../look';
import { messagesIn } from '../messages';
import type { WearGroup } from '../trial';
import { CARE_RULES } from './rules/care';
import { COLOUR_RULES } from './rules/colour';
import { LAYER_RULES } from './rules/layers';
import { PLACE_RULES } from './rules/place';
import { RECIPE_RULES } from './rules/recipe';
import { HOLDS_THE_HOURS, USUAL_OF_HOURS, WEAR_RULES } from './rules/wear';
import { reviewed, SEVERITIES, type Fix, type Reviewed, type Rule, type Severity, type Way } from './rule';

/** Every practice that is checked, by what it is about. */
export const RULES: readonly Rule[] = [
  ...CARE_RULES,
  ...LAYER_RULES,
  ...COLOUR_RULES,
  ...WEAR_RULES,
  ...PLACE_RULES,
  ...RECIPE_RULES,
];
export const RULE_GROUPS: readonly { readonly name: string; readonly rules: readonly Rule[] }[] = messagesIn(
  ['name'],
  [
    { name: 'Care', rules: CARE_RULES },
    { name: 'Layers and order', rules: LAYER_RULES },
    { name: 'Colour and light', rules: COLOUR_RULES },
    { name: 'Wear', rules: WEAR_RULES },
    { name: 'Place', rules: PLACE_RULES },
    { name: 'Recipe', rules: RECIPE_RULES },
  ],
);

/** How a studio grades rules otherwise: another severity, or off. */
export type RuleGrades = { readonly [ruleId in string]?: Severity | 'off' };

/** A fix that is offered: the way it takes is chosen when it is taken. */
export type Mending = Pick<Fix, 'label' | 'apply'> & { readonly mend: (chart: Chart) => Mended };
/** A chart put right, and what was done to it: what the label says, or the next best. */
export type Mended = { readonly chart: Chart; readonly done: string };

export type ReviewFinding = {
  readonly rule: string;
  readonly severity: Severity;
  readonly stepIds: readonly string[];
  readonly message: string;
  readonly why: string;
  readonly fix: Mending | null;
  /** Where on the face it is, in the client's mm; null when it is about no one place. */
  readonly at: Point | null;
  /** Why it was accepted as it is; null while it is open. */
  readonly accepted: string | null;
};

/**
 * What a practitioner would look at again in this chart, gravest first: every rule that is on, with reason,
 * steps and, where there is one, a fix. An accepted finding keeps its reason as long as it concerns the same
 * steps.
 */
export function reviewChart(
  chart: Chart,
  kit: Kit | null,
  grades: RuleGrades = {},
  wears: readonly WearGroup[] = [],
): ReviewFinding[] {
  return findWith(RULES, chart, kit, grades, wears);
}

/** The same for the rules about places alone: quick enough to follow a hand that is placing. */
export function reviewPlaces(chart: Chart, grades: RuleGrades = {}): ReviewFinding[] {
  return findWith(PLACE_RULES, chart, null, grades);
}

/** Cautions of care that are said again at the chair before the step. */
const SAID_AT_THE_CHAIR: readonly string[] = [
  'allergen',
  'patch-test-result',
  'unknown-ingredients',
  'tool-allergen',
  'not-for-eyes',
  'lenses',
  'lash-extensions',
  'patch-test',
  'past-its-date',
];

/** What has to be minded before a step, whether it was accepted or not: the chair says it once more. */
export function cautionsOf(chart: Chart, kit: Kit | null, stepId: string): ReviewFinding[] {
  return findWith(
    CARE_RULES.filter((rule) => SAID_AT_THE_CHAIR.includes(rule.id)),
    chart,
    kit,
    {},
  ).filter((f) => f.stepIds.includes(stepId));
}

/** Whether a rule is about a place, and so told at the face. */
export function isAboutPlace(ruleId: string): boolean {
  return PLACE_RULES.some((rule) => rule.id === ruleId);
}

function findWith(
  rules: readonly Rule[],
  chart: Chart,
  kit: Kit | null,
  grades: RuleGrades,
  wears: readonly WearGroup[] = [],
): ReviewFinding[] {
  const plan = findOn(rules, reviewed(chart, kit, undefined, wears), grades);
  // Each variant is worked as a chart of its own: what its steps raise counts as much as what the plan does.
  const varied = chart.variants.flatMap(({ id }) => {
    const own = new Set(chart.steps.flatMap((s) => (s.variant === id ? [s.id] : [])));
    if (own.size === 0) return [];
    const known = new Set(plan.map(keyOf));
    return findOn(rules, reviewed(chart, kit, stepsOfVariant(chart.steps, id), wears), grades).filter(
      (f) => !known.has(keyOf(f)) && f.stepIds.some((step) => own.has(step)),
    );
  });
  const grave = (f: ReviewFinding): number => (f.accepted === null ? 0 : 10) - SEVERITIES.indexOf(f.severity);
  return byEvidence([...plan, ...varied]).sort((a, b) => grave(a) - grave(b));
}

/** What is usual of long hours is not said of a step of which the studio's own wears speak. */
function byEvidence(findings: readonly ReviewFinding[]): ReviewFinding[] {
  const known = new Set(findings.flatMap((f) => (f.rule === HOLDS_THE_HOURS ? f.stepIds : [])));
  return findings.filter((f) => !USUAL_OF_HOURS.includes(f.rule) || !f.stepIds.some((id) => known.has(id)));
}

const keyOf = ({ rule, stepIds }: Pick<ReviewFinding, 'rule' | 'stepIds'>): string =>
  `${rule} ${[...stepIds].sort().join()}`;

function findOn(rules: readonly Rule[], on: Reviewed, grades: RuleGrades): ReviewFinding[] {
  return rules.flatMap((rule): ReviewFinding[] => {
    const graded = grades[rule.id];
    if (graded === 'off') return [];
    return rule.find(on).map(({ steps, message, fix, at, severity: own }) => {
      const stepIds = steps.map((s) => s.id);
      return {
        rule: rule.id,
        severity: graded ?? own ?? rule.severity,
        stepIds,
        message,
        why: rule.why,
        fix: fix ? calm(fix, keyOf({ rule: rule.id, stepIds }), on.kit, grades, on.wears) : null,
        at: at ?? null,
        accepted: acceptedWhy(on.chart, rule.id, stepIds),
      };
    });
  });
}

/**
 * A fix that mends and raises no finding of its own: the first of its ways that does so, or the one that
 * raises the fewest.
 */
function calm(
  fix: Fix,
  key: string,
  kit: Kit | null,
  grades: RuleGrades,
  wears: readonly WearGroup[],
): Mending {
  const mend = (chart: Chart): Mended => {
    const had = new Set(reviewChart(chart, kit, grades, wears).map(keyOf));
    const first: Way = { chart: fix.apply(chart) };
    let best = { way: first, raised: Infinity };
    for (const way of [first, ...(fix.others?.(chart) ?? [])].slice(0, MOST_WAYS)) {
      const after = reviewChart(way.chart, kit, grades, wears).map(keyOf);
      const raised = after.filter((k) => !had.has(k)).length + (after.includes(key) ? STILL_THERE : 0);
      if (raised < best.raised) best = { way, raised };
      if (raised === 0) break;
    }
    return { chart: best.way.chart, done: best.way.does ?? fix.label };
  };
  return { label: fix.label, apply: (chart) => mend(chart).chart, mend };
}
/** A way that does not mend is worse than one that raises something else. */
const STILL_THERE = 10;
/** Ways of one fix that are tried. */
const MOST_WAYS = 6;

function acceptedWhy(chart: Chart, rule: string, stepIds: readonly string[]): string | null {
  const same = chart.findings.find(
    (f) =>
      f.rule === rule &&
      f.answer === 'accepted' &&
      f.stepIds.length === stepIds.length &&
      f.stepIds.every((id) => stepIds.includes(id)),
  );
  return same?.why ?? null;
}

/** The chart with a finding accepted as it is, for a reason. */
export function acceptFinding(chart: Chart, { rule, severity, stepIds }: ReviewFinding, why: string): Chart {
  const others = chart.findings.filter((f) => !(f.rule === rule && f.stepIds.join() === stepIds.join()));
  return {
    ...chart,
    findings: [...others, { rule, severity, stepIds: [...stepIds], answer: 'accepted' as const, why }].slice(
      -200,
    ),
  };
}
