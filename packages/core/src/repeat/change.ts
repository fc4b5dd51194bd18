import type { Lab } from '../colour';
import {
  amountAsked,
  colourOfUse,
  inAmountAsked,
  layingRank,
  relaid,
  MOST_DOSE,
  orderedSteps,
  productsInWords,
  withSchool,
  type Adaptation,
  type Answer,
  type Chart,
  type ClientSnapshot,
  type School,
  type Step,
} from '../look';
import { msg } from '../messages';

/** What a change does to the chart it is taken into. */
export type RefitPart =
  | { readonly of: 'step'; readonly stepId: string; readonly set: Partial<Step> }
  /**
   * So many times the dose, of whatever the step is done with by then: a step's products are another change's
   * to say.
   */
  | { readonly of: 'amount'; readonly stepId: string; readonly by: number }
  | { readonly of: 'left out'; readonly stepId: string }
  /**
   * A step as the client and the day ask for it now, beside what stands recorded of it; null where it falls
   * away.
   */
  | {
      readonly of: 'asked';
      readonly stepId: string;
      readonly set: Partial<Step> | null;
      readonly adaptations: readonly Adaptation[];
    }
  /** A step the chart has not got, where its phase comes. */
  | { readonly of: 'added'; readonly step: Step; readonly adaptations: readonly Adaptation[] }
  | { readonly of: 'school'; readonly school: School; readonly answer: Answer<School> }
  | { readonly of: 'order'; readonly stepIds: readonly string[] };

/**
 * How a step looks before or after: its products, their colour, how far that is from the colour asked for.
 */
export type RefitSide = { readonly words: string; readonly lab: Lab | null; readonly deltaE: number | null };

export const REFIT_KINDS = [
  'keep',
  'carried',
  'learned',
  'asked',
  'remix',
  'substitute',
  'without',
  're-place',
  're-order',
] as const;

/** The id of the change that is about a step's product. */
export const productChange = (stepId: string): string => `${stepId} product`;

/** One thing a repeat keeps or proposes, with its reason and what it will make different. */
export type RefitChange = {
  /** Its own within one repeat: taken or refused by it. */
  readonly id: string;
  /** The step it is about; null for the whole chart. */
  readonly stepId: string | null;
  readonly title: string;
  readonly kind: (typeof REFIT_KINDS)[number];
  /** Why, in a sentence. */
  readonly why: string;
  /** What it makes different, predicted: '2.1 closer', '6 min shorter'; empty where nothing is. */
  readonly difference: string;
  readonly before: RefitSide;
  readonly after: RefitSide;
  /** Null for what is only told. */
  readonly part: RefitPart | null;
  /** Proposed and not taken by itself: somebody has to say yes. */
  readonly onlyIfAsked?: true;
};

export const sideOf = (step: Step | undefined, deltaE: number | null = null): RefitSide => ({
  words: step ? productsInWords(step.use) : msg`left out`,
  lab: step ? colourOfUse(step.use) : null,
  deltaE,
});
export const NO_SIDE: RefitSide = { words: '', lab: null, deltaE: null };

/** The chart with one change taken; what is about a step that is gone changes nothing. */
export function taken(chart: Chart, part: RefitPart): Chart {
  switch (part.of) {
    case 'step':
      return relaid(chart, {
        ...chart,
        steps: chart.steps.map((s) => (s.id === part.stepId ? { ...s, ...part.set } : s)),
      });
    case 'amount':
      return {
        ...chart,
        steps: chart.steps.map((s) => (s.id === part.stepId ? dosedBy(s, part.by, chart.client) : s)),
      };
    case 'left out':
      return chart.steps.length === 1
        ? chart
        : { ...chart, steps: chart.steps.filter((s) => s.id !== part.stepId) };
    case 'asked': {
      const noted = withAdaptations(chart, part.stepId, part.adaptations);
      const { set } = part;
      if (set === null) return taken(noted, { of: 'left out', stepId: part.stepId });
      // In the amount that is asked then, of whatever it is done with by then.
      const asked = (s: Step): Step => inAmountAsked(s, { ...s, ...set }, chart.client);
      return relaid(noted, {
        ...noted,
        steps: noted.steps.map((s) => (s.id === part.stepId ? asked(s) : s)),
      });
    }
    case 'added': {
      const rank = layingRank(chart.schools);
      const at = chart.steps.findIndex((s) => rank(s) > rank(part.step));
      const noted = withAdaptations(chart, part.step.id, part.adaptations);
      const before = chart.steps.slice(0, at < 0 ? chart.steps.length : at);
      return { ...noted, steps: [...before, part.step, ...chart.steps.slice(before.length)] };
    }
    case 'school':
      return withSchool(chart, part.school, part.answer).chart;
    case 'order':
      return orderedSteps(chart, part.stepIds);
  }
}

/** The chart with what stands recorded of one step, in place of what did. */
function withAdaptations(chart: Chart, stepId: string, adaptations: readonly Adaptation[]): Chart {
  const { adaptations: all = [], ...rest } = chart;
  const next = [...all.filter((a) => a.stepId !== stepId), ...adaptations];
  return next.length > 0 ? { ...rest, adaptations: next } : rest;
}

function dosedBy(step: Step, by: number, client: ClientSnapshot): Step {
  const dosed = { ...step, doseMgPerCm2: Number(Math.min(MOST_DOSE, step.doseMgPerCm2 * by).toFixed(3)) };
  const use = amountAsked(dosed, client)?.use;
  return use ? { ...dosed, use: [...use] } : dosed;
}

/** A repeat with every change taken but those refused, in their order. */
export function acceptedRefit(
  base: Chart,
  changes: readonly RefitChange[],
  refused: ReadonlySet<string> = new Set(),
): Chart {
  return changes.reduce(
    (chart, { id, part }) => (part && !refused.has(id) ? taken(chart, part) : chart),
    base,
  );
}

/** The ids of the changes that wait for a yes. */
export function notAsked(changes: readonly RefitChange[]): ReadonlySet<string> {
  return new Set(changes.flatMap((c) => (c.onlyIfAsked ? [c.id] : [])));
}
