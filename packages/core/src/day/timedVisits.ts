import { daysBetween, minuteAt } from '../calendar';
import type { Timed } from './learnMinutes';
import { keyOf } from './laidOut';
import { faceOf, hairOf, type PartyPlan } from './party';
import { visitTimes, type PartyEvent } from './partyLog';

/** A visit as it was planned and as it went: minutes of the party's clock. */
export type WentVisit = Timed & {
  readonly person: string;
  readonly what: 'face' | 'hair';
  readonly began: number;
  readonly ended: number;
};

/** Where no look is known, faces of no look are compared with each other. */
const NO_LOOK = 'no look';

/**
 * A party's visits of which both beginning and end were told, by who worked, with what was planned for them:
 * what the chart or the hair asks, before any pace. `lookOf` names the look of somebody's chart; `today` as
 * YYYY-MM-DD.
 */
export function timedVisits(
  party: { readonly date: string },
  plan: PartyPlan,
  events: readonly PartyEvent[],
  today: string,
  lookOf: (guestId: string) => string | null = () => null,
): WentVisit[] {
  const times = visitTimes(events);
  const minute = (at: string): number => minuteAt(plan.zone, party.date, new Date(at));
  return (plan.timetable?.visits ?? []).flatMap((visit): WentVisit[] => {
    const guest = plan.guests.find((one) => one.id === visit.of);
    const hands = plan.hands.find((one) => one.id === visit.worker);
    const at = times.get(keyOf(visit.of, visit.task));
    if (!guest || !hands || !at?.beganAt || !at.endedAt) return [];
    const what = visit.task === hairOf(guest) ? 'hair' : visit.task === faceOf(guest) ? 'face' : null;
    if (what === null) return [];
    const light = plan.timetable?.ways[guest.id] === 'light' && guest.lighterMinutes !== null;
    const plannedMinutes =
      what === 'hair' ? (guest.hairMinutes ?? 0) : light ? guest.lighterMinutes! : guest.faceMinutes;
    const [began, ended] = [minute(at.beganAt), minute(at.endedAt)];
    if (plannedMinutes <= 0 || ended <= began) return [];
    return [
      {
        person: guest.name,
        what,
        worker: hands.name,
        look: what === 'hair' ? 'hair' : (lookOf(guest.id) ?? NO_LOOK),
        kind: guest.role,
        plannedMinutes,
        realMinutes: ended - began,
        age: Math.max(0, daysBetween(party.date, today)),
        began,
        ended,
      },
    ];
  });
}
