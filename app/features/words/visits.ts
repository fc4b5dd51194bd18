import type { VisitAnswer } from '@toile/contract';

/** '09:20, ready by 11:30 · Pell Skerry' */
export function visitDetail(visit: VisitAnswer): string {
  const time = visit.readyBy ? `${visit.startsAt}, ready by ${visit.readyBy}` : visit.startsAt;
  const state = visit.state === 'asked' ? 'not booked yet' : null;
  return [time, visit.kind, visit.place, state].filter(Boolean).join(' · ');
}

/** How far a visit has come and what is still to ask, beside it in a list: 'asked for · nobody was asked about the day' */
export function stateInWords({ state, reason, occasion }: VisitAnswer): string {
  if (state === 'cancelled') return `▲ cancelled: ${reason}`;
  const words = state === 'asked' ? 'asked for, not booked yet' : state;
  return state === 'done' || occasion ? words : `${words} · nobody was asked about the day yet`;
}

/** Visits grouped by date, in order. */
export function byDay(
  visits: readonly VisitAnswer[],
): { readonly date: string; readonly visits: readonly VisitAnswer[] }[] {
  const days = new Map<string, VisitAnswer[]>();
  for (const visit of visits) days.set(visit.date, [...(days.get(visit.date) ?? []), visit]);
  return [...days].map(([date, list]) => ({ date, visits: list }));
}
