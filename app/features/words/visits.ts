import type { VisitAnswer } from '@toile/contract';

/** '09:20, ready by 11:30 · Pell Skerry' */
export function visitDetail(visit: VisitAnswer): string {
  const time = visit.readyBy ? `${visit.startsAt}, ready by ${visit.readyBy}` : visit.startsAt;
  return [time, visit.kind, visit.place].filter(Boolean).join(' · ');
}

/** Visits grouped by date, in order. */
export function byDay(
  visits: readonly VisitAnswer[],
): { readonly date: string; readonly visits: readonly VisitAnswer[] }[] {
  const days = new Map<string, VisitAnswer[]>();
  for (const visit of visits) days.set(visit.date, [...(days.get(visit.date) ?? []), visit]);
  return [...days].map(([date, list]) => ({ date, visits: list }));
}
