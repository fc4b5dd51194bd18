import type { Random } from '../math';
import { compareObjectives, type Objective } from './instance';
import { minuteOf, type Mode, type Model, type Unit } from './model';
import { Occupancy, type UnitPlan } from './occupancy';
import { PlanFinder } from './planFinder';
import { costOf, facesOf, objectiveOf, starPoints, type Faces, type Plans } from './timetable';

// Taken out of the global once: these run in the innermost loops.
const { min, max, floor, log, abs } = Math;
const NEVER = Number.POSITIVE_INFINITY;

/** Points for somebody who has no plan yet: above anything comfort or lateness can cost. */
const UNPLACED = 100_000;
/** Tries to put one person in whose tasks get into each other's way. */
const TANGLES = 12;

/** Points each start is held to cost above its own, by mode: prices of workers' and chairs' minutes. */
export type Prices = readonly Float64Array[];

export type Found = { readonly plans: Plans; readonly objective: Objective };

/**
 * Ruin and recreate (Schrimpf et al., 2000) over exact best insertion: some people are taken out of the
 * timetable and put back one by one, each in her cheapest place; a worse timetable is accepted with a chance
 * that shrinks as it cools. The best is kept by lateness first.
 */
export class Search {
  readonly plans: (UnitPlan | null)[];
  best: Found | null = null;
  iterations = 0;
  /** Points added for a change from an earlier timetable. */
  extra: Prices | null = null;
  /** Points a whole timetable is held to cost above its own: what it risks. */
  risk: ((plans: Plans) => number) | null = null;
  private readonly occupancy: Occupancy;
  private readonly finder: PlanFinder;
  /** Whose every task is pinned: there is nothing to look for. */
  private readonly fixed: readonly boolean[];

  constructor(
    private readonly model: Model,
    private readonly random: Random,
    private readonly prices: Prices | null = null,
  ) {
    this.occupancy = new Occupancy(model);
    this.finder = new PlanFinder(model);
    this.plans = model.units.map(() => null);
    this.fixed = model.units.map((unit) => unit.modes.length > 0 && unit.modes.every((mode) => mode.pinned));
  }

  /**
   * Starts anew from a timetable; whoever has no plan in it is put in, the hardest first, with so much of the
   * prices.
   */
  from(plans: Plans, alpha = 0): void {
    this.plans.forEach((plan, i) => this.set(i, plan, null));
    const order = [...plans.keys()].sort(
      (a, b) => this.held(b) - this.held(a) || this.hardness(b) - this.hardness(a),
    );
    for (const i of order) {
      const plan = plans[i];
      if (plan && this.occupancy.accepts(plan)) this.set(i, null, plan);
    }
    for (const i of order) if (!this.plans[i]) this.insert(this.model.units[i]!, alpha, 0);
    this.keepBest();
  }

  /** Rounds of ruin and recreate, cooling over all of them; gives way after every 32. */
  *rounds(count: number, hot: number, cold: number): Generator<void> {
    let current = this.score();
    for (let round = 0; round < count; round++) {
      const heat = hot * (cold / hot) ** (round / count);
      const out = this.pick().filter((i) => !this.fixed[i]);
      const kept = out.map((i) => this.plans[i] ?? null);
      out.forEach((i) => this.set(i, this.plans[i] ?? null, null));
      const alpha = this.prices && this.random() < 0.6 ? this.random() : 0;
      const blink = this.random() < 0.6 ? 0.03 : 0;
      for (const i of this.reordered(out, kept)) this.insert(this.model.units[i]!, alpha, blink);
      const next = this.score();
      if (next <= current - heat * log(1 - this.random())) {
        current = next;
        this.keepBest();
      } else {
        out.forEach((i) => this.set(i, this.plans[i] ?? null, null));
        out.forEach((i, k) => this.set(i, null, kept[k] ?? null));
      }
      this.iterations++;
      if (round % 32 === 31) yield;
    }
  }

  /** Back to the best timetable found. */
  toBest(): void {
    if (this.best) this.from(this.best.plans);
  }

  private set(i: number, old: UnitPlan | null, plan: UnitPlan | null): void {
    if (old) this.occupancy.remove(old);
    if (plan) this.occupancy.add(plan);
    this.plans[i] = plan;
  }

  private score(): number {
    let sum = starPoints(this.model, facesOf(this.model, this.plans, -1));
    if (this.risk && this.plans.every((plan) => plan !== null)) sum += this.risk(this.plans);
    for (const plan of this.plans) {
      sum += plan ? plan.cost : UNPLACED;
      if (plan && this.extra)
        plan.modes.forEach((mode, k) => (sum += this.extra![mode.index]![plan.starts[k]!]!));
    }
    return sum;
  }

  private keepBest(): void {
    const plain = objectiveOf(this.model, this.plans);
    if (!plain) return;
    const above = (this.extra ? this.extraPoints() : 0) + (this.risk ? this.risk(this.plans) : 0);
    const objective = { ...plain, cost: plain.cost + Math.round(above) };
    if (this.best && compareObjectives(objective, this.best.objective) >= 0) return;
    this.best = { plans: [...this.plans], objective };
  }

  private extraPoints(): number {
    let sum = 0;
    for (const plan of this.plans)
      plan?.modes.forEach((mode, k) => (sum += this.extra![mode.index]![plan.starts[k]!]!));
    return sum;
  }

  /** Puts a unit into its cheapest free place; false when there is none. */
  insert(unit: Unit, alpha: number, blink: number): boolean {
    const faces = facesOf(this.model, this.plans, unit.index);
    for (const mode of unit.modes) this.fill(mode, faces, alpha, blink);
    for (let tries = 0; tries < TANGLES; tries++) {
      const plan = this.finder.best(unit);
      if (!plan) return false;
      const entangled = unit.ways[plan.way]!.entangled;
      if (!entangled || this.occupancy.accepts(plan)) {
        this.set(unit.index, null, { ...plan, cost: costOf(unit, plan) });
        return true;
      }
      // One of the two gives way; which, by chance.
      const k = floor(this.random() * plan.modes.length);
      this.finder.costs[plan.modes[k]!.index]![plan.starts[k]!] = NEVER;
    }
    return false;
  }

  private fill(mode: Mode, faces: Faces, alpha: number, blink: number): void {
    const costs = this.finder.costs[mode.index]!;
    const starts = this.occupancy.workerStarts(mode);
    const runs = mode.pool < 0 || mode.pinned ? null : this.occupancy.chairRuns(mode.pool);
    const price = alpha > 0 ? this.prices![mode.index]! : null;
    const extra = this.extra ? this.extra[mode.index]! : null;
    const star = mode.face && this.model.star >= 0;
    let first = -1;
    let last = -1;
    let skip = blink > 0 ? floor(log(1 - this.random()) / log(1 - blink)) : NEVER;
    for (let s = mode.first; s <= mode.last; s++) {
      if (!starts[s] || (runs && runs[s]! < mode.chairSlots)) {
        costs[s] = NEVER;
        continue;
      }
      if (skip-- === 0 && !mode.pinned) {
        skip = floor(log(1 - this.random()) / log(1 - blink));
        costs[s] = NEVER;
        continue;
      }
      let cost = mode.mid[s]!;
      if (price) cost += alpha * price[s]!;
      if (extra) cost += extra[s]!;
      if (star) cost += this.starChange(mode, s, faces);
      costs[s] = cost;
      if (first < 0) first = s;
      last = s;
    }
    this.finder.first[mode.index] = max(0, first);
    this.finder.last[mode.index] = last;
  }

  /** What a face at a start changes in the star's points. */
  private starChange(mode: Mode, slot: number, faces: Faces): number {
    const start = minuteOf(this.model, mode, slot);
    const end = start + mode.minutes;
    const { starStart, starEnd, first, last } = faces;
    if (mode.unit === this.model.star)
      return starPoints(this.model, { first, last, starStart: start, starEnd: end });
    if (Number.isNaN(starStart)) return 0;
    const after = { first: min(first, start), last: max(last, end), starStart, starEnd };
    return starPoints(this.model, after) - starPoints(this.model, faces);
  }

  /** Units to take out: near in time, a stretch of one worker, the dearest, or any; all that have no plan. */
  private pick(): number[] {
    const { random, plans } = this;
    const n = plans.length;
    const most = min(n, 2 + floor(random() * 4));
    const out = new Set<number>();
    plans.forEach((plan, i) => {
      if (!plan && out.size < 4) out.add(i);
    });
    const kind = random();
    const seed = floor(random() * n);
    const planOf = (i: number): UnitPlan | null => plans[i] ?? null;
    out.add(seed);
    const add = (list: readonly number[]): void => {
      for (const i of list) if (out.size < most) out.add(i);
    };
    if (kind < 0.4) {
      const at = (i: number): number => planOf(i)?.starts[0] ?? 0;
      const end = (i: number): number => planOf(i)?.starts.at(-1) ?? 0;
      const away = (i: number): number => min(abs(at(i) - at(seed)), abs(end(i) - end(seed))) + random() * 6;
      add(this.sortedBy(away));
    } else if (kind < 0.65) {
      const mode = planOf(seed)?.modes[floor(random() * (planOf(seed)?.modes.length ?? 1))];
      const here = planOf(seed)?.starts[0] ?? 0;
      const away = (i: number): number => {
        const plan = planOf(i);
        const k = plan?.modes.findIndex((one) => one.worker === mode?.worker) ?? -1;
        return k < 0 || !plan ? NEVER : abs(plan.starts[k]! - here) + random() * 3;
      };
      add(this.sortedBy(away));
    } else if (kind < 0.85) {
      add(this.sortedBy((i) => -((planOf(i)?.cost ?? UNPLACED) * (0.5 + random()))));
    }
    while (out.size < most) out.add(floor(random() * n));
    return [...out];
  }

  private sortedBy(key: (i: number) => number): number[] {
    const keyed = this.plans.map((_, i) => ({ i, by: key(i) })).filter((one) => one.by < NEVER);
    return keyed.sort((a, b) => a.by - b.by).map((one) => one.i);
  }

  /** The order to put them back in: by chance, the hardest first, or whom it cost most. */
  private reordered(out: readonly number[], kept: readonly (UnitPlan | null)[]): number[] {
    const kind = this.random();
    const keyed = out.map((i, k) => ({
      i,
      by:
        kind < 0.55
          ? this.random()
          : kind < 0.85
            ? -this.hardness(i) * (0.8 + 0.4 * this.random())
            : -(kept[k]?.cost ?? UNPLACED),
    }));
    return keyed.sort((a, b) => this.held(b.i) - this.held(a.i) || a.by - b.by).map((one) => one.i);
  }

  /** 1 for whom some work is pinned: put in before the others, who must keep clear of it. */
  private held(i: number): number {
    return this.model.units[i]!.modes.some((mode) => mode.pinned) ? 1 : 0;
  }

  /** How little room a unit leaves: its work over its time. */
  private hardness(i: number): number {
    const unit = this.model.units[i]!;
    const way = unit.ways[0];
    if (!way) return 0;
    const work = way.modes.reduce((sum, modes) => sum + min(...modes.map((mode) => mode.personSlots)), 0);
    const first = min(...unit.modes.map((mode) => (mode.last < 0 ? NEVER : mode.domain.indexOf(1))));
    const by = unit.person?.readyBy ?? NEVER;
    const room = min(this.model.slots, (by - this.model.base) / this.model.grid) - first;
    return (work / max(1, room)) * (unit.index === this.model.star ? 1.2 : 1);
  }
}
