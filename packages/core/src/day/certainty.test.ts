import { seededRandom } from '../math';
import { MORNINGS, randomDay, smallDay } from './day.testing';
import {
  calmDay,
  judgeDay,
  learnMinutes,
  placeSlack,
  planDay,
  replanDay,
  simulateDay,
  wilson,
  type PartyDay,
  type Timed,
} from '.';
import { probit } from './simulate';

const near = (value: number) => expect.closeTo(value, 4) as number;
const ferry = MORNINGS.find(({ day }) => day.id.includes('ferry'))!.day;

test("Wilson's interval and the normal quantile", () => {
  expect(wilson(20, 20)).toMatchObject({ low: near(0.8389), high: 1 });
  expect(wilson(0, 50)).toMatchObject({ low: 0, high: near(0.0713) });
  expect(wilson(3846, 4000)).toMatchObject({ low: near(0.9551), high: near(0.967) });
  expect([probit(0.5), probit(0.975), probit(0.001)]).toEqual([
    expect.closeTo(0, 8),
    expect.closeTo(1.959964, 5),
    expect.closeTo(-3.090232, 5),
  ]);
});

test('mornings are the same with the same seed, and a shorter work is never later', () => {
  const answer = planDay(ferry, { work: 60 });
  const one = simulateDay(ferry, answer, { seed: 4, mornings: 800 });
  expect(simulateDay(ferry, answer, { seed: 4, mornings: 800 })).toEqual(one);
  expect(simulateDay(ferry, answer, { seed: 5, mornings: 800 })).not.toEqual(one);
  const sure = simulateDay(ferry, answer, { seed: 4, mornings: 800, strayOf: () => 0 });
  expect(sure.all.share).toBeGreaterThan(one.all.share);
  for (const person of Object.values(one.people)) {
    expect(person.low).toBeLessThanOrEqual(person.share);
    expect(person.high).toBeGreaterThanOrEqual(person.share);
  }
});

test('a morning without chance goes as planned', () => {
  const small = smallDay();
  const answer = planDay(small);
  const { people, lateMinutes } = simulateDay(small, answer, { mornings: 400, strayOf: () => 0 });
  // The artist's own slow days and people who come late remain.
  expect(people.a!.share).toBeGreaterThan(0.9);
  expect(lateMinutes).toBeLessThan(2);
});

test('slack breaks no rule and makes being on time likelier than the cheapest timetable', () => {
  let better = 0;
  for (const day of [ferry, MORNINGS[3]!.day, randomDay(seededRandom(12), 6)]) {
    const answer = planDay(day, { work: 80 });
    const calm = placeSlack(day, answer, { lateWorth: 100 });
    expect(judgeDay(day, calm).conflicts).toEqual([]);
    expect(calm.after.lateMinutes).toBeLessThanOrEqual(calm.before.lateMinutes + 0.05);
    if (calm.after.all.share > calm.before.all.share) better++;
  }
  expect(better).toBeGreaterThanOrEqual(2);
});

test('slack leaves what is held where it is, and moves the rest', () => {
  const plan = planDay(ferry, { work: 80 });
  const free = placeSlack(ferry, plan, { lateWorth: 100 });
  expect(free.moved.length).toBeGreaterThan(1);
  const [first] = free.moved;
  const holding = (...held: readonly (typeof first)[]): PartyDay => ({
    ...ferry,
    pinned: held.map((one) => {
      const { of, task, worker, start, minutes } = plan.visits.find(
        (visit) => visit.of === one!.of && visit.task === one!.task,
      )!;
      return { of, task, worker, start, minutes };
    }),
  });
  const keyOf = ({ of, task }: { of: string; task: string }): string => `${of} ${task}`;
  const one = placeSlack(holding(first), plan, { lateWorth: 100 });
  expect(one.moved.map(keyOf)).not.toContain(keyOf(first!));
  expect(one.moved.length).toBeGreaterThan(0);
  expect(judgeDay(holding(first), one).conflicts).toEqual([]);
  // With all of them held nothing is left to move.
  const every = plan.visits.map((visit) => ({ ...visit, minutes: 0 }));
  expect(placeSlack(holding(...every), plan, { lateWorth: 100 }).moved).toEqual([]);
});

test('blame falls on who ran over, not on who waited', () => {
  const base = smallDay({ a: { readyBy: 560 }, b: { readyBy: 575 } });
  const answer = planDay(base);
  const strayOf = ({ of }: { of: string }): number => (of === answer.visits[0]!.of ? 0.6 : 0);
  const { blame } = simulateDay(base, answer, { mornings: 500, strayOf });
  expect(blame[0]!.key.startsWith(`${answer.visits[0]!.of} `)).toBe(true);
});

describe('the day under way', () => {
  const { day } = MORNINGS.find(({ day: one }) => one.people.length === 8)!;
  const plan = planDay(day, { work: 120 });
  const first = [...plan.visits].sort((a, b) => a.start - b.start)[0]!;
  const late: PartyDay = {
    ...day,
    now: first.start + first.minutes + 20,
    pinned: [
      {
        of: first.of,
        task: first.task,
        worker: first.worker,
        start: first.start,
        minutes: first.minutes + 20,
      },
    ],
  };

  test('nothing has happened: nothing changes', () => {
    const { push, repair } = replanDay(day, plan);
    expect(push?.changes).toEqual([]);
    expect(repair?.changes).toEqual([]);
  });

  test('what has begun stays, what is past is past, and few are moved', () => {
    const { repair, push } = replanDay(late, plan);
    for (const change of push?.changes ?? []) {
      expect(change.otherWorker).toBe(false);
      expect(change.movedMinutes).toBeGreaterThanOrEqual(0);
    }
    expect(repair).not.toBeNull();
    const judged = judgeDay(late, repair!);
    expect(judged.conflicts).toEqual([]);
    const pinned = repair!.visits.find((visit) => visit.task === first.task)!;
    expect(pinned).toMatchObject({ start: first.start, minutes: first.minutes + 20, worker: first.worker });
    for (const id of repair!.tell) expect(day.people.map((person) => person.id)).toContain(id);
  });
});

describe('minutes learned', () => {
  const rows: readonly (readonly [string, string, string, number, number])[] = [
    ['runa', 'harbour', 'bride', 65, 72],
    ['runa', 'harbour', 'attendant', 44, 46],
    ['runa', 'plain', 'guest', 35, 34],
    ['teodor', 'harbour', 'attendant', 44, 53],
    ['teodor', 'plain', 'guest', 35, 41],
    ['teodor', 'lamplight', 'gala', 50, 61],
    ['mina', 'plain', 'child', 16, 19],
    ['teodor', 'plain', 'guest', 35, 120],
  ];
  const timed = rows.map(([worker, look, kind, plannedMinutes, realMinutes]): Timed => ({
    worker,
    look,
    kind,
    plannedMinutes,
    realMinutes,
  }));
  const learned = learnMinutes(timed, { fixedSpread: true });

  test.each([
    ['teodor', 'harbour', 'attendant', 1.15296, 0.21963],
    ['runa', 'plain', 'guest', 1.02709, 0.21958],
    ['mina', 'harbour', 'attendant', 1.10555, 0.24989],
    ['nobody', 'new', 'guest', 1.04271, 0.2749],
  ])('%s, %s look, %s', (worker, look, kind, factor, sd) => {
    const found = learned({ worker, look, kind });
    expect(found.factor).toBeCloseTo(factor, 4);
    expect(found.sd).toBeCloseTo(sd, 4);
  });

  test('it says what it rests on', () => {
    const effects = Object.fromEntries(
      learned({ worker: 'teodor', look: 'harbour', kind: 'attendant' }).because.map(({ of, effect }) => [
        of,
        effect,
      ]),
    );
    expect(effects).toMatchObject({ studio: near(0.0474), worker: near(0.0589), look: near(0.0194) });
  });

  test('one visit says little, a hundred speak for themselves, forgotten taps are left out', () => {
    const one = { worker: 'a', look: 'b', kind: 'c', plannedMinutes: 40, realMinutes: 50 };
    expect(Math.log(learnMinutes([one], { fixedSpread: true })(one).factor)).toBeCloseTo(0.136246, 5);
    const many = Array.from({ length: 100 }, () => one);
    expect(learnMinutes(many)(one).factor).toBeCloseTo(1.25, 1);
    expect(learnMinutes([{ ...one, realMinutes: 400 }])(one).factor).toBe(1);
    expect(learnMinutes([])(one)).toMatchObject({ factor: 1, because: [], visits: 0 });
  });
});

test('the calm timetable bears more mornings than slack alone, and breaks no rule', () => {
  const answer = planDay(ferry, { work: 80 });
  const calm = calmDay(ferry, answer, { lateWorth: 100, rounds: 400 });
  const slack = placeSlack(ferry, answer, { lateWorth: 100 });
  expect(judgeDay(ferry, calm).conflicts).toEqual([]);
  expect(judgeDay(ferry, calm).objective.late).toBe(0);
  expect(calm.after.lateMinutes).toBeLessThanOrEqual(slack.after.lateMinutes);
  expect(calm.after.all.share).toBeGreaterThan(calm.before.all.share);
});

test('a chair is taken while somebody dries in it, hands are not', () => {
  const chair = (holds: boolean): PartyDay => {
    const base = smallDay({ aTask: { tail: 30, holds } });
    const second = { ...base.workers[0]!, id: 'm2', name: 'Teodor' };
    const people = base.people.map((person) =>
      person.id === 'b'
        ? {
            ...person,
            ways: person.ways.map((way) => ({
              ...way,
              tasks: way.tasks.map((task) => ({ ...task, by: { m2: 30 } })),
            })),
          }
        : person,
    );
    return { ...base, workers: [...base.workers, second], people };
  };
  const visits = [
    { of: 'a', task: 'a.face', worker: 'm1', chair: 'c1', start: 500, minutes: 40 },
    { of: 'b', task: 'b.face', worker: 'm2', chair: 'c1', start: 545, minutes: 30 },
  ];
  const ready = (holds: boolean): number =>
    simulateDay(chair(holds), { ways: { a: 'full', b: 'full' }, visits }, { mornings: 300, strayOf: () => 0 })
      .people.b!.readyIn90;
  expect(ready(true) - ready(false)).toBeGreaterThan(20);
});

test('who comes later than told is waited for, however long they may be there', () => {
  const early = smallDay({ b: { from: 300 } });
  const answer = planDay(early);
  const run = simulateDay(early, answer, { mornings: 3000, strayOf: () => 0 });
  const later = smallDay();
  expect(simulateDay(later, answer, { mornings: 3000, strayOf: () => 0 }).people.b).toEqual(run.people.b);
  expect(run.people.b!.readyIn90).toBeGreaterThan(
    answer.visits.find((visit) => visit.of === 'b')!.start + 30,
  );
});
