import {
  fitLook,
  proposeProducts,
  refitChart,
  type Chart,
  type ClientSnapshot,
  type FitContext,
  type Kit,
  type Look,
  type Occasion,
  type Stamp,
  type Step,
} from '@toile/core';

type Fit = { readonly look: Look; readonly client: ClientSnapshot; readonly kit: Kit; readonly occasion: Occasion; readonly stamp: Stamp };
type RefitRequest = {
  readonly worn: Chart;
  readonly client: ClientSnapshot;
  readonly kit: Kit;
  readonly occasion: Occasion;
  readonly stamp: Stamp & { readonly version: number };
};

/** Fitting looks and charts to clients. */
export const fittingJobs = {
  fit: ({ look, client, kit, occasion, stamp }: Fit) => fitLook(look, client, kit, occasion, stamp),
  refit: ({ worn, client, kit, occasion, stamp }: RefitRequest) => refitChart(worn, client, kit, occasion, stamp),
  propose: ({ step, context }: { readonly step: Step; readonly context: FitContext }) => proposeProducts(step, context),
};
