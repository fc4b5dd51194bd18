import type { Kit } from '../kit';
import { adviseSchools, SCHOOL_QUESTIONS, type Chart, type School } from '../look';
import { msg, plural, term } from '../messages';
import { orderChoices } from '../review';
import { NO_SIDE, type RefitChange } from './change';

/** Questions whose answers are orders; contrast is a shade, not an order. */
const ORDERING: readonly School[] = ['eyesOrFace', 'contour', 'concealer'];

/**
 * Other ways of ordering, all of them only proposed: the schools that speak for themselves now and did not
 * for the chart as it was worn, or else the cheapest order with its waits filled, in the fewest moves, that
 * raises no finding.
 */
export function reOrdered(next: Chart, worn: Chart, kit: Kit | null): RefitChange[] {
  const whole = {
    stepId: null,
    kind: 're-order' as const,
    before: NO_SIDE,
    after: NO_SIDE,
    onlyIfAsked: true as const,
  };
  const old = adviseSchools(worn).map((a) => `${a.school} ${a.answer}`);
  const advice = adviseSchools(next).filter(
    (a) => ORDERING.includes(a.school) && !old.includes(`${a.school} ${a.answer}`),
  );
  if (advice.length > 0)
    return advice.map(({ school, answer, why }) => ({
      ...whole,
      id: `school ${school}`,
      title: `${SCHOOL_QUESTIONS[school]}: ${term(answer)}`,
      why,
      difference: msg`the steps change their order`,
      part: { of: 'school', school, answer },
    }));
  const [best] = orderChoices(next, kit);
  if (!best) return [];
  return [
    {
      ...whole,
      id: 'order',
      title: msg`Order`,
      why: plural(
        best.moves,
      )`${best.movedTitles.join(', ')} fills a wait and does not touch what dries.|${best.movedTitles.join(', ')} fill waits and do not touch what dries.`,
      difference: msg`${best.savedMinutes.toFixed(0)} min shorter for ${plural(best.moves)`${best.moves} move|${best.moves} moves`}`,
      part: { of: 'order', stepIds: best.stepIds },
    },
  ];
}
