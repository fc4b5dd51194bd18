import type { Mode, Model, Unit, UnitWay } from './model';
import type { UnitPlan } from './occupancy';

// Taken out of the global once: these run in the innermost loops.
const { min, max } = Math;
const NEVER = Number.POSITIVE_INFINITY;

/**
 * The cheapest plan of one person under given costs of each mode's starts: for every way and every order of
 * its tasks, dynamic programming over slots. Exact where the tasks of a person do not share a worker or
 * chair; where they do, the same worker's next task waits for her sanitising and travel.
 */
export class PlanFinder {
  /** Points of each mode at each slot, filled by the caller; Infinity where it may not start. */
  readonly costs: Float64Array[];
  /** The first and the last slot a mode may start in; the last before the first: none. Set with the costs. */
  readonly first: Int32Array;
  readonly last: Int32Array;
  private readonly levels: Float64Array[];
  private readonly before: Float64Array;
  private readonly rest: Float64Array[];
  /** After `through`: the least cost of a plan that starts a mode in a slot. */ readonly via: Float64Array[];

  constructor(model: Model) {
    this.costs = model.modes.map(() => new Float64Array(model.slots).fill(NEVER));
    this.first = new Int32Array(model.modes.length);
    this.last = new Int32Array(model.modes.length).fill(-1);
    this.levels = model.modes.map(() => new Float64Array(model.slots));
    this.before = new Float64Array(model.slots + 1);
    this.rest = model.modes.map(() => new Float64Array(model.slots));
    this.via = model.modes.map(() => new Float64Array(model.slots));
  }

  /** The least cost of a unit, or Infinity; `choose` tells which plan it is. */
  best(unit: Unit): UnitPlan | null {
    let least = NEVER;
    let found: UnitPlan | null = null;
    unit.ways.forEach((way, w) => {
      for (const order of way.orders) {
        const fixed = way.cost + order.preferCost;
        const end = this.run(way, order.tasks);
        if (end === NEVER || fixed + end >= least - 1e-9) continue;
        least = fixed + end;
        found = this.trace(unit.index, way, w, order.tasks, end, least);
      }
    });
    return found;
  }

  /** Fills `via` for a unit's modes by going forward and back through every order; the least cost of all. */
  through(unit: Unit): number {
    let least = NEVER;
    for (const mode of unit.modes) this.via[mode.index]!.fill(NEVER);
    for (const way of unit.ways) {
      for (const { tasks, preferCost } of way.orders) {
        const fixed = way.cost + preferCost;
        const end = this.run(way, tasks);
        if (end === NEVER) continue;
        least = min(least, fixed + end);
        this.back(way, tasks, fixed);
      }
    }
    return least;
  }

  private back(way: UnitWay, order: readonly number[], fixed: number): void {
    for (let level = order.length - 1; level >= 0; level--) {
      const later = order[level + 1];
      const next = later === undefined ? null : way.modes[later]!;
      for (const mode of way.modes[order[level]!]!) {
        const rest = this.rest[mode.index]!;
        const via = this.via[mode.index]!;
        const here = this.levels[mode.index]!;
        if (!next) rest.set(mode.closing);
        else this.onward(way, order, level + 1, mode, rest);
        for (let s = this.first[mode.index]!; s <= this.last[mode.index]!; s++)
          via[s] = min(via[s]!, fixed + here[s]! + rest[s]!);
      }
    }
  }

  /** Into `rest`: the least cost of all that may follow a mode that starts in a slot. */
  private onward(
    way: UnitWay,
    order: readonly number[],
    level: number,
    mode: Mode,
    rest: Float64Array,
  ): void {
    const { before } = this;
    before.fill(NEVER);
    const task = order[level]!;
    const faces = order.slice(0, level).filter((one) => way.modes[one]![0]?.task.kind === 'makeup').length;
    const again = way.modes[task]![0]?.task.kind === 'makeup' && faces > 0;
    for (const next of way.modes[task]!) {
      const costs = this.costs[next.index]!;
      const after = this.rest[next.index]!;
      const delay = delayOf(mode, way.entangled ? next : null);
      for (let s = max(delay, this.first[next.index]!); s <= this.last[next.index]!; s++) {
        const cost = costs[s]! + after[s]! - (again ? next.stale[s]! : 0);
        if (cost < before[s - delay]!) before[s - delay] = cost;
      }
    }
    rest.fill(NEVER);
    let least = NEVER;
    for (let s = before.length - 1; s >= 0; s--) {
      least = min(least, before[s]!);
      if (s < rest.length) rest[s] = least;
    }
  }

  /** Fills the levels of one order; its least cost. */
  private run(way: UnitWay, order: readonly number[]): number {
    let least = NEVER;
    let faces = 0;
    for (let level = 0; level < order.length; level++) {
      const modes = way.modes[order[level]!]!;
      const last = level === order.length - 1;
      const again = modes[0]?.task.kind === 'makeup' && faces++ > 0;
      if (level > 0 && !way.entangled) this.reach(way.modes[order[level - 1]!]!, null);
      for (const mode of modes) {
        const own = this.costs[mode.index]!;
        const here = this.levels[mode.index]!;
        const until = this.last[mode.index]!;
        if (level > 0 && way.entangled) this.reach(way.modes[order[level - 1]!]!, mode);
        for (let s = this.first[mode.index]!; s <= until; s++) {
          let cost = own[s]!;
          if (cost === NEVER) {
            here[s] = NEVER;
            continue;
          }
          cost += level === 0 ? -mode.opening[s]! : this.before[s]!;
          if (again) cost -= mode.stale[s]!;
          here[s] = cost;
          if (last && cost + mode.closing[s]! < least) least = cost + mode.closing[s]!;
        }
      }
    }
    return least;
  }

  /**
   * Into `before`: the least cost of all that leads to a start in a slot, of `next` where it matters which.
   */
  private reach(previous: readonly Mode[], next: Mode | null): void {
    const { before } = this;
    const most = before.length - 1;
    let from = most;
    for (const mode of previous)
      if (this.last[mode.index]! >= 0) from = min(from, this.first[mode.index]! + delayOf(mode, next));
    before.fill(NEVER);
    for (const mode of previous) {
      const level = this.levels[mode.index]!;
      const delay = delayOf(mode, next);
      const until = this.last[mode.index]!;
      for (let s = this.first[mode.index]!; s <= until; s++) {
        const cost = level[s]!;
        if (cost === NEVER) continue;
        const at = s + delay;
        if (at <= most && cost < before[at]!) before[at] = cost;
      }
    }
    for (let s = from + 1; s <= most; s++) if (before[s - 1]! < before[s]!) before[s] = before[s - 1]!;
  }

  private trace(
    unit: number,
    way: UnitWay,
    wayIndex: number,
    order: readonly number[],
    end: number,
    cost: number,
  ): UnitPlan {
    const modes: Mode[] = [];
    const starts: number[] = [];
    let wanted = end;
    for (let level = order.length - 1; level >= 0; level--) {
      const next = modes[0];
      const limit = starts[0] ?? 0;
      let best = NEVER;
      let mode: Mode | undefined;
      let slot = -1;
      for (const one of way.modes[order[level]!]!) {
        const here = this.levels[one.index]!;
        const open = this.last[one.index]!;
        const until = next ? min(open, limit - delayOf(one, way.entangled ? next : null)) : open;
        for (let s = this.first[one.index]!; s <= until; s++) {
          const at = next ? here[s]! : here[s]! + one.closing[s]!;
          if (at < best) {
            best = at;
            mode = one;
            slot = s;
          }
        }
      }
      if (!mode || best > wanted + 1e-6) throw new Error('the cheapest plan could not be traced back');
      modes.unshift(mode);
      starts.unshift(slot);
      wanted = NEVER;
    }
    return { unit, way: wayIndex, modes, starts, cost };
  }
}

function delayOf(mode: Mode, next: Mode | null): number {
  return next && mode.worker === next.worker ? max(mode.personSlots, mode.workerSlots) : mode.personSlots;
}
