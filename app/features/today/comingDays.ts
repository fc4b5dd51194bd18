import type { TodayAnswer, TodayParty, VisitAnswer } from '@toile/contract';

export type ComingDay = {
  readonly date: string;
  readonly parties: readonly TodayParty[];
  readonly visits: readonly VisitAnswer[];
};

/** What is next: a visit with the parties of its day, or a party before whose day nobody is booked. */
export type Next =
  | { readonly kind: 'visit'; readonly visit: VisitAnswer; readonly parties: readonly TodayParty[] }
  | { readonly kind: 'party'; readonly party: TodayParty };

/**
 * What is next, and the days to come without it. Visits and parties come in order of their days; a visit goes
 * before a party on its day, since whom it is for sits down first.
 */
export function comingDays({ visits, parties = [] }: Pick<TodayAnswer, 'visits' | 'parties'>): {
  readonly next: Next | null;
  readonly days: readonly ComingDay[];
} {
  const [visit] = visits;
  const [party] = parties;
  const next: Next | null =
    visit && !(party && party.date < visit.date)
      ? { kind: 'visit', visit, parties: parties.filter(({ date }) => date === visit.date) }
      : party
        ? { kind: 'party', party }
        : null;
  const told = new Set<unknown>(
    next === null ? [] : next.kind === 'visit' ? [next.visit, ...next.parties] : [next.party],
  );
  const later = <T>(list: readonly T[]): readonly T[] => list.filter((one) => !told.has(one));
  const restOf = { visits: later(visits), parties: later(parties) };
  const dates = [...restOf.visits, ...restOf.parties].map(({ date }) => date);
  return {
    next,
    days: [...new Set(dates)].sort().map((date) => ({
      date,
      parties: restOf.parties.filter((one) => one.date === date),
      visits: restOf.visits.filter((one) => one.date === date),
    })),
  };
}
