import { clock, iCalendar, instantAt, type CalendarEvent } from '../calendar';
import { msg } from '../messages';
import type { PartyPlan } from './party';

type Party = { readonly id: string; readonly name: string; readonly date: string; readonly revision: number };

/**
 * A party's timetable as iCalendar: an event a visit, in UTC, its UID that of the visit and its SEQUENCE the
 * plan's revision, so that a calendar takes a later file as a change. `hands`: only those of one pair of
 * hands. Names and places, nothing of skin, health or contact.
 */
export function partyCalendar(
  party: Party,
  plan: PartyPlan,
  madeAt: Date,
  { hands }: { readonly hands?: string } = {},
): string {
  const nameIn = (
    list: readonly { readonly id: string; readonly name: string }[],
    id: string | null,
  ): string => list.find((one) => one.id === id)?.name ?? '';
  const events = (plan.timetable?.visits ?? [])
    .filter((visit) => hands === undefined || visit.worker === hands)
    .map((visit): CalendarEvent => {
      const who = nameIn(plan.guests, visit.of) || msg`Touch-ups`;
      const what = visit.task.endsWith('.hair') ? msg`hair` : msg`face`;
      const chair = plan.chairs.find((one) => one.id === visit.chair);
      const ends = visit.start + visit.minutes;
      return {
        uid: `${party.id}/${visit.of}/${visit.task}`,
        sequence: party.revision,
        start: { at: instantAt(plan.zone, party.date, visit.start) },
        end: { at: instantAt(plan.zone, party.date, ends) },
        summary: `${who}, ${what}`,
        location: [chair?.name, nameIn(plan.places, chair?.place ?? plan.places[0]!.id)]
          .filter(Boolean)
          .join(', '),
        description: msg`${party.name}: ${nameIn(plan.hands, visit.worker)}, ${clock(visit.start)} to ${clock(ends)} there`,
      };
    });
  return iCalendar('party', madeAt, events);
}
