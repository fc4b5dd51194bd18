import type { Link, Task } from './weave';

export type OrderChoice = {
  /** Indices of the tasks in their new order. */
  readonly order: readonly number[];
  readonly totalMinutes: number;
  readonly savedMinutes: number;
  /** How many tasks leave their place among the others. */
  readonly moves: number;
};

/** Orders kept at each number of moves, and the most moves that are ever offered. */
const BEAM = 6;
const MOST_MOVES = 6;
/** A further move must save this much more, minutes. */
export const WORTH_A_MOVE = 1;

/**
 * The orders worth a choice, fewest moves first: each saves at least a minute more for every move more. Beam
 * search over single moves that keep every link; `accepts` may refuse an order for reasons of its own.
 */
export function fewestMoves(
  tasks: readonly Task[],
  links: readonly Link[],
  accepts: (order: readonly number[]) => boolean = () => true,
): OrderChoice[] {
  const n = tasks.length;
  const given = tasks.map((_, i) => i);
  const before = new Set(links.map((l) => l.from * n + l.to));
  const keepsLinks = (order: readonly number[]): boolean =>
    order.every((a, i) => order.slice(i + 1).every((b) => !before.has(b * n + a)));
  const timeOf = (order: readonly number[]): number => timed(tasks, links, order);
  const start = timeOf(given);
  const choices: OrderChoice[] = [];
  let beam: { readonly order: readonly number[]; readonly total: number }[] = [
    { order: given, total: start },
  ];
  const seen = new Set([given.join()]);
  let best = start;
  for (let moves = 1; moves <= MOST_MOVES; moves++) {
    const next = beam
      .flatMap(({ order }) => singleMoves(order))
      .filter((order) => {
        const key = order.join();
        if (seen.has(key)) return false;
        seen.add(key);
        return keepsLinks(order);
      })
      .map((order) => ({ order, total: timeOf(order) }))
      .sort((a, b) => a.total - b.total);
    if (next.length === 0) break;
    beam = next.slice(0, BEAM);
    const found = next
      .filter(({ total }) => total <= best - WORTH_A_MOVE + 1e-9)
      .find(({ order }) => accepts(order));
    if (!found) {
      if (moves >= 3 && beam[0]!.total >= best - 1e-9) break;
      continue;
    }
    best = found.total;
    choices.push({
      order: found.order,
      totalMinutes: found.total,
      savedMinutes: start - found.total,
      moves: movesBetween(found.order),
    });
  }
  return choices;
}

/** How many tasks are out of their place: all but the longest run that kept its order. */
export function movesBetween(order: readonly number[]): number {
  const longest = order.map(() => 1);
  order.forEach((task, i) => {
    for (let j = 0; j < i; j++) if (order[j]! < task) longest[i] = Math.max(longest[i]!, longest[j]! + 1);
  });
  return order.length - Math.max(0, ...longest);
}

/** The tasks that left their place: those outside the longest run that kept its order. */
export function movedTasks(order: readonly number[]): number[] {
  const longest = order.map(() => 1);
  const from = order.map(() => -1);
  order.forEach((task, i) => {
    for (let j = 0; j < i; j++)
      if (order[j]! < task && longest[j]! + 1 > longest[i]!) {
        longest[i] = longest[j]! + 1;
        from[i] = j;
      }
  });
  const kept = new Set<number>();
  let at = longest.indexOf(Math.max(...longest));
  while (at >= 0) {
    kept.add(order[at]!);
    at = from[at]!;
  }
  return order.filter((task) => !kept.has(task));
}

function singleMoves(order: readonly number[]): number[][] {
  return order.flatMap((task, i) => {
    const rest = order.filter((_, k) => k !== i);
    return Array.from({ length: order.length }, (_, j) => j)
      .filter((j) => j !== i)
      .map((j) => [...rest.slice(0, j), task, ...rest.slice(j)]);
  });
}

function timed(tasks: readonly Task[], links: readonly Link[], order: readonly number[]): number {
  const ends = new Float64Array(tasks.length);
  let time = 0;
  let total = 0;
  for (const task of order) {
    let start = time;
    for (const l of links) if (l.to === task) start = Math.max(start, ends[l.from]! + l.lagMinutes);
    time = start + tasks[task]!.minutes;
    ends[task] = time;
    total = Math.max(total, time + tasks[task]!.tailMinutes);
  }
  return total;
}
