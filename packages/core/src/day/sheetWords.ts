import { clock } from '../calendar';
import { msg } from '../messages';
import type { SheetRow } from './sheet';
import type { Visit } from './instance';
import { hairOf, placeOf, type Guest, type PartyPlan } from './party';

/** How the sheets of one plan speak of its visits. `looks` names the look of each guest's chart. */
export function sheetWords(plan: PartyPlan, looks: ReadonlyMap<string, string>) {
  const guestOf = (visit: Visit): Guest | undefined => plan.guests.find((guest) => guest.id === visit.of);
  const what = (visit: Visit): string => {
    const guest = guestOf(visit);
    return !guest ? msg`Touch-ups` : visit.task === hairOf(guest) ? msg`Hair` : msg`Make-up`;
  };
  const chairOf = (visit: Visit): PartyPlan['chairs'][number] | undefined =>
    plan.chairs.find((chair) => chair.id === visit.chair);
  /** Where it is done: at its chair, else where its person or its round is. */
  const placeId = (visit: Visit): string =>
    chairOf(visit)?.place ??
    plan.rounds.find((round) => round.id === visit.of)?.place ??
    placeOf(plan, guestOf(visit) ?? {});
  const where = (visit: Visit): string =>
    [chairOf(visit)?.name, plan.places.find(({ id }) => id === placeId(visit))?.name]
      .filter((word) => word !== undefined)
      .join(', ');
  return {
    what,
    where,
    placeId,
    hands: (visit: Visit): string => plan.hands.find((hands) => hands.id === visit.worker)?.name ?? '',
    row: (visit: Visit): SheetRow => {
      const guest = guestOf(visit);
      const look = guest && visit.task !== hairOf(guest) ? looks.get(guest.id) : undefined;
      return {
        time: clock(visit.start),
        what: `${guest?.name ?? msg`Everyone`}, ${what(visit).toLowerCase()}`,
        detail: [msg`until ${clock(visit.start + visit.minutes)}`, where(visit), look]
          .filter((word) => word !== undefined && word !== '')
          .join(' · '),
      };
    },
  };
}
export type SheetWords = ReturnType<typeof sheetWords>;
