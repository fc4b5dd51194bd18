import { clock } from '../calendar';
import { msg, plural } from '../messages';
import type { Visit } from './instance';
import { handsPart } from './handsSheet';
import { faceOf, type Guest, type PartyPlan } from './party';
import { personSheet } from './personSheet';
import type { CallSheet, SheetFor, SheetPart, SheetRow } from './sheet';
import { sheetWords } from './sheetWords';

type Party = { readonly name: string; readonly date: string };

/**
 * A party's call sheet from its kept timetable. `looks` names the look of each guest's chart; null where the
 * person or the pair of hands is not there, or where there is no timetable. `touchUpsOf` says what a round of
 * touch-ups asks of each face.
 */
export function callSheet(
  party: Party,
  plan: PartyPlan,
  whom: SheetFor,
  looks: ReadonlyMap<string, string> = new Map(),
  touchUpsOf: TouchUpsOf = () => [],
): CallSheet | null {
  if (!plan.timetable) return null;
  const visits = [...plan.timetable.visits].sort((a, b) => a.start - b.start || (a.of < b.of ? -1 : 1));
  const say = sheetWords(plan, looks);
  if (whom.kind === 'whole')
    return {
      title: party.name,
      whom: msg`The whole day`,
      lead: [
        `${[
          plural(plan.guests.length)`one person|${plan.guests.length} people`,
          plural(plan.hands.length)`one pair of hands|${plan.hands.length} pairs of hands`,
          plural(plan.chairs.length)`one chair|${plan.chairs.length} chairs`,
        ].join(', ')}.`,
      ],
      parts: [
        ...plan.hands.map((hands) => handsPart(plan, hands, visits, say, false)),
        ...roundParts(plan, visits, touchUpsOf),
        ...plan.chairs.filter(tellsMore(visits)).map((chair) => ({
          title: chair.name,
          rows: visits
            .filter((visit) => visit.chair === chair.id)
            .map((visit) => ({ ...say.row(visit), detail: say.hands(visit) })),
        })),
        {
          title: msg`Ready by`,
          rows: [...plan.guests]
            .sort((a, b) => a.readyBy - b.readyBy)
            .map((guest) => ({
              time: clock(guest.readyBy),
              what: guest.name,
              detail: readyDetail(guest, visits),
            })),
        },
      ],
      foot: [],
    };
  if (whom.kind === 'hands') {
    const hands = plan.hands.find((one) => one.id === whom.id);
    if (!hands) return null;
    return {
      title: party.name,
      whom: hands.name,
      lead: [],
      parts: [
        handsPart(plan, hands, visits, say, true),
        ...roundParts(
          plan,
          visits,
          touchUpsOf,
          visits.filter((visit) => visit.worker === hands.id),
        ),
      ],
      foot: [],
    };
  }
  const guest = plan.guests.find((one) => one.id === whom.id);
  if (!guest) return null;
  return { title: party.name, whom: guest.name, ...personSheet(guest, visits, say) };
}

/** Whether a chair's morning is not just that of the one pair of hands that works at it and nowhere else. */
const tellsMore =
  (visits: readonly Visit[]) =>
  (chair: PartyPlan['chairs'][number]): boolean => {
    const workers = new Set(visits.flatMap((visit) => (visit.chair === chair.id ? [visit.worker] : [])));
    return workers.size > 1 || visits.some((visit) => workers.has(visit.worker) && visit.chair !== chair.id);
  };

/** What is due on a guest's face so many hours after it was done, each in a sentence. */
export type TouchUpsOf = (guestId: string, hours: number) => readonly string[];

/** Each round of touch-ups with what every face asks that was done by then, the first done first. */
function roundParts(
  plan: PartyPlan,
  visits: readonly Visit[],
  touchUpsOf: TouchUpsOf,
  of: readonly Visit[] = visits,
): SheetPart[] {
  const rounds = of.filter((visit) => plan.rounds.some((round) => round.id === visit.of));
  return rounds.flatMap((round): SheetPart[] => {
    const rows = visits.flatMap((visit): SheetRow[] => {
      const guest = plan.guests.find((one) => one.id === visit.of);
      const done = visit.start + visit.minutes;
      if (!guest || visit.task !== faceOf(guest) || done >= round.start) return [];
      const does = touchUpsOf(guest.id, (round.start - done) / 60);
      return does.length === 0 ? [] : [{ time: '', what: guest.name, detail: does.join(' ') }];
    });
    return rows.length === 0 ? [] : [{ title: msg`Touch-ups at ${clock(round.start)}`, rows }];
  });
}

function readyDetail(guest: Guest, visits: readonly Visit[]): string {
  const last = visits.filter((visit) => visit.of === guest.id).at(-1);
  if (!last) return msg`nothing planned`;
  const done = last.start + last.minutes;
  const late = done - guest.readyBy;
  return late > 0 ? msg`done ${clock(done)}, ${late} min late` : msg`done ${clock(done)}`;
}
