import {
  fitLook,
  proposeProducts,
  refitChart,
  type Chart,
  type ClientSnapshot,
  type FitContext,
  type FittedLook,
  type Kit,
  type Look,
  type Occasion,
  type Proposal,
  type Refit,
  type Stamp,
  type Step,
} from '@toile/core';

export type FittingRequest =
  | { readonly kind: 'fit'; readonly look: Look; readonly client: ClientSnapshot; readonly kit: Kit; readonly occasion: Occasion; readonly stamp: Stamp }
  | {
      readonly kind: 'refit';
      readonly worn: Chart;
      readonly client: ClientSnapshot;
      readonly kit: Kit;
      readonly occasion: Occasion;
      readonly stamp: Stamp & { readonly version: number };
    }
  | { readonly kind: 'propose'; readonly step: Step; readonly context: FitContext };

export type FittingAnswer = { readonly fit: FittedLook } | { readonly refit: Refit } | { readonly propose: readonly Proposal[] };

/** Answers one request; runs in the worker, and in tests without one. */
export function answerFitting(request: FittingRequest): FittingAnswer {
  switch (request.kind) {
    case 'fit':
      return { fit: fitLook(request.look, request.client, request.kit, request.occasion, request.stamp) };
    case 'refit':
      return { refit: refitChart(request.worn, request.client, request.kit, request.occasion, request.stamp) };
    case 'propose':
      return { propose: proposeProducts(request.step, request.context) };
  }
}
