import { causesOf, drop, wordsFor, type DayCause } from './causes';
import {
  changedDay,
  changeWords,
  doesKind,
  isNobodyYet,
  movedEarlier,
  ONE_MORE,
  priceOf,
  SOME_STYLIST,
  type DayChange,
} from './changes';
import { smallDay } from './day.testing';
import type { PartyDay } from './instance';

/** A morning with one of everything that may stand in the way. */
const small = smallDay({
  worker: {
    lunch: { minutes: 20, from: 700, to: 800 },
    away: [
      { from: 520, to: 540, title: 'the van' },
      { from: 520, to: 530, title: 'a call' },
    ],
  },
  a: {
    readyBy: 620,
    busy: [
      { from: 560, to: 570, title: 'photographs' },
      { from: 580, to: 590, title: 'a toast' },
    ],
  },
});
const both: PartyDay = {
  ...small,
  workers: [...small.workers, { ...small.workers[0]!, id: 'm2', name: 'Sol', lunch: null, away: [] }],
  chairs: [...small.chairs, { id: 'h1', place: 'house', kind: 'hair' }],
  // Anybody may do b; a is Runa's alone.
  people: small.people.map((person) =>
    person.id === 'b'
      ? {
          ...person,
          ways: [
            ...person.ways.map((way) => ({
              ...way,
              tasks: way.tasks.map((task) => ({ ...task, by: { m1: 30, m2: 35 } })),
            })),
            {
              id: 'lighter',
              cost: 200,
              relax: true as const,
              tasks: [{ ...person.ways[0]!.tasks[0]!, by: { m1: 15, m2: 15 } }],
            },
          ],
        }
      : person,
  ),
};
const EVERY: readonly (readonly [DayCause, string])[] = [
  [{ kind: 'lunch', worker: 'm1' }, 'Runa eats'],
  [{ kind: 'away', worker: 'm1', title: 'the van', from: 520 }, 'Runa is away from 08:40: the van'],
  [{ kind: 'away', worker: 'm1', title: 'a call', from: 520 }, 'Runa is away from 08:40: a call'],
  [{ kind: 'appointment', person: 'a', title: 'photographs', from: 560 }, 'A has photographs at 09:20'],
  [{ kind: 'appointment', person: 'a', title: 'a toast', from: 580 }, 'A has a toast at 09:40'],
  [{ kind: 'chair', place: 'house', chair: 'makeup' }, 'there is one make-up chair at House'],
  [{ kind: 'chair', place: 'house', chair: 'hair' }, 'there is one hair chair at House'],
  // The latest first.
  [{ kind: 'readyBy', person: 'a' }, 'A is to be ready at 10:20'],
  [{ kind: 'readyBy', person: 'b' }, 'B is to be ready at 10:00'],
  [{ kind: 'named', person: 'a', task: 'a.face', worker: 'm1' }, 'only Runa may do A'],
];

test('everything that may be in the way is found, in words', () => {
  expect(causesOf(both)).toEqual(EVERY.map(([cause]) => cause));
  expect(EVERY.map(([cause]) => wordsFor(both, cause))).toEqual(EVERY.map(([, words]) => words));
  // Alone nobody is kept from anybody: there is nobody else.
  expect(causesOf(small).some(({ kind }) => kind === 'named')).toBe(false);
});

test.each(EVERY.filter(([{ kind }]) => kind !== 'readyBy' && kind !== 'chair'))(
  'without %j everything else stands in the way as before',
  (cause) => {
    expect(causesOf(drop(both, cause))).toEqual(
      causesOf(both).filter((one) => wordsFor(both, one) !== wordsFor(both, cause)),
    );
  },
);

test('without a hour to be ready by, being late weighs nothing; without want of chairs each has one', () => {
  const freed = drop(both, { kind: 'readyBy', person: 'a' });
  expect(freed.people.map(({ weights }) => weights.late)).toEqual([0, 1]);
  expect(freed.people.map(({ weights }) => weights.short)).toEqual([3, 3]);
  const seats = drop(both, { kind: 'chair', place: 'house', chair: 'makeup' });
  expect(seats.chairs.filter(({ kind }) => kind === 'makeup')).toHaveLength(3);
  expect(seats.chairs.filter(({ kind }) => kind === 'hair')).toHaveLength(1);
  expect(wordsFor(seats, { kind: 'chair', place: 'house', chair: 'makeup' })).toBe(
    'there are 3 make-up chairs at House',
  );
});

test('what only one may do is opened to whoever does such work, as quick as the slowest', () => {
  const opened = drop(both, { kind: 'named', person: 'a', task: 'a.face', worker: 'm1' });
  expect(opened.people[0]!.ways[0]!.tasks[0]!.by).toEqual({ m1: 40, m2: 40 });
  expect(opened.people[1]).toEqual(both.people[1]);
});

describe('what can be done about it', () => {
  const CHANGES: readonly (readonly [DayChange, number, string])[] = [
    [{ kind: 'earlier', minutes: 30 }, 200, 'Begin 30 minutes earlier'],
    [{ kind: 'later', person: 'a', minutes: 10 }, 60, 'A ready at 10:30'],
    [{ kind: 'lighter', person: 'b', way: 'lighter' }, 200, 'B: a lighter look'],
    [{ kind: 'chair', place: 'house', chair: 'hair' }, 60, 'One more hair chair at House'],
    [{ kind: 'hands', does: 'makeup' }, 400, 'One more artist'],
    [{ kind: 'hands', does: 'hair' }, 400, 'One more hair stylist'],
  ];
  test.each(CHANGES)('%j costs %d: %s', (change, price, words) => {
    expect(priceOf(both, change)).toBe(price);
    expect(changeWords(both, change)).toBe(words);
  });

  test('who is late weighs by who it is', () => {
    const star = {
      ...both,
      people: both.people.map((one) => ({ ...one, weights: { ...one.weights, late: 4 } })),
    };
    expect(priceOf(star, { kind: 'later', person: 'a', minutes: 10 })).toBe(240);
    expect(priceOf(star, { kind: 'later', person: 'nobody', minutes: 10 })).toBe(60);
  });

  test('each changes just what it says', () => {
    const later = changedDay(both, { kind: 'later', person: 'a', minutes: 10 });
    expect(later).toEqual({ ...both, people: [{ ...both.people[0]!, readyBy: 630 }, both.people[1]!] });
    const lighter = changedDay(both, { kind: 'lighter', person: 'b', way: 'lighter' });
    expect(lighter).toEqual({ ...both, relaxed: ['b/lighter'] });
    expect(changedDay(lighter, { kind: 'lighter', person: 'b', way: 'lighter' })).toEqual(lighter);
    const chair = changedDay(both, { kind: 'chair', place: 'house', chair: 'hair' });
    expect(chair.chairs.slice(0, 2)).toEqual(both.chairs);
    expect(chair.chairs[2]).toMatchObject({ place: 'house', kind: 'hair' });
    expect(new Set(chair.chairs.map(({ id }) => id)).size).toBe(3);
  });

  test('one more pair of hands does what such hands do, as quick as the slowest, on a chair of its own', () => {
    const more = changedDay(both, { kind: 'hands', does: 'makeup' });
    const [, , added] = more.workers;
    expect(added).toMatchObject({ name: 'One more artist', at: 'house', arrives: 480 });
    expect(more.people.map(({ ways }) => ways[0]!.tasks[0]!.by[added!.id])).toEqual([40, 35]);
    expect(more.chairs.filter(({ kind }) => kind === 'makeup')).toHaveLength(2);
    expect(doesKind(more, added!, 'makeup')).toBe(true);
    expect(doesKind(more, added!, 'hair')).toBe(false);
    // Nobody does hair here: there is nobody to be like.
    expect(changedDay(both, { kind: 'hands', does: 'hair' })).toEqual(both);
  });
});

test('earlier: whoever comes first or with one of the hands comes earlier too, a ferry as it goes', () => {
  const workers = [
    { arrives: 480, at: 'house' },
    { arrives: 500, at: 'island' },
    { arrives: 540, at: 'house' },
  ];
  const people = [{ from: 470 }, { from: 480 }, { from: 500 }, { from: 540 }, { from: 545 }];
  const ferry = [{ to: 'island', departures: [500] }];
  expect(movedEarlier(workers, people, ferry, 30)).toEqual({
    workers: [
      { arrives: 450, at: 'house' },
      { arrives: 500, at: 'island' },
      { arrives: 510, at: 'house' },
    ],
    people: [{ from: 440 }, { from: 450 }, { from: 500 }, { from: 510 }, { from: 545 }],
  });
  // Without a ferry all hands move, and nothing begins before midnight.
  const early = movedEarlier(workers, people, [], 490);
  expect(early.workers.map(({ arrives }) => arrives)).toEqual([0, 10, 50]);
  expect(early.people.map(({ from }) => from)).toEqual([0, 0, 10, 50, 545]);
});

test('hands that nobody named yet are anybody', () => {
  for (const name of [SOME_STYLIST, ...Object.values(ONE_MORE)]) expect(isNobodyYet(name)).toBe(true);
  for (const name of ['Runa', '', 'One more']) expect(isNobodyYet(name)).toBe(false);
});

test('of several ways to do somebody each is told by what it leaves out', () => {
  const hair = { ...both.people[0]!.ways[0]!.tasks[0]!, id: 'a.hair', kind: 'hair' as const };
  const [usual] = both.people[0]!.ways;
  const day: PartyDay = {
    ...both,
    people: both.people.map((person) =>
      person.id === 'a'
        ? {
            ...person,
            ways: [
              { ...usual!, tasks: [...usual!.tasks, hair] },
              { ...usual!, id: 'lighter', relax: true as const, tasks: [...usual!.tasks, hair] },
              { ...usual!, id: 'no hair', relax: true as const },
              { ...usual!, id: 'least', relax: true as const, tasks: [] },
            ],
          }
        : person,
    ),
  };
  const told = ['lighter', 'no hair', 'least'].map((way) =>
    changeWords(day, { kind: 'lighter', person: 'a', way }),
  );
  expect(told).toEqual(['A: a lighter look', 'A: no hair', 'A: no hair']);
  expect(changeWords(day, { kind: 'lighter', person: 'b', way: 'lighter' })).toBe('B: a lighter look');
  expect(changeWords(day, { kind: 'lighter', person: 'nobody', way: 'lighter' })).toBe('nobody: lighter');
});
