import { Value } from '@sinclair/typebox/value';
import {
  changedDay,
  changedPlan,
  checkDay,
  dayOfPlan,
  faceOf,
  guestsFromText,
  hairOf,
  judgeDay,
  guestAsClient,
  guestOfClient,
  lighterOf,
  newGuest,
  newPlan,
  PARTY_TEMPLATES,
  PartyPlanSchema,
  planDay,
  usualReadyBy,
  withFaceMinutes,
  type DayChange,
  type PartyPlan,
} from '.';

const party = { id: 'party', date: '2027-06-12' };
const begin = { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' };

function planWith(text: string, template: (typeof PARTY_TEMPLATES)[number] = 'morning'): PartyPlan {
  const plan = newPlan(template, begin);
  const { guests, problems } = guestsFromText(text);
  expect(problems).toEqual([]);
  return { ...plan, guests: guests.map((one, i) => newGuest(`g${i}`, one, plan)) };
}

const FIVE =
  'Ada Morrow, bride, 12:00, hair 50, face 60\nBe Lund, mother, 11:30, hair\nCy Orr\nDot Orr, child, 12:10, face 15\nEd Vane, attendant, 11:45, 30 min';

test('a pasted list is read in any order of its parts', () => {
  const { guests } = guestsFromText(
    '1. Ada Morrow; ready by 12.30; Bride; hair 50 min; makeup 60\n\n- Be Lund\tmother\t9:05',
  );
  expect(guests).toEqual([
    { name: 'Ada Morrow', role: 'star', readyBy: 750, faceMinutes: 60, hairMinutes: 50, notes: '' },
    { name: 'Be Lund', role: 'close', readyBy: 545, faceMinutes: null, hairMinutes: null, notes: '' },
  ]);
});

test('two hundred lines with two bad ones: the two are named, the others are there', () => {
  const lines = Array.from({ length: 200 }, (_, i) => `Person ${i}, guest, 1${i % 2}:00`);
  lines[17] = 'Somebody, Ten';
  lines[120] = '— , bride';
  const { guests, problems } = guestsFromText(lines.join('\n'));
  expect(guests.length).toBe(198);
  expect(problems).toEqual([
    {
      line: 18,
      text: 'Somebody, Ten',
      message: '"Ten" is neither a role, a time as 11:30, nor minutes as "hair 40".',
    },
    { line: 121, text: '— , bride', message: 'Begin with a name.' },
  ]);
});

test('who is there twice is told, whatever the letters', () =>
  expect(guestsFromText('Ada\nBe\nADA').problems).toEqual([
    { line: 3, text: 'ADA', message: 'ADA is there twice.' },
  ]));

test('who is on the list already is told, and not added again', () => {
  const { guests, problems } = guestsFromText('Ada Morrow, bride\nBe', ['ada morrow']);
  expect(guests.map((one) => one.name)).toEqual(['Be']);
  expect(problems).toEqual([
    { line: 1, text: 'Ada Morrow, bride', message: 'Ada Morrow is on the list already.' },
  ]);
});

test('a further guest is to be ready with the last of the others, the first when such a day is usually done', () => {
  const plan = newPlan('morning', begin);
  expect(usualReadyBy(plan)).toBe(690);
  expect(usualReadyBy({ ...plan, hands: [] })).toBeGreaterThan(0);
  expect(usualReadyBy(planWith('Ada, 10:00\nBe, 11:05'))).toBe(665);
});

test('beginning earlier moves nobody who comes by a ferry, nor who comes with it', () => {
  const plan = planWith('Ada\nBe');
  const island = { ...plan.hands[0]!, id: 'late', at: 'island', arrives: 560 };
  const guests = plan.guests.map((guest, i) => (i === 1 ? { ...guest, from: 560 } : guest));
  const ferry = { from: 'home', to: 'island', minutes: 30, departures: [515] };
  const places = [...plan.places, { id: 'island', name: 'Island' }];
  const after = changedPlan(
    { ...plan, places, travel: [ferry], hands: [...plan.hands, island], guests },
    { kind: 'earlier', minutes: 30 },
  );
  expect(after.hands.map((hands) => hands.arrives)).toEqual([420, 420, 560]);
  expect(after.guests.map((guest) => guest.from)).toEqual([420, 560]);
});

test.each(['25:00', '11:75', '10:0', '12345'])('%s is not understood', (part) =>
  expect(guestsFromText(`Ada, ${part}`).problems.length).toBe(1),
);

test.each(PARTY_TEMPLATES)('a plan begun as %s is a whole document and can be planned', (template) => {
  const plan = planWith('Ada\nBe, attendant\nCy, child', template);
  expect([...Value.Errors(PartyPlanSchema, plan)]).toEqual([]);
  const day = dayOfPlan(party, plan);
  expect(checkDay(day)).toEqual([]);
  const answer = planDay(day, { work: 100 });
  expect(answer.objective.late).toBe(0);
  expect(judgeDay(day, answer).conflicts).toEqual([]);
});

test('ways out are there for who has them, and not for whose day it is', () => {
  const day = dayOfPlan(party, planWith(FIVE));
  const ways = Object.fromEntries(
    day.people.map((person) => [person.name, person.ways.map((way) => way.id)]),
  );
  expect(ways).toEqual({
    'Ada Morrow': ['full'],
    'Be Lund': ['full', 'light', 'noHair'],
    'Cy Orr': ['full', 'light'],
    'Dot Orr': ['full', 'light'],
    'Ed Vane': ['full', 'light'],
  });
  expect(day.star).toEqual({ person: 'g0', firstCost: 80, lastCost: 80 });
});

test('minutes go by the pace of each pair of hands; only who may is asked', () => {
  const plan = planWith(FIVE);
  const second = { ...plan.hands[0]!, id: 'teodor', name: 'Teodor' };
  const guests = plan.guests.map((guest) => (guest.id === 'g2' ? { ...guest, only: 'teodor' } : guest));
  const day = dayOfPlan(
    party,
    { ...plan, hands: [...plan.hands, second], guests },
    { paceOf: (hands) => (hands.id === 'teodor' ? 1.2 : 1) },
  );
  const by = (id: string) => day.people.find((person) => person.id === id)!.ways[0]!.tasks.at(-1)!.by;
  expect(by('g0')).toEqual({ 'hands-1': 60, teodor: 72 });
  expect(by('g2')).toEqual({ teodor: 42 });
  expect(day.people[0]!.ways[0]!.tasks.map((task) => task.id)).toEqual([
    hairOf({ id: 'g0' }),
    faceOf({ id: 'g0' }),
  ]);
});

test('without anybody who may, who lacks them is named', () => {
  const plan = { ...planWith(FIVE), hands: newPlan('evening', begin).hands };
  expect(checkDay(dayOfPlan(party, plan)).map((one) => one.message)).toContain(
    "Nobody can do Ada Morrow's hair.",
  );
});

test('a change does to the plan what it does to the day', () => {
  const plan = planWith(FIVE);
  const changes: DayChange[] = [
    { kind: 'earlier', minutes: 30 },
    { kind: 'later', person: 'g1', minutes: 15 },
    { kind: 'lighter', person: 'g2', way: 'light' },
  ];
  for (const change of changes)
    expect(dayOfPlan(party, changedPlan(plan, change))).toEqual(changedDay(dayOfPlan(party, plan), change));
  const more = changedPlan(changedPlan(plan, { kind: 'chair', place: 'home', chair: 'hair' }), {
    kind: 'hands',
    does: 'hair',
  });
  expect(more.chairs.filter((chair) => chair.kind === 'hair').length).toBe(3);
  expect(more.hands.filter((hands) => hands.does === 'hair').length).toBe(2);
  expect([...Value.Errors(PartyPlanSchema, more)]).toEqual([]);
  expect(new Set(more.chairs.map((chair) => chair.id)).size).toBe(more.chairs.length);
});

describe('what comes first', () => {
  const both = (order?: 'hair first' | 'face first' | 'either'): PartyPlan => {
    const plan = planWith('Ada Morrow, bride, 12:00, hair 50, face 60');
    const withHair = plan.hands.some((one) => one.does === 'hair')
      ? plan
      : changedPlan(
          { ...plan, hands: [...plan.hands, { ...plan.hands[0]!, id: 'h', name: 'Lamorna', does: 'hair' }] },
          { kind: 'chair', place: plan.places[0]!.id, chair: 'hair' },
        );
    return { ...withHair, guests: withHair.guests.map((one) => (order ? { ...one, order } : one)) };
  };
  const wayOf = (plan: PartyPlan) => dayOfPlan(party, plan).people[0]!.ways[0]!;
  const [hair, face] = [hairOf({ id: 'g0' }), faceOf({ id: 'g0' })];

  test('where nobody said hair first costs less; said it is kept to; either way costs nothing', () => {
    expect(wayOf(both())).toMatchObject({ prefer: [{ first: hair, then: face }] });
    expect(wayOf(both('hair first'))).toMatchObject({ order: [{ first: hair, then: face }] });
    expect(wayOf(both('face first'))).toMatchObject({ order: [{ first: face, then: hair }] });
    expect(wayOf(both('either'))).not.toHaveProperty('order');
    expect(wayOf(both('either'))).not.toHaveProperty('prefer');
  });

  test.each([
    ['hair first', [hair, face]],
    ['face first', [face, hair]],
  ] as const)('planned %s it is done so, and the judge says when it is not', (order, tasks) => {
    const day = dayOfPlan(party, both(order));
    const answer = planDay(day, { work: 40 });
    const inOrder = [...answer.visits].sort((a, b) => a.start - b.start);
    expect(inOrder.map(({ task }) => task)).toEqual(tasks);
    const [one, two] = inOrder;
    const turned = [
      { ...one!, start: two!.start },
      { ...two!, start: one!.start },
    ];
    expect(judgeDay(day, { ...answer, visits: turned }).conflicts.map(({ rule }) => rule)).toContain('order');
  });
});

test('a client as a guest: a child by face or year, waiting little where that was said; else as anybody', () => {
  const plan = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });
  const day = '2031-06-14';
  const who = (more: object) => guestOfClient('g', { id: 'c', name: 'Ines', ...more }, plan, day);
  const plain = who({});
  expect(plain).toMatchObject({ id: 'g', clientId: 'c', name: 'Ines', role: 'guest', faceMinutes: 35 });
  expect(plain).not.toHaveProperty('cannotWait');
  const adult = { features: { age: 'adult' as const } };
  expect(who({ ...adult, birthYear: 1990, consult: { access: ['breaks'] } })).toEqual(plain);
  expect(who({ ...adult, birthYear: 2019 })).toMatchObject({ role: 'child', faceMinutes: 15 });
  expect(who({ ...adult, birthYear: 2018 }).role).toBe('guest');
  expect(who({ features: { age: 'child' }, birthYear: null }).role).toBe('child');
  expect(who({ ...adult, consult: { access: ['cannot wait long'] } })).toEqual({
    ...plain,
    cannotWait: true,
  });
});

test('somebody of the list who is a client keeps what was said of them, but for what the client says', () => {
  const day = '2031-06-14';
  const [star, guest] = planWith('Posy, bride, 12:00, face 55, hair\nAda, guest, 11:40, vegan').guests as [
    PartyPlan['guests'][number],
    PartyPlan['guests'][number],
  ];
  const client = { id: 'c', name: 'Somebody', features: { age: 'adult' as const }, birthYear: 1990 };
  expect(guestAsClient(guest, client, day)).toEqual({ ...guest, clientId: 'c' });
  // Somebody else's chart is not theirs.
  expect(guestAsClient({ ...guest, clientId: 'd', chartId: 'x' }, client, day).chartId).toBeNull();
  const child = { ...client, birthYear: 2024 };
  expect(guestAsClient(guest, child, day)).toMatchObject({ role: 'child', faceMinutes: 15, notes: 'vegan' });
  expect(guestAsClient({ ...guest, faceMinutes: 20 }, child, day)).toMatchObject({
    role: 'child',
    faceMinutes: 20,
  });
  // On a pasted list minutes that were said stay, even the usual ones.
  const plan = planWith('Ada');
  const said = {
    name: 'ada',
    role: 'guest',
    readyBy: 600,
    faceMinutes: null,
    hairMinutes: 30,
    notes: 'vegan',
  } as const;
  expect(guestOfClient('g', child, plan, day, said)).toMatchObject({
    name: 'Somebody',
    role: 'child',
    readyBy: 600,
    faceMinutes: 15,
    hairMinutes: 30,
    notes: 'vegan',
  });
  expect(guestOfClient('g', child, plan, day, { ...said, faceMinutes: 35 }).faceMinutes).toBe(35);
  expect(guestOfClient('g', client, plan, day, { ...said, role: 'close' })).toMatchObject({
    role: 'close',
    faceMinutes: 45,
  });
  expect(guestAsClient(star, { ...client, birthYear: 2024 }, day).role).toBe('star');
  const waits = { ...client, consult: { access: ['cannot wait long' as const] } };
  expect(guestAsClient(guest, waits, day).cannotWait).toBe(true);
});

test('a lighter look takes less than the whole one, and goes with it where it was as usual', () => {
  expect([0, 5, 10, 11, 15, 20, 40, 65].map(lighterOf)).toEqual([null, null, null, 10, 10, 10, 25, 40]);
  const guest = (faceMinutes: number, lighterMinutes: number | null) => ({
    ...planWith('Ada, guest, 11:40').guests[0]!,
    faceMinutes,
    lighterMinutes,
  });
  const lighter = (of: ReturnType<typeof guest>, minutes: number) =>
    withFaceMinutes(of, minutes).lighterMinutes;
  // As usual before, as usual after.
  expect([20, 35, 60].map((minutes) => lighter(guest(40, 25), minutes))).toEqual([10, 20, 35]);
  // Said by hand: kept, as long as it is less.
  expect([31, 30, 29].map((minutes) => lighter(guest(40, 30), minutes))).toEqual([30, 20, 15]);
  // Who was to have none has none.
  expect(lighter(guest(40, null), 60)).toBeNull();
  for (let minutes = 0; minutes <= 180; minutes++)
    for (const own of [null, 5, 25, 90]) {
      const { faceMinutes, lighterMinutes } = withFaceMinutes(guest(95, own), minutes);
      expect(faceMinutes).toBe(minutes);
      if (lighterMinutes !== null) expect(lighterMinutes).toBeLessThan(minutes);
    }
});
