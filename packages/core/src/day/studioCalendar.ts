import {
  addDays,
  iCalendar,
  instantAt,
  minuteOfDay,
  type CalendarEvent,
  type CalendarTime,
} from '../calendar';

export type CalendarVisit = {
  readonly id: string;
  readonly clientName: string;
  readonly kind: string;
  readonly date: string;
  /** HH:MM where the studio is. */
  readonly startsAt: string;
  readonly readyBy: string | null;
  readonly place: string;
  readonly state: 'asked' | 'booked' | 'done' | 'cancelled';
  readonly revision: number;
};
/** Something that is to be done by a day. */
export type CalendarTask = { readonly uid: string; readonly by: string; readonly words: string };

/** A visit of which nobody said when it ends takes so long in a calendar, minutes. */
const USUAL_MINUTES = 60;

/**
 * A studio's visits and what is to be done for them as one calendar: a visit from its beginning until it is
 * to be ready, a task a day without hours. In the studio's zone as instants; where it has none the wall clock
 * of whoever reads. A name, a kind and a place; nothing of skin, health or contact. What was cancelled is not
 * in it.
 */
export function studioCalendar(
  visits: readonly CalendarVisit[],
  tasks: readonly CalendarTask[],
  zone: string | null,
  madeAt: Date,
): string {
  const timeAt = (date: string, minute: number): CalendarTime => {
    if (zone !== null) return { at: instantAt(zone, date, minute) };
    const day = addDays(date, Math.floor(minute / 1440));
    const [h, m] = [Math.floor((minute % 1440) / 60), minute % 60];
    return { clock: `${day}T${String(h).padStart(2, '0')}:${String(m).padStart(2, '0')}` };
  };
  const events = visits
    .filter(({ state }) => state !== 'cancelled')
    .map((visit): CalendarEvent => {
      const from = minuteOfDay(visit.startsAt) ?? 0;
      const ready = minuteOfDay(visit.readyBy ?? '');
      const to = ready !== null && ready > from ? ready : from + USUAL_MINUTES;
      return {
        uid: `visit/${visit.id}`,
        sequence: visit.revision,
        start: timeAt(visit.date, from),
        end: timeAt(visit.date, to),
        summary: `${visit.clientName}, ${visit.kind}${visit.state === 'asked' ? ' (asked for)' : ''}`,
        location: visit.place,
      };
    });
  const due = tasks.map(({ uid, by, words }): CalendarEvent => ({
    uid: `task/${uid}`,
    sequence: 0,
    start: { day: by },
    end: { day: addDays(by, 1) },
    summary: words,
  }));
  return iCalendar('studio', madeAt, [...events, ...due]);
}
