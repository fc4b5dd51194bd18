import * as fc from 'fast-check';
import { seededRandom } from '../math';
import { asGiven, greedyWeave, weave, type Link, type Task } from './weave';
import { build, problem, tasksOf } from './weave.testing';

/** The longest way to a task, or from its end to where all is over, by going every way. */
const head = (tasks: readonly Task[], links: readonly Link[], j: number): number =>
  Math.max(
    0,
    ...links
      .filter(({ to }) => to === j)
      .map(({ from, lagMinutes }) => head(tasks, links, from) + tasks[from]!.minutes + lagMinutes),
  );
const after = (tasks: readonly Task[], links: readonly Link[], j: number): number =>
  Math.max(
    tasks[j]!.tailMinutes,
    ...links
      .filter(({ from }) => from === j)
      .map(({ to, lagMinutes }) => lagMinutes + tasks[to]!.minutes + after(tasks, links, to)),
  );

/** Jackson's preemptive schedule, minute by minute: of what may be worked always what the most hangs on. */
function minuteByMinute(tasks: readonly Task[], links: readonly Link[]): number {
  const heads = tasks.map((_, j) => head(tasks, links, j));
  const afters = tasks.map((_, j) => after(tasks, links, j));
  const left = tasks.map(({ minutes }) => minutes);
  let worst = 0;
  tasks.forEach(({ minutes }, j) => {
    if (minutes === 0) worst = Math.max(worst, heads[j]! + afters[j]!);
  });
  for (let now = 0; left.some((minutes) => minutes > 0); now++) {
    const ready = tasks.map((_, j) => j).filter((j) => heads[j]! <= now && left[j]! > 0);
    const j = ready.sort((a, b) => afters[b]! - afters[a]!)[0];
    if (j === undefined) continue;
    left[j] = left[j]! - 1;
    if (left[j] === 0) worst = Math.max(worst, now + 1 + afters[j]!);
  }
  return worst;
}

/** What is free soonest; among those what the most hangs on, and then what comes first. */
function oneByOne(tasks: readonly Task[], links: readonly Link[]): number[] {
  const ends = new Map<number, number>();
  const order: number[] = [];
  let time = 0;
  while (order.length < tasks.length) {
    // How soon by what is done: what is not done yet has to be waited for.
    const free = tasks
      .map((_, j) => j)
      .filter((j) => !ends.has(j) && links.every(({ from, to }) => to !== j || ends.has(from)))
      .map((j) => ({
        j,
        from: Math.max(
          time,
          ...links.filter(({ to }) => to === j).map((l) => ends.get(l.from)! + l.lagMinutes),
        ),
      }))
      .sort((a, b) => a.from - b.from || after(tasks, links, b.j) - after(tasks, links, a.j) || a.j - b.j);
    const { j, from } = free[0]!;
    time = from + tasks[j]!.minutes;
    ends.set(j, time);
    order.push(j);
  }
  return order;
}

test('what no order takes less than is Jackson’s preemptive schedule', () => {
  fc.assert(
    fc.property(problem(9), (raw) => {
      const { tasks, links } = build(raw);
      expect(asGiven(tasks, links).boundMinutes).toBe(minuteByMinute(tasks, links));
      const givenUp = weave(tasks, links, 0);
      if (!givenUp.proven) expect(givenUp.boundMinutes).toBe(minuteByMinute(tasks, links));
    }),
    { numRuns: 300 },
  );
});

test('without looking ahead it is what is free soonest, then what the most hangs on', () => {
  fc.assert(
    fc.property(problem(10), (raw) => {
      const { tasks, links } = build(raw);
      expect(greedyWeave(tasks, links).order.map(({ task }) => task)).toEqual(oneByOne(tasks, links));
    }),
    { numRuns: 300 },
  );
});

test('given up at once it is the better of the given order and that one, the given where they are alike', () => {
  fc.assert(
    fc.property(problem(10), (raw) => {
      const { tasks, links } = build(raw);
      const [given, quick] = [asGiven(tasks, links), greedyWeave(tasks, links)];
      const better = quick.totalMinutes < given.totalMinutes ? quick : given;
      expect(weave(tasks, links, 0).order).toEqual(better.order);
    }),
    { numRuns: 300 },
  );
});

/** Work in which nothing is plain: every task waits for an early one, and much must dry. */
function tangled(seed: number, n: number): { tasks: Task[]; links: Link[] } {
  const random = seededRandom(seed);
  const upTo = (most: number): number => Math.floor(random() * (most + 1));
  const tasks = tasksOf(
    Array.from({ length: n }, () => 1 + upTo(5)),
    Array.from({ length: n }, () => upTo(12)),
  );
  const links = Array.from({ length: n }, (_, i): Link => ({
    from: upTo(3),
    to: 4 + i,
    lagMinutes: upTo(25),
  }));
  return { tasks, links: links.filter(({ to }) => to < n) };
}

/** Of each by its seed: tasks, and after how many states its order is proven. */
test.each([
  [21, 8, 36],
  [58, 8, 23],
  [16, 10, 179],
  [14, 10, 71],
  [21, 10, 77],
  [5, 12, 77],
  [6, 12, 81],
  [21, 12, 127],
  [23, 12, 133],
])('seed %d, %d tasks: proven after %d states, and not a state sooner', (seed, n, states) => {
  const { tasks, links } = tangled(seed, n);
  expect(weave(tasks, links, states).proven).toBe(true);
  expect(weave(tasks, links, states - 1).proven).toBe(false);
});
