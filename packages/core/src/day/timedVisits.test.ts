import { instantAt } from '../calendar';
import { keyOf } from './laidOut';
import { learnMinutes } from './learnMinutes';
import { dayOfPlan, faceOf, hairOf, type Guest, type PartyPlan } from './party';
import { newGuest, newPlan } from './newPlan';
import type { PartyEvent } from './partyLog';
import { timedVisits } from './timedVisits';

const ZONE = 'Europe/Lisbon';
const DATE = '2031-06-14';
const start = newPlan('morning', { place: 'Quay House', zone: ZONE, artist: 'Runa' });
const guest: Guest = {
  ...newGuest('a', { name: 'Ada', role: 'close', readyBy: 720, faceMinutes: 40, hairMinutes: 30 }, start),
  lighterMinutes: 25,
};
const planWith = (way: string, more: Partial<PartyPlan> = {}): PartyPlan => ({
  ...start,
  guests: [guest],
  timetable: {
    ways: { a: way },
    visits: [
      { of: 'a', task: hairOf(guest), worker: 'hair-1', chair: 'hair-chair-1', start: 480, minutes: 30 },
      { of: 'a', task: faceOf(guest), worker: 'hands-1', chair: 'chair-1', start: 540, minutes: 44 },
    ],
    boundLate: 0,
    boundCost: 0,
    proven: true,
  },
  ...more,
});
let n = 0;
const told = (kind: PartyEvent['kind'], task: string, minute: number): PartyEvent => ({
  id: `0190a000-0000-7000-8000-${String(n++).padStart(12, '0')}`,
  kind,
  item: keyOf('a', task),
  at: instantAt(ZONE, DATE, minute).toISOString(),
  by: 'Runa',
});
const face = (from: number, to: number) => [
  told('began', faceOf(guest), from),
  told('ended', faceOf(guest), to),
];

test('what was planned is what the chart asks, before any pace; what was really needed is by the party’s clock', () => {
  const [one, ...others] = timedVisits({ date: DATE }, planWith('full'), face(545, 593), '2031-06-24');
  expect(others).toEqual([]);
  expect(one).toEqual({
    person: 'Ada',
    what: 'face',
    worker: 'Runa',
    look: 'no look',
    kind: 'close',
    plannedMinutes: 40,
    realMinutes: 48,
    age: 10,
    began: 545,
    ended: 593,
  });
});

test.each<[string, PartyPlan, PartyEvent[], (number | undefined)[]]>([
  ['a lighter look is held against its own minutes', planWith('light'), face(545, 570), [25]],
  [
    'hair against hair',
    planWith('full'),
    [told('began', hairOf(guest), 480), told('ended', hairOf(guest), 515)],
    [30],
  ],
  ['only begun', planWith('full'), [told('began', faceOf(guest), 545)], []],
  ['only ended', planWith('full'), [told('ended', faceOf(guest), 590)], []],
  ['ended before it began', planWith('full'), face(590, 545), []],
  ['taken back', planWith('full'), [...face(545, 590), told('undone', faceOf(guest), 591)], []],
  ['no timetable', { ...planWith('full'), timetable: null }, face(545, 590), []],
  ['hands that are no longer there', { ...planWith('full'), hands: [] }, face(545, 590), []],
])('%s', (_, plan, events, planned) =>
  expect(timedVisits({ date: DATE }, plan, events, DATE).map((one) => one.plannedMinutes)).toEqual(planned),
);

test('what is learned and taken over is what the next day plans with, and nobody else is touched', () => {
  const timed = Array.from({ length: 12 }, () => ({
    worker: 'Runa',
    look: 'no look',
    kind: 'guest',
    plannedMinutes: 40,
    realMinutes: 48,
  }));
  const { factor } = learnMinutes(timed)({ worker: 'Runa', look: '', kind: '' });
  expect(factor).toBeGreaterThan(1.05);
  expect(factor).toBeLessThan(1.2);
  const pace = Math.round(factor * 100) / 100;
  const hands = start.hands.map((one) => (one.name === 'Runa' ? { ...one, pace } : one));
  const day = dayOfPlan({ id: 'p', date: DATE }, planWith('full', { hands, timetable: null }));
  const tasks = day.people[0]!.ways[0]!.tasks;
  expect(tasks.find((task) => task.kind === 'makeup')!.by).toEqual({ 'hands-1': Math.round(40 * pace) });
  expect(tasks.find((task) => task.kind === 'hair')!.by).toEqual({ 'hair-1': 30 });
});

test('whom waiting is hard for weighs more, and is made up where they are', () => {
  const places = [...start.places, { id: 'mill', name: 'Mill' }];
  const plain = dayOfPlan({ id: 'p', date: DATE }, planWith('full', { places }));
  const hard = dayOfPlan(
    { id: 'p', date: DATE },
    planWith('full', { places, guests: [{ ...guest, cannotWait: true, place: 'mill' }] }),
  );
  const nowhere = dayOfPlan(
    { id: 'p', date: DATE },
    planWith('full', { guests: [{ ...guest, place: 'gone' }] }),
  );
  expect(hard.people[0]!.weights.wait).toBeGreaterThan(plain.people[0]!.weights.wait);
  expect(hard.people[0]!.weights.late).toBe(plain.people[0]!.weights.late);
  expect(hard.people[0]!.ways[0]!.tasks.map((task) => task.place)).toEqual(['mill', 'mill']);
  expect(nowhere.people[0]!.ways[0]!.tasks[0]!.place).toBe(start.places[0]!.id);
});
