import {
  hairOf,
  judgeDay,
  minuteAt,
  msg,
  type Guest,
  type PartyDay,
  type PartyPlan,
  type Replanned,
  standsIn,
  type RunningDay,
  type RunningVisit,
  type Visit,
} from '@toile/core';
import type { PartyAnswer } from '@toile/contract';
import { hourInWords } from '../words/dates';

/** Where a party's day stands at an instant, and which minute of it that is. */
export function dayStands(
  plan: Pick<PartyPlan, 'zone'>,
  date: string,
  now: Date,
): { readonly when: 'before' | 'on the day' | 'after'; readonly minute: number } {
  const minute = minuteAt(plan.zone, date, now);
  return { when: standsIn(minute), minute };
}

/** A plan in which whoever has a visit with a chart booked for the party has that chart. */
export function withCharts(party: Pick<PartyAnswer, 'visits'>, plan: PartyPlan): PartyPlan {
  const guests = plan.guests.map((guest): Guest => {
    if (guest.chartId !== null || guest.clientId === null) return guest;
    const chartId = bookedChart(party, guest.clientId);
    return chartId === null ? guest : { ...guest, chartId };
  });
  return { ...plan, guests };
}

/** The chart of a visit booked for a party; of a trial for it only where there is no other. */
export function bookedChart({ visits }: Pick<PartyAnswer, 'visits'>, clientId: string): string | null {
  const own = visits.filter(
    (visit) => visit.clientId === clientId && visit.chartId !== null && visit.state !== 'cancelled',
  );
  return (own.find(({ kind }) => kind !== 'trial') ?? own[0])?.chartId ?? null;
}

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string | null): string =>
  list.find((one) => one.id === id)?.name ?? '';
const guestOf = (plan: PartyPlan, visit: Visit): Guest | undefined =>
  plan.guests.find((guest) => guest.id === visit.of);
const whatOf = (plan: PartyPlan, visit: Visit): string => {
  const guest = guestOf(plan, visit);
  return !guest ? msg`touch-ups` : visit.task === hairOf(guest) ? msg`hair` : msg`make-up`;
};
/** 'Ada, make-up'. */
export const visitWords = (plan: PartyPlan, visit: Visit): string =>
  `${guestOf(plan, visit)?.name ?? msg`Everyone`}, ${whatOf(plan, visit)}`;

/** What one pair of hands has to do now: what runs, else what comes next; and what comes after. */
export type AtHand = {
  readonly hands: string;
  readonly name: string;
  readonly now: RunningVisit | null;
  readonly then: RunningVisit | null;
  readonly doneCount: number;
  readonly count: number;
};

export function atHand(plan: PartyPlan, running: RunningDay): AtHand[] {
  return plan.hands.flatMap((hands): AtHand[] => {
    const mine = running.visits
      .filter((one) => one.visit.worker === hands.id)
      .sort((a, b) => a.start - b.start || a.visit.start - b.visit.start);
    if (mine.length === 0) return [];
    const open = mine.filter((one) => one.state !== 'done');
    const runs = open.find((one) => one.state === 'under way');
    const now = runs ?? open[0] ?? null;
    return [
      {
        hands: hands.id,
        name: hands.name,
        now,
        then: open.find((one) => one !== now) ?? null,
        doneCount: mine.length - open.length,
        count: mine.length,
      },
    ];
  });
}

/** When something is, against the timetable: '09:20 to 10:05, 15 min behind'. */
export function whenWords(one: RunningVisit): string {
  const planned = msg`${hourInWords(one.visit.start)} to ${hourInWords(one.visit.start + one.visit.minutes)}`;
  if (!Number.isFinite(one.start)) return msg`planned ${planned}: nobody can come any more`;
  if (one.state === 'done') return msg`${hourInWords(one.start)} to ${hourInWords(one.end)}`;
  const behind =
    one.state === 'under way' ? one.end - one.visit.start - one.visit.minutes : one.behindMinutes;
  const now = msg`${hourInWords(one.start)} to about ${hourInWords(one.end)}`;
  return behind > 0 ? msg`${now}, ${behind} min behind` : now;
}

/** How the day stands, in one or two sentences. */
export function standsWords(plan: PartyPlan, running: RunningDay): string {
  const lost = running.lost.map((id) => nameIn(plan.guests, id));
  const late = running.late.map(
    ({ person, minutes }) => msg`${nameIn(plan.guests, person)} ${minutes} min late`,
  );
  const parts = [
    lost.length > 0 ? msg`Nobody can come to ${lost.join(', ')} any more.` : '',
    late.length > 0 ? msg`As things stand: ${late.join(', ')}.` : '',
  ].filter((part) => part !== '');
  if (parts.length > 0) return parts.join(' ');
  return running.behindMinutes === 0
    ? msg`Everything is in time.`
    : msg`${running.behindMinutes} min behind; everybody will still be ready in time.`;
}

export type TellText = { readonly to: string; readonly text: string };

/** What each person who is moved, and each pair of hands with other work, is told: to be sent by hand. */
export function tellTexts(
  plan: PartyPlan,
  { changes, tell }: Pick<Replanned, 'changes' | 'tell'>,
): TellText[] {
  const guests = tell.flatMap((id): TellText[] => {
    const guest = plan.guests.find((one) => one.id === id);
    if (!guest) return [];
    const mine = changes.filter((change) => change.of === id);
    const words = mine.map(({ after, before }) => {
      const where = nameIn(plan.chairs, after.chair);
      const was = before && before.start !== after.start ? msg` instead of ${hourInWords(before.start)}` : '';
      return msg`your ${whatOf(plan, after)} is now at ${hourInWords(after.start)}${was}, with ${nameIn(plan.hands, after.worker)}${where === '' ? '' : msg` at ${where}`}`;
    });
    return words.length === 0 ? [] : [{ to: guest.name, text: `${guest.name}, ${words.join('; ')}.` }];
  });
  const hands = plan.hands.flatMap((one): TellText[] => {
    const mine = changes.filter(
      ({ after, before }) => after.worker === one.id || (before !== null && before.worker === one.id),
    );
    const words = mine.flatMap(({ after, before, otherWorker, movedMinutes }) =>
      after.worker === one.id
        ? otherWorker || Math.abs(movedMinutes) > 0 || before === null
          ? [msg`${visitWords(plan, after)}, at ${hourInWords(after.start)}`]
          : []
        : [msg`no longer ${visitWords(plan, after)}`],
    );
    return words.length === 0 ? [] : [{ to: one.name, text: `${one.name}: ${words.join('; ')}.` }];
  });
  return [...guests, ...hands];
}

/** What a proposal changes, in a line each. */
export function changeWords(plan: PartyPlan, { changes }: Pick<Replanned, 'changes'>): string[] {
  return changes.map(({ before, after, otherWorker }) => {
    const by = otherWorker ? msg`, by ${nameIn(plan.hands, after.worker)}` : '';
    const was = before ? msg` (was ${hourInWords(before.start)})` : '';
    return `${visitWords(plan, after)}: ${hourInWords(after.start)}${was}${by}`;
  });
}

/** Who a proposal leaves late, in words. */
export function lateWords(
  plan: PartyPlan,
  day: PartyDay,
  proposal: Pick<Replanned, 'ways' | 'visits'>,
): string {
  const { people } = judgeDay(day, proposal);
  const late = plan.guests
    .map((guest) => ({ name: guest.name, minutes: people[guest.id]?.lateMinutes ?? 0 }))
    .filter(({ minutes }) => minutes > 0);
  return late.length === 0
    ? msg`Everybody in time.`
    : `${late.map(({ name, minutes }) => msg`${name} ${minutes} min late`).join(', ')}.`;
}
