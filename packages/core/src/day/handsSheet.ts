import { clock } from '../calendar';
import { msg } from '../messages';
import type { SheetPart, SheetRow } from './sheet';
import type { Visit } from './instance';
import type { Hands, PartyPlan } from './party';
import type { SheetWords } from './sheetWords';

/** A shorter pause is no wait worth saying. */
export const WAIT_MINUTES = 10;

type Timed = { readonly at: number; readonly row: SheetRow };

/**
 * A pair of hands' own day: faces, ways between places, breaks and what is free, by the hour. What they are
 * away for stands on their own sheet alone. `visits` in the order of their starts.
 */
export function handsPart(
  plan: PartyPlan,
  hands: Hands,
  visits: readonly Visit[],
  say: SheetWords,
  own: boolean,
): SheetPart {
  const mine = visits.filter((visit) => visit.worker === hands.id);
  const [first, last] = [mine[0], mine.at(-1)];
  const breaks = (hands.away ?? []).map(({ from, to, title }): Timed => ({
    at: from,
    row: { time: clock(from), what: own ? title : msg`Away`, detail: msg`until ${clock(to)}` },
  }));
  const lunch: Timed[] = hands.lunch
    ? [
        {
          at: hands.lunch.from,
          row: {
            time: clock(hands.lunch.from),
            what: msg`Lunch`,
            detail: msg`${hands.lunch.minutes} min, until ${clock(hands.lunch.to)} at the latest`,
          },
        },
      ]
    : [];
  const setsUp = msg`sets up in ${hands.setUp} min`;
  const out = first ? wayBetween(plan, hands.at, say.placeId(first), hands.arrives) : null;
  const worked = mine.flatMap((visit, i): Timed[] => {
    const before = mine[i - 1];
    return [
      ...(before ? betweenVisits(plan, hands, before, visit, say) : []),
      { at: visit.start, row: say.row(visit) },
    ];
  });
  const rows = [...worked, ...breaks, ...lunch].sort((a, b) => a.at - b.at).map(({ row }) => row);
  return {
    title: hands.name,
    rows: [
      { time: clock(hands.arrives), what: msg`Arrives`, detail: out ? '' : setsUp },
      ...(out ? [leavesRow(plan, out, setsUp)] : []),
      ...rows,
      ...(last
        ? [{ time: clock(last.start + last.minutes), what: msg`Packs up`, detail: msg`${hands.packUp} min` }]
        : []),
    ],
  };
}

/** What lies between two faces of one pair of hands: the way to another place, and what is free. */
function betweenVisits(
  plan: PartyPlan,
  hands: Hands,
  before: Visit,
  next: Visit,
  say: SheetWords,
): readonly Timed[] {
  const done = before.start + before.minutes;
  const way = wayBetween(plan, say.placeId(before), say.placeId(next), done);
  // A pause they are away in is not free.
  const taken = (from: number, to: number): boolean =>
    (hands.away ?? []).some((gone) => gone.from < to && gone.to > from);
  const free = (from: number, to: number, cleaning: number): readonly Timed[] => {
    const minutes = to - from - cleaning;
    return minutes >= Math.max(WAIT_MINUTES, hands.rest) && !taken(from, to)
      ? [{ at: from, row: { time: clock(from), what: msg`${minutes} minutes free`, detail: '' } }]
      : [];
  };
  if (way === null) return free(done, next.start, hands.sanitise);
  return [
    ...free(done, way.leaves, way.pack),
    { at: way.leaves, row: leavesRow(plan, way, '') },
    ...free(way.there, next.start, way.unpack),
  ];
}

type Way = {
  readonly to: string;
  readonly leaves: number;
  readonly there: number;
  readonly pack: number;
  readonly unpack: number;
};

/**
 * The way from place to place for hands that are done at a minute, by the first departure they reach once
 * packed; null where they stay, or where the plan knows no way.
 */
function wayBetween(plan: PartyPlan, from: string, to: string, done: number): Way | null {
  const way = from === to ? undefined : plan.travel.find((one) => one.from === from && one.to === to);
  if (!way) return null;
  const { pack = 0, unpack = 0, departures } = way;
  const reached = departures?.filter((at) => at >= done + pack) ?? [done + pack];
  if (reached.length === 0) return null;
  const leaves = Math.min(...reached);
  return { to, leaves, there: leaves + way.minutes, pack, unpack };
}

function leavesRow(plan: PartyPlan, { to, leaves, there }: Way, more: string): SheetRow {
  const place = plan.places.find((one) => one.id === to)?.name ?? to;
  return {
    time: clock(leaves),
    what: msg`Leaves for ${place}`,
    detail: [msg`there at ${clock(there)}`, more].filter((word) => word !== '').join(' · '),
  };
}
