/** When something is: an instant, a day as YYYY-MM-DD, or a wall clock as 2031-05-14T09:20 without a zone. */
export type CalendarTime = { readonly at: Date } | { readonly day: string } | { readonly clock: string };

export type CalendarEvent = {
  /** The same for the same thing in a later file. */
  readonly uid: string;
  /** Higher when it was changed since, so that a calendar takes it as a change. */
  readonly sequence: number;
  readonly start: CalendarTime;
  readonly end: CalendarTime;
  readonly summary: string;
  readonly location?: string;
  readonly description?: string;
};

/** Events as an iCalendar file (RFC 5545), lines folded; `of` says of what: 'party', 'studio'. */
export function iCalendar(of: string, madeAt: Date, events: readonly CalendarEvent[]): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    `PRODID:-//Toile//${of}//EN`,
    ...events.flatMap((event) => [
      'BEGIN:VEVENT',
      `UID:${escaped(event.uid)}@toile`,
      `SEQUENCE:${event.sequence}`,
      `DTSTAMP:${stamp(madeAt)}`,
      `DTSTART${timeOf(event.start)}`,
      `DTEND${timeOf(event.end)}`,
      `SUMMARY:${escaped(event.summary)}`,
      ...(event.location ? [`LOCATION:${escaped(event.location)}`] : []),
      ...(event.description ? [`DESCRIPTION:${escaped(event.description)}`] : []),
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ];
  return lines.map(folded).join('\r\n') + '\r\n';
}

const stamp = (at: Date): string => at.toISOString().replace(/[-:]|\.\d{3}/g, '');

function timeOf(time: CalendarTime): string {
  if ('at' in time) return `:${stamp(time.at)}`;
  if ('day' in time) return `;VALUE=DATE:${time.day.replaceAll('-', '')}`;
  return `:${time.clock.replace(/[-:]/g, '')}00`;
}

/** Text with what has a meaning of its own escaped; other control characters have none in a calendar. */
function escaped(text: string): string {
  return text
    .replace(/[\\;,]/g, (mark) => `\\${mark}`)
    .replace(/\r?\n|\r/g, '\\n')

    .replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, '');
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
