import fc from 'fast-check';
import { asGiven, greedyWeave, weave, type Link, type Task, type Weave } from './weave';
import { build, problem, tasksOf } from './weave.testing';

/** Every order that keeps the links, each task as soon as it can: the shortest. */
function bruteForce(tasks: readonly Task[], links: readonly Link[]): number {
  let best = Infinity;
  const ends: number[] = [];
  const extend = (left: readonly number[], time: number, tail: number): void => {
    if (left.length === 0) best = Math.min(best, Math.max(time, tail));
    for (const j of left) {
      const needs = links.filter((l) => l.to === j);
      if (needs.some((l) => left.includes(l.from))) continue;
      const end = Math.max(time, ...needs.map((l) => ends[l.from]! + l.lagMinutes)) + tasks[j]!.minutes;
      ends[j] = end;
      extend(
        left.filter((k) => k !== j),
        end,
        Math.max(tail, end + tasks[j]!.tailMinutes),
      );
    }
  };
  extend(
    tasks.map((_, i) => i),
    0,
    0,
  );
  return best;
}

function keepsAll(result: Weave, tasks: readonly Task[], links: readonly Link[]): void {
  expect(result.order.map((p) => p.task).sort((a, b) => a - b)).toEqual(tasks.map((_, i) => i));
  const at = new Map(result.order.map((p) => [p.task, p]));
  result.order.forEach((p, i) => {
    expect(p.endMinutes - p.startMinutes).toBeCloseTo(tasks[p.task]!.minutes, 9);
    if (i > 0) expect(p.startMinutes).toBeGreaterThanOrEqual(result.order[i - 1]!.endMinutes - 1e-9);
  });
  for (const { from, to, lagMinutes } of links)
    expect(at.get(to)!.startMinutes).toBeGreaterThanOrEqual(at.get(from)!.endMinutes + lagMinutes - 1e-9);
  expect(result.totalMinutes).toBeCloseTo(
    Math.max(...result.order.map((p) => p.endMinutes + tasks[p.task]!.tailMinutes)),
    9,
  );
}

test('as short as the shortest of all orders', () => {
  fc.assert(
    fc.property(problem(7), (raw) => {
      const { tasks, links } = build(raw);
      const result = weave(tasks, links);
      expect(result.proven).toBe(true);
      expect(result.totalMinutes).toBeCloseTo(bruteForce(tasks, links), 9);
    }),
    { numRuns: 250, seed: 1 },
  );
});

test('never breaks a link or a wait, never longer than the given order or the greedy one', () => {
  fc.assert(
    fc.property(problem(24), (raw) => {
      const { tasks, links } = build(raw);
      const result = weave(tasks, links, 3000);
      keepsAll(result, tasks, links);
      for (const other of [asGiven(tasks, links), greedyWeave(tasks, links)]) {
        keepsAll(other, tasks, links);
        expect(result.totalMinutes).toBeLessThanOrEqual(other.totalMinutes + 1e-9);
        expect(result.boundMinutes).toBeLessThanOrEqual(other.totalMinutes + 1e-9);
      }
      expect(result.boundMinutes).toBeLessThanOrEqual(result.totalMinutes + 1e-9);
    }),
    { numRuns: 80, seed: 2 },
  );
});

test('work is woven into a wait, and the given order kept where nothing is gained', () => {
  const tasks = tasksOf([2, 5, 4, 3]);
  const primerDries: Link = { from: 0, to: 1, lagMinutes: 4 };
  expect(weave(tasks, [primerDries]).order.map((p) => p.task)).toEqual([0, 2, 1, 3]);
  expect(weave(tasks, [primerDries]).totalMinutes).toBe(14);
  expect(asGiven(tasks, [primerDries]).totalMinutes).toBe(18);
  expect(weave(tasks, []).order.map((p) => p.task)).toEqual([0, 1, 2, 3]);
});

test('a proof that was given up says so, and its bound holds', () => {
  const tasks = tasksOf(
    Array.from({ length: 14 }, (_, i) => 1 + (i % 4)),
    Array.from({ length: 14 }, (_, i) => (i * 7) % 11),
  );
  const links = tasks
    .slice(0, 10)
    .map((_, i): Link => ({ from: i, to: i + 4, lagMinutes: 3 + ((i * 5) % 7) }));
  const short = weave(tasks, links, 1);
  const full = weave(tasks, links);
  expect(short.boundMinutes).toBeLessThanOrEqual(full.totalMinutes + 1e-9);
  if (!short.proven) expect(short.totalMinutes).toBeGreaterThanOrEqual(full.totalMinutes - 1e-9);
});

test('however early the search is given up, it is proven just where its bound is reached', () => {
  fc.assert(
    fc.property(problem(8), fc.integer({ min: 1, max: 40 }), (raw, mostNodes) => {
      const { tasks, links } = build(raw);
      const { proven, totalMinutes, boundMinutes } = weave(tasks, links, mostNodes);
      expect(proven).toBe(boundMinutes >= totalMinutes - 1e-9);
      expect(boundMinutes).toBeLessThanOrEqual(bruteForce(tasks, links) + 1e-9);
    }),
    { numRuns: 150 },
  );
});

test('links in a circle are refused', () => {
  expect(() =>
    weave(tasksOf([1, 1]), [
      { from: 0, to: 1, lagMinutes: 0 },
      { from: 1, to: 0, lagMinutes: 0 },
    ]),
  ).toThrow('circle');
});

test('nothing to do takes no time', () =>
  expect(weave([], [])).toMatchObject({ order: [], totalMinutes: 0, proven: true }));
