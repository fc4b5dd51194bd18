import { seededRandom } from '../math';
import { checkDay } from './checkDay';
import type { PartyDay, DayAnswer, Objective } from './instance';
import { modelOf, narrowed, type Aims, type Model } from './model';
import { pointsOf, Proof } from './prove';
import { Search, type Found } from './search';
import { objectiveOf, plansFrom, visitsOf, type Plans } from './timetable';
import { wholeDay, type OpenDay } from './wholeDay';

export type PlanProgress = {
  readonly phase: 'finding' | 'lateness' | 'proving';
  readonly objective: Objective | null;
  readonly bound: Objective;
  readonly work: number;
};

export type PlanOptions = {
  readonly seed?: number;
  /** Milliseconds after which the best so far is answered; none: until its own budget is spent. */
  readonly limitMs?: number;
  /** Steps of work after which it ends: the same number with the same seed is the same answer. */
  readonly work?: number;
  readonly onProgress?: (progress: PlanProgress) => void;
  /** Asked between steps. */
  readonly stop?: () => boolean;
  /** Reads a clock in milliseconds; handed in where `limitMs` is. */
  readonly clock?: () => number;
};

/**
 * Points a weighted minute late counts for while looking: less than it is worth, so that ways there stay
 * open.
 */
const LOOKING: Aims = { latePoints: 25, comfort: true, wall: false };
const LATENESS: Aims = { latePoints: 1, comfort: false, wall: false };
const WALL: Aims = { latePoints: 25, comfort: true, wall: true };
/** Comfort once the least lateness is known. */
const LATE: Aims = { latePoints: 200, comfort: true, wall: false };

/**
 * The timetable of a party's day: least weighted lateness first, then least points. Steps: search; if late,
 * the least lateness by itself; then, with being late forbidden or dear, the bound, a search steered by its
 * prices, and a proof by branch and bound. Throws a RangeError that says what is wrong when `checkDay` does.
 */
export function planDay(given: OpenDay, options: PlanOptions = {}): DayAnswer {
  const day = wholeDay(given);
  const wrong = checkDay(day)[0];
  if (wrong) throw new RangeError(`${wrong.at}: ${wrong.message}`);
  const clock = options.clock ?? (() => performance.now());
  const until = options.limitMs === undefined ? Infinity : clock() + options.limitMs;
  const planning = new Planning(day, options.seed ?? 1, options.limitMs === undefined);
  const steps = planning.steps();
  const most = options.work ?? Infinity;
  let told = '';
  while (planning.work < most && !steps.next().done) {
    planning.work++;
    if (options.onProgress) {
      const progress = planning.progress();
      const news = JSON.stringify({ ...progress, work: Math.floor(progress.work / 64) });
      if (news !== told) options.onProgress(progress);
      told = news;
    }
    if (clock() >= until || options.stop?.()) break;
  }
  return planning.answer();
}

/** Planning in steps: whoever drives it may stop after any; the best so far is always an answer. */
export class Planning {
  work = 0;
  private phase: PlanProgress['phase'] = 'finding';
  private best: Found | null = null;
  private bestModel: Model;
  private readonly looking: Model;
  private partial: Plans = [];
  private lateBound = 0;
  private costBound = -Infinity;
  private proven = false;
  private nodes = 0;

  constructor(
    private readonly day: PartyDay,
    private readonly seed: number,
    /** Whether it ends by itself when more work seldom pays; else only by proof. */
    private readonly ends: boolean,
  ) {
    this.looking = modelOf(day, LOOKING);
    this.bestModel = this.looking;
  }

  progress(): PlanProgress {
    return {
      phase: this.phase,
      objective: this.best?.objective ?? null,
      bound: this.bound(),
      work: this.work,
    };
  }

  /** Gives way after each step. */
  *steps(): Generator<boolean> {
    const { day } = this;
    const random = seededRandom(this.seed);
    const first = new Search(this.bestModel, random);
    first.from(this.bestModel.units.map(() => null));
    this.keep(this.bestModel, first.best);
    yield false;
    const people = day.people.length;
    for (const _ of first.rounds(people <= 8 ? 800 : 1000, 80, 1)) {
      this.keep(this.bestModel, first.best);
      yield false;
      if (this.best?.objective.late === 0 && first.iterations > 100) break;
    }
    this.keep(this.bestModel, first.best);
    this.partial = [...first.plans];
    if (this.best?.objective.late === 0) {
      yield* this.comfort(modelOf(day, WALL), random);
      return;
    }
    // Lateness and comfort by turns, until nobody is late or nothing less is to be found.
    const lateness = this.lateness(random);
    const comfort = this.comfort(modelOf(day, LATE), random);
    for (let looking = true; looking;) {
      looking = yield* turnOf(lateness);
      if (this.best?.objective.late === 0) {
        yield* this.comfort(modelOf(day, WALL), random);
        return;
      }
      if (!looking || this.leastLate()) break;
      if (!(yield* turnOf(comfort))) break;
    }
    yield* comfort;
  }

  /** Whether nobody can be less late than in the best so far. */
  private leastLate(): boolean {
    return this.best !== null && this.lateBound >= this.best.objective.late;
  }

  /** Lateness alone, with its own proof. */
  private *lateness(random: () => number): Generator<boolean> {
    this.phase = 'lateness';
    const model = modelOf(this.day, LATENESS);
    const inTime = (): boolean => this.best?.objective.late === 0;
    const plain = new Search(model, random);
    plain.from(this.transfer(model));
    this.keepLate(model, plain.best);
    for (const _ of plain.rounds(LATE_ROUNDS, 30, 0.5)) {
      this.keepLate(model, plain.best);
      yield false;
      if (inTime()) return;
    }
    const search = new Search(model, random);
    search.from(this.transfer(model));
    const proof = new Proof(model, random, search);
    const note = (): void => {
      this.keepLate(model, search.best);
      const known = this.best?.objective.late ?? Infinity;
      this.lateBound = Math.max(this.lateBound, Math.min(whole(proof.bound), known));
    };
    for (const _ of proof.root()) yield false;
    note();
    const steered = new Search(model, random, proof.prices);
    const proving = proof.branch();
    const people = this.day.people.length;
    for (let turn = 0; turn < LATE_TURNS && !proof.proven && !this.leastLate() && !inTime(); turn++) {
      // From the best, and now and then from nothing: what stands in the way may be the order itself.
      steered.from(turn % 3 === 2 ? model.units.map(() => null) : this.transfer(model));
      for (const _ of steered.rounds(LATE_ROUNDS * (turn + 1), turn % 2 === 0 ? 30 : 60, 0.5)) {
        this.keepLate(model, steered.best);
        yield false;
        if (inTime()) return;
      }
      if (better(steered.best, search.best)) search.from(steered.best!.plans);
      const nodes = (people <= 8 ? 120 : people <= 12 ? 30 : 6) * (turn + 1);
      for (let n = 0; n < nodes && !proving.next().done; n++) {
        this.nodes++;
        note();
        yield false;
        if (inTime()) return;
      }
      yield true;
    }
    note();
  }

  private *comfort(model: Model, random: () => number): Generator<boolean> {
    this.phase = 'finding';
    const search = new Search(model, random);
    search.from(this.transfer(model));
    this.keep(model, search.best);
    const proof = new Proof(model, random, search);
    const note = (): void => {
      this.keep(model, search.best);
      const late = this.best?.objective.late ?? 0;
      if (late === this.lateBound)
        this.costBound = Math.max(this.costBound, proof.bound - model.aims.latePoints * late);
      const matched = this.best !== null && pointsOf(model, this.best) <= proof.bound + 1e-6;
      if (proof.proven && matched && late === this.lateBound) this.proven = true;
    };
    for (const _ of proof.root()) yield false;
    note();
    const people = this.day.people.length;
    const { prices } = proof;
    const proving = proof.branch();
    const budget = { rounds: searchBudget(people), nodes: nodeBudget(people) };
    for (let turn = 0; !proof.proven; turn++) {
      const rounds = Math.min(12_000, (people <= 8 ? 800 : 1000) * (turn + 1));
      this.phase = 'finding';
      const share = SHARES[turn % SHARES.length]!;
      const near = share === null ? model : narrowed(model, proof.promising(share));
      const steered = new Search(near, random, prices);
      if (turn % 3 === 0)
        steered.from(
          near.units.map(() => null),
          1,
        );
      else steered.from(this.transfer(near));
      for (const _ of steered.rounds(rounds, turn % 2 === 0 ? 80 : 30, 1)) {
        this.keep(near, steered.best);
        yield false;
      }
      if (better(steered.best, search.best)) search.from(this.transfer(model));
      this.phase = 'proving';
      const nodes = (people <= 10 ? 300 : people <= 16 ? 20 : 5) * (turn + 1);
      for (let n = 0; n < nodes && !proof.proven; n++) {
        if (proving.next().done) break;
        this.nodes++;
        note();
        yield false;
      }
      budget.rounds -= rounds;
      budget.nodes -= nodes;
      if (this.ends && budget.rounds <= 0 && budget.nodes <= 0) break;
      yield true;
    }
    note();
  }

  /** The best so far as plans of another model of the same day. */
  private transfer(model: Model): ReturnType<typeof plansFrom> {
    return this.best
      ? plansFrom(model, visitsOf(this.bestModel, this.best.plans))
      : model.units.map(() => null);
  }

  private keep(model: Model, found: Found | null): void {
    if (!found || (this.best && !better(found, this.best))) return;
    this.best = found;
    this.bestModel = model;
  }

  /** What was found by lateness alone, with the comfort it has. */
  private keepLate(model: Model, found: Found | null): void {
    if (!found || found.objective.late >= (this.best?.objective.late ?? Infinity)) return;
    const plans = plansFrom(this.looking, visitsOf(model, found.plans));
    const objective = objectiveOf(this.looking, plans);
    if (objective) this.keep(this.looking, { plans, objective });
  }

  private bound(): Objective {
    const late = this.best ? Math.min(this.lateBound, this.best.objective.late) : this.lateBound;
    const known = this.best !== null && this.best.objective.late === late && Number.isFinite(this.costBound);
    const cost =
      this.proven && this.best ? this.best.objective.cost : known ? Math.max(0, whole(this.costBound)) : 0;
    return { late, cost };
  }

  answer(): DayAnswer {
    const { best } = this;
    const plans = best?.plans ?? this.partial;
    const model = best ? this.bestModel : this.looking;
    return {
      format: 'toile.day-answer/1',
      instance: this.day.id,
      ...visitsOf(model, plans),
      unplaced: model.units.filter((unit) => !plans[unit.index]).map((unit) => unit.id),
      objective: best?.objective ?? { late: Infinity, cost: Infinity },
      proof: { bound: this.bound(), proven: this.proven, nodes: this.nodes, work: this.work },
    };
  }
}

/** How much above the bound starts may lift it to be looked at, turn by turn; none: all. */
const SHARES: readonly (number | null)[] = [0.02, 0.04, 0.02, 0.08, null, 0.05];

const whole = (bound: number): number => (Number.isFinite(bound) ? Math.max(0, Math.ceil(bound - 1e-6)) : 0);

const better = (a: Found | null, b: Found | null): boolean =>
  a !== null &&
  (b === null ||
    a.objective.late < b.objective.late ||
    (a.objective.late === b.objective.late && a.objective.cost < b.objective.cost));

/** Rounds of each search for lateness, more with each turn, and turns after which no less is expected. */
const LATE_ROUNDS = 600;
const LATE_TURNS = 12;

/** Goes on to the end of a turn; false when there is no further one. */
function* turnOf(turns: Generator<boolean>): Generator<boolean, boolean> {
  for (;;) {
    const { value, done } = turns.next();
    if (done) return false;
    yield false;
    if (value) return true;
  }
}

const searchBudget = (people: number): number => (people <= 8 ? 4000 : people <= 20 ? 12_000 : 9000);
const nodeBudget = (people: number): number =>
  people <= 8 ? 20_000 : people <= 12 ? 3000 : people <= 20 ? 400 : 60;
