import { adviseSchools, SCHOOL_QUESTIONS, stepsOfVariant, type Chart, type School } from '../look';
import { weaveSteps } from '../order';
import { NO_SIDE, type RefitChange } from './change';

/** An order is offered when it saves this much, minutes. */
const WORTH_REORDERING = 2;

/** Questions whose answers are orders; contrast is a shade, not an order. */
const ORDERING: readonly School[] = ['eyesOrFace', 'contour', 'concealer'];

/**
 * The ways of ordering that speak for themselves now and did not for the chart as it was worn, or else, when no school changes, the steps with
 * their waits filled.
 */
export function reOrdered(next: Chart, worn: Chart): RefitChange[] {
  const whole = { stepId: null, kind: 're-order' as const, before: NO_SIDE, after: NO_SIDE };
  const old = adviseSchools(worn).map((a) => `${a.school} ${a.answer}`);
  const advice = adviseSchools(next).filter((a) => ORDERING.includes(a.school) && !old.includes(`${a.school} ${a.answer}`));
  if (advice.length > 0)
    return advice.map(({ school, answer, why }) => ({
      ...whole,
      id: `school ${school}`,
      title: `${SCHOOL_QUESTIONS[school]}: ${answer}`,
      why,
      difference: 'the steps change their order',
      part: { of: 'school', school, answer },
    }));
  const { given, woven } = weaveSteps(stepsOfVariant(next.steps, null), next.client, next.schools);
  const saved = given.totalMinutes - woven.totalMinutes;
  if (saved < WORTH_REORDERING) return [];
  return [
    {
      ...whole,
      id: 'order',
      title: 'Order',
      why: 'Drying times can be filled with steps that do not touch what dries.',
      difference: `${saved.toFixed(0)} min shorter`,
      part: { of: 'order', stepIds: woven.steps.map((s) => s.stepId) },
    },
  ];
}
