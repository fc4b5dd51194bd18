import { clock, toldHours, type Manner } from '../calendar';
import { msg, plural, term } from '../messages';
import type { Visit } from './instance';
import { faceOf, hairOf, type Guest, type Hands, type PartyPlan } from './party';
import { COME_BEFORE_MINUTES } from './simulate';

/** Whom a sheet is for: everybody's day for whoever plans it, one pair of hands, or one person. */
export type SheetFor =
  | { readonly kind: 'whole' }
  | { readonly kind: 'hands'; readonly id: string }
  | { readonly kind: 'person'; readonly id: string };

export type SheetRow = { readonly time: string; readonly what: string; readonly detail: string };
export type SheetPart = { readonly title: string; readonly rows: readonly SheetRow[] };
/** What one sheet says: times first. Nothing of skin, health, contact or price is ever in it. */
export type CallSheet = {
  readonly title: string;
  readonly whom: string;
  readonly lead: readonly string[];
  readonly parts: readonly SheetPart[];
  readonly foot: readonly string[];
};

/** The sheet with every hour as a studio tells it. */
export function sheetInManner(sheet: CallSheet, by: Manner['clock']): CallSheet {
  const told = (words: string): string => toldHours(words, by);
  return {
    ...sheet,
    lead: sheet.lead.map(told),
    parts: sheet.parts.map((part) => ({
      ...part,
      rows: part.rows.map(({ time, what, detail }) => ({
        time: told(time),
        what: told(what),
        detail: told(detail),
      })),
    })),
    foot: sheet.foot.map(told),
  };
}

type Party = { readonly name: string; readonly date: string };
/** What somebody who is made up is asked to mind. */
const HOW_TO_COME = 'Clean face, no oil, a top that opens in front, nothing to eat once the lips are done.';
/** A shorter pause is no wait worth saying. */
const WAIT_MINUTES = 10;

/**
 * A party's call sheet from its kept timetable. `looks` names the look of each guest's chart; null where the
 * person or the pair of hands is not there, or where there is no timetable. `touchUpsOf` says what a round of
 * touch-ups asks of each face.
 */
export function callSheet(
  party: Party,
  plan: PartyPlan,
  whom: SheetFor,
  looks: ReadonlyMap<string, string> = new Map(),
  touchUpsOf: TouchUpsOf = () => [],
): CallSheet | null {
  if (!plan.timetable) return null;
  const visits = [...plan.timetable.visits].sort((a, b) => a.start - b.start || (a.of < b.of ? -1 : 1));
  const say = sayer(plan, looks);
  if (whom.kind === 'whole')
    return {
      title: party.name,
      whom: msg`The whole day`,
      lead: [
        `${[
          plural(plan.guests.length)`one person|${plan.guests.length} people`,
          plural(plan.hands.length)`one pair of hands|${plan.hands.length} pairs of hands`,
          plural(plan.chairs.length)`one chair|${plan.chairs.length} chairs`,
        ].join(', ')}.`,
      ],
      parts: [
        ...plan.hands.map((hands) => handsPart(hands, visits, say, false)),
        ...roundParts(plan, visits, touchUpsOf),
        ...plan.chairs.map((chair) => ({
          title: chair.name,
          rows: visits
            .filter((visit) => visit.chair === chair.id)
            .map((visit) => ({ ...say.row(visit), detail: say.hands(visit) })),
        })),
        {
          title: msg`Ready by`,
          rows: [...plan.guests]
            .sort((a, b) => a.readyBy - b.readyBy)
            .map((guest) => ({
              time: clock(guest.readyBy),
              what: guest.name,
              detail: readyDetail(guest, visits),
            })),
        },
      ],
      foot: [],
    };
  if (whom.kind === 'hands') {
    const hands = plan.hands.find((one) => one.id === whom.id);
    if (!hands) return null;
    return {
      title: party.name,
      whom: hands.name,
      lead: [],
      parts: [
        handsPart(hands, visits, say, true),
        ...roundParts(
          plan,
          visits,
          touchUpsOf,
          visits.filter((visit) => visit.worker === hands.id),
        ),
      ],
      foot: [],
    };
  }
  const guest = plan.guests.find((one) => one.id === whom.id);
  if (!guest) return null;
  const mine = visits.filter((visit) => visit.of === guest.id);
  const [first] = mine;
  const rows = mine.flatMap((visit, i): SheetRow[] => {
    const before = mine[i - 1];
    const wait = before ? visit.start - before.start - before.minutes : 0;
    const waits: SheetRow[] =
      before && wait >= WAIT_MINUTES
        ? [{ time: clock(before.start + before.minutes), what: msg`${wait} minutes free`, detail: '' }]
        : [];
    return [
      ...waits,
      {
        time: clock(visit.start),
        what: say.what(visit),
        detail: msg`${say.hands(visit)}, ${visit.minutes} min`,
      },
    ];
  });
  return {
    title: party.name,
    whom: guest.name,
    lead: first
      ? [
          msg`Be at ${say.where(first)} at ${clock(first.start - COME_BEFORE_MINUTES)}.`,
          msg`Ready by ${clock(guest.readyBy)}.`,
        ]
      : [msg`Nothing is planned.`],
    parts: [{ title: msg`Your times`, rows: [...rows, ...appointments(guest)] }],
    foot: first ? [term(HOW_TO_COME)] : [],
  };
}

/** What is due on a guest's face so many hours after it was done, each in a sentence. */
export type TouchUpsOf = (guestId: string, hours: number) => readonly string[];

/** Each round of touch-ups with what every face asks that was done by then, the first done first. */
function roundParts(
  plan: PartyPlan,
  visits: readonly Visit[],
  touchUpsOf: TouchUpsOf,
  of: readonly Visit[] = visits,
): SheetPart[] {
  const rounds = of.filter((visit) => plan.rounds.some((round) => round.id === visit.of));
  return rounds.flatMap((round): SheetPart[] => {
    const rows = visits.flatMap((visit): SheetRow[] => {
      const guest = plan.guests.find((one) => one.id === visit.of);
      const done = visit.start + visit.minutes;
      if (!guest || visit.task !== faceOf(guest) || done >= round.start) return [];
      const does = touchUpsOf(guest.id, (round.start - done) / 60);
      return does.length === 0 ? [] : [{ time: '', what: guest.name, detail: does.join(' ') }];
    });
    return rows.length === 0 ? [] : [{ title: msg`Touch-ups at ${clock(round.start)}`, rows }];
  });
}

const appointments = (guest: Guest): SheetRow[] =>
  guest.busy.map((one) => ({ time: clock(one.from), what: one.title, detail: msg`until ${clock(one.to)}` }));

function readyDetail(guest: Guest, visits: readonly Visit[]): string {
  const last = visits.filter((visit) => visit.of === guest.id).at(-1);
  return last ? msg`done ${clock(last.start + last.minutes)}` : msg`nothing planned`;
}

/** A pair of hands' own day; what they are away for stands on their own sheet alone. */
function handsPart(hands: Hands, visits: readonly Visit[], say: Sayer, own: boolean): SheetPart {
  const mine = visits.filter((visit) => visit.worker === hands.id);
  const last = mine.at(-1);
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
  // A pause they are away in is not free.
  const taken = (from: number, to: number): boolean =>
    (hands.away ?? []).some((gone) => gone.from < to && gone.to > from);
  const worked = mine.flatMap((visit, i): Timed[] => {
    const before = mine[i - 1];
    const pause = before ? visit.start - before.start - before.minutes - hands.sanitise : 0;
    const freeAt = before ? before.start + before.minutes : 0;
    const free: Timed[] =
      before && pause >= Math.max(WAIT_MINUTES, hands.rest) && !taken(freeAt, visit.start)
        ? [{ at: freeAt, row: { time: clock(freeAt), what: msg`${pause} minutes free`, detail: '' } }]
        : [];
    return [...free, { at: visit.start, row: say.row(visit) }];
  });
  const rows = [...worked, ...breaks, ...lunch].sort((a, b) => a.at - b.at).map(({ row }) => row);
  return {
    title: hands.name,
    rows: [
      { time: clock(hands.arrives), what: msg`Arrives`, detail: msg`sets up in ${hands.setUp} min` },
      ...rows,
      ...(last
        ? [{ time: clock(last.start + last.minutes), what: msg`Packs up`, detail: msg`${hands.packUp} min` }]
        : []),
    ],
  };
}

type Timed = { readonly at: number; readonly row: SheetRow };
type Sayer = ReturnType<typeof sayer>;
function sayer(plan: PartyPlan, looks: ReadonlyMap<string, string>) {
  const guestOf = (visit: Visit): Guest | undefined => plan.guests.find((guest) => guest.id === visit.of);
  const what = (visit: Visit): string => {
    const guest = guestOf(visit);
    return !guest ? msg`Touch-ups` : visit.task === hairOf(guest) ? msg`Hair` : msg`Make-up`;
  };
  const chairOf = (visit: Visit): PartyPlan['chairs'][number] | undefined =>
    plan.chairs.find((chair) => chair.id === visit.chair);
  const placeOf = (visit: Visit): string => {
    const id = chairOf(visit)?.place ?? plan.rounds.find((round) => round.id === visit.of)?.place;
    return plan.places.find((place) => place.id === id)?.name ?? plan.places[0]!.name;
  };
  const where = (visit: Visit): string =>
    [chairOf(visit)?.name, placeOf(visit)].filter((word) => word !== undefined).join(', ');
  return {
    what,
    where,
    hands: (visit: Visit): string => plan.hands.find((hands) => hands.id === visit.worker)?.name ?? '',
    row: (visit: Visit): SheetRow => {
      const guest = guestOf(visit);
      const look = guest && visit.task !== hairOf(guest) ? looks.get(guest.id) : undefined;
      return {
        time: clock(visit.start),
        what: `${guest?.name ?? msg`Everyone`}, ${what(visit).toLowerCase()}`,
        detail: [msg`until ${clock(visit.start + visit.minutes)}`, where(visit), look]
          .filter((word) => word !== undefined && word !== '')
          .join(' · '),
      };
    },
  };
}
