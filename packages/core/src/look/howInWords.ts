import { msg, plural, term } from '../messages';
import type { FLOWS, LookStep } from './document';

type Flow = (typeof FLOWS)[number];

/**
 * What one thin pass of an airbrush leaves, mg a cm2: where a dose starts when the flow is chosen, to be
 * adjusted by what is seen on the hand.
 */
export const FLOW_DOSE: Readonly<Record<Flow, number>> = {
  'turned down': 0.05,
  'half open': 0.1,
  'fully open': 0.18,
};

/** After a spray: what nothing may do to it. */
export const AFTER_AIRBRUSH = 'Do not touch or rub it after: powder with a loose brush, concealer tapped in.';

/** How a sprayed step goes over the face, and in how many coats. */
export function airbrushInWords({ passes, waitMinutes }: Pick<LookStep, 'passes' | 'waitMinutes'>): string {
  const coats =
    passes > 1
      ? msg`, ${passes} thin coats, each dry before the next (about ${Math.max(1, Math.round(waitMinutes))} min)`
      : msg`, one thin coat`;
  return msg`One side, the other side, the centre, then down the neck${coats}.`;
}

/** How a step is worked: 'airbrush · spray · 4 passes a side, flow turned down · 5 min · then wait 1 min'. */
export function howInWords(
  step: Pick<LookStep, 'tool' | 'technique' | 'passes' | 'flow' | 'handsOnMinutes' | 'waitMinutes'>,
): string {
  const sprayed = step.tool === 'airbrush';
  const passes = plural(step.passes)`one pass|${step.passes} passes`;
  return [
    step.tool === 'none' ? null : term(step.tool),
    term(step.technique),
    sprayed
      ? msg`${passes} a side${step.flow ? msg`, flow ${term(step.flow)}` : ''}`
      : step.passes > 1
        ? passes
        : null,
    msg`${step.handsOnMinutes} min`,
    step.waitMinutes > 0 ? msg`then wait ${step.waitMinutes} min` : null,
  ]
    .filter((part) => part !== null)
    .join(' · ');
}
