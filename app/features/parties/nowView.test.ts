import {
  instantAt,
  newGuest,
  newPlan,
  runningDay,
  dayOfPlan,
  visitKey,
  type PartyPlan,
  type SeenVisit,
} from '@toile/core';
import { notOnList } from './BookedAside';
import {
  atHand,
  changeWords,
  dayStands,
  lateWords,
  standsWords,
  tellTexts,
  whenWords,
  bookedChart,
  withCharts,
} from './nowView';
import { learnedPace, learnedWords, paceOf, paceWords } from './paceWords';

const ZONE = 'Europe/Lisbon';
const DATE = '2031-06-14';
const start = newPlan('evening', { place: 'Hall', zone: ZONE, artist: 'Runa' });
const guest = (id: string, name: string, readyBy: number) =>
  newGuest(
    id,
    { name, role: 'guest', readyBy, faceMinutes: 40, hairMinutes: null },
    { ...start, hands: [{ ...start.hands[0]!, arrives: 500 }] },
  );
const hands = { ...start.hands[0]!, arrives: 500, setUp: 10, sanitise: 5 };
const plan: PartyPlan = {
  ...start,
  hands: [hands],
  guests: [guest('a', 'Ada', 600), guest('b', 'Be', 660)],
  timetable: {
    ways: { a: 'full', b: 'full' },
    visits: [
      { of: 'a', task: 'a.face', worker: hands.id, chair: 'chair-1', start: 540, minutes: 40 },
      { of: 'b', task: 'b.face', worker: hands.id, chair: 'chair-1', start: 590, minutes: 40 },
    ],
    boundLate: 0,
    boundCost: 0,
    proven: true,
  },
};
const running = (now: number, seen: Record<string, SeenVisit> = {}) =>
  runningDay(
    dayOfPlan({ id: 'p', date: DATE }, plan),
    plan.timetable!,
    new Map(Object.entries(seen).map(([of, one]) => [visitKey(of, `${of}.face`), one])),
    now,
  );
const began = (minute: number): SeenVisit => ({ began: minute, ended: null, left: null });

test.each([
  ['2031-06-13T22:59:59Z', 'before', -1],
  ['2031-06-13T23:00:00Z', 'on the day', 0],
  ['2031-06-15T01:59:59Z', 'on the day', 1619],
  ['2031-06-15T02:00:00Z', 'after', 1620],
])('%s is %s the day', (at, when, minute) =>
  expect(dayStands(plan, DATE, new Date(at))).toEqual({ when, minute }),
);
test('the day is the party’s own, wherever the phone is', () =>
  expect(dayStands({ zone: 'Pacific/Auckland' }, DATE, instantAt('Pacific/Auckland', DATE, 30)).minute).toBe(
    30,
  ));

test('in time it says so; behind, by how much; late, who', () => {
  expect(standsWords(plan, running(539))).toBe('Everything is in time.');
  expect(standsWords(plan, running(556, { a: began(555) }))).toBe(
    '15 min behind; everybody will still be ready in time.',
  );
  expect(standsWords(plan, running(580, { a: began(575) }))).toBe(
    'As things stand: Ada 17 min late, Be 2 min late.',
  );
});

test('each pair of hands has what runs, else what is next, and what comes after', () => {
  expect(atHand(plan, running(530))).toMatchObject([
    {
      name: 'Runa',
      doneCount: 0,
      count: 2,
      now: { state: 'to come', visit: { of: 'a' } },
      then: { visit: { of: 'b' } },
    },
  ]);
  expect(atHand(plan, running(545, { a: began(541) }))[0]!.now).toMatchObject({ state: 'under way' });
  const over = running(600, { a: { began: 540, ended: 580, left: null } });
  expect(atHand(plan, over)[0]).toMatchObject({
    doneCount: 1,
    now: { visit: { of: 'b' }, state: 'due' },
    then: null,
  });
  const done = running(640, {
    a: { began: 540, ended: 580, left: null },
    b: { began: 590, ended: 630, left: null },
  });
  expect(atHand(plan, done)[0]).toMatchObject({ doneCount: 2, now: null, then: null });
});

test('times are those that are to be expected, with how far behind', () => {
  const [a, b] = running(556, { a: began(550) }).visits;
  expect(whenWords(a!)).toBe('09:10 to about 09:50, 10 min behind');
  expect(whenWords(b!)).toBe('09:55 to about 10:35, 5 min behind');
  const [over] = running(600, { a: { began: 540, ended: 583, left: null } }).visits;
  expect(whenWords(over!)).toBe('09:00 to 09:43');
});

test('whom a change concerns is told where to be and by whom, instead of when; the rest is told nothing', () => {
  const two: PartyPlan = { ...plan, hands: [hands, { ...hands, id: 'h2', name: 'Teodor' }] };
  const before = plan.timetable!.visits[1]!;
  const after = { ...before, worker: 'h2', start: 620 };
  const change = { of: 'b', task: 'b.face', before, after, movedMinutes: 30, otherWorker: true };
  const proposal = { changes: [change], tell: ['b'] };
  expect(tellTexts(two, proposal)).toEqual([
    { to: 'Be', text: 'Be, your make-up is now at 10:20 instead of 09:50, with Teodor at Chair 1.' },
    { to: 'Runa', text: 'Runa: no longer Be, make-up.' },
    { to: 'Teodor', text: 'Teodor: Be, make-up, at 10:20.' },
  ]);
  expect(changeWords(two, proposal)).toEqual(['Be, make-up: 10:20 (was 09:50), by Teodor']);
  expect(tellTexts(two, { changes: [], tell: [] })).toEqual([]);
});

test('a proposal says who it leaves late', () => {
  const day = dayOfPlan({ id: 'p', date: DATE }, plan);
  const late = plan.timetable!.visits.map((visit) => (visit.of === 'b' ? { ...visit, start: 640 } : visit));
  expect(lateWords(plan, day, plan.timetable!)).toBe('Everybody in time.');
  expect(lateWords(plan, day, { ways: plan.timetable!.ways, visits: late })).toBe('Be 22 min late.');
});

test('a booked visit’s chart is its guest’s, unless the guest has one of their own', () => {
  const guests = [
    { ...plan.guests[0]!, clientId: 'ca' },
    { ...plan.guests[1]!, clientId: 'cb', chartId: 'own' },
  ];
  const visit = { clientId: 'ca', chartId: 'booked' };
  const party = { visits: [visit, { clientId: 'cb', chartId: 'other' }] } as unknown as Parameters<
    typeof withCharts
  >[0];
  expect(withCharts(party, { ...plan, guests }).guests.map((one) => one.chartId)).toEqual(['booked', 'own']);
});

test('a visit for the day goes before a trial for it, whichever was booked first; a cancelled one is none', () => {
  type Visits = Parameters<typeof bookedChart>[0]['visits'];
  const visit = (kind: string, chartId: string | null, state = 'booked') =>
    ({ clientId: 'ca', kind, chartId, state }) as unknown as Visits[number];
  const chartOf = (...visits: readonly Visits[number][]): string | null => bookedChart({ visits }, 'ca');
  const [trial, day] = [visit('trial', 'tried'), visit('wedding', 'worn')];
  expect([chartOf(trial, day), chartOf(day, trial)]).toEqual(['worn', 'worn']);
  expect([chartOf(trial), chartOf(trial, visit('wedding', null))]).toEqual(['tried', 'tried']);
  expect([chartOf(visit('wedding', 'worn', 'cancelled'), trial), chartOf()]).toEqual(['tried', null]);
  expect(bookedChart({ visits: [day] }, 'cb')).toBeNull();
});

test('who is booked for the day and not on the list is offered once; trials and what was cancelled are not', () => {
  type Visits = Parameters<typeof notOnList>[0];
  const visit = (id: string, clientId: string, kind = 'wedding', state = 'booked') =>
    ({ id, clientId, kind, state }) as unknown as Visits[number];
  const visits = [
    visit('1', 'a'),
    visit('2', 'b', 'trial'),
    visit('3', 'c', 'wedding', 'cancelled'),
    visit('4', 'd'),
    visit('5', 'd'),
    visit('6', 'e', 'wedding', 'asked'),
  ];
  expect(notOnList(visits, new Set(['a'])).map(({ id }) => id)).toEqual(['4', '6']);
});

describe('a pace learned', () => {
  const timed = (n: number, real: number) =>
    Array.from({ length: n }, () => ({
      worker: 'Runa',
      look: 'x',
      kind: 'guest',
      plannedMinutes: 40,
      realMinutes: real,
    }));
  test.each([
    [2, 60, null],
    [3, 60, 'roughly'],
    [9, 60, 'roughly'],
    [10, 60, 'timed: 2'],
  ])('of %i visits', (n, real, words) => {
    const learned = learnedPace(timed(n, real), 'Runa');
    if (words === null) expect(learned).toBeNull();
    else expect(learnedWords(learned!)).toContain(words);
  });
  test('stays within what a plan takes, whatever was told', () => {
    expect(paceOf({ factor: 9 })).toBe(2);
    expect(paceOf({ factor: 0.1 })).toBe(0.5);
    expect([paceWords(1), paceWords(1.13), paceWords(0.9)]).toEqual([
      'as planned',
      '13 % more than planned',
      '10 % less than planned',
    ]);
  });
  test('is by the name, and nobody else’s', () => expect(learnedPace(timed(12, 60), 'Teodor')).toBeNull());
});
