import type { StudioBundle } from '@toile/contract';
import {
  addDays,
  dayOfPlan,
  instantAt,
  newPlan,
  planDay,
  seededRandom,
  visitKey,
  type Hands,
  type PartyPlan,
} from '@toile/core';
import { idFor } from './ids';
import { withGuests, ZONE, type Person } from './parties';

type Past = {
  readonly name: string;
  readonly place: string;
  readonly daysAgo: number;
  readonly notes: string;
  readonly people: readonly Person[];
};

const PAST: readonly Past[] = [
  {
    name: 'Lamp-room supper',
    place: 'Lamp Room, Ostermouth',
    daysAgo: 24,
    notes: 'Fifteen at table, six made up. The corridor was dark: bring the second lamp.',
    people: [
      ['Corisande Lamb', 'star', '12:00', 65, 50],
      ['Hedda Roskilly', 'close', '11:30', 45, 30],
      ['Imre Tallack', 'guest', '11:45', 20, null],
      ['Wenna Tallack', 'guest', '11:45', 35, 25],
      ['Bettina Crowle', 'attendant', '11:30', 40, null],
      ['Oriel Sandoe', 'guest', '12:00', 30, null],
    ],
  },
  {
    name: 'Rope-walk christening',
    place: 'Old Rope-walk',
    daysAgo: 83,
    notes: 'Baby in the room: no spray.',
    people: [
      ['Juno Penhallow', 'star', '11:00', 55, 40],
      ['Lamorna Vane', 'close', '10:45', 40, 30],
      ['Tamsin Yeo', 'guest', '11:00', 30, null],
      ['Ebba Strand', 'guest', '11:00', 35, null],
    ],
  },
];

/**
 * How quick each pair of hands really was: the pattern in it is Teodor's, who needs an eighth more than is
 * planned.
 */
const PACE: Readonly<Record<string, number>> = { 'hands-1': 1.01, teodor: 1.13, 'hair-1': 1.04 };

/**
 * Two parties that were, as planned and as they really went; made again from the same day they are the same.
 */
export function pastParties(today: string): Pick<StudioBundle, 'parties' | 'partyEvents'> {
  const all = PAST.map((past) => {
    const id = idFor(`party ${past.name}`);
    const date = addDays(today, -past.daysAgo);
    const plan = planned(past, id, date);
    return {
      party: { id, name: past.name, date, place: past.place, notes: past.notes, plan },
      events: asItWent(id, date, plan),
    };
  });
  return { parties: all.map(({ party }) => party), partyEvents: all.flatMap(({ events }) => events) };
}

function planned({ place, people }: Past, id: string, date: string): PartyPlan {
  const start = newPlan('morning', { place, zone: ZONE, artist: 'Runa Castellane' });
  const like = start.hands[0]!;
  const teodor: Hands = { ...like, id: 'teodor', name: 'Teodor Marsh' };
  const plan = withGuests({ ...start, hands: [...start.hands, teodor] }, people);
  const answer = planDay(dayOfPlan({ id, date }, plan), { seed: 1, work: 60 });
  return {
    ...plan,
    timetable: {
      ways: { ...answer.ways },
      visits: answer.visits.map((visit) => ({ ...visit })),
      boundLate: answer.proof.bound.late,
      boundCost: answer.proof.bound.cost,
      proven: answer.proof.proven,
    },
  };
}

/**
 * Each visit told when it began and ended: as long as those hands need, give or take, and after what held it
 * up.
 */
function asItWent(partyId: string, date: string, plan: PartyPlan): StudioBundle['partyEvents'] {
  const random = seededRandom(7);
  const free = new Map<string, number>();
  return [...plan.timetable!.visits]
    .sort((a, b) => a.start - b.start)
    .flatMap((visit) => {
      const began = Math.max(visit.start, free.get(visit.worker) ?? 0, free.get(visit.of) ?? 0);
      const pace = (PACE[visit.worker] ?? 1) * (0.94 + 0.12 * random());
      const ended = began + Math.max(1, Math.round(visit.minutes * pace));
      free.set(visit.worker, ended + 5);
      free.set(visit.of, ended);
      const item = visitKey(visit.of, visit.task);
      const by = plan.hands.find((hands) => hands.id === visit.worker)!.name;
      return (['began', 'ended'] as const).map((kind) => ({
        partyId,
        event: {
          id: idFor(`party event ${partyId} ${item} ${kind}`),
          kind,
          item,
          at: instantAt(plan.zone, date, kind === 'began' ? began : ended).toISOString(),
          by,
        },
      }));
    });
}
