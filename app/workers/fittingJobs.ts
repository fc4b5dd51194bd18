import {
  colourSeries,
  exercise,
  fitInStudio,
  matchAndPropose,
  proposalOf,
  refitChart,
  acceptsOrder,
  reviewChart,
  weaveSteps,
  withOwnKit,
  type Chart,
  type ClientSnapshot,
  type FitContext,
  type Kit,
  type Level,
  type Look,
  type Occasion,
  type Proposal,
  type ReviewFinding,
  type RuleGrades,
  type SchoolAnswers,
  type Stamp,
  type ShadeAsk,
  type WearGroup,
} from '@toile/core';

type Fit = {
  readonly look: Look;
  readonly client: ClientSnapshot;
  readonly kit: Kit;
  readonly occasion: Occasion;
  readonly stamp: Stamp;
  /** The studio's way, where it has one. */
  readonly schools: Partial<SchoolAnswers>;
};
type RefitRequest = {
  readonly worn: Chart;
  readonly client: ClientSnapshot;
  readonly kit: Kit;
  readonly occasion: Occasion;
  readonly stamp: Stamp & { readonly version: number };
};

/** A finding as it comes from the worker: its fix by name, since work cannot be sent. */
export type ReviewLine = Omit<ReviewFinding, 'fix'> & { readonly fix: string | null };

/**
 * What the kit has for a step; where nothing does it, how far the nearest is, what would do it stirred, and
 * what to buy.
 */
export type MatchedStep = {
  readonly proposals: readonly Proposal[];
  readonly gap: {
    readonly words: string;
    readonly mixNeeds: string | null;
    readonly buy: string | null;
    readonly nearest: Proposal | null;
  } | null;
};

/** Fitting looks and charts to clients, looking them over, ordering their steps. */
export const fittingJobs = {
  fit: ({ look, client, kit, occasion, stamp, schools }: Fit) =>
    fitInStudio(look, client, kit, occasion, stamp, schools),
  exercise: ({
    skill,
    seed,
    level,
  }: {
    readonly skill: string;
    readonly seed: number;
    readonly level: Level;
  }) => exercise(skill, seed, level),
  ownKit: ({
    look,
    client,
    kit,
    date,
  }: {
    readonly look: Look;
    readonly client: ClientSnapshot;
    readonly kit: Kit;
    readonly date: string;
  }) => withOwnKit(look, client, kit, date),
  series: ({ chart, kit }: { readonly chart: Chart; readonly kit: Kit }) => colourSeries(chart, kit),
  refit: ({ worn, client, kit, occasion, stamp }: RefitRequest) =>
    refitChart(worn, client, kit, occasion, stamp),
  review: ({
    chart,
    kit,
    grades,
    wears,
  }: {
    readonly chart: Chart;
    readonly kit: Kit | null;
    readonly grades: RuleGrades;
    readonly wears?: readonly WearGroup[];
  }): ReviewLine[] =>
    reviewChart(chart, kit, grades, wears).map(({ fix, ...line }) => ({ ...line, fix: fix?.label ?? null })),
  order: ({ chart }: { readonly chart: Chart }) =>
    weaveSteps(
      chart.steps.filter((s) => s.variant === undefined),
      chart.client,
      chart.schools,
      acceptsOrder(chart, null),
    ),
  propose: ({ step, context }: { readonly step: ShadeAsk; readonly context: FitContext }): MatchedStep => {
    const { match, proposals } = matchAndPropose(step, context);
    const { gap } = match;
    return {
      proposals,
      gap: gap
        ? {
            words: gap.words,
            mixNeeds: gap.mixNeeds,
            buy: gap.buy,
            nearest: gap.nearest ? proposalOf(gap.nearest) : null,
          }
        : null,
    };
  },
};
