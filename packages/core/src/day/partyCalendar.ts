import { clock, instantAt } from '../calendar';
import type { PartyPlan } from './party';

type Party = { readonly id: string; readonly name: string; readonly date: string; readonly revision: number };

/**
 * A party's timetable as iCalendar (RFC 5545): an event a visit, in UTC, its UID that of the visit and its
 * SEQUENCE the plan's revision, so that a calendar takes a later file as a change. `hands`: only those of one
 * pair of hands. Names and places, nothing of skin, health or contact.
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
  const stamp = (at: Date): string => at.toISOString().replace(/[-:]|\.\d{3}/g, '');
  const events = (plan.timetable?.visits ?? [])
    .filter((visit) => hands === undefined || visit.worker === hands)
    .flatMap((visit) => {
      const at = (minute: number): string => stamp(instantAt(plan.zone, party.date, minute));
      const who = nameIn(plan.guests, visit.of) || 'Touch-ups';
      const what = visit.task.endsWith('.hair') ? 'hair' : 'face';
      const chair = plan.chairs.find((one) => one.id === visit.chair);
      const where = [chair?.name, nameIn(plan.places, chair?.place ?? plan.places[0]!.id)]
        .filter(Boolean)
        .join(', ');
      return [
        'BEGIN:VEVENT',
        `UID:${escaped(`${party.id}/${visit.of}/${visit.task}`)}@toile`,
        `SEQUENCE:${party.revision}`,
        `DTSTAMP:${stamp(madeAt)}`,
        `DTSTART:${at(visit.start)}`,
        `DTEND:${at(visit.start + visit.minutes)}`,
        `SUMMARY:${escaped(`${who}, ${what}`)}`,
        `LOCATION:${escaped(where)}`,
        `DESCRIPTION:${escaped(`${party.name}: ${nameIn(plan.hands, visit.worker)}, ${clock(visit.start)} to ${clock(visit.start + visit.minutes)} there`)}`,
        'END:VEVENT',
      ];
    });
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Toile//party//EN', ...events, 'END:VCALENDAR'];
  return lines.map(folded).join('\r\n') + '\r\n';
}

/** Text with what has a meaning of its own escaped. */
function escaped(text: string): string {
  return text.replace(/[\\;,]/g, (mark) => `\\${mark}`).replace(/\r?\n/g, '\\n');
}

/** A line in pieces of at most 75 octets, the later ones behind a space; no letter is cut. */
function folded(line: string): string {
  const octets = (text: string): number => new TextEncoder().encode(text).length;
  const pieces: string[] = [];
  let piece = '';
  for (const letter of line) {
    if (octets(piece + letter) > (pieces.length === 0 ? 75 : 74)) {
      pieces.push(piece);
      piece = '';
    }
    piece += letter;
  }
  return [...pieces, piece].join('\r\n ');
}
