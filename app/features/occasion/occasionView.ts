import { hoursToHold, isDay, msg, usualOccasion, type Occasion, type ReviewFinding } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';

/** The next visit that stands, from a day on; visits come in order of their days. */
export function comingVisit(visits: readonly VisitAnswer[], today: string): VisitAnswer | undefined {
  return visits.find((visit) => visit.date >= today && visit.state !== 'cancelled');
}

/**
 * What a visit asks: what was said of it, on its day; else what was said of its party; else what is usual for
 * its kind, with the time and place it is booked for. Without a visit, a trial today.
 */
export function occasionOfVisit(visit: VisitAnswer | undefined, today: string): Occasion {
  if (!visit) return usualOccasion('trial', today);
  if (visit.occasion) return asMoved(visit.occasion, visit);
  if (visit.partyOccasion) return asMoved(visit.partyOccasion, visit);
  return {
    ...usualOccasion(visit.kind, visit.date),
    ...(visit.readyBy ? { begins: visit.readyBy } : {}),
    ...(visit.place ? { place: visit.place } : {}),
  };
}

/** The same with the hours a client said it must hold, where nobody was asked about this very day. */
export function withHoursSaid(occasion: Occasion, hours: number | undefined): Occasion {
  if (hours === undefined || occasion.asked || occasion.kind === 'trial') return occasion;
  return { ...occasion, hoursToLast: hours };
}

/**
 * What was asked of a visit that was since moved, or is for something else now, which has to be asked anew.
 */
function asMoved(asked: Occasion, { kind, date, readyBy }: VisitAnswer): Occasion {
  const begins = readyBy ?? asked.begins;
  const moved: Occasion = {
    ...asked,
    date,
    ...(begins && begins !== asked.begins
      ? { begins, hoursToLast: hoursToHold(begins, asked.ends) ?? asked.hoursToLast }
      : {}),
  };
  return kind === asked.kind ? moved : { ...ofAnotherKind(moved, kind), asked: false };
}

/**
 * What a chart that is repeated is for: what was said of the coming visit; else as it was worn, on the coming
 * day, which nobody was asked about yet. Another kind of occasion starts from what is usual of it.
 */
export function occasionToRepeat(worn: Occasion, coming: VisitAnswer | undefined, today: string): Occasion {
  if (!coming) return { ...worn, date: today, asked: false };
  const said = occasionOfVisit(coming, today);
  if (coming.occasion || said.kind !== worn.kind) return said;
  const { begins: _begins, ends: _ends, place: _place, ...lasting } = worn;
  const { begins, place } = said;
  return {
    ...lasting,
    date: coming.date,
    asked: false,
    ...(begins ? { begins } : {}),
    ...(place ? { place } : {}),
  };
}

/**
 * The same day, but another kind of occasion: light, hours, camera and weather become usual for it, what was
 * said of times, clothes, theme and place stays.
 */
export function ofAnotherKind(occasion: Occasion, kind: Occasion['kind']): Occasion {
  const { lights, hoursToLast, camera, conditions } = usualOccasion(kind, occasion.date);
  const held = hoursToHold(occasion.begins, occasion.ends);
  return {
    ...occasion,
    kind,
    lights,
    camera,
    hoursToLast: held ?? hoursToLast,
    ...(conditions ? { conditions } : {}),
  };
}

/** What is wrong with an occasion, by its field. */
export function occasionErrors({ date, theme = '', place = '' }: Occasion): Record<string, string> {
  return {
    ...(isDay(date) ? {} : { date: msg`Pick a day.` }),
    ...(theme.length > 200 ? { theme: msg`At most 200 letters` } : {}),
    ...(place.length > 200 ? { place: msg`At most 200 letters` } : {}),
  };
}

type Line = Pick<ReviewFinding, 'rule' | 'stepIds' | 'message'>;
const keyOf = ({ rule, stepIds }: Line): string => `${rule} ${[...stepIds].sort().join()}`;

/** What a look-over finds after a change that it did not before, and what it no longer finds. */
export function findingsChanged<T extends Line>(
  before: readonly T[],
  after: readonly T[],
): { readonly come: readonly T[]; readonly gone: readonly T[] } {
  const [had, has] = [new Set(before.map(keyOf)), new Set(after.map(keyOf))];
  return {
    come: after.filter((line) => !had.has(keyOf(line))),
    gone: before.filter((line) => !has.has(keyOf(line))),
  };
}
