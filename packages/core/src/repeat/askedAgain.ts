import type { Kit } from '../kit';
import {
  adaptationInWords,
  askedAnew,
  contextOf,
  inAmountAsked,
  proposeProducts,
  type AskedAnew,
  type Chart,
  type MadeFor,
  type Step,
} from '../look';
import { msg } from '../messages';
import { changedKeys, differenceOf } from './difference';
import { NO_SIDE, sideOf, type RefitChange } from './change';

/**
 * What the client as they are now, and the new day, ask of the plan that they did not ask when it was made,
 * and what they ask no longer: each step a change of its own. A step that comes has the kit's best for it.
 */
export function askedAgain(plan: Chart, madeFor: MadeFor, kit: Kit): RefitChange[] {
  return askedAnew(plan, madeFor).map((asked): RefitChange => {
    const { stepId, title, step, isNew, adaptations } = asked;
    const before = plan.steps.find(({ id }) => id === stepId);
    const told = {
      id: `${stepId} asked`,
      stepId,
      title,
      kind: 'asked' as const,
      why: inWords(asked),
    };
    if (step === null)
      return {
        ...told,
        difference: before ? msg`the step falls away` : '',
        before: sideOf(before),
        after: sideOf(undefined),
        part: { of: 'asked', stepId, set: null, adaptations },
      };
    if (isNew) {
      const use =
        step.wants.kinds.length > 0 ? proposeProducts(step, contextOf(plan, kit))[0]?.use : undefined;
      const bound: Step = { ...step, use: [...(use ?? [])] };
      return {
        ...told,
        difference: msg`a step more`,
        before: sideOf(undefined),
        after: sideOf(bound),
        part: { of: 'added', step: bound, adaptations },
      };
    }
    const set = before ? changedKeys(before, step) : step;
    return {
      ...told,
      difference: before ? differenceOf(before, inAmountAsked(before, step, plan.client)) : '',
      before: NO_SIDE,
      after: NO_SIDE,
      part: { of: 'asked', stepId, set, adaptations },
    };
  });
}

function inWords({ come, gone, title, step, isNew }: AskedAnew): string {
  const now = come.map((one) => adaptationInWords(one, undefined)).join(' ');
  if (isNew && gone.length > 0)
    return msg`What left ${title.toLowerCase()} out is so no longer. ${now}`.trim();
  const no = gone
    .filter(({ change }) => step !== null || change === 'added')
    .map(({ words }) => words.toLowerCase());
  return [no.length > 0 ? msg`No longer asked: ${no.join('; ')}.` : '', now].join(' ').trim();
}
