import { msg, term } from '../messages';
import type { StepGap } from '../shade';
import { withArticle } from '../withArticle';
import type { Adaptation, LookStep, Step } from './document';
import { matchAndPropose, type FitContext, type Proposal } from './propose';
import { TOOL_FOR_TEXTURE, toolInstead, type ToolInstead } from './toolInstead';

/** A step with the kit's best for it. */
export type BoundStep = {
  readonly step: Step;
  /** What the kit has for it, best first. */
  readonly ranked: readonly Proposal[];
  readonly gap: StepGap | null;
  /** What is recorded where its tool was changed for what its product is. */
  readonly tool: Adaptation | null;
};

/**
 * A step bound to the kit's best for it, to nothing where the kit has none, with a tool that suits what it is
 * done with, unless that is not wanted.
 */
export function boundStep(plan: LookStep, context: FitContext, mayChangeTool = true): BoundStep {
  const bound = boundTo(plan, context);
  const instead = mayChangeTool ? toolInstead(bound.step, context.client) : null;
  return (instead && workedWith(plan, bound, instead, context)) ?? bound;
}

function boundTo(plan: LookStep, context: FitContext): BoundStep {
  const { match, proposals } = matchAndPropose(plan, context);
  return {
    step: { ...plan, use: [...(match.gap ? [] : (proposals[0]?.use ?? []))] },
    ranked: proposals,
    gap: match.gap,
    tool: null,
  };
}

/** The same with another tool, which keeps another share; null where another product would come of it. */
function workedWith(
  plan: LookStep,
  { step: { use } }: BoundStep,
  { tool, technique, why }: ToolInstead,
  context: FitContext,
): BoundStep | null {
  const again = boundTo({ ...plan, tool, technique }, context);
  const idsOf = (of: Step['use']): string => of.map(({ product }) => product.id).join();
  if (idsOf(again.step.use) !== idsOf(use)) return null;
  return {
    ...again,
    tool: {
      id: TOOL_FOR_TEXTURE,
      stepId: plan.id,
      change: 'changed',
      words: msg`${plan.title} with ${withArticle(term(tool))}`.slice(0, 200),
      why,
      was: { tool: plan.tool, technique: plan.technique },
      now: { tool, technique },
    },
  };
}
