import { OCCASIONS } from '../shade';
import { usualOccasion, type Occasion } from '../look';
import type { PartyTemplate } from './newPlan';
import type { PartyPlan } from './party';

type Kind = (typeof OCCASIONS)[number];

/** What such a day is for, where nothing else was said. */
export const OCCASION_OF_TEMPLATE: Readonly<Record<PartyTemplate, Kind>> = {
  morning: 'wedding',
  evening: 'gala',
  portraits: 'portrait',
};

/** A party as far as what its day asks can be told from it. */
type Party = {
  readonly date: string;
  readonly place: string;
  readonly visits: readonly { readonly kind: Kind }[];
};

/**
 * What a party's day asks of a face, on its date: what was said of it; else what is usual for what is booked,
 * a trial for it aside; else for what it was begun as.
 */
export function occasionOfParty(
  { date, place, visits }: Party,
  plan: Pick<PartyPlan, 'occasion' | 'kind'> | null,
): Occasion {
  if (plan?.occasion) return { ...plan.occasion, date };
  const booked = visits.find(({ kind }) => kind !== 'trial')?.kind;
  return {
    ...usualOccasion(booked ?? plan?.kind ?? 'party', date),
    ...(place === '' ? {} : { place }),
  };
}
