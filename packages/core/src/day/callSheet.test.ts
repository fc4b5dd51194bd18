import fc from 'fast-check';
import { callSheet } from './callSheet';
import { faceOf, hairOf, type Guest, type PartyPlan } from './party';
import type { Visit } from './instance';
import { newGuest, newPlan, planAnew } from './newPlan';
import { sheetInManner, type SheetFor } from './sheet';

const start = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });
const guest = (id: string, change: Partial<Guest> = {}): Guest => ({
  ...newGuest(
    id,
    { name: `Guest ${id}`, role: 'guest', readyBy: 720, faceMinutes: 40, hairMinutes: 30 },
    start,
  ),
  notes: `SECRET health of ${id}`,
  ...change,
});
const a = guest('a', { busy: [{ from: 660, to: 680, title: 'photographs' }] });
const b = guest('b');
const visit = (of: Guest, hair: boolean, at: number) => ({
  of: of.id,
  task: hair ? hairOf(of) : faceOf(of),
  worker: hair ? 'hair-1' : 'hands-1',
  chair: hair ? 'hair-chair-1' : 'chair-1',
  start: at,
  minutes: hair ? 30 : 40,
});
const plan: PartyPlan = {
  ...start,
  guests: [a, b],
  timetable: {
    ways: { a: 'full', b: 'full' },
    visits: [visit(a, true, 480), visit(a, false, 540), visit(b, false, 600), visit(b, true, 645)],
    boundLate: 0,
    boundCost: 0,
    proven: true,
  },
};
const party = { name: 'Quay wedding', date: '2031-06-14' };

test('a person is told where to be five minutes before, every visit, the waits and what else there is, times first', () => {
  const sheet = callSheet(party, plan, { kind: 'person', id: 'a' })!;
  expect(sheet.lead).toEqual(['Be at Hair chair 1, Quay House at 07:55.', 'Ready by 12:00.']);
  expect(sheet.parts[0]!.rows.map(({ time, what }) => [time, what])).toEqual([
    ['08:00', 'Hair'],
    ['08:30', '30 minutes free'],
    ['09:00', 'Make-up'],
    ['11:00', 'photographs'],
  ]);
  expect(sheet.foot.join()).toContain('no oil');
});

test('a pair of hands is told when to be there, each face with its look, and when to pack', () => {
  const sheet = callSheet(
    party,
    plan,
    { kind: 'hands', id: 'hands-1' },
    new Map([['a', 'Harbour Morning']]),
  )!;
  expect(sheet.parts[0]!.rows.map(({ time, what }) => [time, what])).toEqual([
    ['07:30', 'Arrives'],
    ['09:00', 'Guest a, make-up'],
    ['09:40', '15 minutes free'],
    ['10:00', 'Guest b, make-up'],
    ['10:40', 'Packs up'],
  ]);
  expect(sheet.parts[0]!.rows[1]!.detail).toBe('until 09:40 · Chair 1, Quay House · Harbour Morning');
});

test('the whole has every visit under its hands, under its chair where that tells more, and when each is ready', () => {
  const told = (visits: readonly Visit[]) => {
    const day = { ...plan, timetable: { ...plan.timetable!, visits: [...visits] } };
    const { parts } = callSheet(party, day, { kind: 'whole' })!;
    return Object.fromEntries(parts.map(({ title, rows }) => [title, rows.map(({ what }) => what)]));
  };
  const { visits } = plan.timetable!;
  // One pair of hands at each chair: its morning is theirs.
  expect(Object.keys(told(visits))).toEqual(['Runa', 'Hair stylist', 'Ready by']);
  // One pair at two chairs: each chair has a morning of its own.
  const moved = told(visits.map((one, i) => (i === 2 ? { ...one, chair: 'chair-2' } : one)));
  expect(moved['Chair 1']).toEqual(['Guest a, make-up']);
  expect(moved['Chair 2']).toEqual(['Guest b, make-up']);
  expect(moved['Hair chair 1']).toBeUndefined();
  // Two pairs at one chair.
  const shared = told(visits.map((one) => ({ ...one, chair: 'chair-1' })));
  expect(shared['Chair 1']).toEqual([
    'Guest a, hair',
    'Guest a, make-up',
    'Guest b, make-up',
    'Guest b, hair',
  ]);
  const sheet = callSheet(party, plan, { kind: 'whole' })!;
  expect(sheet.parts.at(-1)!.rows).toEqual([
    { time: '12:00', what: 'Guest a', detail: 'done 09:40' },
    { time: '12:00', what: 'Guest b', detail: 'done 11:15' },
  ]);
});

test('nobody who is not there has one, and nobody before there is a timetable', () => {
  expect(callSheet(party, plan, { kind: 'person', id: 'c' })).toBeNull();
  expect(callSheet(party, plan, { kind: 'hands', id: 'c' })).toBeNull();
  expect(callSheet(party, { ...plan, timetable: null }, { kind: 'whole' })).toBeNull();
});

test('no sheet ever says a note, whoever it is for; a person’s names nobody else', () => {
  const whom = fc.constantFrom<SheetFor>(
    { kind: 'whole' },
    ...plan.hands.map(({ id }): SheetFor => ({ kind: 'hands', id })),
    ...plan.guests.map(({ id }): SheetFor => ({ kind: 'person', id })),
  );
  fc.assert(
    fc.property(whom, (one) => {
      const text = JSON.stringify(callSheet(party, plan, one));
      expect(text).not.toContain('SECRET');
      if (one.kind === 'person')
        for (const other of plan.guests.filter(({ id }) => id !== one.id))
          expect(text).not.toContain(other.name);
    }),
  );
});

test('made again for another date: who and how long stay, the day’s own goes', () => {
  const old: PartyPlan = {
    ...plan,
    guests: [{ ...a, chartId: 'chart' }, b],
    held: [{ of: 'a', task: faceOf(a), worker: 'hands-1', start: 540 }],
    relaxed: ['b/light'],
    runUp: ['pack'],
    lastShop: '2031-06-13',
    noShop: true,
  };
  const anew = planAnew(old, '2032-06-12');
  expect(anew).toMatchObject({ held: [], relaxed: [], timetable: null, noShop: true, hands: plan.hands });
  expect(anew.guests.map(({ name, chartId }) => [name, chartId])).toEqual([
    ['Guest a', null],
    ['Guest b', null],
  ]);
  expect(anew).not.toHaveProperty('runUp');
  expect(anew).not.toHaveProperty('lastShop');
});

test('as a studio tells hours every one of a sheet is told, and nothing else of it changes', () => {
  const sheet = callSheet(party, plan, { kind: 'whole' })!;
  expect(sheetInManner(sheet, '24 hours')).toEqual(sheet);
  const told = sheetInManner(sheet, '12 hours');
  const hour = /(?<![\d:])([01]\d|2[0-3]):[0-5]\d(?![\d:])/;
  const words = JSON.stringify(told).replace(/\b\d{1,2}:\d\d (am|pm)/g, '');
  expect(words).not.toMatch(hour);
  expect(JSON.stringify(sheet)).toMatch(hour);
  expect(told.parts.map(({ rows }) => rows.length)).toEqual(sheet.parts.map(({ rows }) => rows.length));
});

test('a round of touch-ups says what each face asks that was done by then, by how long it was worn', () => {
  const round = { id: 'r', place: start.places[0]!.id, from: 610, to: 700, minutes: 20, by: ['hands-1'] };
  const withRound: PartyPlan = {
    ...plan,
    rounds: [round],
    timetable: {
      ...plan.timetable!,
      visits: [
        ...plan.timetable!.visits,
        { of: 'r', task: 'r', worker: 'hands-1', chair: null, start: 640, minutes: 20 },
      ],
    },
  };
  const asked: (readonly [string, number])[] = [];
  const due = (id: string, hours: number): readonly string[] => {
    asked.push([id, hours]);
    return id === 'a' ? ['Nose: blot.', 'Mouth: blot.'] : [];
  };
  const sheet = callSheet(party, withRound, { kind: 'hands', id: 'hands-1' }, new Map(), due)!;
  expect(sheet.parts.at(-1)).toEqual({
    title: 'Touch-ups at 10:40',
    rows: [{ time: '', what: 'Guest a', detail: 'Nose: blot. Mouth: blot.' }],
  });
  // a was done at 09:40, b at 10:40: not before the round.
  expect(asked).toEqual([['a', 1]]);
  const hair = callSheet(party, withRound, { kind: 'hands', id: 'hair-1' }, new Map(), due)!;
  expect(hair.parts).toHaveLength(1);
  const whole = callSheet(party, withRound, { kind: 'whole' }, new Map(), due)!;
  expect(whole.parts.map(({ title }) => title)).toContain('Touch-ups at 10:40');
  // Somebody's own sheet has nobody else's.
  expect(
    JSON.stringify(callSheet(party, withRound, { kind: 'person', id: 'b' }, new Map(), due)),
  ).not.toContain('Guest a');
});

test('breaks stand in their place: what hands are away for on their own sheet alone, lunch with its window', () => {
  const away = [{ from: 585, to: 600, title: 'fetch a child' }];
  const lunch = { minutes: 30, from: 690, to: 840 };
  const withBreaks = {
    ...plan,
    hands: plan.hands.map((one) => (one.id === 'hands-1' ? { ...one, away, lunch } : one)),
  };
  const own = callSheet(party, withBreaks, { kind: 'hands', id: 'hands-1' })!;
  const rows = own.parts[0]!.rows.map(({ time, what, detail }) => [time, what, detail]);
  expect(rows.slice(1, 5).map(([time, what]) => [time, what])).toEqual([
    ['09:00', 'Guest a, make-up'],
    ['09:45', 'fetch a child'],
    ['10:00', 'Guest b, make-up'],
    ['11:30', 'Lunch'],
  ]);
  expect(rows[4]![2]).toBe('30 min, until 14:00 at the latest');
  const whole = JSON.stringify(callSheet(party, withBreaks, { kind: 'whole' }));
  expect(whole).not.toContain('fetch a child');
  expect(whole).toContain('"Away"');
});

describe('a person’s own times', () => {
  const rowsOf = (change: Partial<Guest>, at: { hair: number; face: number }) => {
    const one = guest('a', change);
    const visits = [visit(one, true, at.hair), visit(one, false, at.face)];
    const own: PartyPlan = { ...plan, guests: [one], timetable: { ...plan.timetable!, visits } };
    const { lead, parts, foot } = callSheet(party, own, { kind: 'person', id: 'a' })!;
    return { lead, foot, rows: parts[0]!.rows.map(({ time, what }) => [time, what]) };
  };

  test('what else there is stands by its hour, and is not free', () => {
    const busy = [
      { from: 530, to: 560, title: 'blessing' },
      { from: 450, to: 470, title: 'breakfast' },
    ];
    expect(rowsOf({ busy }, { hair: 480, face: 575 }).rows).toEqual([
      ['07:30', 'breakfast'],
      ['08:00', 'Hair'],
      ['08:30', '20 minutes free'],
      ['08:50', 'blessing'],
      ['09:20', '15 minutes free'],
      ['09:35', 'Make-up'],
    ]);
  });

  test('nobody is asked to be there before they can be', () => {
    const be = (from: number): string => rowsOf({ from }, { hair: 480, face: 540 }).lead[0]!;
    expect(be(450)).toContain('at 07:55');
    expect(be(475)).toContain('at 07:55');
    expect(be(478)).toContain('at 07:58');
    expect(be(480)).toContain('at 08:00');
  });

  test('who cannot be ready in time is told when they are, and it is marked for whoever plans', () => {
    const one = (readyBy: number): PartyPlan => ({ ...plan, guests: [guest('a', { readyBy }), b] });
    const lead = (readyBy: number) => callSheet(party, one(readyBy), { kind: 'person', id: 'a' })!.lead[1];
    // Done at 09:40.
    expect(lead(580)).toBe('Ready by 09:40.');
    expect(lead(579)).toBe('Ready by 09:40: later than 09:39, which was asked for.');
    const marked = (readyBy: number) =>
      callSheet(party, one(readyBy), { kind: 'whole' })!
        .parts.at(-1)!
        .rows.find(({ what }) => what === 'Guest a')!.detail;
    expect(marked(580)).toBe('done 09:40');
    expect(marked(550)).toBe('done 09:40, 30 min late');
  });

  test('a clean face is asked of whose face is done', () => {
    const hair = { ...plan, timetable: { ...plan.timetable!, visits: [visit(a, true, 480)] } };
    expect(callSheet(party, hair, { kind: 'person', id: 'a' })!.foot).toEqual(['A top that opens in front.']);
    expect(callSheet(party, hair, { kind: 'person', id: 'b' })).toMatchObject({
      lead: ['Nothing is planned.'],
      foot: [],
    });
  });
});

describe('hands that go from place to place', () => {
  const isle = { id: 'isle', name: 'The Skerry' };
  const way = { from: start.places[0]!.id, to: isle.id, minutes: 25, pack: 10, unpack: 5 };
  const rowsOf = (
    travel: PartyPlan['travel'],
    at: number,
    change: Partial<PartyPlan['hands'][number]> = {},
  ) => {
    const there = guest('b', { place: isle.id });
    const visits = [visit(a, false, 540), { ...visit(there, false, at), chair: null }];
    const moved: PartyPlan = {
      ...plan,
      guests: [a, there],
      places: [...plan.places, isle],
      travel,
      hands: plan.hands.map((one) => (one.id === 'hands-1' ? { ...one, ...change } : one)),
      timetable: { ...plan.timetable!, visits },
    };
    const sheet = callSheet(party, moved, { kind: 'hands', id: 'hands-1' })!;
    return sheet.parts[0]!.rows.map(({ time, what, detail }) => `${time} ${what} · ${detail}`);
  };

  test('are told when to leave, when they are there, and what is free on either side', () => {
    expect(rowsOf([way], 640).slice(1)).toEqual([
      '09:00 Guest a, make-up · until 09:40 · Chair 1, Quay House',
      '09:50 Leaves for The Skerry · there at 10:15',
      '10:15 20 minutes free · ',
      '10:40 Guest b, make-up · until 11:20 · The Skerry',
      '11:20 Packs up · 20 min',
    ]);
  });

  test('take the first departure that is reached once packed', () => {
    const leaves = (departures: number[]) =>
      rowsOf([{ ...way, departures }], 660).find((row) => row.includes('Leaves'));
    // Done at 09:40 and packed at 09:50.
    expect(leaves([615, 560, 589])).toBe('10:15 Leaves for The Skerry · there at 10:40');
    expect(leaves([615, 590])).toBe('09:50 Leaves for The Skerry · there at 10:15');
    expect(rowsOf([{ ...way, departures: [615] }], 660)).toContain('09:40 25 minutes free · ');
    // None is left: the day says so elsewhere, the sheet says nothing that is not so.
    expect(leaves([560])).toBeUndefined();
  });

  test('who begins elsewhere than where they arrive sets up there', () => {
    const back = { from: isle.id, to: start.places[0]!.id, minutes: 30 };
    expect(rowsOf([way, back], 640, { at: isle.id, arrives: 450 }).slice(0, 2)).toEqual([
      '07:30 Arrives · ',
      '07:30 Leaves for Quay House · there at 08:00 · sets up in 25 min',
    ]);
  });
});
