import { seededRandom, standardNormal } from '../math';
import { MORNINGS, smallDay } from './day.testing';
import { layDown } from './lines';
import {
  changedPlan,
  dayOfPlan,
  learnMinutes,
  newGuest,
  newPlan,
  oneMoreBuys,
  ownMinutes,
  planDay,
  simulateDay,
  STRAYS,
  type PartyPlan,
  type Timed,
} from '.';

const plan: PartyPlan = (() => {
  const begun = newPlan('morning', { place: 'Quay House', zone: 'Europe/Lisbon', artist: 'Runa' });
  const guests = [
    { name: 'Ada', role: 'star' as const, readyBy: 720, faceMinutes: 60, hairMinutes: null },
    { name: 'Be', role: 'close' as const, readyBy: 700, faceMinutes: 40, hairMinutes: null },
    { name: 'Cy', role: 'guest' as const, readyBy: 690, faceMinutes: 30, hairMinutes: null },
  ];
  return { ...begun, guests: guests.map((one, i) => newGuest(`g${i}`, one, begun)) };
})();
const RUNA = plan.hands.find((hands) => hands.name === 'Runa')!;
const day = dayOfPlan({ id: 'party', date: '2031-06-12' }, plan);
const answer = planDay(day, { work: 60 });
const lines = layDown(day, answer);
const visit = (planned: number, real: number, more: Partial<Timed> = {}): Timed => ({
  worker: 'Runa',
  look: 'harbour',
  kind: 'guest',
  plannedMinutes: planned,
  realMinutes: real,
  age: 10,
  ...more,
});

test.each([
  ['nothing was timed', []],
  ['two visits are chance', [visit(30, 45), visit(40, 60)]],
  ['only others were timed', Array.from({ length: 9 }, () => visit(30, 45, { worker: 'Teodor' }))],
])('the trade’s guess where %s', (_, timed) => {
  const { strayOf, paceOf, known } = ownMinutes(plan, timed);
  expect(known.filter(({ name }) => name === 'Runa')).toEqual([]);
  for (const line of lines) {
    expect(strayOf(line)).toBe(STRAYS[line.task.kind]);
    expect(paceOf(line)).toBe(1);
  }
});

test('from three visits on these hands’ own minutes: what is usual, how far they stray, and what is still unknown', () => {
  const timed = Array.from({ length: 12 }, (_, i) => visit(30, 36 + (i % 3) - 1));
  const { strayOf, paceOf, known } = ownMinutes(plan, timed);
  expect(known).toEqual([{ name: 'Runa', visits: 12 }]);
  for (const line of lines) {
    const guest = plan.guests.find((one) => one.id === line.of)!;
    const { factor, sd } = learnMinutes(timed)({ worker: 'Runa', look: '', kind: guest.role });
    expect(paceOf(line)).toBeCloseTo(factor, 12);
    expect(paceOf(line)).toBeGreaterThan(1.05);
    // What the day shares is added to every morning: together they are what was learned.
    expect(strayOf(line) ** 2 + 0.07 ** 2).toBeCloseTo(sd ** 2, 10);
  }
});

test('hands nobody has named yet are anybody: what was timed of such says nothing', () => {
  const named = (name: string): PartyPlan => ({
    ...plan,
    hands: plan.hands.map((one) => (one.id === RUNA.id ? { ...one, name } : one)),
  });
  for (const name of ['Hair stylist', 'One more artist', 'One more hair stylist']) {
    const timed = Array.from({ length: 12 }, () => visit(30, 45, { worker: name }));
    const { known, paceOf } = ownMinutes(named(name), timed);
    expect(known).toEqual([]);
    expect(paceOf(lines[0]!)).toBe(1);
  }
});

test('a pace the plan counts with already is not counted twice', () => {
  const timed = Array.from({ length: 12 }, () => visit(30, 37));
  const line = lines[0]!;
  const plain = ownMinutes(plan, timed).paceOf(line);
  const paced = {
    ...plan,
    hands: plan.hands.map((one) => (one.id === RUNA.id ? { ...one, pace: 1.25 } : one)),
  };
  expect(ownMinutes(paced, timed).paceOf(line)).toBeCloseTo(plain / 1.25, 12);
});

test('slow hands make it less likely, quick ones likelier, than the guess; steady ones surer than wild ones', () => {
  const share = (timed: readonly Timed[]): number => {
    const { known: _known, ...stays } = ownMinutes(plan, timed);
    return simulateDay(day, answer, { mornings: 3000, ...stays }).all.share;
  };
  const of = (ratio: number, wild = 0): readonly Timed[] =>
    Array.from({ length: 30 }, (_, i) => visit(40, 40 * ratio * (1 + (i % 2 === 0 ? wild : -wild))));
  const guess = share([]);
  expect(share(of(1.3))).toBeLessThan(guess);
  expect(share(of(0.85))).toBeGreaterThan(guess);
  expect(share(of(1, 0.45))).toBeLessThan(share(of(1, 0)));
});

test('on made-up hands what is foretold comes true: mornings as they really go are in time as often as was said', () => {
  const random = seededRandom(31);
  const draw = (): number => standardNormal(random);
  let said = 0;
  let came = 0;
  for (let studio = 0; studio < 40; studio++) {
    const [slow, stray] = [0.1 * draw(), 0.1 + 0.12 * random()];
    const timed = Array.from({ length: 25 }, () => {
      const dayOff = 0.07 * draw();
      return visit(40, 40 * Math.exp(slow + stray * draw() + dayOff), { kind: 'star', look: '' });
    });
    const { known: _known, ...stays } = ownMinutes(plan, timed);
    said += simulateDay(day, answer, { mornings: 400, seed: studio, ...stays }).all.share;
    came += simulateDay(day, answer, {
      mornings: 400,
      seed: 1000 + studio,
      strayOf: () => stray,
      paceOf: () => Math.exp(slow),
    }).all.share;
  }
  expect(Math.abs(said - came) / 40).toBeLessThan(0.05);
});

describe('one more pair of hands', () => {
  const ferry = MORNINGS.find(({ day: one }) => one.id.includes('ferry'))!.day;
  const options = { work: 40, mornings: 800, rounds: 120 };

  test('an artist, then a stylist, each played on the same mornings; no less likely, and the same when asked again', () => {
    const timetable = planDay(ferry, { work: 60 });
    const now = simulateDay(ferry, timetable, { mornings: 800 }).all.share;
    const found = [...oneMoreBuys(ferry, timetable, options)];
    expect(found.map(({ words }) => words)).toEqual(['One more artist', 'One more hair stylist']);
    for (const { sure } of found) expect(sure.all.share).toBeGreaterThanOrEqual(now - 0.02);
    expect(Math.max(...found.map(({ sure }) => sure.all.share))).toBeGreaterThan(now);
    expect([...oneMoreBuys(ferry, timetable, options)].map(({ sure }) => sure.all)).toEqual(
      found.map(({ sure }) => sure.all),
    );
  });

  test('where nobody does hair none is offered for it', () => {
    const small = smallDay();
    expect([...oneMoreBuys(small, planDay(small), options)].map(({ change }) => change.does)).toEqual([
      'makeup',
    ]);
  });

  test('what is offered can be taken into the plan', () => {
    const [one] = oneMoreBuys(day, answer, options);
    const after = changedPlan(plan, one!.change);
    expect(after.hands).toHaveLength(plan.hands.length + 1);
    expect(after.chairs).toHaveLength(plan.chairs.length + 1);
  });
});

test('a line of hands or of somebody that the plan does not have is judged as the trade does', () => {
  const timed = Array.from({ length: 12 }, (_, i) => visit(40, 60 + (i % 3)));
  const own = ownMinutes(plan, timed);
  const known = lines.find((line) => line.worker.id === RUNA.id)!;
  const usual = ownMinutes(plan, []).strayOf(known);
  expect(own.strayOf(known)).not.toBe(usual);
  expect(own.strayOf({ ...known, worker: { ...known.worker, id: 'nobody' } })).toBe(usual);
  expect(own.strayOf({ ...known, of: 'nobody' })).toBe(usual);
});
