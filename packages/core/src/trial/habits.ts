import { usedInStep } from '../chair';
import { amountAsked, type Chart, type Step } from '../look';
import { msg, term } from '../messages';
import { amountProposal } from './proposals';
import type { LearnedProposal } from './learnedProposal';

/**
 * How one step was really worked, against its plan: what a studio's hands do otherwise than they write down.
 */
export type WorkedHabit = {
  /** When it was worked. */
  readonly at: string;
  readonly clientId: string;
  readonly lookId: string;
  readonly role: Step['role'];
  readonly title: string;
  /** 'Maker Line' where one line was planned, in one shade or mixed; null otherwise. */
  readonly line: string | null;
  /** Measures used over measures planned; null where it was skipped or something else was used. */
  readonly ratio: number | null;
  readonly skipped: boolean;
};

/** The one line a step uses, in one shade or mixed of several; null for none or more. */
function lineOf({ use }: Pick<Step, 'use'>): string | null {
  const [line, ...more] = new Set(use.map(({ product }) => `${product.maker} ${product.line}`));
  return line !== undefined && more.length === 0 ? line : null;
}
const measures = (use: Step['use']): number => use.reduce((sum, { parts }) => sum + parts, 0);

/** What was done of each step of a chart as it was worn; a step nobody ticked or skipped tells nothing. */
export function workedHabits(worn: Pick<Chart, 'client' | 'look' | 'steps'>): WorkedHabit[] {
  return worn.steps.flatMap((step): WorkedHabit[] => {
    const { done, role, title } = step;
    const skipped = done?.deviations.some(({ kind }) => kind === 'skipped') === true;
    if (!done || (!done.ticked && !skipped)) return [];
    const used = usedInStep(step);
    const same = !done.deviations.some(({ kind }) => kind === 'other product');
    return [
      {
        at: done.at,
        clientId: worn.client.id,
        lookId: worn.look.id,
        role,
        title,
        line: lineOf(step),
        ratio: skipped || !same || measures(step.use) === 0 ? null : measures([...used]) / measures(step.use),
        skipped,
      },
    ];
  });
}

/** Of the last so many, so many the same way. */
const LAST = 5;
const ALIKE = 3;
/** Amounts are offered in tenths of the plan. */
const TENTH = 0.1;

const newestFirst = (habits: readonly WorkedHabit[]): WorkedHabit[] =>
  [...habits].sort((one, other) => Date.parse(other.at) - Date.parse(one.at));

/**
 * What a studio's hands do otherwise than a chart plans, often enough to be proposed: an amount that was
 * more, or less, on three or more of the last five faces and the other way on one at most; a step of the same
 * look, other than cleaning, that was skipped on three of the last five. The client's own last time is not
 * counted: the chart has it already. `worth` ranks behind what failed.
 */
export function habitProposals(
  chart: Chart,
  all: readonly WorkedHabit[],
): (LearnedProposal & { worth: number })[] {
  const habits = newestFirst(all.filter(({ clientId }) => clientId !== chart.client.id));
  return chart.steps
    .filter(({ variant, use }) => variant === undefined && use.length > 0)
    .flatMap((step) => [...amountOffer(chart, step, habits), ...skipOffer(chart, step, habits)]);
}

function amountOffer(chart: Chart, step: Step, habits: readonly WorkedHabit[]) {
  const line = lineOf(step);
  if (line === null || step.doseMgPerCm2 === 0) return [];
  const ratios = habits.flatMap((one) =>
    one.line === line && one.role === step.role && one.ratio !== null ? [one.ratio] : [],
  );
  const offered = amountProposal(1, ratios, TENTH);
  if (!offered || offered.amount <= 0) return [];
  const factor = offered.amount;
  const asked = amountAsked({ ...step, doseMgPerCm2: step.doseMgPerCm2 * factor }, chart.client);
  const now = measures(step.use);
  const next = asked ? measures([...asked.use]) : now;
  // What comes to the same measures is no proposal.
  if (!asked || next === now || next > now !== factor > 1) return [];
  const way = factor > 1 ? 'more' : 'less';
  const agreeing = ratios.filter((one) => one > 1 === factor > 1 && one !== 1).length;
  const { measure } = step.use[0]!;
  return [
    {
      key: `amount | ${step.role} | ${line}`,
      stepId: step.id,
      now: msg`${amountWords(now)} ${term(measure)} of ${line}`,
      offer: msg`${amountWords(next)} ${term(measure)} of ${line}`,
      change: { kind: 'amount' as const, factor },
      strength: offered.agreeing === LAST ? ('strong' as const) : ('hint' as const),
      failed: agreeing,
      worn: ratios.length,
      says: msg`On ${offered.agreeing} of the last ${offered.of} faces ${term(way)} of ${line} was used than planned, about ${amountWords(factor)} times as much.`,
      against:
        offered.agreeing < offered.of
          ? msg`Against it: on ${offered.of - offered.agreeing} it was as planned or the other way; faces differ.`
          : msg`Against it: faces differ, and a habit is not always right.`,
      worth: 0.3 * (offered.agreeing / offered.of),
    },
  ];
}

function skipOffer(chart: Chart, step: Step, habits: readonly WorkedHabit[]) {
  // Clean hands, tools and skin are no habit to be left out, however often nobody ticked them.
  if (step.phase === 'clean') return [];
  const same = habits.filter((one) => one.lookId === chart.look.id && one.title === step.title);
  const last = same.slice(0, LAST);
  const skipped = last.filter((one) => one.skipped).length;
  if (skipped < ALIKE) return [];
  return [
    {
      key: `skip | ${chart.look.id} | ${step.title}`.slice(0, 600),
      stepId: step.id,
      now: step.title,
      offer: msg`leaving out ${step.title}`,
      change: { kind: 'leave out' as const },
      strength: skipped === LAST ? ('strong' as const) : ('hint' as const),
      failed: same.filter((one) => one.skipped).length,
      worn: same.length,
      says: msg`${step.title} was skipped on ${skipped} of the last ${last.length} faces of this look: leave it out?`,
      against:
        skipped < last.length
          ? msg`Against it: on ${last.length - skipped} it was done.`
          : msg`Against it: nobody has seen the look with it since.`,
      worth: 0.25 * (skipped / last.length),
    },
  ];
}

const amountWords = (amount: number): string => String(Math.round(amount * 100) / 100);

/** The chart with an amount or a step as the hands do it; null for a step that is not there. */
export function asHabit(
  chart: Chart,
  { stepId, change }: Pick<LearnedProposal, 'stepId' | 'change'>,
): Chart | null {
  const step = chart.steps.find(({ id }) => id === stepId);
  if (!step || change.kind === 'line') return null;
  if (change.kind === 'leave out') return { ...chart, steps: chart.steps.filter(({ id }) => id !== stepId) };
  const doseMgPerCm2 = step.doseMgPerCm2 * change.factor;
  const asked = amountAsked({ ...step, doseMgPerCm2 }, chart.client);
  if (!asked) return null;
  const next: Step = { ...step, doseMgPerCm2, use: [...asked.use] };
  return { ...chart, steps: chart.steps.map((one) => (one.id === stepId ? next : one)) };
}
