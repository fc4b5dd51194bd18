import fc from 'fast-check';
import { seededRandom } from '../math';
import { randomDay, smallDay } from './day.testing';
import {
  checkDay,
  compareObjectives,
  explainDay,
  judgeDay,
  planDay,
  simulateDay,
  wordsFor,
  type DayAnswer,
  type Objective,
  type PartyDay,
} from '.';
import { endsOf, wayOf } from './laidOut';
import { pushDay } from './replan';

const away = (day: PartyDay, id: string, from: number, to: number, title = 'the florist'): PartyDay => ({
  ...day,
  workers: day.workers.map((one) =>
    one.id === id ? { ...one, away: [...(one.away ?? []), { from, to, title }] } : one,
  ),
});
/** Visits that run into hours their hands are away, found without the judge. */
const intoAway = (day: PartyDay, { ways, visits }: Pick<DayAnswer, 'ways' | 'visits'>): string[] =>
  visits.flatMap((visit) => {
    const person = day.people.find((one) => one.id === visit.of);
    const task = person && wayOf(person, ways)?.tasks.find((one) => one.id === visit.task);
    const gone = day.workers.find((one) => one.id === visit.worker)?.away ?? [];
    if (!task) return [];
    const { handsEnd } = endsOf(task, visit.start, visit.minutes);
    return gone.some(({ from, to }) => visit.start < to && handsEnd > from) ? [visit.task] : [];
  });

test('over days nobody knows: nothing is planned into hours away, and what is moved there is told', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 400 }),
      fc.integer({ min: 2, max: 6 }),
      fc.integer({ min: 0, max: 30 }),
      fc.integer({ min: 2, max: 10 }),
      (seed, people, begins, long) => {
        const day = randomDay(seededRandom(seed), people);
        const from = 500 + 5 * begins;
        const gone = away(day, 'm1', from, from + 5 * long);
        const answer = planDay(gone, { work: 25 });
        expect(intoAway(gone, answer)).toEqual([]);
        if (answer.unplaced.length === 0) expect(judgeDay(gone, answer).conflicts).toEqual([]);
        // The same timetable on the day without it and with it: told where, and only where, it runs into it.
        const free = planDay(day, { work: 25 });
        const told = judgeDay(gone, free).conflicts.filter(({ rule }) => rule === 'away');
        expect(told.flatMap(({ about }) => about.map((key) => key.split(' ')[1]!)).sort()).toEqual(
          intoAway(gone, free).sort(),
        );
      },
    ),
    { numRuns: 40 },
  );
});

test('it is the best of all starts there are, hours away or not', () => {
  const base = smallDay();
  const worker = base.workers[0]!;
  for (const [from, to] of [
    [0, 1],
    [505, 530],
    [540, 560],
    [520, 600],
  ] as const) {
    const day = away(base, worker.id, from, to);
    let best: Objective | null = null;
    for (let a = 480; a < 700; a += 5)
      for (let b = 480; b < 700; b += 5) {
        const judged = judgeDay(day, {
          ways: { a: 'full', b: 'full' },
          visits: day.people.map(({ id, ways }) => {
            const [task] = ways[0]!.tasks;
            return {
              of: id,
              task: task!.id,
              worker: worker.id,
              chair: 'c1',
              start: id === 'a' ? a : b,
              minutes: task!.by[worker.id]!,
            };
          }),
        });
        if (judged.conflicts.length > 0) continue;
        if (best === null || compareObjectives(judged.objective, best) < 0) best = judged.objective;
      }
    const found = planDay(day);
    expect(found.proof.proven).toBe(true);
    expect(found.objective).toEqual(best);
  }
});

test('the last minute before and the first after are free', () => {
  const base = smallDay();
  const id = base.workers[0]!.id;
  const { visits, ways } = planDay(base);
  const [first] = [...visits].sort((a, b) => a.start - b.start);
  const end = first!.start + first!.minutes;
  const rules = (from: number, to: number): boolean =>
    judgeDay(away(base, id, from, to), { ways, visits: [first!] }).conflicts.some(
      ({ rule }) => rule === 'away',
    );
  const { handsEnd } = endsOf(
    base.people.find((one) => one.id === first!.of)!.ways[0]!.tasks[0]!,
    first!.start,
    first!.minutes,
  );
  expect(handsEnd).toBeGreaterThanOrEqual(end);
  expect(rules(handsEnd, handsEnd + 30)).toBe(false);
  expect(rules(handsEnd - 1, handsEnd + 30)).toBe(true);
  expect(rules(first!.start - 30, first!.start)).toBe(false);
  expect(rules(first!.start - 30, first!.start + 1)).toBe(true);
});

test('where it makes somebody late it is the reason, and one of those that are needed', () => {
  const day = smallDay({ a: { readyBy: 580 }, b: { readyBy: 590 } });
  const gone = away(day, day.workers[0]!.id, 490, 560);
  expect(planDay(day).objective.late).toBe(0);
  const { causes } = explainDay(gone);
  expect(causes.map(({ kind }) => kind)).toContain('away');
  const cause = causes.find(({ kind }) => kind === 'away')!;
  expect(wordsFor(gone, cause)).toMatch(/is away from 08:10: the florist$/);
});

test('pushed late, visits jump over hours away and over appointments behind them, onto the grid', () => {
  const base = smallDay();
  const id = base.workers[0]!.id;
  const plan = planDay(base);
  const [first, second] = [...plan.visits].sort((a, b) => a.start - b.start);
  const late = first!.start + first!.minutes + 33;
  const day: PartyDay = {
    ...away(base, id, late, late + 21),
    now: late,
    pinned: [
      { of: first!.of, task: first!.task, worker: id, start: first!.start, minutes: first!.minutes + 33 },
    ],
    people: base.people.map((one) =>
      one.id === second!.of
        ? { ...one, busy: [{ from: late + 25, to: late + 42, title: 'a picture' }] }
        : one,
    ),
  };
  const after = pushDay(day, plan).visits.find((one) => one.task === second!.task)!;
  expect(after.start).toBeGreaterThanOrEqual(late + 42);
  expect(after.start % 5).toBe(0);
  expect(after.start).toBeLessThan(late + 42 + 5);
});

test('over days run late at any minute: what is pushed lies in no hour away, also while hands stay for what dries', () => {
  let jumped = 0;
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 400 }),
      fc.integer({ min: 2, max: 6 }),
      fc.integer({ min: 0, max: 40 }),
      fc.integer({ min: 1, max: 8 }),
      (seed, people, begins, long) => {
        const open = randomDay(seededRandom(seed), people);
        // Hands that stay while it dries are held longer than their minutes.
        const day: PartyDay = {
          ...open,
          people: open.people.map((one) => ({
            ...one,
            ways: one.ways.map((way) => ({
              ...way,
              tasks: way.tasks.map((task) => ({ ...task, tail: 6, frees: false })),
            })),
          })),
        };
        const plan = planDay(day, { work: 15 });
        const from = 520 + 5 * begins;
        const late: PartyDay = { ...away(day, 'm1', from, from + 5 * long), now: 520 + 3 * begins };
        const pushed = pushDay(late, plan);
        const visits = pushed.visits.filter(({ start }) => Number.isFinite(start));
        expect(intoAway(late, { ways: pushed.ways, visits })).toEqual([]);
        jumped += intoAway(late, pushDay({ ...day, now: late.now }, plan)).length;
      },
    ),
    { numRuns: 60 },
  );
  // Without the hours away some would have lain there.
  expect(jumped).toBeGreaterThan(0);
});

test('a slow morning waits for hands that are away: it is surely no likelier to be in time', () => {
  const day = smallDay({ a: { readyBy: 620 }, b: { readyBy: 640 } });
  const plan = planDay(day);
  const last = [...plan.visits].sort((a, b) => a.start - b.start).at(-1)!;
  const id = day.workers[0]!.id;
  const gone = away(day, id, last.start + last.minutes + 2, last.start + last.minutes + 40);
  expect(judgeDay(gone, plan).conflicts).toEqual([]);
  const [free, with_] = [day, gone].map((one) => simulateDay(one, plan, { mornings: 1500 }));
  expect(with_!.all.share).toBeLessThan(free!.all.share);
});

test('back before leaving is told', () => {
  const messages = checkDay(away(smallDay(), smallDay().workers[0]!.id, 600, 560)).map(
    ({ message }) => message,
  );
  expect(messages.join()).toMatch(/would be back before leaving: the florist/);
});
