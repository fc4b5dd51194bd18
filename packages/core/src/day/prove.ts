import type { Random } from '../math';
import { Bound, type Duals } from './bound';
import { splitNode, type Domain } from './branching';
import type { Model } from './model';
import type { UnitPlan } from './occupancy';
import { alive, propagate } from './propagate';
import { Search, type Found } from './search';

// Taken out of the global once: these run in the innermost loops.
const { min, max } = Math;
const NEVER = Number.POSITIVE_INFINITY;

type Node = {
  readonly domains: Domain;
  readonly duals: Duals | null;
  readonly bound: number;
  readonly depth: number;
};

const ROOT_ROUNDS = 450;
const NODE_ROUNDS = 40;
const WORTH_A_PASS = 20;
/** Rounds whose plans tell where to branch. */
const LOOKED_AT = 15;
/** Costs are whole: a node that cannot get under the best by a whole point is closed. */
const WHOLE = 1 - 1e-6;

/**
 * Branch and bound on the Lagrangian bound, with reduced-cost fixing: a start whose cheapest plan lifts the
 * bound to the best timetable's points is struck out. Dives into the likelier half, then takes the best open
 * bound. The least open bound is proven at any moment.
 */
export class Proof {
  nodes = 0;
  /** No timetable of this model costs less. */
  bound = -NEVER;
  private readonly open: Node[] = [];
  private diving: Node | null = null;
  private readonly lower: Bound;
  private finished = false;
  private begun = false;

  constructor(
    private readonly model: Model,
    private readonly random: Random,
    /** Where better timetables are put; its best is the upper bound. */ private readonly search: Search,
  ) {
    this.lower = new Bound(model);
  }

  get proven(): boolean {
    return this.finished;
  }

  private upper(): number {
    return pointsOf(this.model, this.search.best);
  }

  /** The bound at the root, in steps; then its prices steer. */
  *root(): Generator<void> {
    const domains = this.model.modes.map((mode) => mode.domain.slice());
    this.begun = true;
    const node = { domains, duals: null, bound: -NEVER, depth: 0 };
    yield* this.expand(node, this.model.day.people.length > 20 ? 280 : ROOT_ROUNDS);
    this.close();
  }

  /** The prices of the root's bound, for steering. */
  get prices(): readonly Float64Array[] {
    return this.lower.pricesOf(this.rootDuals ?? this.lower.bestDuals);
  }
  private rootDuals: Duals | null = null;
  private rootThrough: readonly Float64Array[] = [];
  private rootBound = 0;

  /**
   * The starts whose cheapest plan stays within a share of the root's bound: where to look first. A timetable
   * that good lies within them whole.
   */
  promising(share: number): readonly Uint8Array[] {
    const most = this.rootBound + max(10, share * this.rootBound);
    return this.model.modes.map((mode) =>
      mode.domain.map((open, s) => (open && this.rootThrough[mode.index]![s]! <= most ? 1 : 0)),
    );
  }

  /** One node after the other, until proven. Gives way after each. */
  *branch(): Generator<void> {
    if (!this.begun) yield* this.root();
    while (!this.finished) {
      const node = this.diving ?? this.takeBest();
      this.diving = null;
      if (!node) break;
      if (node.bound > this.upper() - WHOLE) {
        this.close();
        continue;
      }
      yield* this.expand(node, NODE_ROUNDS);
      this.close();
      yield;
    }
    this.close();
  }

  private takeBest(): Node | null {
    let best = -1;
    this.open.forEach((node, i) => {
      if (best < 0 || node.bound < this.open[best]!.bound) best = i;
    });
    return best < 0 ? null : this.open.splice(best, 1)[0]!;
  }

  /** Brings the proven bound up to date. */
  private close(): void {
    const upper = this.upper();
    for (let i = this.open.length - 1; i >= 0; i--)
      if (this.open[i]!.bound > upper - WHOLE) this.open.splice(i, 1);
    const least = min(this.diving?.bound ?? NEVER, ...this.open.map((node) => node.bound));
    if (least > upper - WHOLE) {
      this.bound = upper;
      this.finished = upper < NEVER;
      this.diving = null;
    } else this.bound = max(this.bound, least);
    if (least === NEVER && upper === NEVER) {
      this.bound = NEVER;
      this.finished = true;
    }
  }

  private *expand(node: Node, rounds: number): Generator<void> {
    const { model, lower } = this;
    this.nodes++;
    // Its sibling shares what the cut did not touch.
    const domains = node.domains.map((domain) => domain.slice());
    if (!propagate(model, domains)) return;
    lower.from(node.duals, domains);
    const seen: (readonly (UnitPlan | null)[])[] = [];
    let bound = node.bound;
    for (let pass = 0; pass < 3; pass++) {
      for (let round = 0; round < (pass === 0 ? rounds : NODE_ROUNDS / 2); round++) {
        const { bound: now, plans } = lower.round(min(this.upper(), 1e6));
        if (now === NEVER) return;
        if (plans.every((plan) => plan !== null)) {
          seen.push(plans);
          if (seen.length > LOOKED_AT) seen.shift();
        }
        if (lower.best > this.upper() - WHOLE) return;
        if (lower.done) break;
        if (rounds > NODE_ROUNDS && round % 20 === 19) yield;
      }
      if (pass === 0 && node.depth === 0) this.rootDuals = lower.bestDuals;
      const fixed = this.fix(domains);
      bound = max(bound, fixed.bound);
      if (bound > this.upper() - WHOLE) return;
      const { struck } = fixed;
      if (struck === 0) break;
      if (!propagate(model, domains)) return;
      // Few fell away: another pass would hardly lift the bound.
      if (struck < WORTH_A_PASS) break;
      lower.from(lower.bestDuals, domains);
    }
    if (model.units.some((unit) => !alive(unit, domains))) return;
    this.tryPlans(seen);
    if (bound > this.upper() - WHOLE) return;
    const halves = splitNode(model, domains, seen);
    if (!halves) {
      // Every start is decided: it is a timetable or none.
      this.search.from(this.onlyPlans(domains));
      return;
    }
    const duals = lower.bestDuals;
    const [likely, other] = halves.map((half): Node => ({
      domains: half,
      duals,
      bound,
      depth: node.depth + 1,
    }));
    this.diving = likely!;
    this.open.push(other!);
  }

  /** Strikes out starts that cannot be part of a better timetable; the bound with the star's term. */
  private fix(domains: readonly Uint8Array[]): { bound: number; struck: number } {
    const { model, lower } = this;
    const own = lower.throughAll();
    const base = lower.best;
    const toll = lower.starToll(own);
    const star = toll ? lower.starTerm(own, toll) : 0;
    const upper = this.upper();
    const atRoot = this.rootThrough.length === 0;
    const all: Float64Array[] = [];
    let struck = 0;
    for (const mode of model.modes) {
      const throughs = new Float64Array(mode.domain.length).fill(NEVER);
      all.push(throughs);
      const via = lower.finder.via[mode.index]!;
      const domain = domains[mode.index]!;
      const mine = own[mode.unit]!;
      const starred = toll && mode.face && mode.unit === model.star;
      for (let s = 0; s <= mode.last; s++) {
        if (!domain[s]) continue;
        const through = base - mine + via[s]! + (starred ? toll(mode, s) : 0);
        throughs[s] = through;
        if (through > upper - WHOLE) {
          domain[s] = 0;
          struck++;
        }
      }
    }
    if (atRoot) {
      this.rootThrough = all;
      this.rootBound = base + star;
    }
    return { bound: base + star, struck };
  }

  /** Plans of the last rounds that fit together, and now and then some rounds of search from them. */
  private tryPlans(seen: readonly (readonly (UnitPlan | null)[])[]): void {
    const last = seen.at(-1);
    if (!last) return;
    this.search.from(last);
    if (this.random() < 0.15) for (const _ of this.search.rounds(60, 10, 1)) void _;
  }

  private onlyPlans(domains: readonly Uint8Array[]): (UnitPlan | null)[] {
    this.lower.from(null, domains);
    return [...this.lower.round(NEVER).plans];
  }
}

/** The points of a found timetable as its model counts them. */
export function pointsOf(model: Model, found: Found | null): number {
  return found ? found.objective.cost + model.aims.latePoints * found.objective.late : NEVER;
}
