import { seededRandom } from '../math';
import { MORNINGS, randomDay } from './day.testing';
import {
  checkDay,
  compareObjectives,
  judgeDay,
  planDay,
  type PartyDay,
  type DayRule as Rule,
  type Visit,
} from '.';

const plain: PartyDay = {
  format: 'toile.day/1',
  id: 'judged',
  date: '2027-06-12',
  zone: 'Europe/Lisbon',
  grid: 5,
  places: [
    { id: 'house', name: 'House' },
    { id: 'hall', name: 'Hall' },
  ],
  travel: [{ from: 'house', to: 'hall', minutes: 20, pack: 10, unpack: 5, departures: [600, 700] }],
  workers: [
    {
      id: 'm1',
      name: 'Runa',
      arrives: 480,
      at: 'house',
      setUp: 20,
      packUp: 15,
      leaves: 760,
      sanitise: 5,
      maxWork: 90,
      rest: 15,
      lunch: { minutes: 30, from: 600, to: 720 },
    },
    {
      id: 'h1',
      name: 'Lamorna',
      arrives: 480,
      at: 'house',
      setUp: 10,
      packUp: 0,
      leaves: null,
      sanitise: 5,
      maxWork: null,
      rest: 0,
      lunch: null,
    },
  ],
  chairs: [
    { id: 'c1', place: 'house', kind: 'makeup' },
    { id: 'hc', place: 'house', kind: 'hair' },
    { id: 'c2', place: 'hall', kind: 'makeup' },
  ],
  chairWipe: 5,
  people: [
    {
      id: 'a',
      name: 'Ada',
      role: 'guest',
      from: 490,
      readyBy: 640,
      slack: 10,
      busy: [{ from: 585, to: 595, title: 'photographs' }],
      weights: { late: 1, short: 3, early: 1, wait: 1 },
      ways: [
        {
          id: 'full',
          cost: 0,
          order: [{ first: 'a.hair', then: 'a.face' }],
          tasks: [
            { id: 'a.hair', kind: 'hair', place: 'house', by: { h1: 30 }, tail: 0 },
            {
              id: 'a.face',
              kind: 'makeup',
              place: 'house',
              by: { m1: 40 },
              tail: 3,
              holds: true,
              from: 500,
              to: 620,
            },
          ],
        },
        {
          id: 'light',
          cost: 200,
          relax: true,
          tasks: [{ id: 'a.face', kind: 'makeup', place: 'house', by: { m1: 20 }, tail: 0 }],
        },
      ],
    },
    {
      id: 'b',
      name: 'Be',
      role: 'guest',
      from: 490,
      readyBy: 700,
      slack: 10,
      busy: [],
      weights: { late: 1, short: 3, early: 1, wait: 1 },
      ways: [
        {
          id: 'full',
          cost: 0,
          tasks: [{ id: 'b.face', kind: 'makeup', place: 'house', by: { m1: 30 }, tail: 0 }],
        },
      ],
    },
  ],
  rounds: [{ id: 'r', place: 'hall', from: 720, to: 760, by: { m1: 20 } }],
  star: null,
};
const ways = { a: 'full', b: 'full' };
const visits: readonly Visit[] = [
  { of: 'a', task: 'a.hair', worker: 'h1', chair: 'hc', start: 490, minutes: 30 },
  { of: 'a', task: 'a.face', worker: 'm1', chair: 'c1', start: 525, minutes: 40 },
  { of: 'b', task: 'b.face', worker: 'm1', chair: 'c1', start: 575, minutes: 30 },
  { of: 'r', task: 'r', worker: 'm1', chair: null, start: 725, minutes: 20 },
];
const changed = (task: string, change: Partial<Visit>): Visit[] =>
  visits.map((visit) => (visit.task === task ? { ...visit, ...change } : visit));
const rulesOf = (day: PartyDay, list: readonly Visit[], by: Record<string, string> = ways): Rule[] => [
  ...new Set(judgeDay(day, { ways: by, visits: list }).conflicts.map((conflict) => conflict.rule)),
];
const worker = (change: Partial<PartyDay['workers'][number]>): PartyDay => ({
  ...plain,
  workers: plain.workers.map((one) => (one.id === 'm1' ? { ...one, ...change } : one)),
});

test('the plain timetable keeps every rule', () => expect(rulesOf(plain, visits)).toEqual([]));

const BROKEN: readonly [string, Rule, PartyDay, readonly Visit[], Record<string, string>?][] = [
  ['a visit twice', 'once', plain, [...visits, visits[0]!]],
  ['a visit missing', 'once', plain, visits.slice(1)],
  ['a round missing', 'once', plain, visits.slice(0, 3)],
  ['a stranger at work', 'worker', plain, changed('b.face', { worker: 'x' })],
  ['a task nobody has', 'task', plain, [...visits, { ...visits[0]!, task: 'a.nails' }]],
  ['a person nobody knows', 'person', plain, [...visits, { ...visits[0]!, of: 'x' }]],
  ['no way chosen', 'way', plain, visits.slice(2), { b: 'full' }],
  [
    'a way out nobody accepted',
    'relaxed',
    plain,
    changed('a.face', { minutes: 20 }).slice(1),
    { a: 'light', b: 'full' },
  ],
  ['hands that may not', 'skill', plain, changed('b.face', { worker: 'h1' })],
  ['minutes that are not theirs', 'minutes', plain, changed('b.face', { minutes: 29 })],
  ['a start between the grid', 'grid', plain, changed('b.face', { start: 576 })],
  ['a start in the past', 'now', { ...plain, now: 500 }, visits],
  [
    'a visit not where it is held',
    'pinned',
    { ...plain, pinned: [{ of: 'b', task: 'b.face', worker: 'm1', start: 580 }] },
    visits,
  ],
  ['before she is there', 'from', plain, changed('a.hair', { start: 485 })],
  ['before a task may', 'window', plain, [{ ...visits[1]!, start: 495 }, ...visits.slice(2)]],
  ['after a task may', 'window', plain, changed('a.face', { start: 580 })],
  ['into an appointment', 'appointment', plain, changed('a.face', { start: 545 })],
  ['two at one head', 'head', plain, changed('a.hair', { start: 500 })],
  ['face before hair', 'order', plain, changed('a.hair', { start: 600 })],
  ['before setting up is done', 'arrival', { ...plain, workers: worker({ setUp: 60 }).workers }, visits],
  ['without cleaning between', 'hands', plain, changed('b.face', { start: 565 })],
  [
    'without the way there',
    'travel',
    plain,
    changed('r', { start: 720 }).map((v) => (v.task === 'b.face' ? { ...v, start: 665 } : v)),
  ],
  ['too long on end', 'maxWork', worker({ maxWork: 79 }), visits],
  ['no lunch', 'lunch', worker({ lunch: { minutes: 30, from: 560, to: 610 } }), visits],
  ['packing after leaving', 'leaves', worker({ leaves: 759 }), visits],
  ['a chair of another kind', 'chair', plain, changed('b.face', { chair: 'hc' })],
  ['a chair elsewhere', 'chair', plain, changed('b.face', { chair: 'c2' })],
  ['no chair', 'chair', plain, changed('b.face', { chair: null })],
  // It dries in the chair for three minutes and is wiped for five: 525 + 40 + 3 + 5 is 573.
  [
    'a chair not yet wiped',
    'chair',
    { ...plain, workers: worker({ sanitise: 0 }).workers },
    changed('b.face', { start: 570 }),
  ],
];
test.each(BROKEN.map(([what, rule, day, list, by = ways]) => [what, rule, day, list, by] as const))(
  '%s',
  (_, rule, day, list, by) => expect(rulesOf(day, list, by)).toContain(rule),
);

test.each<[string, PartyDay, readonly Visit[]]>([
  ['ninety minutes on end may be eighty', worker({ maxWork: 80 }), visits],
  ['packed to the minute', worker({ leaves: 760 }), visits],
  ['lunch to the minute', worker({ lunch: { minutes: 30, from: 610, to: 640 } }), visits],
  ['cleaned to the minute', plain, changed('b.face', { start: 575 })],
  ['held where it is', { ...plain, pinned: [{ of: 'b', task: 'b.face', worker: 'm1', start: 575 }] }, visits],
  ['now, and not before', { ...plain, now: 490 }, visits],
  ['a way out that was accepted', { ...plain, relaxed: ['a/light'] }, visits],
])('on the near side of its border nothing is said: %s', (_, day, list) =>
  expect(rulesOf(day, list)).toEqual([]),
);

test('points are those of the rule book: late, slack eaten, early, waiting, wishes', () => {
  const fares = judgeDay(plain, { ways, visits }).people;
  expect(fares.a).toMatchObject({
    first: 490,
    ready: 568,
    lateMinutes: 0,
    shortMinutes: 0,
    earlyMinutes: 62,
    waitMinutes: 5,
  });
  expect(fares.b).toMatchObject({ first: 575, ready: 605, earlyMinutes: 85, waitMinutes: 0 });
  const late = judgeDay(plain, { ways, visits: changed('b.face', { start: 695 }) }).people.b!;
  expect(late).toMatchObject({ ready: 725, lateMinutes: 25, shortMinutes: 10, earlyMinutes: 0 });
});

test('a timetable that was planned and then spoiled is never as good and without a conflict', () => {
  const random = seededRandom(9);
  for (const day of [...MORNINGS.slice(0, 4).map((one) => one.day), randomDay(seededRandom(3), 6)]) {
    const answer = planDay(day, { work: 120 });
    for (let i = 0; i < 60; i++) {
      const at = Math.floor(random() * answer.visits.length);
      const by = (1 + Math.floor(random() * 6)) * (random() < 0.5 ? -1 : 1) * day.grid;
      const spoiled = answer.visits.map((visit, k) =>
        k === at ? { ...visit, start: visit.start + by } : visit,
      );
      const judged = judgeDay(day, { ways: answer.ways, visits: spoiled });
      if (judged.conflicts.length > 0 || !answer.proof.proven) continue;
      expect(compareObjectives(judged.objective, answer.objective)).toBeGreaterThanOrEqual(0);
    }
  }
});

test.each<[string, (day: PartyDay) => PartyDay, string]>([
  ['a raster of none', (d) => ({ ...d, grid: 0 }), 'raster'],
  ['somebody twice', (d) => ({ ...d, people: [...d.people, d.people[0]!] }), 'a is there twice'],
  ['nobody at all', (d) => ({ ...d, people: [], rounds: [] }), 'Nobody is to be made up yet'],
  ['hands twice', (d) => ({ ...d, workers: [...d.workers, d.workers[0]!] }), 'm1 is there twice'],
  ['a chair twice', (d) => ({ ...d, chairs: [...d.chairs, d.chairs[0]!] }), ' is there twice'],
  [
    'chairs for anything beside others',
    (d) => ({ ...d, chairs: [...d.chairs, { id: 'x', place: 'house', kind: 'any' }] }),
    'either every chair',
  ],
  ['a chair nowhere', (d) => ({ ...d, chairs: [{ id: 'x', place: 'moon', kind: 'hair' }] }), 'no place moon'],
  [
    'a rest between the grid',
    (d) => ({ ...d, workers: d.workers.map((w) => ({ ...w, maxWork: 90, rest: 7 })) }),
    'rest is a multiple of 5',
  ],
  [
    'a lunch that does not fit',
    (d) => ({ ...d, workers: d.workers.map((w) => ({ ...w, lunch: { minutes: 60, from: 600, to: 650 } })) }),
    'does not fit its window',
  ],
  [
    'ready before coming',
    (d) => ({ ...d, people: d.people.map((p) => ({ ...p, readyBy: p.from })) }),
    'before arriving',
  ],
  [
    'nothing to be done',
    (d) => ({ ...d, people: d.people.map((p) => ({ ...p, ways: [{ id: 'full', cost: 0, tasks: [] }] })) }),
    'nothing to be done',
  ],
  [
    'longer than anybody works on end',
    (d) => ({ ...d, workers: d.workers.map((w) => ({ ...w, maxWork: 39, rest: 15 })) }),
    'longer than Runa works',
  ],
  ['a stranger', (d) => ({ ...d, workers: d.workers.slice(1) }), 'nobody called m1'],
])('unfit to be planned: %s', (_, spoil, words) => {
  expect(checkDay(plain)).toEqual([]);
  expect(
    checkDay(spoil(plain))
      .map((one) => one.message)
      .join(' '),
  ).toContain(words);
});
