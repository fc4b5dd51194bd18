import * as fc from 'fast-check';
import type { Link, Task } from './weave';

/** Tasks of so many minutes each, and of so many that must pass after them. */
export const tasksOf = (minutes: readonly number[], tails: readonly number[] = []): Task[] =>
  minutes.map((m, i) => ({ id: String(i), minutes: m, tailMinutes: tails[i] ?? 0 }));

/** Work of at most so many tasks, any links among them: whole minutes. */
export const problem = (most: number) =>
  fc.integer({ min: 1, max: most }).chain((n) =>
    fc.record({
      minutes: fc.array(fc.integer({ min: 0, max: 6 }), { minLength: n, maxLength: n }),
      tails: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: n, maxLength: n }),
      links: fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1), fc.integer({ min: 0, max: 8 })), {
        maxLength: 2 * n,
      }),
    }),
  );
/** Its tasks, and of its links those that go forward. */
export const build = ({
  minutes,
  tails,
  links,
}: {
  minutes: number[];
  tails: number[];
  links: [number, number, number][];
}) => ({
  tasks: tasksOf(minutes, tails),
  links: links.filter(([a, b]) => a < b).map(([from, to, lagMinutes]): Link => ({ from, to, lagMinutes })),
});
