import type { PartySummary, VisitInput } from '@toile/contract';

/** More are not offered: the next ones are those a visit is booked for. */
const MOST_OFFERED = 6;

/** Parties a visit may be booked for: those to come, the next first, and the one it is for already. */
export function partiesToChoose(
  parties: readonly PartySummary[],
  chosen: string | null,
  today: string,
): readonly PartySummary[] {
  const coming = parties
    .filter(({ date }) => date >= today)
    .sort((one, other) => one.date.localeCompare(other.date))
    .slice(0, MOST_OFFERED);
  const own = parties.filter(({ id }) => id === chosen && !coming.some((party) => party.id === id));
  return [...own, ...coming];
}

/**
 * A visit as one for a party, or for none. It is on the party's day and at its place, but for a trial, which
 * is before it where that was agreed.
 */
export function ofParty(visit: VisitInput, party: PartySummary | undefined): VisitInput {
  if (!party) return { ...visit, partyId: null };
  return visit.kind === 'trial'
    ? { ...visit, partyId: party.id }
    : {
        ...visit,
        partyId: party.id,
        date: party.date,
        place: visit.place === '' ? party.place : visit.place,
      };
}

/** A visit for something else: what is no trial any more is on its party's day, where no other was said. */
export function ofKind(
  visit: VisitInput,
  kind: VisitInput['kind'],
  parties: readonly PartySummary[],
): VisitInput {
  const party = parties.find(({ id }) => id === visit.partyId);
  return party && visit.date === '' ? ofParty({ ...visit, kind }, party) : { ...visit, kind };
}
