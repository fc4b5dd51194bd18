import {
  COME_BEFORE_MINUTES,
  listed,
  minuteOfDay,
  msg,
  newGuest,
  newPlan,
  visitKey,
  type Certainty,
  type DayAnswer,
  type Guest,
  type Hands,
  type Objective,
  type PartyPlan,
  type Visit,
} from '@toile/core';
import type { PartyAnswer, PartyInput } from '@toile/contract';
import type { Helper, Sure } from '../../workers/planJobs';
import { hourInWords } from '../words/dates';

/** The timetable that is looked at: the kept one, one just found, or one being changed by hand. */
export type Timetable = NonNullable<PartyPlan['timetable']>;

/** The plan of a party; where nobody has said yet, one made of its visits. */
export function planOf(party: PartyAnswer, artist: string, zone: string): PartyPlan {
  if (party.plan) return party.plan;
  const plan = newPlan('morning', { place: party.place, zone, artist });
  const guests = party.visits.map((visit): Guest => {
    const readyBy = minuteOfDay(visit.readyBy ?? '');
    const said = {
      name: visit.clientName,
      role: 'guest',
      readyBy,
      faceMinutes: null,
      hairMinutes: null,
    } as const;
    return { ...newGuest(visit.id, said, plan), clientId: visit.clientId, chartId: visit.chartId };
  });
  return { ...plan, guests };
}

export function bodyOf({ id, name, date, place, notes }: PartyAnswer, plan: PartyPlan): PartyInput {
  return { id, name, date, place, notes, plan };
}

export function timetableOf({ ways, visits, proof }: DayAnswer): Timetable {
  return {
    ways: { ...ways },
    visits: visits.map((visit) => ({ ...visit })),
    boundLate: proof.bound.late,
    boundCost: proof.bound.cost,
    proven: proof.proven,
  };
}

/** How good a timetable is known to be. Who is late, and by how much, is told beside it. */
export function proofWords(
  { late, cost }: Objective,
  { boundLate, boundCost, proven }: Pick<Timetable, 'boundLate' | 'boundCost' | 'proven'>,
): string {
  if (late > 0) {
    if (proven || boundLate >= late)
      return msg`Not everybody can be in time, and proven: in all it cannot be less late.`;
    return boundLate > 0
      ? msg`Not everybody can be in time; a little less late may be possible.`
      : msg`Somebody is late in the best timetable found so far.`;
  }
  if (proven) return msg`Proven: there is no better timetable.`;
  // Changed by hand, or made calmer: nobody has looked for what would be cheaper.
  if (boundCost === 0) return cost === 0 ? msg`There is no better timetable.` : msg`Everybody in time.`;
  const share = Math.round((100 * Math.max(0, cost - boundCost)) / cost);
  return share <= 0
    ? msg`Everybody in time, and there is hardly a better timetable.`
    : msg`Everybody in time. A better timetable could save at most ${share} % of the waiting and haste.`;
}

/** How sure it is, in words: of a hundred such days. */
export function sureWords({ all, known }: Pick<Sure, 'all' | 'known'>): string {
  return msg`Of 100 such days ${of100(all.share)} have everybody in time (${of100(all.low)} to ${of100(all.high)}). ${knownWords(known)}`;
}
const of100 = (share: number): number => Math.round(100 * share);

/** From so many days in time on nobody is named, and nothing calmer offered. */
export const CALM_ENOUGH = 0.9;
/** So many are named. */
const MOST_NAMED = 3;

/** Who is most likely to be late, the likeliest first; null where everybody is as good as in time. */
export function atRiskWords(
  { people }: Pick<Sure, 'people'>,
  { guests }: Pick<PartyPlan, 'guests'>,
): string | null {
  const risky = Object.entries(people)
    .filter(([, { share }]) => share < CALM_ENOUGH)
    .sort(([, one], [, other]) => one.share - other.share)
    .slice(0, MOST_NAMED)
    .map(([id, { share }]) => {
      const name = guests.find((guest) => guest.id === id)?.name ?? msg`the touch-ups`;
      return msg`${name} (in time on ${of100(share)} of 100)`;
    });
  return risky.length === 0 ? null : msg`Most likely to be late: ${listed(risky)}.`;
}

/** What the minutes of such days are taken from. */
export function knownWords(known: Sure['known']): string {
  if (known.length === 0) return msg`How far work strays from its minutes is the trade’s guess.`;
  const hands = known.map(({ name, visits }) => msg`${name} (${visits} timed visits)`);
  return msg`By how it went before for ${listed(hands)}; for the rest the trade’s guess.`;
}

/** What one more pair of hands buys. */
export const helperWords = ({ words, all }: Pick<Helper, 'words' | 'all'>): string =>
  msg`${words}: everybody in time on ${of100(all.share)} of 100 (${of100(all.low)} to ${of100(all.high)}).`;
/** The same day as calm as it gets without them. */
export const withoutWords = (all: Certainty): string =>
  msg`Without, made calm: everybody in time on ${of100(all.share)} of 100 (${of100(all.low)} to ${of100(all.high)}).`;

export type Row = {
  readonly key: string;
  readonly visit: Visit;
  readonly time: string;
  readonly words: string;
  readonly late: boolean;
  readonly held: boolean;
};
export type Group = {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  /** To be sent to whom it is about, by hand; null where nobody is told. */
  readonly tell: string | null;
  readonly rows: readonly Row[];
};
export const VIEWS = ['hands', 'chair', 'person'] as const;
export type View = (typeof VIEWS)[number];

const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  list.find((one) => one.id === id)?.name ?? id;

/** When hands are away, each in words: 'away 09:00 to 09:20'. */
export const awayWords = ({ away = [] }: Pick<Hands, 'away'>): string[] =>
  away.map(({ from, to }) => msg`away ${hourInWords(from)} to ${hourInWords(to)}`);

/** The visits of a timetable by who works, where, or on whom. */
export function groupsOf(plan: PartyPlan, { visits }: Pick<Timetable, 'visits'>, view: View): Group[] {
  const sorted = [...visits].sort((a, b) => a.start - b.start);
  const guestOf = (visit: Visit): Guest | undefined => plan.guests.find((guest) => guest.id === visit.of);
  const what = (visit: Visit): string =>
    visit.task.endsWith('.hair') ? msg`hair` : visit.task.endsWith('.face') ? msg`face` : msg`touch-ups`;
  const who = (visit: Visit): string => guestOf(visit)?.name ?? msg`Everyone`;
  const by = (visit: Visit): string => nameIn(plan.hands, visit.worker);
  const where = (visit: Visit): string => (visit.chair === null ? '' : nameIn(plan.chairs, visit.chair));
  const readyOf = (guest: Guest): number =>
    Math.max(
      0,
      ...sorted.filter((visit) => visit.of === guest.id).map((visit) => visit.start + visit.minutes),
    );
  const row = (visit: Visit, words: readonly string[]): Row => {
    const guest = guestOf(visit);
    return {
      key: visitKey(visit.of, visit.task),
      visit,
      time: msg`${hourInWords(visit.start)} to ${hourInWords(visit.start + visit.minutes)}`,
      words: words.filter((word) => word !== '').join(', '),
      late: guest !== undefined && readyOf(guest) > guest.readyBy,
      held: plan.held.some((pin) => pin.of === visit.of && pin.task === visit.task),
    };
  };
  if (view === 'hands')
    return plan.hands.map((hands) => ({
      id: hands.id,
      title: hands.name,
      detail: [
        msg`there at ${hourInWords(hands.arrives)}`,
        msg`ready ${hourInWords(hands.arrives + hands.setUp)}`,
        ...awayWords(hands),
      ].join(', '),
      tell: null,
      rows: sorted
        .filter((v) => v.worker === hands.id)
        .map((v) => row(v, [`${who(v)}, ${what(v)}`, where(v)])),
    }));
  if (view === 'chair')
    return plan.chairs.map((chair) => ({
      id: chair.id,
      title: chair.name,
      detail: nameIn(plan.places, chair.place),
      tell: null,
      rows: sorted.filter((v) => v.chair === chair.id).map((v) => row(v, [`${who(v)}, ${what(v)}`, by(v)])),
    }));
  return plan.guests.map((guest) => ({
    id: guest.id,
    title: guest.name,
    detail: tellWords(plan, guest, sorted),
    tell: sorted.some((v) => v.of === guest.id) ? `${guest.name}: ${tellWords(plan, guest, sorted)}` : null,
    rows: sorted.filter((v) => v.of === guest.id).map((v) => row(v, [what(v), by(v), where(v)])),
  }));
}

/** What a guest is told: when and where to come, and how. */
export function tellWords(plan: PartyPlan, guest: Guest, visits: readonly Visit[]): string {
  const [first] = visits.filter((visit) => visit.of === guest.id).sort((a, b) => a.start - b.start);
  if (!first) return msg`nothing planned`;
  const chair = first.chair === null ? '' : msg` at ${nameIn(plan.chairs, first.chair)}`;
  return msg`Come at ${hourInWords(first.start - COME_BEFORE_MINUTES)}${chair}, ready by ${hourInWords(guest.readyBy)}. Clean face, no oil, a top that opens in front.`;
}

/** A timetable nobody has proven, to be shown. */
export function unproven(
  found: { readonly ways: Readonly<Record<string, string>>; readonly visits: readonly Visit[] } | null,
): Timetable | null {
  return (
    found && {
      ways: { ...found.ways },
      visits: found.visits.map((visit) => ({ ...visit })),
      boundLate: 0,
      boundCost: 0,
      proven: false,
    }
  );
}

/** A timetable with one visit elsewhere: no proof any more. */
export function moved(timetable: Timetable, key: string, change: Partial<Visit>): Timetable {
  return {
    ...timetable,
    proven: false,
    boundLate: 0,
    boundCost: 0,
    visits: timetable.visits.map((visit) =>
      visitKey(visit.of, visit.task) === key ? { ...visit, ...change } : visit,
    ),
  };
}
