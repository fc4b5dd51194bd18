import { newGuest, newPlan, type Guest, type GuestRole, type Hands, type PartyPlan } from '@toile/core';
import { CLIENTS } from './clients';

export const ZONE = 'Europe/Lisbon';
const at = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));

/** Somebody at a party, by what is said of them. */
export type Person = readonly [
  name: string,
  role: GuestRole,
  readyBy: string,
  face: number,
  hair: number | null,
  change?: Partial<Guest>,
];

/** Guests by what is said of them; those who are clients lead to their page. */
export function withGuests(plan: PartyPlan, people: readonly Person[]): PartyPlan {
  const guests = people.map(([name, role, readyBy, faceMinutes, hairMinutes, change], i): Guest => {
    const pasted = { name, role, readyBy: at(readyBy), faceMinutes, hairMinutes };
    const clientId = CLIENTS.find((client) => client.name === name)?.id ?? null;
    return { ...newGuest(`guest-${i + 1}`, pasted, plan), clientId, ...change };
  });
  return { ...plan, guests };
}

const hands = (plan: PartyPlan, more: readonly Hands[]): PartyPlan => ({ ...plan, hands: [...more] });

/**
 * A wedding on a rock: the bar lets the ferry over at 06:40 and 08:35 only. Runa and Teodor cross with the
 * first, Wilhelmina with the second; nobody is there before.
 */
export function ferryPlan(): PartyPlan {
  const start = newPlan('morning', {
    place: 'Pell Skerry lighthouse',
    zone: ZONE,
    artist: 'Runa Castellane',
  });
  const like = start.hands[0]!;
  const hair = start.hands[1]!;
  const plan = hands(start, [
    { ...like, id: 'runa', arrives: at('07:15'), rest: 15, maxWork: 180 },
    { ...like, id: 'teodor', name: 'Teodor Marsh', arrives: at('07:15'), maxWork: 180 },
    { ...like, id: 'wilhelmina', name: 'Wilhelmina Fry', arrives: at('09:10'), setUp: 15 },
    { ...hair, id: 'lamorna', name: 'Lamorna Tate', arrives: at('07:15'), maxWork: 210 },
    { ...hair, id: 'pascoe', name: 'Pascoe Lund', arrives: at('09:10'), setUp: 15 },
  ]);
  const chairs = [
    ...plan.chairs.filter((chair) => chair.kind === 'makeup'),
    { id: 'chair-3', name: 'Chair 3', place: 'home', kind: 'makeup' as const },
    ...plan.chairs.filter((chair) => chair.kind === 'hair'),
    { id: 'hair-chair-2', name: 'Hair chair 2', place: 'home', kind: 'hair' as const },
  ];
  const late = { from: at('09:10') };
  const photographed = { busy: [{ from: at('11:00'), to: at('11:20'), title: 'letters photographed' }] };
  return withGuests({ ...plan, chairs, noShop: true }, [
    ['Isaura Penhallow', 'star', '12:20', 70, 60, photographed],
    ['Morwenna Penhallow', 'close', '11:45', 45, 40],
    ['Ottoline Grieve', 'close', '11:30', 40, 30],
    ['Zenobia Achterberg', 'close', '11:45', 45, null],
    ['Leocadia Brandt', 'attendant', '12:00', 40, 35, late],
    ['Søla Vestergård', 'attendant', '12:00', 40, 35, late],
    ['Nadira Quill', 'attendant', '12:00', 40, null, late],
    ['Posy Penhallow', 'child', '12:30', 15, 20],
    ['Hedda Roskilly', 'guest', '12:15', 35, 30],
    ['Imre Tallack', 'guest', '12:15', 20, null],
    ['Wenna Tallack', 'guest', '12:15', 30, 25],
    ['Oriel Sandoe', 'guest', '12:10', 30, null, late],
    ['Bettina Crowle', 'guest', '12:10', 30, null, late],
    ['Juno Penhallow', 'attendant', '12:00', 35, 30],
  ]);
}

/** Three at a gala: short looks before the speeches. */
export function galaPlan(): PartyPlan {
  const start = newPlan('evening', { place: 'Furnace Hall, Ostermouth', zone: ZONE, artist: 'Teodor Marsh' });
  return withGuests(start, [
    ['Ignace Dovrel', 'star', '18:00', 50, null],
    ['Philippa Renn', 'guest', '18:45', 40, null],
    ['Ambrose Tull', 'guest', '19:00', 25, null],
  ]);
}

/** Portraits of a choir, one after the other by window light. */
export function choirPlan(): PartyPlan {
  const start = newPlan('portraits', { place: 'St Orrin’s loft', zone: ZONE, artist: 'Runa Castellane' });
  return withGuests(start, [
    ['Thandeka Moor', 'guest', '10:00', 35, null],
    ['Caspian Orrell', 'guest', '10:40', 25, null],
    ['Beatrix Lindqvist', 'guest', '11:20', 35, null],
  ]);
}
