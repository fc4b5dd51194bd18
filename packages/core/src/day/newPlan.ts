import { minorityOn, type Consult } from '../care';
import type { Features } from '../face';
import { msg, term } from '../messages';
import { movedEarlier, ONE_MORE, SOME_STYLIST, type DayChange } from './changes';
import type { PastedGuest } from './guestsFromText';
import type { Guest, Hands, PartyPlan } from './party';

/** How a day usually goes, to begin from. */
export const PARTY_TEMPLATES = ['morning', 'evening', 'portraits'] as const;
export type PartyTemplate = (typeof PARTY_TEMPLATES)[number];

type Start = {
  readonly arrives: number;
  readonly chairs: number;
  readonly hair: number;
};
const STARTS: Readonly<Record<PartyTemplate, Start>> = {
  // A bridal morning: hair beside, ready for photographs before noon.
  morning: { arrives: 450, chairs: 2, hair: 1 },
  // A gala: short looks before seven.
  evening: { arrives: 930, chairs: 1, hair: 0 },
  // Portraits of many: one after the other from ten.
  portraits: { arrives: 510, chairs: 1, hair: 0 },
};

export const DEFAULT_HANDS = {
  setUp: 25,
  packUp: 20,
  leaves: null,
  sanitise: 5,
  maxWork: 210,
  rest: 15,
  lunch: null,
} as const;

const HOME = 'home';

/** A plan to begin from: a place, chairs and the pairs of hands there are. */
export function newPlan(
  template: PartyTemplate,
  {
    place,
    zone,
    artist,
    kind,
  }: {
    readonly place: string;
    readonly zone: string;
    readonly artist: string;
    readonly kind?: PartyPlan['kind'];
  },
): PartyPlan {
  const { arrives, chairs, hair } = STARTS[template];
  return {
    format: 'toile.party/1',
    zone,
    ...(kind === undefined ? {} : { kind }),
    grid: 5,
    places: [{ id: HOME, name: place.trim() === '' ? msg`There` : place }],
    travel: [],
    hands: [
      { id: 'hands-1', name: artist, does: 'makeup', at: HOME, arrives, ...DEFAULT_HANDS },
      ...Array.from({ length: hair }, (_, i): Hands => ({
        id: `hair-${i + 1}`,
        name: term(SOME_STYLIST),
        does: 'hair',
        at: HOME,
        arrives,
        ...DEFAULT_HANDS,
      })),
    ],
    chairs: [
      ...Array.from({ length: chairs }, (_, i) => ({
        id: `chair-${i + 1}`,
        name: msg`Chair ${i + 1}`,
        place: HOME,
        kind: 'makeup' as const,
      })),
      ...Array.from({ length: hair }, (_, i) => ({
        id: `hair-chair-${i + 1}`,
        name: msg`Hair chair ${i + 1}`,
        place: HOME,
        kind: 'hair' as const,
      })),
    ],
    chairWipe: 0,
    guests: [],
    rounds: [],
    held: [],
    relaxed: [],
    timetable: null,
  };
}

const USUAL_FACE: Readonly<Record<Guest['role'], number>> = {
  star: 65,
  close: 45,
  attendant: 40,
  guest: 35,
  child: 15,
};
/** A lighter look takes so much of the whole. */
const LIGHTER = 0.6;

/** Minutes of a lighter look beside the whole one; null where the whole one is as short as a look can be. */
export function lighterOf(faceMinutes: number): number | null {
  const minutes = Math.max(10, Math.round((faceMinutes * LIGHTER) / 5) * 5);
  return minutes < faceMinutes ? minutes : null;
}

/** A guest whose face takes other minutes: a lighter look as usual follows, and none takes as long. */
export function withFaceMinutes(guest: Guest, faceMinutes: number): Guest {
  const { lighterMinutes } = guest;
  const follows =
    lighterMinutes !== null &&
    (lighterMinutes === lighterOf(guest.faceMinutes) || lighterMinutes >= faceMinutes);
  return { ...guest, faceMinutes, lighterMinutes: follows ? lighterOf(faceMinutes) : lighterMinutes };
}

/** A guest with what is usual for the role, where nothing else was said. */
export function newGuest(
  id: string,
  pasted: Omit<PastedGuest, 'notes'> & { readonly notes?: string },
  plan: PartyPlan,
): Guest {
  const readyBy = pasted.readyBy ?? usualReadyBy(plan);
  const faceMinutes = pasted.faceMinutes ?? USUAL_FACE[pasted.role];
  const opens = Math.min(...plan.hands.map((hands) => hands.arrives), readyBy - 1);
  return {
    id,
    name: pasted.name,
    clientId: null,
    chartId: null,
    role: pasted.role,
    from: opens,
    readyBy,
    faceMinutes,
    hairMinutes: pasted.hairMinutes,
    only: null,
    lighterMinutes: pasted.role === 'star' ? null : lighterOf(faceMinutes),
    mayGoWithoutHair: pasted.role !== 'star',
    busy: [],
    notes: pasted.notes ?? '',
  };
}

/** A client as far as they could be read: without a network no more than the name. */
type PartyClient = {
  readonly id: string;
  readonly name: string;
  readonly birthYear?: number | null;
  readonly features?: Pick<Features, 'age'>;
  readonly consult?: Pick<Consult, 'access'>;
};

/**
 * A client as a guest of a party on a day: a child is one, and whoever said that waiting is hard waits
 * little.
 */
export function guestOfClient(
  id: string,
  client: PartyClient,
  plan: PartyPlan,
  day: string,
  /** What was said of them, as far as it was. */ said: Partial<PastedGuest> = {},
): Guest {
  const usual = { readyBy: null, faceMinutes: null, hairMinutes: null };
  const role = roleAsClient(said.role ?? 'guest', client, day);
  return guestAsClient(newGuest(id, { ...usual, ...said, name: client.name, role }, plan), client, day);
}

/**
 * Somebody of the list who is this client: what was said of them stays, but that a child is made up as one,
 * in a child's minutes where they were as usual, and that waiting is hard; a chart is of the client.
 */
export function guestAsClient(guest: Guest, client: PartyClient, day: string): Guest {
  const role = roleAsClient(guest.role, client, day);
  const asUsual = role !== guest.role && guest.faceMinutes === USUAL_FACE[guest.role];
  return {
    ...(asUsual ? withFaceMinutes(guest, USUAL_FACE[role]) : guest),
    clientId: client.id,
    chartId: null,
    role,
    ...(client.consult?.access?.includes('cannot wait long') ? { cannotWait: true } : {}),
  };
}

/** A child is made up as one whatever part is played, but for whose day it is. */
const roleAsClient = (role: Guest['role'], client: PartyClient, day: string): Guest['role'] =>
  role !== 'star' && isChild(client, day) ? 'child' : role;
const isChild = ({ birthYear = null, features }: PartyClient, day: string): boolean =>
  features !== undefined && minorityOn(day, { birthYear, features }) === 'child';

/** Minutes a day of making up usually takes. */
const USUAL_DAY = 240;

/**
 * When a further guest is to be ready, where nobody says: with the last of the others, or when the day is
 * usually done.
 */
export function usualReadyBy(plan: PartyPlan): number {
  const others = plan.guests.map((guest) => guest.readyBy);
  return others.length > 0
    ? Math.max(...others)
    : Math.min(...plan.hands.map((hands) => hands.arrives), 1200) + USUAL_DAY;
}

/**
 * A plan begun again for another date: who, where and how long stay; charts, timetable, what was held,
 * relaxed or done before it are of that day alone.
 */
export function planAnew(plan: PartyPlan, date: string): PartyPlan {
  const { runUp: _done, lastShop: _shop, ...rest } = plan;
  return {
    ...rest,
    guests: plan.guests.map((guest) => ({ ...guest, chartId: null })),
    held: [],
    relaxed: [],
    timetable: null,
    ...(plan.occasion ? { occasion: { ...plan.occasion, date } } : {}),
  };
}

/** A plan after a change that a way out offers: as `changedDay` does it to the day. */
export function changedPlan(plan: PartyPlan, change: DayChange): PartyPlan {
  switch (change.kind) {
    case 'earlier': {
      const { workers, people } = movedEarlier(plan.hands, plan.guests, plan.travel, change.minutes);
      return { ...plan, hands: workers, guests: people };
    }
    case 'later':
      return {
        ...plan,
        guests: plan.guests.map((guest) =>
          guest.id === change.person ? { ...guest, readyBy: guest.readyBy + change.minutes } : guest,
        ),
      };
    case 'lighter':
      return { ...plan, relaxed: [...new Set([...plan.relaxed, `${change.person}/${change.way}`])] };
    case 'chair':
      return { ...plan, chairs: [...plan.chairs, moreChair(plan, change.place, change.chair)] };
    case 'hands': {
      const like = plan.hands.find((hands) => hands.does === change.does);
      if (!like) return plan;
      const at = freeId(plan.hands, 'hands');
      const more: Hands = {
        ...like,
        id: at,
        name: term(ONE_MORE[change.does]),
      };
      return {
        ...plan,
        hands: [...plan.hands, more],
        chairs: [...plan.chairs, moreChair(plan, like.at, change.does)],
      };
    }
  }
}

function moreChair(
  plan: PartyPlan,
  place: string,
  kind: PartyPlan['chairs'][number]['kind'],
): PartyPlan['chairs'][number] {
  const there = plan.chairs.filter((chair) => chair.place === place);
  // Where every chair is for anything, the new one is too.
  const as = there.some((chair) => chair.kind === 'any') ? 'any' : kind;
  const n = there.filter((chair) => chair.kind === as).length + 1;
  return {
    id: freeId(plan.chairs, 'chair'),
    name: as === 'hair' ? msg`Hair chair ${n}` : msg`Chair ${n}`,
    place,
    kind: as,
  };
}

function freeId(list: readonly { readonly id: string }[], stem: string): string {
  let n = list.length + 1;
  while (list.some((one) => one.id === `${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}
