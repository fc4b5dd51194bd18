import fc from 'fast-check';
import { asGiven, fewestMoves, movesBetween, weave, type Link, type Task } from '.';
import { movedTasks } from './fewestMoves';

const tasksOf = (minutes: readonly number[], tails: readonly number[] = []): Task[] =>
  minutes.map((m, i) => ({ id: String(i), minutes: m, tailMinutes: tails[i] ?? 0 }));
const problem = fc.integer({ min: 3, max: 9 }).chain((n) =>
  fc.record({
    minutes: fc.array(fc.integer({ min: 1, max: 6 }), { minLength: n, maxLength: n }),
    tails: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: n, maxLength: n }),
    links: fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1), fc.integer({ min: 0, max: 6 })), { maxLength: n }),
  }),
);
/**
 * The fewest single moves from one order to another: tasks outside the longest run that kept its order, by
 * trying every subset.
 */
function movesByHand(order: readonly number[]): number {
  let longest = 0;
  for (let mask = 0; mask < 1 << order.length; mask++) {
    const run = order.filter((_, i) => mask & (1 << i));
    if (run.every((v, i) => i === 0 || run[i - 1]! < v)) longest = Math.max(longest, run.length);
  }
  return order.length - longest;
}

test('moves are counted as a hand would', () => {
  expect(
    [
      [0, 1, 2],
      [1, 0, 2],
      [2, 0, 1],
      [2, 1, 0],
    ].map(movesBetween),
  ).toEqual([0, 1, 1, 2]);
  fc.assert(
    fc.property(fc.shuffledSubarray([0, 1, 2, 3, 4, 5, 6], { minLength: 7 }), (order) => {
      expect(movesBetween(order)).toBe(movesByHand(order));
      const moved = movedTasks(order);
      expect(moved).toHaveLength(movesByHand(order));
      const stayed = order.filter((task) => !moved.includes(task));
      expect(stayed).toEqual([...stayed].sort((a, b) => a - b));
    }),
    { numRuns: 80, seed: 3 },
  );
});

test('every choice keeps every link, saves what it says, and a move more saves at least a minute more', () => {
  fc.assert(
    fc.property(problem, ({ minutes, tails, links: raw }) => {
      const tasks = tasksOf(minutes, tails);
      const links = raw
        .filter(([a, b]) => a < b)
        .map(([from, to, lagMinutes]): Link => ({ from, to, lagMinutes }));
      const chain = tasks.slice(1).map((_, i): Link => ({ from: i, to: i + 1, lagMinutes: 0 }));
      const given = asGiven(tasks, [...links, ...chain]).totalMinutes;
      const shortest = weave(tasks, links).totalMinutes;
      let saved = 0;
      let moves = 0;
      for (const choice of fewestMoves(tasks, links)) {
        expect([...choice.order].sort((a, b) => a - b)).toEqual(tasks.map((_, i) => i));
        for (const { from, to } of links)
          expect(choice.order.indexOf(from)).toBeLessThan(choice.order.indexOf(to));
        const asChosen = choice.order
          .slice(1)
          .map((to, i): Link => ({ from: choice.order[i]!, to, lagMinutes: 0 }));
        expect(asGiven(tasks, [...links, ...asChosen]).totalMinutes).toBeCloseTo(choice.totalMinutes, 9);
        expect(choice.savedMinutes).toBeCloseTo(given - choice.totalMinutes, 9);
        expect(choice.totalMinutes).toBeGreaterThanOrEqual(shortest - 1e-9);
        expect(choice.moves).toBe(movesBetween(choice.order));
        expect(choice.savedMinutes).toBeGreaterThanOrEqual(saved + 1 - 1e-9);
        expect(choice.moves).toBeGreaterThan(moves);
        [saved, moves] = [choice.savedMinutes, choice.moves];
      }
    }),
    { numRuns: 120, seed: 4 },
  );
});

test('where one move gains all there is, one move is what is offered', () => {
  const tasks = tasksOf([2, 8, 5, 4, 3]);
  const choices = fewestMoves(tasks, [{ from: 0, to: 1, lagMinutes: 5 }]);
  expect(choices.map((c) => [c.moves, c.savedMinutes])).toEqual([[1, 5]]);
});

test('an order that is refused is not offered, the next best is', () => {
  const tasks = tasksOf([2, 8, 5, 4, 3]);
  const links: Link[] = [{ from: 0, to: 1, lagMinutes: 5 }];
  const free = fewestMoves(tasks, links)[0]!;
  const other = fewestMoves(tasks, links, (order) => order.join() !== free.order.join())[0];
  expect(other!.order).not.toEqual(free.order);
  expect(fewestMoves(tasks, links, () => false)).toEqual([]);
});
