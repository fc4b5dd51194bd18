import type { Random } from '../math';
import type { PartyDay, DayTask, Person, Worker } from './instance';
import mornings from './mornings.testing.json';

/** Twelve mornings with the best timetable known of each; `proved`: by another method too. */
export const MORNINGS = mornings as unknown as readonly {
  readonly day: PartyDay;
  readonly best: { readonly late: number; readonly cost: number };
  readonly proved: boolean;
}[];

const worker = (change: Partial<Worker> = {}): Worker => ({
  id: 'm1',
  name: 'Runa',
  arrives: 480,
  at: 'house',
  setUp: 20,
  packUp: 0,
  leaves: null,
  sanitise: 5,
  maxWork: null,
  rest: 15,
  lunch: null,
  ...change,
});

const face = (id: string, minutes: number, change: Partial<DayTask> = {}): DayTask => ({
  id: `${id}.face`,
  kind: 'makeup',
  place: 'house',
  by: { m1: minutes },
  tail: 0,
  ...change,
});

const person = (
  id: string,
  minutes: number,
  change: Partial<Person> = {},
  task: Partial<DayTask> = {},
): Person => ({
  id,
  name: id.toUpperCase(),
  role: 'guest',
  from: 480,
  readyBy: 600,
  slack: 10,
  busy: [],
  weights: { late: 1, short: 3, early: 1, wait: 1 },
  ways: [{ id: 'full', cost: 0, tasks: [face(id, minutes, task)] }],
  ...change,
});

/** One artist, one chair, a in 40 minutes and b in 30, both ready by 10:00. */
export function smallDay(
  change: {
    readonly worker?: Partial<Worker>;
    readonly a?: Partial<Person>;
    readonly b?: Partial<Person>;
    readonly aTask?: Partial<DayTask>;
  } = {},
): PartyDay {
  return {
    format: 'toile.day/1',
    id: 'small',
    date: '2027-06-12',
    zone: 'Europe/Lisbon',
    grid: 5,
    places: [{ id: 'house', name: 'House' }],
    travel: [],
    workers: [worker(change.worker)],
    chairs: [{ id: 'c1', place: 'house', kind: 'makeup' }],
    chairWipe: 0,
    people: [person('a', 40, change.a, change.aTask), person('b', 30, change.b)],
    rounds: [],
    star: null,
  };
}

/**
 * A morning like none in the demo: two places, hair for some, lashes by a second artist, lunch, rests, tails.
 */
export function randomDay(random: Random, people: number): PartyDay {
  const pick = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  const artists = Math.max(1, Math.ceil(people / pick(3, 5)));
  const stylists = pick(0, Math.max(1, Math.ceil(people / 5)));
  const makeup = Array.from({ length: artists }, (_, i) =>
    worker({
      id: `m${i + 1}`,
      name: `Artist ${i + 1}`,
      arrives: 480 + 5 * pick(0, 6),
      setUp: pick(10, 30),
      packUp: 15,
      sanitise: pick(3, 10),
      maxWork: random() < 0.4 ? pick(150, 220) : null,
      lunch: random() < 0.3 ? { minutes: 30, from: 660, to: 810 } : null,
      leaves: i > 0 && random() < 0.2 ? 900 : null,
    }),
  );
  const hair = Array.from({ length: stylists }, (_, i) =>
    worker({
      id: `h${i + 1}`,
      name: `Stylist ${i + 1}`,
      arrives: 480 + 5 * pick(0, 8),
      setUp: 15,
      sanitise: 5,
    }),
  );
  const by = (of: readonly Worker[], minutes: number): Record<string, number> => {
    const chosen = of.filter(() => random() < 0.7);
    const may = chosen.length > 0 ? chosen : of.slice(0, 1);
    return Object.fromEntries(may.map((one) => [one.id, Math.max(5, minutes + pick(-8, 8))]));
  };
  const horizon = 620 + (people / artists) * 48;
  return {
    format: 'toile.day/1',
    id: `random-${people}`,
    date: '2027-06-12',
    zone: 'Europe/Lisbon',
    grid: 5,
    places: [
      { id: 'house', name: 'House' },
      { id: 'hall', name: 'Hall' },
    ],
    travel: [
      {
        from: 'house',
        to: 'hall',
        minutes: 20,
        pack: 10,
        unpack: 5,
        ...(random() < 0.3 ? { departures: [600, 720, 840, 900, 960] } : {}),
      },
      { from: 'hall', to: 'house', minutes: 20, pack: 10, unpack: 5 },
    ],
    workers: [...makeup, ...hair],
    chairs: [
      ...Array.from({ length: Math.max(1, artists - (random() < 0.3 ? 1 : 0)) }, (_, i) => ({
        id: `c${i}`,
        place: 'house',
        kind: 'makeup' as const,
      })),
      ...(stylists > 0 ? [{ id: 'hc', place: 'house', kind: 'hair' as const }] : []),
      ...(stylists > 1 ? [{ id: 'hc2', place: 'house', kind: 'hair' as const }] : []),
    ],
    chairWipe: pick(0, 3),
    people: Array.from({ length: people }, (_, i): Person => {
      const id = `p${i + 1}`;
      const star = i === 0;
      const readyBy = Math.round((horizon + pick(-40, 40)) / 5) * 5;
      const withHair = stylists > 0 && random() < 0.5;
      const withLashes = artists > 1 && random() < 0.2;
      const tasks: DayTask[] = [
        ...(withHair
          ? [{ id: `${id}.hair`, kind: 'hair' as const, place: 'house', by: by(hair, pick(30, 60)), tail: 0 }]
          : []),
        face(id, 0, {
          by: by(makeup, star ? 65 : pick(20, 50)),
          tail: pick(0, 5),
          frees: random() < 0.6,
          holds: random() < 0.3,
        }),
        ...(withLashes
          ? [{ id: `${id}.lashes`, kind: 'lashes' as const, place: 'house', by: by(makeup, 12), tail: 3 }]
          : []),
      ];
      return {
        id,
        name: `Person ${i + 1}`,
        role: star ? 'bride' : 'guest',
        from: 480 + 5 * pick(0, 8),
        readyBy,
        slack: star ? 20 : pick(0, 10),
        busy: random() < 0.2 ? [{ from: readyBy - 120, to: readyBy - 100, title: 'photographs' }] : [],
        weights: star
          ? { late: 4, short: 6, early: 2, wait: 1, fresh: 2 }
          : { late: pick(1, 2), short: 3, early: 1, wait: pick(1, 2) },
        ways: [
          {
            id: 'full',
            cost: 0,
            tasks,
            ...(withLashes ? { order: [{ first: `${id}.face`, then: `${id}.lashes` }] } : {}),
            ...(withHair ? { prefer: [{ first: `${id}.hair`, then: `${id}.face`, cost: 25 }] } : {}),
            ...(random() < 0.3 ? { likes: [{ task: `${id}.face`, worker: makeup[0]!.id, cost: 30 }] } : {}),
          },
          {
            id: 'light',
            cost: 200,
            relax: true,
            tasks: [face(id, 0, { by: by(makeup, 18), tail: 0 })],
          },
        ],
      };
    }),
    rounds:
      random() < 0.4
        ? [
            {
              id: 'r1',
              place: 'hall',
              from: Math.ceil(horizon / 5) * 5 + 90,
              to: Math.ceil(horizon / 5) * 5 + 140,
              by: { m1: 20 },
            },
          ]
        : [],
    star: { person: 'p1', firstCost: 80, lastCost: 80 },
  };
}
