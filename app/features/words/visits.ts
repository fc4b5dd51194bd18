import { addDays, msg, term, weekOf, type Manner } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import { dayInWords, hourInWords } from './dates';

/** '09:20, ready by 11:30 · Pell Skerry' */
export function visitDetail(visit: VisitAnswer): string {
  const starts = hourInWords(visit.startsAt);
  const time = visit.readyBy ? msg`${starts}, ready by ${hourInWords(visit.readyBy)}` : starts;
  const state = visit.state === 'asked' ? msg`not booked yet` : null;
  return [time, term(visit.kind), visit.place, state].filter(Boolean).join(' · ');
}

/**
 * How far a visit has come and what is still to ask, beside it in a list: 'asked for · nobody was asked about
 * the day'
 */
export function stateInWords({ state, reason, occasion }: VisitAnswer): string {
  if (state === 'cancelled') return msg`▲ cancelled: ${reason}`;
  const words = state === 'asked' ? msg`asked for, not booked yet` : term(state);
  return state === 'done' || occasion ? words : msg`${words} · nobody was asked about the day yet`;
}

/**
 * Days by the weeks they are in, which begin on the studio's first weekday: 'This week', 'Week of
 * Mon 8 Dec'.
 */
export function byWeek<Day extends { readonly date: string }>(
  days: readonly Day[],
  today: string,
  first: Manner['firstWeekday'],
): { readonly from: string; readonly words: string; readonly days: readonly Day[] }[] {
  const weeks = new Map<string, Day[]>();
  for (const day of days) {
    const from = weekOf(day.date, first);
    weeks.set(from, [...(weeks.get(from) ?? []), day]);
  }
  const now = weekOf(today, first);
  return [...weeks].map(([from, list]) => ({
    from,
    words:
      from === now
        ? msg`This week`
        : from === addDays(now, 7)
          ? msg`Next week`
          : msg`Week of ${dayInWords(from)}`,
    days: list,
  }));
}
