import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { isZone } from '../calendar';
import { OccasionSchema } from '../look';
import { OCCASIONS } from '../shade';
import { DateSchema, oneOf } from '../schema';
import type { PartyDay, Person, Way, Weights } from './instance';
import { RUN_UP_KINDS } from './runUp';

const closed = { additionalProperties: false } as const;
const id = Type.String({ minLength: 1, maxLength: 60 });
const name = Type.String({ minLength: 1, maxLength: 120 });
const minute = Type.Integer({ minimum: 0, maximum: 2879 });
const minutes = Type.Integer({ minimum: 0, maximum: 600 });
const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

/** Whose day it is, who is needed first, and the rest: what waiting and haste weigh for each. */
export const GUEST_ROLES = ['star', 'close', 'attendant', 'guest', 'child'] as const;
export type GuestRole = (typeof GUEST_ROLES)[number];

/** In which order hair and face are done, where somebody has both. */
export const WORK_ORDERS = ['hair first', 'face first', 'either'] as const;

export const HandsSchema = Type.Object(
  {
    id,
    name,
    does: oneOf(['makeup', 'hair'] as const),
    at: id,
    arrives: minute,
    setUp: minutes,
    packUp: minutes,
    leaves: orNull(minute),
    sanitise: minutes,
    maxWork: orNull(minutes),
    rest: minutes,
    lunch: orNull(Type.Object({ minutes, from: minute, to: minute }, closed)),
    /** When these hands are not there. */
    away: Type.Optional(
      Type.Array(Type.Object({ from: minute, to: minute, title: name }, closed), { maxItems: 10 }),
    ),
    /** What these hands take of planned minutes, once it was learned and taken over: 1 is as planned. */
    pace: Type.Optional(Type.Number({ minimum: 0.5, maximum: 2 })),
  },
  closed,
);

export const GuestSchema = Type.Object(
  {
    id,
    name,
    clientId: orNull(Type.String()),
    chartId: orNull(Type.String()),
    role: oneOf(GUEST_ROLES),
    from: minute,
    readyBy: minute,
    /** Minutes of a usual pair of hands. */ faceMinutes: minutes,
    hairMinutes: orNull(minutes),
    /** The only pair of hands that may do the face. */ only: orNull(id),
    /** A lighter look, if need be. */ lighterMinutes: orNull(minutes),
    mayGoWithoutHair: Type.Boolean(),
    busy: Type.Array(Type.Object({ from: minute, to: minute, title: name }, closed), { maxItems: 20 }),
    notes: Type.String({ maxLength: 1000 }),
    /** Where it is done; left out: where the others are. */ place: Type.Optional(id),
    /** What comes first, where both are done; left out: hair first if it can be. */
    order: Type.Optional(oneOf(WORK_ORDERS)),
    /** Waiting is hard: it weighs more. */ cannotWait: Type.Optional(Type.Boolean()),
  },
  closed,
);

/** How a party's day is to go, and the timetable that was found for it: `toile.party/1`. */
export const PartyPlanSchema = Type.Object(
  {
    format: Type.Literal('toile.party/1'),
    zone: Type.String(),
    grid: Type.Integer({ minimum: 1, maximum: 30 }),
    places: Type.Array(Type.Object({ id, name }, closed), { minItems: 1, maxItems: 12 }),
    travel: Type.Array(
      Type.Object(
        {
          from: id,
          to: id,
          minutes,
          pack: Type.Optional(minutes),
          unpack: Type.Optional(minutes),
          departures: Type.Optional(Type.Array(minute, { maxItems: 60 })),
        },
        closed,
      ),
      { maxItems: 60 },
    ),
    hands: Type.Array(HandsSchema, { maxItems: 30 }),
    chairs: Type.Array(
      Type.Object({ id, name, place: id, kind: oneOf(['makeup', 'hair', 'any'] as const) }, closed),
      { maxItems: 40 },
    ),
    chairWipe: minutes,
    guests: Type.Array(GuestSchema, { maxItems: 200 }),
    rounds: Type.Array(
      Type.Object({ id, place: id, from: minute, to: minute, minutes, by: Type.Array(id) }, closed),
      { maxItems: 20 },
    ),
    /** Visits held where they are. */
    held: Type.Array(
      Type.Object({ of: id, task: id, worker: id, start: minute, minutes: Type.Optional(minutes) }, closed),
      { maxItems: 400 },
    ),
    /** Ways out that were accepted, as 'guest/way'. */ relaxed: Type.Array(Type.String(), { maxItems: 400 }),
    /** What it was begun as. */ kind: Type.Optional(oneOf(OCCASIONS)),
    /** What the day asks of every face, once somebody said; each visit may say otherwise. */
    occasion: Type.Optional(orNull(OccasionSchema)),
    /** Nothing can be bought where it is worn. */ noShop: Type.Optional(Type.Boolean()),
    /** The last day with a shop before the place is out of reach. */ lastShop: Type.Optional(
      orNull(DateSchema),
    ),
    /** What of its run-up is done. */
    runUp: Type.Optional(Type.Array(oneOf(RUN_UP_KINDS), { maxItems: 20 })),
    timetable: orNull(
      Type.Object(
        {
          ways: Type.Record(Type.String(), Type.String()),
          visits: Type.Array(
            Type.Object(
              {
                of: id,
                task: id,
                worker: id,
                chair: orNull(id),
                start: minute,
                minutes: Type.Integer({ minimum: 1, maximum: 900 }),
              },
              closed,
            ),
            { maxItems: 900 },
          ),
          boundLate: Type.Number(),
          boundCost: Type.Number(),
          proven: Type.Boolean(),
        },
        closed,
      ),
    ),
  },
  closed,
);

export type PartyPlan = Static<typeof PartyPlanSchema>;
export type Hands = PartyPlan['hands'][number];
export type Guest = PartyPlan['guests'][number];

type RoleWeights = { readonly slack: number; readonly weights: Weights; readonly hairFirst: number };

/** What each role weighs: trade sense, not data. */
export const ROLE_WEIGHTS: Readonly<Record<GuestRole, RoleWeights>> = {
  star: { slack: 20, weights: { late: 4, short: 6, early: 2, wait: 1, fresh: 2 }, hairFirst: 60 },
  close: { slack: 10, weights: { late: 2, short: 4, early: 1, wait: 1 }, hairFirst: 25 },
  attendant: { slack: 10, weights: { late: 1, short: 3, early: 1, wait: 1 }, hairFirst: 25 },
  guest: { slack: 5, weights: { late: 1, short: 3, early: 1, wait: 1 }, hairFirst: 25 },
  child: { slack: 5, weights: { late: 1, short: 3, early: 2, wait: 2 }, hairFirst: 25 },
};

/** Waiting weighs so much more for whom it is hard. */
const CANNOT_WAIT = 3;

/** Points for a lighter look and for going without hair: taken only when somebody accepts them. */
const WAYS_OUT = { lighter: 200, noHair: 300 } as const;
const STAR = { firstCost: 80, lastCost: 80 } as const;
const DRYING_MINUTES = 2;

export type DayOfOptions = {
  /**
   * What a pair of hands takes of a guest's planned minutes: what was taken over for them, where nothing is
   * said.
   */
  readonly paceOf?: (hands: Hands, guest: Guest) => number;
  readonly now?: number | null;
};

/**
 * A party's plan as the day that is planned. Guests nobody is there for keep an empty task, which `checkDay`
 * names.
 */
export function dayOfPlan(
  party: { readonly id: string; readonly date: string },
  plan: PartyPlan,
  { paceOf = (hands) => hands.pace ?? 1, now = null }: DayOfOptions = {},
): PartyDay {
  const star = plan.guests.find((guest) => guest.role === 'star');
  return {
    format: 'toile.day/1',
    id: party.id,
    date: party.date,
    zone: isZone(plan.zone) ? plan.zone : 'UTC',
    grid: plan.grid,
    places: plan.places,
    travel: plan.travel,
    workers: plan.hands.map(({ does: _, ...worker }) => worker),
    chairs: plan.chairs.map(({ id: chair, place, kind, name }) => ({ id: chair, place, kind, name })),
    chairWipe: plan.chairWipe,
    people: plan.guests.map((guest) => personOf(plan, guest, paceOf)),
    rounds: plan.rounds.map((round) => ({
      id: round.id,
      kind: 'touchup',
      place: round.place,
      from: round.from,
      to: round.to,
      by: Object.fromEntries(round.by.map((hands) => [hands, round.minutes])),
    })),
    star: star ? { person: star.id, ...STAR } : null,
    now,
    pinned: plan.held,
    relaxed: plan.relaxed,
  };
}

/** The tasks of a guest, by what they are. */
export const hairOf = (guest: Pick<Guest, 'id'>): string => `${guest.id}.hair`;
export const faceOf = (guest: Pick<Guest, 'id'>): string => `${guest.id}.face`;

/** Where a guest is done: where the others are, unless somebody said otherwise. */
export const placeOf = (plan: Pick<PartyPlan, 'places'>, { place }: Pick<Guest, 'place'>): string =>
  (plan.places.find(({ id: one }) => one === place) ?? plan.places[0]!).id;

/** Hair first costs less where nobody said; what was said is kept to. */
function orderOf(guest: Guest, hairFirst: number): Pick<Way, 'order' | 'prefer'> {
  const [hair, face] = [hairOf(guest), faceOf(guest)];
  switch (guest.order) {
    case 'hair first':
      return { order: [{ first: hair, then: face }] };
    case 'face first':
      return { order: [{ first: face, then: hair }] };
    case 'either':
      return {};
    case undefined:
      return { prefer: [{ first: hair, then: face, cost: hairFirst }] };
  }
}

function personOf(plan: PartyPlan, guest: Guest, paceOf: NonNullable<DayOfOptions['paceOf']>): Person {
  const { slack, weights: usual, hairFirst } = ROLE_WEIGHTS[guest.role];
  const weights = guest.cannotWait
    ? { ...usual, early: usual.early * CANNOT_WAIT, wait: usual.wait * CANNOT_WAIT }
    : usual;
  const place = placeOf(plan, guest);
  const by = (does: Hands['does'], planned: number): Record<string, number> =>
    Object.fromEntries(
      plan.hands
        .filter(
          (hands) =>
            hands.does === does && (does === 'hair' || guest.only === null || hands.id === guest.only),
        )
        .map((hands) => [hands.id, Math.max(1, Math.round(planned * paceOf(hands, guest)))]),
    );
  const face = (planned: number): Way['tasks'][number] => ({
    id: faceOf(guest),
    kind: 'makeup',
    place,
    by: by('makeup', planned),
    tail: DRYING_MINUTES,
  });
  const hair: Way['tasks'] =
    guest.hairMinutes === null
      ? []
      : [{ id: hairOf(guest), kind: 'hair', place, by: by('hair', guest.hairMinutes), tail: 0 }];
  const both = hair.length > 0 && guest.faceMinutes > 0;
  const prefer = both ? orderOf(guest, hairFirst) : {};
  const faces = guest.faceMinutes > 0 ? [face(guest.faceMinutes)] : [];
  const ways: Way[] = [{ id: 'full', cost: 0, tasks: [...hair, ...faces], ...prefer }];
  if (guest.lighterMinutes !== null && guest.faceMinutes > 0)
    ways.push({
      id: 'light',
      cost: WAYS_OUT.lighter,
      relax: true,
      tasks: [...hair, face(guest.lighterMinutes)],
      ...prefer,
    });
  if (both && guest.mayGoWithoutHair)
    ways.push({ id: 'noHair', cost: WAYS_OUT.noHair, relax: true, tasks: faces });
  return {
    id: guest.id,
    name: guest.name,
    role: guest.role,
    from: guest.from,
    readyBy: guest.readyBy,
    slack,
    busy: guest.busy,
    weights,
    ways,
  };
}
