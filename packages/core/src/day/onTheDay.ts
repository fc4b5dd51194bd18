import { minuteAt } from '../calendar';
import type { PartyDay, Pin, Visit } from './instance';
import { judgeDay } from './judgeDay';
import { keyOf } from './laidOut';
import { faceOf, type PartyPlan } from './party';
import type { PartyEvent } from './partyLog';
import { visitTimes } from './partyLog';
import { pushDay } from './replan';

/** A party's day goes on past midnight, until this minute of it. */
const DAY_ENDS = 27 * 60;
/** Where a minute of a party's clock lies: before its day, on it, or after it. */
export const standsIn = (minute: number): 'before' | 'on the day' | 'after' =>
  minute < 0 ? 'before' : minute < DAY_ENDS ? 'on the day' : 'after';

/** How far a chart has come at the chair on the party's own day. */
export type ChairTicks = {
  readonly firstAt: string;
  readonly lastAt: string;
  readonly doneCount: number;
  readonly stepCount: number;
  /** Hands-on minutes of what is open. */ readonly minutesLeft: number;
};

/** What is known of a visit that has begun: minutes of the party's clock. */
export type SeenVisit = {
  readonly began: number;
  readonly ended: number | null;
  /** Work that is left by the chart, minutes; null where no chart says. */ readonly left: number | null;
};

/** By visit key: what was told of it by hand, and where nothing was, what the ticks at the chair say. */
export function seenVisits(
  plan: PartyPlan,
  date: string,
  events: readonly PartyEvent[],
  chairs: Readonly<Record<string, ChairTicks>>,
): ReadonlyMap<string, SeenVisit> {
  const told = visitTimes(events);
  const minute = (at: string): number => minuteAt(plan.zone, date, new Date(at));
  const seen = new Map<string, SeenVisit>();
  for (const visit of plan.timetable?.visits ?? []) {
    const key = keyOf(visit.of, visit.task);
    const guest = plan.guests.find((one) => one.id === visit.of);
    const chair = guest?.chartId && visit.task === faceOf(guest) ? (chairs[guest.chartId] ?? null) : null;
    const hand = told.get(key);
    const overByTicks = chair !== null && chair.doneCount === chair.stepCount;
    const ended = hand?.endedAt ?? (overByTicks ? chair.lastAt : null);
    const began = hand?.beganAt ?? chair?.firstAt ?? null;
    // Only its end was told: it took what was planned.
    const from = began !== null ? minute(began) : ended !== null ? minute(ended) - visit.minutes : null;
    if (from === null) continue;
    seen.set(key, {
      began: from,
      ended: ended === null ? null : Math.max(from + 1, minute(ended)),
      left: ended === null && chair ? chair.minutesLeft : null,
    });
  }
  return seen;
}

export type VisitState = 'to come' | 'due' | 'under way' | 'done';
export type RunningVisit = {
  readonly visit: Visit;
  readonly state: VisitState;
  /** As it was, or as it is to be expected: minutes of the day. */ readonly start: number;
  readonly end: number;
  /** Later than the timetable says; below none is earlier. */ readonly behindMinutes: number;
};

export type RunningDay = {
  /** The day with what is past where it was: to be planned from here. */ readonly day: PartyDay;
  readonly visits: readonly RunningVisit[];
  /** Everybody who will be late as things stand, the latest first. */
  readonly late: readonly { readonly person: string; readonly minutes: number }[];
  /** The most that anything still to come is pushed, minutes. */ readonly behindMinutes: number;
  /** People nobody can come to any more. */ readonly lost: readonly string[];
};

/** A visit that is over its time and has nobody to say how much is left: so many minutes more. */
const STILL_MINUTES = 3;

/**
 * A day under way at a minute of its clock: what is done stays where it was, what runs ends when it is likely
 * to, and what is to come is pushed by those before it, in the order and by the hands of the timetable.
 */
export function runningDay(
  given: PartyDay,
  timetable: { readonly ways: Readonly<Record<string, string>>; readonly visits: readonly Visit[] },
  seen: ReadonlyMap<string, SeenVisit>,
  now: number,
): RunningDay {
  const placeOf = ({ of, task }: Visit): string | undefined =>
    given.people
      .find((person) => person.id === of)
      ?.ways.find((way) => way.id === timetable.ways[of])
      ?.tasks.find((one) => one.id === task)?.place;
  const pins = timetable.visits.flatMap((visit): Pin[] => {
    const at = seen.get(keyOf(visit.of, visit.task));
    if (!at) return [];
    const end = at.ended ?? likelyEnd(visit, at, now);
    const place = placeOf(visit);
    return [
      {
        of: visit.of,
        task: visit.task,
        worker: visit.worker,
        start: at.began,
        minutes: Math.max(1, end - at.began),
        ...(place === undefined ? {} : { place }),
      },
    ];
  });
  const pinned = new Set(pins.map((pin) => keyOf(pin.of, pin.task)));
  // What was held by hand and has not begun is held no longer than its time: the day itself goes on.
  const held = (given.pinned ?? []).filter((pin) => !pinned.has(keyOf(pin.of, pin.task)) && pin.start >= now);
  const day: PartyDay = { ...given, now, pinned: [...pins, ...held] };
  const pushed = pushDay(day, timetable);
  const visits = timetable.visits.map((visit): RunningVisit => {
    const after = pushed.visits.find((one) => one.of === visit.of && one.task === visit.task) ?? visit;
    const at = seen.get(keyOf(visit.of, visit.task));
    const state = at ? (at.ended === null ? 'under way' : 'done') : visit.start <= now ? 'due' : 'to come';
    const { start } = after;
    return { visit, state, start, end: start + after.minutes, behindMinutes: start - visit.start };
  });
  const reached = {
    ways: pushed.ways,
    visits: pushed.visits.filter((visit) => Number.isFinite(visit.start)),
  };
  const { people } = judgeDay(day, reached);
  const lost = visits.filter((one) => !Number.isFinite(one.start)).map((one) => one.visit.of);
  return {
    day,
    visits,
    late: day.people
      .map((person) => ({ person: person.id, minutes: people[person.id]?.lateMinutes ?? 0 }))
      .filter((one) => one.minutes > 0 && !lost.includes(one.person))
      .sort((a, b) => b.minutes - a.minutes),
    behindMinutes: Math.max(
      0,
      ...visits
        .filter((one) => one.state !== 'done' && Number.isFinite(one.start))
        .map((one) =>
          one.state === 'under way' ? one.end - one.visit.start - one.visit.minutes : one.behindMinutes,
        ),
    ),
    lost: [...new Set(lost)],
  };
}

/**
 * When what has begun is likely to end: by what its chart has left, else by its plan, and never in the past.
 */
function likelyEnd(visit: Visit, { began, left }: SeenVisit, now: number): number {
  if (left !== null) return Math.max(now, began) + Math.max(1, Math.round(left));
  const planned = began + visit.minutes;
  return planned > now ? planned : now + STILL_MINUTES;
}
