import {
  chairKindOf,
  type PartyDay,
  type DayTask,
  type Person,
  type Pin,
  type Way,
  type Worker,
} from './instance';
import { endsOf, isAt, roundTask } from './laidOut';
import { arrivalAt, stopBy } from './travel';

/**
 * What the search minimises as one number: points of comfort, each weighted minute late for so many points;
 * with a wall, nobody may be late at all.
 */
export type Aims = { readonly latePoints: number; readonly comfort: boolean; readonly wall: boolean };

/** A task done by one worker: what may be chosen, with where it may start and what each start costs. */
export type Mode = {
  readonly index: number;
  readonly unit: number;
  readonly task: DayTask;
  readonly worker: number;
  /** The pool of equal chairs; -1: needs none. */ readonly pool: number;
  readonly minutes: number;
  readonly handsMinutes: number;
  /** Minutes from the grid's slot to the start: not none for work that was pinned between slots. */
  readonly offset: number;
  readonly pinned: boolean;
  /** A face, which the star's rule and freshness look at. */ readonly face: boolean;
  /** Slots blocked from the start, for worker (with sanitising), person and chair (with wiping). */
  readonly workerSlots: number;
  readonly personSlots: number;
  readonly chairSlots: number;
  /** Starts that are allowed by themselves: 1. */ readonly domain: Uint8Array;
  /** The first and the last slot that may be allowed; none: the last is -1. */ readonly first: number;
  readonly last: number;
  /** Points of a start by itself, less the minutes it takes off waiting. */ readonly mid: Float64Array;
  /** Waiting points up to the start, taken off when it is the first. */ readonly opening: Float64Array;
  /** Waiting points up to the end and those of being ready then, added when it is the last. */
  readonly closing: Float64Array;
  /** Part of `mid`: make-up done too early. */ readonly stale: Float64Array;
};

/** One order of a way's tasks, as indices into the way's list. */
export type TaskOrder = { readonly tasks: readonly number[]; readonly preferCost: number };

export type UnitWay = {
  readonly way: Way;
  /** Modes of each task. */ readonly modes: readonly (readonly Mode[])[];
  readonly orders: readonly TaskOrder[];
  readonly cost: number;
  /** Whether two of its tasks may fall to one worker or one pool: then they are checked together. */
  readonly entangled: boolean;
  readonly faces: number;
};

/** A person, or a round as if it were one. */
export type Unit = {
  readonly index: number;
  readonly id: string;
  readonly person: Person | null;
  readonly ways: readonly UnitWay[];
  readonly modes: readonly Mode[];
};

export type Pool = { readonly place: string; readonly kind: string; readonly chairs: readonly string[] };

export type Model = {
  readonly day: PartyDay;
  readonly aims: Aims;
  /** The minute of slot 0, a multiple of the grid. */ readonly base: number;
  readonly grid: number;
  readonly slots: number;
  readonly units: readonly Unit[];
  readonly modes: readonly Mode[];
  readonly workers: readonly Worker[];
  readonly pools: readonly Pool[];
  /** The unit of the star; -1: there is none. */ readonly star: number;
  /** Workers whose pinned work may break their own rules. */ readonly pinnedWorkers: ReadonlySet<number>;
};

/** Minutes after the last ready-by that a late plan may still use. */
const AFTER_MINUTES = 360;

/**
 * The party's day on its grid: every task by every worker who may, its starts as bits, its costs as arrays.
 * Idle time between a person's tasks telescopes, so that a plan's cost is a sum over its tasks.
 */
export function modelOf(day: PartyDay, aims: Aims): Model {
  const { grid } = day;
  const pins = day.pinned ?? [];
  const earliest = Math.min(
    ...day.workers.map((worker) => worker.arrives),
    ...day.people.map((person) => person.from),
    ...pins.map((pin) => pin.start),
  );
  const base = Math.floor(earliest / grid) * grid;
  const latest = Math.max(...[...day.people.map((one) => one.readyBy), ...day.rounds.map((one) => one.to)]);
  const end = latest + (aims.wall ? 0 : AFTER_MINUTES);
  const slots = Math.ceil((Math.max(end, ...pins.map((pin) => pin.start + 1)) - base) / grid) + 1;
  const { pools, poolFor } = poolsOf(day);
  const modes: Mode[] = [];
  const workerIndex = new Map(day.workers.map((worker, i) => [worker.id, i]));
  const frame = { day, aims, base, grid, slots };

  const unitOf = (id: string, person: Person | null, ways: readonly Way[], index: number): Unit => {
    const own: Mode[] = [];
    const costs = personCosts(
      frame,
      person,
      person ? null : (day.rounds.find((one) => one.id === id)?.to ?? null),
    );
    const made = ways.map((way): UnitWay => {
      const perTask = way.tasks.map((task) =>
        choicesOf(task, pins.find((pin) => pin.of === id && pin.task === task.id) ?? null).flatMap(
          ([who, minutes, pin]) => {
            const worker = workerIndex.get(who);
            if (worker === undefined) return [];
            const mode = modeOf(
              frame,
              {
                index: modes.length,
                unit: index,
                person,
                way,
                task,
                worker,
                minutes,
                pin,
                pool: poolFor(task),
              },
              costs,
            );
            modes.push(mode);
            own.push(mode);
            return [mode];
          },
        ),
      );
      return {
        way,
        modes: perTask,
        orders: ordersOf(way).map((order) => (aims.comfort ? order : { ...order, preferCost: 0 })),
        cost: aims.comfort ? way.cost : 0,
        entangled: entangled(perTask),
        faces: way.tasks.filter((task) => task.kind === 'makeup').length,
      };
    });
    return { index, id, person, ways: made, modes: own };
  };

  const units: Unit[] = [];
  for (const person of day.people) {
    const open = person.ways.filter((way) => !way.relax || day.relaxed?.includes(`${person.id}/${way.id}`));
    const held = pins.filter((pin) => pin.of === person.id);
    const holding = open.filter((way) =>
      held.every((pin) => way.tasks.some((task) => task.id === pin.task && isAt(pin, task))),
    );
    units.push(unitOf(person.id, person, holding.length > 0 ? holding : open, units.length));
  }
  for (const round of day.rounds)
    units.push(unitOf(round.id, null, [{ id: round.id, cost: 0, tasks: [roundTask(round)] }], units.length));

  const pinnedWorkers = new Set(modes.filter((mode) => mode.pinned).map((mode) => mode.worker));
  const model: Model = {
    ...frame,
    units,
    modes,
    workers: day.workers,
    pools,
    star: day.star && aims.comfort ? units.findIndex((unit) => unit.id === day.star?.person) : -1,
    pinnedWorkers,
  };
  keepToTravel(model);
  return model;
}

type Frame = Pick<Model, 'day' | 'aims' | 'base' | 'grid' | 'slots'>;
type Costs = {
  readonly clockWithoutBusy: (minute: number) => number;
  readonly ready: (minute: number) => number;
};

/** The worker's minutes of a task: all who may, or only who is pinned to it. */
function choicesOf(task: DayTask, pin: Pin | null): [worker: string, minutes: number, pin: Pin | null][] {
  if (pin) return [[pin.worker, pin.minutes ?? task.by[pin.worker] ?? 0, pin]];
  return Object.entries(task.by).map(([worker, minutes]) => [worker, minutes, null]);
}

function personCosts({ aims }: Frame, person: Person | null, roundTo: number | null): Costs {
  const late = (weight: number, by: number, minute: number): number =>
    aims.latePoints * weight * Math.max(0, minute - by);
  if (!person) {
    const by = roundTo ?? Infinity;
    return { clockWithoutBusy: () => 0, ready: (minute) => (Number.isFinite(by) ? late(1, by, minute) : 0) };
  }
  const { weights, readyBy, slack } = person;
  const aim = readyBy - slack;
  const comfort = aims.comfort ? 1 : 0;
  return {
    clockWithoutBusy: (minute) =>
      comfort *
      weights.wait *
      person.busy.reduce((left, b) => left - Math.max(0, Math.min(b.to, minute) - b.from), minute),
    ready: (minute) =>
      late(weights.late, readyBy, minute) +
      comfort *
        (weights.short * Math.min(slack, Math.max(0, minute - aim)) +
          weights.early * Math.max(0, aim - minute)),
  };
}

type ModeFacts = {
  readonly index: number;
  readonly unit: number;
  readonly person: Person | null;
  readonly way: Way;
  readonly task: DayTask;
  readonly worker: number;
  readonly minutes: number;
  readonly pin: Pin | null;
  readonly pool: number;
};

function modeOf(frame: Frame, facts: ModeFacts, costs: Costs): Mode {
  const { day, aims, base, grid, slots } = frame;
  const { person, way, task, minutes, pin } = facts;
  const worker = day.workers[facts.worker]!;
  const offset = pin ? (((pin.start - base) % grid) + grid) % grid : 0;
  const ends = endsOf(task, 0, minutes);
  const inSlots = (length: number): number => Math.ceil((offset + length) / grid);
  const domain = new Uint8Array(slots);
  const opens = arrivalAt(day, worker.at, task.place, worker.arrives) + worker.setUp;
  const from = Math.max(opens, person?.from ?? -Infinity, task.from ?? -Infinity, day.now ?? -Infinity);
  const readyBy = person?.readyBy ?? day.rounds.find((one) => one.id === task.id)?.to ?? Infinity;
  const until = Math.min(task.to ?? Infinity, aims.wall ? readyBy : Infinity);
  const mid = new Float64Array(slots);
  const opening = new Float64Array(slots);
  const closing = new Float64Array(slots);
  const stale = new Float64Array(slots);
  const comfort = aims.comfort ? 1 : 0;
  const wait = comfort * (person?.weights.wait ?? 0);
  const like = (way.likes ?? [])
    .filter((one) => one.task === task.id && one.worker !== worker.id)
    .reduce((sum, one) => sum + one.cost, 0);
  const fresh = task.kind === 'makeup' ? comfort * (person?.weights.fresh ?? 0) : 0;
  const freshFrom = person ? person.readyBy - person.slack - (person.freshAfter ?? 45) : 0;
  for (let s = 0; s < slots; s++) {
    const start = base + s * grid + offset;
    const { personEnd, handsEnd } = endsOf(task, start, minutes);
    stale[s] = fresh * Math.max(0, freshFrom - (start + minutes));
    mid[s] = comfort * like + stale[s]! - wait * (personEnd - start);
    opening[s] = costs.clockWithoutBusy(start);
    closing[s] = costs.clockWithoutBusy(personEnd) + costs.ready(personEnd);
    if (pin) {
      domain[s] = start === pin.start ? 1 : 0;
      continue;
    }
    const busy = person?.busy.some((one) => start < one.to && personEnd > one.from) ?? false;
    const leaves = worker.leaves !== null && handsEnd + worker.packUp > worker.leaves;
    const away = worker.away?.some((one) => start < one.to && handsEnd > one.from) ?? false;
    domain[s] = start >= from && personEnd <= until && !busy && !leaves && !away ? 1 : 0;
  }
  return {
    index: facts.index,
    unit: facts.unit,
    task,
    worker: facts.worker,
    pool: facts.pool,
    minutes,
    handsMinutes: ends.handsEnd,
    offset,
    pinned: pin !== null,
    face: task.kind === 'makeup' && person !== null,
    workerSlots: inSlots(ends.handsEnd + worker.sanitise),
    personSlots: inSlots(ends.personEnd),
    chairSlots: inSlots(ends.chairEnd + day.chairWipe),
    domain,
    first: Math.max(0, domain.indexOf(1)),
    last: domain.lastIndexOf(1),
    mid,
    opening,
    closing,
    stale,
  };
}

/** Chairs of a place and kind are alike: counted as one pool, told apart only at the end. */
function poolsOf(day: PartyDay): { pools: Pool[]; poolFor: (task: DayTask) => number } {
  const pools: Pool[] = [];
  for (const { id, place, kind } of day.chairs) {
    const at = pools.findIndex((pool) => pool.place === place && pool.kind === kind);
    const pool = pools[at];
    if (pool) pools[at] = { ...pool, chairs: [...pool.chairs, id] };
    else pools.push({ place, kind, chairs: [id] });
  }
  const poolFor = (task: DayTask): number => {
    if (task.chair === false) return -1;
    const kind = chairKindOf(task.kind);
    const found = pools.findIndex(
      (pool) => pool.place === task.place && (pool.kind === 'any' || pool.kind === kind),
    );
    if (found >= 0) return found;
    pools.push({ place: task.place, kind, chairs: [] });
    return pools.length - 1;
  };
  return { pools, poolFor };
}

/** Every order of a way's tasks its rules allow, with what its unkept wishes cost. */
function ordersOf(way: Way): TaskOrder[] {
  const found: TaskOrder[] = [];
  const at = (id: string): number => way.tasks.findIndex((task) => task.id === id);
  const rules = (way.order ?? []).map(({ first, then }) => [at(first), at(then)] as const);
  const extend = (taken: readonly number[]): void => {
    if (taken.length === way.tasks.length) {
      const preferCost = (way.prefer ?? [])
        .filter(({ first, then }) => taken.indexOf(at(first)) > taken.indexOf(at(then)) && at(then) >= 0)
        .reduce((sum, one) => sum + one.cost, 0);
      found.push({ tasks: taken, preferCost });
      return;
    }
    way.tasks.forEach((_, i) => {
      if (taken.includes(i)) return;
      if (rules.some(([first, then]) => then === i && first >= 0 && !taken.includes(first))) return;
      extend([...taken, i]);
    });
  };
  extend([]);
  return found;
}

function entangled(perTask: readonly (readonly Mode[])[]): boolean {
  const shared = (pick: (mode: Mode) => number): boolean =>
    perTask.some((modes, i) =>
      perTask
        .slice(i + 1)
        .some((others) => modes.some((a) => pick(a) >= 0 && others.some((b) => pick(b) === pick(a)))),
    );
  return shared((mode) => mode.worker) || shared((mode) => mode.pool);
}

/**
 * Work elsewhere that only one worker can do shortens that worker's day here: starts from which it could be
 * reached neither before nor after are struck out.
 */
function keepToTravel(model: Model): void {
  const { day, base, grid } = model;
  const bounds = (mode: Mode): [first: number, last: number] | null => {
    const first = mode.domain.indexOf(1);
    return first < 0
      ? null
      : [base + first * grid + mode.offset, base + mode.domain.lastIndexOf(1) * grid + mode.offset];
  };
  for (const unit of model.units) {
    const [only] = unit.ways;
    if (!only || unit.ways.length > 1) continue;
    for (const modes of only.modes) {
      const [sole] = modes;
      if (!sole || modes.length > 1) continue;
      const span = bounds(sole);
      if (!span) continue;
      for (const other of model.modes) {
        if (
          other.worker !== sole.worker ||
          other.unit === sole.unit ||
          other.task.place === sole.task.place ||
          other.pinned
        )
          continue;
        const before = stopBy(day, other.task.place, sole.task.place, span[1]);
        const after = arrivalAt(day, sole.task.place, other.task.place, span[0] + sole.handsMinutes);
        other.domain.forEach((open, s) => {
          const start = base + s * grid;
          if (open && start + other.handsMinutes > before && start < after) other.domain[s] = 0;
        });
      }
    }
  }
}

/** The minute a mode starts in a slot. */
export const minuteOf = (model: Model, mode: Mode, slot: number): number =>
  model.base + slot * model.grid + mode.offset;

/** The same model with fewer starts; its modes are its own. */
export function narrowed(model: Model, domains: readonly Uint8Array[]): Model {
  const modes = model.modes.map((mode): Mode => {
    const domain = domains[mode.index]!;
    return { ...mode, domain, first: Math.max(0, domain.indexOf(1)), last: domain.lastIndexOf(1) };
  });
  const units = model.units.map((unit): Unit => ({
    ...unit,
    modes: unit.modes.map((mode) => modes[mode.index]!),
    ways: unit.ways.map((way) => ({
      ...way,
      modes: way.modes.map((list) => list.map((mode) => modes[mode.index]!)),
    })),
  }));
  return { ...model, modes, units };
}
