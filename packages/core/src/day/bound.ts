import { IdleFinder, type IdleRule } from './idleSlots';
import type { Mode, Model } from './model';
import type { UnitPlan } from './occupancy';
import { PlanFinder } from './planFinder';
import type { Prices } from './search';

// Taken out of the global once: these run in the innermost loops.
const { min, max, ceil } = Math;
const NEVER = Number.POSITIVE_INFINITY;

/** Prices of a worker's and of a chair pool's slots. */
export type Duals = {
  readonly workers: readonly Float64Array[];
  readonly pools: readonly Float64Array[];
};

/** Starts open in a node of the proof, by mode; null: as the model has them. */
export type Domains = readonly Uint8Array[] | null;

export type BoundRound = { readonly bound: number; readonly plans: readonly (UnitPlan | null)[] };

/**
 * Lagrangian bound (Held and Karp, 1970; Fisher, 1981): workers' and chairs' minutes are not held to be free
 * but have prices, so that each person plans alone; whatever the prices, the sum is never above the best
 * timetable. Prices are bettered by deflected subgradients.
 */
export class Bound {
  readonly finder: PlanFinder;
  duals: Duals;
  /** The best bound so far and its prices. */
  best = -NEVER;
  bestDuals: Duals;
  private readonly idle: readonly (IdleFinder | null)[];
  private readonly workerPrefix: Float64Array[];
  private readonly poolPrefix: Float64Array[];
  private readonly step: Duals;
  private readonly usage: Duals;
  private theta = 1;
  private stale = 0;
  private domains: Domains = null;

  constructor(private readonly model: Model) {
    this.finder = new PlanFinder(model);
    this.idle = model.workers.map((_, i) => {
      const rule = idleRule(model, i);
      return rule && new IdleFinder(model.slots, rule);
    });
    this.duals = this.noDuals();
    this.bestDuals = this.noDuals();
    this.step = this.noDuals();
    this.usage = this.noDuals();
    this.workerPrefix = model.workers.map(() => new Float64Array(model.slots + 64));
    this.poolPrefix = model.pools.map(() => new Float64Array(model.slots + 64));
  }

  private noDuals(): Duals {
    const { model } = this;
    return {
      workers: model.workers.map(() => new Float64Array(model.slots)),
      pools: model.pools.map(() => new Float64Array(model.slots)),
    };
  }

  /** Begins anew from prices, within domains. */
  from(duals: Duals | null, domains: Domains): void {
    copyInto(this.duals, duals);
    copyInto(this.step, null);
    this.bestDuals = copyOf(this.duals);
    this.domains = domains;
    this.best = -NEVER;
    this.theta = duals ? 0.3 : 1;
    this.stale = 0;
  }

  /** One round: everyone's cheapest plan under the prices, the bound they make, and better prices. */
  round(upper: number): BoundRound {
    this.price();
    const { model } = this;
    let bound = this.constant();
    const plans = model.units.map((unit) => {
      const plan = this.finder.best(unit);
      bound += plan ? plan.cost : NEVER;
      return plan;
    });
    if (bound > this.best + 1e-7) {
      if (bound > this.best + 0.05) this.stale = 0;
      this.best = bound;
      copyInto(this.bestDuals, this.duals);
    } else this.stale++;
    if (this.stale >= 12) {
      this.stale = 0;
      this.theta *= 0.7;
      if (this.theta < 0.3) copyInto(this.duals, this.bestDuals);
    }
    if (Number.isFinite(bound)) this.better(plans, bound, upper);
    return { bound, plans };
  }

  /** Whether more rounds would hardly help. */
  get done(): boolean {
    return this.theta < 0.002;
  }

  /** Fills the finder's costs and the prefix sums from the prices. */
  price(duals: Duals = this.duals): void {
    const { model } = this;
    model.workers.forEach((_, w) => {
      const prefix = this.workerPrefix[w]!;
      const price = duals.workers[w]!;
      for (let s = 0; s < prefix.length - 1; s++) prefix[s + 1] = prefix[s]! + (price[s] ?? 0);
    });
    model.pools.forEach((_, p) => {
      const prefix = this.poolPrefix[p]!;
      const price = duals.pools[p]!;
      for (let s = 0; s < prefix.length - 1; s++) prefix[s + 1] = prefix[s]! + (price[s] ?? 0);
    });
    for (const mode of model.modes) this.fill(mode);
  }

  private fill(mode: Mode): void {
    const costs = this.finder.costs[mode.index]!;
    const domain = this.domains?.[mode.index] ?? mode.domain;
    const { workerSlots, chairSlots, mid } = mode;
    const worker = this.workerPrefix[mode.worker]!;
    const pool = mode.pool < 0 ? null : this.poolPrefix[mode.pool]!;
    const most = worker.length - 1;
    const first = domain.indexOf(1);
    this.finder.first[mode.index] = max(0, first);
    const until = first < 0 ? -1 : domain.lastIndexOf(1);
    this.finder.last[mode.index] = until;
    for (let s = max(0, first); s <= until; s++) {
      if (!domain[s]) {
        costs[s] = NEVER;
        continue;
      }
      let cost = mid[s]! + worker[min(most, s + workerSlots)]! - worker[s]!;
      if (pool) cost += pool[min(most, s + chairSlots)]! - pool[s]!;
      costs[s] = cost;
    }
  }

  /** What the prices take off: capacities at their price, less the cheapest rests and lunches. */
  private constant(): number {
    const { model, duals } = this;
    let sum = 0;
    model.workers.forEach((_, w) => {
      const price = duals.workers[w]!;
      for (const one of price) sum -= one;
      sum += this.idle[w]?.find(price) ?? 0;
    });
    model.pools.forEach((pool, p) => {
      for (const price of duals.pools[p]!) sum -= price * pool.chairs.length;
    });
    return sum;
  }

  /** A deflected subgradient step: prices rise where too much is wanted, fall where there is room. */
  private better(plans: readonly (UnitPlan | null)[], bound: number, upper: number): void {
    const { model, duals, step } = this;
    const { usage } = this;
    for (const list of [...usage.workers, ...usage.pools]) list.fill(0);
    for (const plan of plans) {
      plan?.modes.forEach((mode, i) => {
        const s = plan.starts[i]!;
        const worker = usage.workers[mode.worker]!;
        for (let k = s; k < min(worker.length, s + mode.workerSlots); k++) worker[k]!++;
        if (mode.pool < 0) return;
        const pool = usage.pools[mode.pool]!;
        for (let k = s; k < min(pool.length, s + mode.chairSlots); k++) pool[k]!++;
      });
    }
    model.workers.forEach((_, w) => {
      const used = usage.workers[w]!;
      const idle = this.idle[w]?.marks;
      if (idle) for (let s = 0; s < used.length; s++) used[s]! += idle[s]!;
      for (let s = 0; s < used.length; s++) used[s]!--;
    });
    model.pools.forEach((pool, p) => {
      const used = usage.pools[p]!;
      for (let s = 0; s < used.length; s++) used[s]! -= pool.chairs.length;
    });
    let norm = 0;
    const deflect = (price: Float64Array, way: Float64Array, now: Float64Array): void => {
      for (let s = 0; s < price.length; s++) {
        way[s] = 0.7 * way[s]! + now[s]!;
        if (price[s]! <= 0 && way[s]! < 0) way[s] = 0;
        norm += way[s]! ** 2;
      }
    };
    const each = (act: (price: Float64Array, way: Float64Array, now: Float64Array) => void): void => {
      duals.workers.forEach((price, i) => act(price, step.workers[i]!, usage.workers[i]!));
      duals.pools.forEach((price, i) => act(price, step.pools[i]!, usage.pools[i]!));
    };
    each(deflect);
    if (norm < 1e-9) return;
    const length = (this.theta * max(1, upper - bound)) / norm;
    each((price, way) => {
      for (let s = 0; s < price.length; s++) price[s] = max(0, price[s]! + length * way[s]!);
    });
  }

  /** What a start costs above its own points under prices, to steer insertion. */
  pricesOf(duals: Duals): Prices {
    const domains = this.domains;
    this.domains = null;
    this.price(duals);
    this.domains = domains;
    return this.model.modes.map((mode) =>
      this.finder.costs[mode.index]!.map((cost, s) => (mode.domain[s] ? cost - mode.mid[s]! : 0)),
    );
  }

  /** Under the best prices: each unit's least cost, and `finder.via` for all their starts. */
  throughAll(): readonly number[] {
    this.price(this.bestDuals);
    return this.model.units.map((unit) => this.finder.through(unit));
  }

  /**
   * What the star's rule adds at least, by her face's mode and slot: she pays for being first or last, or
   * somebody is moved before and after her at the least extra cost. `own` is of `throughAll`.
   */
  starToll(own: readonly number[]): ((mode: Mode, slot: number) => number) | null {
    const { model } = this;
    const rule = model.day.star;
    const faces = model.units.filter((unit) => unit.person && unit.index !== model.star);
    const surely = faces.some((unit) => unit.ways.every((way) => way.faces > 0));
    if (model.star < 0 || !rule || !surely) return null;
    const begins = new Float64Array(model.slots + 1).fill(NEVER);
    const ends: { minute: number; extra: number }[] = [];
    for (const unit of faces) {
      for (const mode of unit.modes) {
        if (!mode.face) continue;
        const via = this.finder.via[mode.index]!;
        for (let s = 0; s <= mode.last; s++) {
          const extra = via[s]! - own[unit.index]!;
          if (extra === NEVER) continue;
          // Pinned between slots: it may begin before a start in the same slot.
          const from = mode.offset > 0 ? s : s + 1;
          if (extra < begins[from]!) begins[from] = extra;
          ends.push({ minute: model.base + s * model.grid + mode.offset + mode.minutes, extra });
        }
      }
    }
    for (let s = 1; s < begins.length; s++) begins[s] = min(begins[s]!, begins[s - 1]!);
    ends.sort((a, b) => b.minute - a.minute);
    const after = (minute: number): number => {
      let least = NEVER;
      for (const end of ends) {
        if (end.minute <= minute) break;
        least = min(least, end.extra);
      }
      return least;
    };
    const known = new Map<number, number>();
    return (mode, slot) => {
      const minute = model.base + slot * model.grid + mode.offset + mode.minutes;
      const last = known.get(minute) ?? after(minute);
      known.set(minute, last);
      const first = begins[mode.offset > 0 ? slot + 1 : slot]!;
      return min(
        rule.firstCost + rule.lastCost,
        rule.lastCost + first,
        rule.firstCost + last,
        max(first, last),
      );
    };
  }

  /** The least the star's rule adds to the bound. */
  starTerm(own: readonly number[], toll: (mode: Mode, slot: number) => number): number {
    let least = NEVER;
    for (const mode of this.model.units[this.model.star]!.modes) {
      if (!mode.face) continue;
      const via = this.finder.via[mode.index]!;
      for (let s = 0; s <= mode.last; s++)
        if (via[s]! < NEVER) least = min(least, via[s]! - own[this.model.star]! + toll(mode, s));
    }
    return Number.isFinite(least) ? max(0, least) : 0;
  }
}

/** Writes prices over others; none: zero. */
function copyInto(to: Duals, source: Duals | null): void {
  const one = (list: Float64Array, given: Float64Array | undefined): void => {
    if (given) list.set(given);
    else list.fill(0);
  };
  to.workers.forEach((list, i) => one(list, source?.workers[i]));
  to.pools.forEach((list, i) => one(list, source?.pools[i]));
}

/** The idle slots a worker must have; none where work was pinned, which may break her rules. */
function idleRule(model: Model, index: number): IdleRule | null {
  const { maxWork, sanitise, rest, lunch } = model.workers[index]!;
  const { grid, base, slots } = model;
  if (model.pinnedWorkers.has(index)) return null;
  const restSlots = maxWork === null ? 1 : ceil(rest / grid);
  const meal = lunch && {
    slots: lunch.minutes / grid,
    from: (lunch.from - base) / grid,
    to: (lunch.to - base) / grid,
  };
  // A lunch shorter than a rest may lie within a stretch of work; one that may be after the last slot is
  // free.
  const asked =
    meal && meal.slots >= restSlots && meal.from >= 0 && meal.to - meal.slots < slots ? meal : null;
  if (maxWork === null && !asked) return null;
  return { busy: maxWork === null ? null : ceil((maxWork + sanitise) / grid), rest: restSlots, lunch: asked };
}

function copyOf(duals: Duals): Duals {
  return {
    workers: duals.workers.map((list) => list.slice()),
    pools: duals.pools.map((list) => list.slice()),
  };
}
