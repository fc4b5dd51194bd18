/** One piece of work for one pair of hands. */
export type Task = {
  readonly id: string;
  /** Minutes the hands are at it. */
  readonly minutes: number;
  /** Minutes that must pass after it before all is done, when nothing follows it. */
  readonly tailMinutes: number;
};

/** `to` starts no sooner than `lagMinutes` after `from` has ended. */
export type Link = { readonly from: number; readonly to: number; readonly lagMinutes: number };

export type Placed = { readonly task: number; readonly startMinutes: number; readonly endMinutes: number };

export type Weave = {
  readonly order: readonly Placed[];
  readonly totalMinutes: number;
  /** No order takes less than this. */
  readonly boundMinutes: number;
  /** The order is proven shortest. */
  readonly proven: boolean;
};

/**
 * Search gives up its proof, never its answer, after this many states: under a tenth of a second for thirty
 * steps.
 */
const MOST_NODES = 6_000;
const EPSILON = 1e-9;

/**
 * The shortest order of tasks for one pair of hands under links with waits (single machine, minimum delays,
 * makespan with tails): depth-first branch and bound over active schedules, bounded by Jackson's preemptive
 * schedule of heads and tails (Carlier, 1982), with dominated states of the same done set cut off. Among
 * equally short orders the one nearest to the given order is found first. Throws on a circle of links.
 */
export function weave(tasks: readonly Task[], links: readonly Link[], mostNodes: number = MOST_NODES): Weave {
  const n = tasks.length;
  const problem = prepare(tasks, links);
  const given = inGivenOrder(problem);
  const quick = greedy(problem);
  let best = quick.total < given.total - EPSILON ? quick : given;
  const root = rootBound(problem);
  let nodes = 0;
  let complete = true;
  const seen = new Map<string, Float64Array[]>();
  const done = new Uint8Array(n);
  const ends = new Float64Array(n);
  const sequence: number[] = [];

  const visit = (time: number, tail: number): void => {
    if (sequence.length === n) {
      const total = Math.max(time, tail);
      if (total < best.total - EPSILON) best = { sequence: [...sequence], total };
      return;
    }
    if (++nodes > mostNodes) {
      complete = false;
      return;
    }
    const heads = headsOf(problem, done, ends, time);
    if (Math.max(tail, bound(problem, done, time, heads)) >= best.total - EPSILON) return;
    if (dominated(seen, done, heads, time, tail)) return;
    // Active schedules only: nothing waits while something else could be finished first.
    let soonestEnd = Infinity;
    for (let j = 0; j < n; j++)
      if (!done[j] && problem.open(j, done))
        soonestEnd = Math.min(soonestEnd, heads[j]! + problem.minutes[j]!);
    for (let j = 0; j < n && complete; j++) {
      if (done[j] || !problem.open(j, done) || heads[j]! >= soonestEnd + EPSILON) continue;
      const end = heads[j]! + problem.minutes[j]!;
      done[j] = 1;
      ends[j] = end;
      sequence.push(j);
      visit(end, Math.max(tail, end + problem.tails[j]!));
      sequence.pop();
      done[j] = 0;
    }
  };
  if (best.total > root + EPSILON) visit(0, 0);
  const proven = complete || best.total <= root + EPSILON;
  return {
    order: placed(problem, best.sequence),
    totalMinutes: best.total,
    boundMinutes: proven ? best.total : root,
    proven,
  };
}

/** The given order as it stands, each task as soon as the hands and its waits allow. */
export function asGiven(tasks: readonly Task[], links: readonly Link[]): Weave {
  const problem = prepare(tasks, links);
  const given = inGivenOrder(problem);
  const root = rootBound(problem);
  return {
    order: placed(problem, given.sequence),
    totalMinutes: given.total,
    boundMinutes: root,
    proven: given.total <= root + EPSILON,
  };
}

/**
 * What is free soonest, always; among those, what the most still hangs on. The usual way without looking
 * ahead.
 */
export function greedyWeave(tasks: readonly Task[], links: readonly Link[]): Weave {
  const problem = prepare(tasks, links);
  const { sequence, total } = greedy(problem);
  return { order: placed(problem, sequence), totalMinutes: total, boundMinutes: 0, proven: false };
}

type Problem = {
  readonly n: number;
  readonly minutes: Float64Array;
  /** Minutes after a task's end until everything that hangs on it can be over. */
  readonly afters: Float64Array;
  readonly tails: Float64Array;
  readonly before: readonly (readonly { readonly task: number; readonly lag: number }[])[];
  /** Tasks in an order no link contradicts. */
  readonly topological: readonly number[];
  readonly open: (task: number, done: Uint8Array) => boolean;
};

function prepare(tasks: readonly Task[], links: readonly Link[]): Problem {
  const n = tasks.length;
  const before = tasks.map((_, j) =>
    links.filter((l) => l.to === j).map((l) => ({ task: l.from, lag: l.lagMinutes })),
  );
  const after = tasks.map((_, i) => links.filter((l) => l.from === i));
  const minutes = Float64Array.from(tasks, (t) => t.minutes);
  const tails = Float64Array.from(tasks, (t) => t.tailMinutes);
  const topological: number[] = [];
  const left = before.map((list) => list.length);
  // The lowest free index first keeps the given order where it can be kept.
  const free = new Set(tasks.flatMap((_, j) => (left[j] === 0 ? [j] : [])));
  while (free.size > 0) {
    const next = Math.min(...free);
    free.delete(next);
    topological.push(next);
    for (const { to } of after[next]!) if (--left[to]! === 0) free.add(to);
  }
  if (topological.length < n)
    throw new RangeError('weave: the links run in a circle; no order can keep them all');
  const afters = new Float64Array(n);
  for (const i of [...topological].reverse()) {
    afters[i] = tails[i]!;
    for (const { to, lagMinutes } of after[i]!)
      afters[i] = Math.max(afters[i]!, lagMinutes + minutes[to]! + afters[to]!);
  }
  const open = (task: number, done: Uint8Array): boolean => before[task]!.every((b) => done[b.task]);
  return { n, minutes, afters, tails, before, topological, open };
}

/** The soonest start of each task not done, by what is done and by the shortest way through what is not. */
function headsOf(
  { n, before, topological, minutes }: Problem,
  done: Uint8Array,
  ends: Float64Array,
  time: number,
): Float64Array {
  const heads = new Float64Array(n);
  for (const j of topological) {
    if (done[j]) continue;
    let head = time;
    for (const { task, lag } of before[j]!)
      head = Math.max(head, (done[task] ? ends[task]! : heads[task]! + minutes[task]!) + lag);
    heads[j] = head;
  }
  return heads;
}

/**
 * Jackson's preemptive schedule: the longest tail first among what may start; its end is a bound for every
 * order.
 */
function bound({ n, minutes, afters }: Problem, done: Uint8Array, time: number, heads: Float64Array): number {
  const left = Float64Array.from(minutes);
  const waiting: number[] = [];
  for (let j = 0; j < n; j++) if (!done[j]) waiting.push(j);
  waiting.sort((a, b) => heads[a]! - heads[b]!);
  let now = time;
  let worst = time;
  let arrived = 0;
  const ready: number[] = [];
  for (;;) {
    while (arrived < waiting.length && heads[waiting[arrived]!]! <= now + EPSILON)
      ready.push(waiting[arrived++]!);
    if (ready.length === 0) {
      if (arrived === waiting.length) return worst;
      now = heads[waiting[arrived]!]!;
      continue;
    }
    let at = 0;
    for (let k = 1; k < ready.length; k++) if (afters[ready[k]!]! > afters[ready[at]!]!) at = k;
    const j = ready[at]!;
    const until = arrived < waiting.length ? heads[waiting[arrived]!]! : Infinity;
    const worked = Math.min(left[j]!, until - now);
    now += worked;
    left[j] = left[j]! - worked;
    if (left[j]! > EPSILON) continue;
    worst = Math.max(worst, now + afters[j]!);
    ready.splice(at, 1);
  }
}

/** What no order takes less than, before anything is done. */
function rootBound(problem: Problem): number {
  const [done, ends] = [new Uint8Array(problem.n), new Float64Array(problem.n)];
  return bound(problem, done, 0, headsOf(problem, done, ends, 0));
}

/**
 * Whether the same tasks were done before with every soonest start, the clock and the tail no later;
 * remembers this state if not.
 */
function dominated(
  seen: Map<string, Float64Array[]>,
  done: Uint8Array,
  heads: Float64Array,
  time: number,
  tail: number,
): boolean {
  const key = String.fromCharCode(...done.map((d) => 48 + d));
  const state = Float64Array.of(time, tail, ...heads);
  const others = seen.get(key) ?? [];
  if (others.some((other) => other.every((v, i) => v <= state[i]! + EPSILON))) return true;
  seen.set(key, [...others.filter((other) => !state.every((v, i) => v <= other[i]! + EPSILON)), state]);
  return false;
}

type Sequence = { readonly sequence: readonly number[]; readonly total: number };

function inGivenOrder(problem: Problem): Sequence {
  return { sequence: problem.topological, total: totalOf(problem, problem.topological) };
}

function greedy(problem: Problem): Sequence {
  const { n, minutes, afters } = problem;
  const done = new Uint8Array(n);
  const ends = new Float64Array(n);
  const sequence: number[] = [];
  let time = 0;
  while (sequence.length < n) {
    const heads = headsOf(problem, done, ends, time);
    let pick = -1;
    for (let j = 0; j < n; j++) {
      if (done[j] || !problem.open(j, done)) continue;
      const sooner = pick < 0 ? -1 : heads[j]! - heads[pick]!;
      if (sooner < -EPSILON || (Math.abs(sooner) <= EPSILON && afters[j]! > afters[pick]! + EPSILON))
        pick = j;
    }
    done[pick] = 1;
    time = heads[pick]! + minutes[pick]!;
    ends[pick] = time;
    sequence.push(pick);
  }
  return { sequence, total: totalOf(problem, sequence) };
}

function placed({ minutes, before }: Problem, sequence: readonly number[]): Placed[] {
  const ends = new Map<number, number>();
  let time = 0;
  return sequence.map((task) => {
    const startMinutes = before[task]!.reduce(
      (soonest, b) => Math.max(soonest, (ends.get(b.task) ?? 0) + b.lag),
      time,
    );
    time = startMinutes + minutes[task]!;
    ends.set(task, time);
    return { task, startMinutes, endMinutes: time };
  });
}

function totalOf(problem: Problem, sequence: readonly number[]): number {
  return placed(problem, sequence).reduce(
    (total, p) => Math.max(total, p.endMinutes + problem.tails[p.task]!),
    0,
  );
}
