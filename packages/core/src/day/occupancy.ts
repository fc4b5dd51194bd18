import { minuteOf, type Mode, type Model } from './model';
import { arrivalAt, stopBy } from './travel';

// Taken out of the global once: these run in the innermost loops.
const { min, max, floor, ceil } = Math;
const NEVER = Number.POSITIVE_INFINITY;

/** How one person is done: modes in the order they are worked, with the slots they start in. */
export type UnitPlan = {
  readonly unit: number;
  /** Index into the unit's ways. */ readonly way: number;
  readonly modes: readonly Mode[];
  readonly starts: readonly number[];
  /** Points, without the star's. */ readonly cost: number;
};

type Taken = { readonly mode: Mode; readonly start: number; readonly handsEnd: number };

/** A gap between two visits of a worker: what it gives her. */
type Gap = {
  readonly from: number;
  readonly to: number;
  /** Where the run of work before it began. */ readonly began: number;
  /** How far the run after it goes on without a rest. */ readonly reach: number;
  readonly lunchElsewhere: boolean;
  readonly before: Taken | null;
  readonly after: Taken | null;
};

/**
 * What is pinned, each task once for its hands, and once for each pool of chairs it may be done in, as long
 * as it may take: it is there from the start, whoever else is put in first.
 */
function pinnedOnce(model: Model, by: 'hands' | 'pool'): readonly Mode[] {
  const longest = new Map<string, Mode>();
  for (const mode of model.modes) {
    if (!mode.pinned) continue;
    const key = `${mode.unit} ${mode.task.id}${by === 'pool' ? ` ${mode.pool}` : ''}`;
    const known = longest.get(key);
    if (!known || known.handsMinutes < mode.handsMinutes) longest.set(key, mode);
  }
  return [...longest.values()];
}

/**
 * Who and what is taken when, while plans are put in and taken out. Pinned work is no plan's to put in or
 * take out.
 */
export class Occupancy {
  private readonly lists: Taken[][];
  private readonly counts: Int16Array[];
  private readonly workerVersion: number[];
  private readonly poolVersion: number[];
  private readonly poolRuns: { version: number; runs: Int16Array }[];
  private readonly open: { version: number; starts: Uint8Array }[];
  private readonly gaps: { version: number; gaps: Gap[] }[];
  private versions = 1;

  constructor(private readonly model: Model) {
    const room = model.slots + max(0, ...model.modes.map((mode) => max(mode.chairSlots, mode.workerSlots)));
    this.lists = model.workers.map(() => []);
    this.counts = model.pools.map(() => new Int16Array(room));
    this.workerVersion = model.workers.map(() => 1);
    this.poolVersion = model.pools.map(() => 1);
    this.poolRuns = model.pools.map(() => ({ version: 0, runs: new Int16Array(model.slots + 1) }));
    this.open = model.modes.map(() => ({ version: 0, starts: new Uint8Array(model.slots) }));
    this.gaps = model.workers.map(() => ({ version: 0, gaps: [] }));
    for (const mode of pinnedOnce(model, 'hands')) this.puts(mode, mode.first);
    for (const mode of pinnedOnce(model, 'pool')) this.count(mode, mode.first, 1);
  }

  add(plan: UnitPlan): void {
    plan.modes.forEach((mode, i) => mode.pinned || this.put(mode, plan.starts[i]!));
  }

  remove(plan: UnitPlan): void {
    plan.modes.forEach((mode, i) => mode.pinned || this.take(mode, plan.starts[i]!));
  }

  private put(mode: Mode, slot: number): void {
    this.puts(mode, slot);
    this.count(mode, slot, 1);
  }

  /** Into the hands' own list. */
  private puts(mode: Mode, slot: number): void {
    const start = minuteOf(this.model, mode, slot);
    const list = this.lists[mode.worker]!;
    let at = list.length;
    while (at > 0 && list[at - 1]!.start > start) at--;
    list.splice(at, 0, { mode, start, handsEnd: start + mode.handsMinutes });
    this.workerVersion[mode.worker] = ++this.versions;
  }

  private take(mode: Mode, slot: number): void {
    const list = this.lists[mode.worker]!;
    const start = minuteOf(this.model, mode, slot);
    list.splice(
      list.findIndex((one) => one.mode === mode && one.start === start),
      1,
    );
    this.workerVersion[mode.worker] = ++this.versions;
    this.count(mode, slot, -1);
  }

  /** Of its pool's chairs one more, or one less. */
  private count(mode: Mode, slot: number, by: 1 | -1): void {
    if (mode.pool < 0) return;
    const counts = this.counts[mode.pool]!;
    for (let s = slot; s < slot + mode.chairSlots; s++) counts[s]! += by;
    this.poolVersion[mode.pool] = ++this.versions;
  }

  /** The starts at which a mode fits between its worker's other visits, rests and lunch: 1. */
  workerStarts(mode: Mode): Uint8Array {
    const kept = this.open[mode.index]!;
    const version = this.workerVersion[mode.worker]!;
    if (kept.version === version) return kept.starts;
    kept.version = version;
    const { starts } = kept;
    if (mode.pinned) {
      starts.set(mode.domain);
      return starts;
    }
    starts.fill(0);
    const { base, grid, slots } = this.model;
    const { first, last } = mode;
    for (const gap of this.gapsOf(mode.worker)) {
      const [earliest, latest] = this.spanIn(gap, mode);
      const from = max(first, ceil((earliest - base) / grid));
      const to = min(last, slots - 1, floor((latest - base) / grid));
      for (let s = from; s <= to; s++)
        if (mode.domain[s] && this.keepsRests(gap, mode, base + s * grid, earliest)) starts[s] = 1;
    }
    return starts;
  }

  /** Earliest and latest minute a mode may start in a gap, by hands and travel alone. */
  private spanIn({ before, after }: Gap, mode: Mode): [earliest: number, latest: number] {
    const { day, workers } = this.model;
    const { sanitise } = workers[mode.worker]!;
    const { place } = mode.task;
    const earliest = !before
      ? -NEVER
      : before.mode.task.place === place
        ? before.handsEnd + sanitise
        : arrivalAt(day, before.mode.task.place, place, before.handsEnd);
    const latest = !after
      ? NEVER
      : after.mode.task.place === place
        ? after.start - sanitise - mode.handsMinutes
        : stopBy(day, place, after.mode.task.place, after.start) - mode.handsMinutes;
    return [earliest, latest];
  }

  private keepsRests(gap: Gap, mode: Mode, start: number, earliest: number): boolean {
    const worker = this.model.workers[mode.worker]!;
    const handsEnd = start + mode.handsMinutes;
    const { before, after } = gap;
    if (worker.maxWork !== null) {
      const began = !before || this.rested(before, mode.task.place, start, earliest) ? start : gap.began;
      if (handsEnd - began > worker.maxWork) return false;
      if (after && gap.reach - began > worker.maxWork) {
        const ready = this.readyAfter(mode, handsEnd, after.mode.task.place);
        if (!this.rested({ mode, start, handsEnd }, after.mode.task.place, after.start, ready)) return false;
      }
    }
    if (worker.lunch === null || gap.lunchElsewhere) return true;
    const { place } = mode.task;
    const { day } = this.model;
    if (this.eats(mode.worker, before ? earliest : -NEVER, start)) return true;
    if (before && before.mode.task.place !== place) {
      const stop = stopBy(day, before.mode.task.place, place, start);
      if (this.eats(mode.worker, before.handsEnd + worker.sanitise, stop)) return true;
    }
    if (!after) return this.eats(mode.worker, handsEnd + worker.sanitise, NEVER);
    const there = after.mode.task.place;
    return (
      this.eats(mode.worker, this.readyAfter(mode, handsEnd, there), after.start) ||
      (there !== place &&
        this.eats(mode.worker, handsEnd + worker.sanitise, stopBy(day, place, there, after.start)))
    );
  }

  private readyAfter(mode: Mode, handsEnd: number, place: string): number {
    return mode.task.place === place
      ? handsEnd + this.model.workers[mode.worker]!.sanitise
      : arrivalAt(this.model.day, mode.task.place, place, handsEnd);
  }

  /** Whether the gap between a visit and the next start gives the worker her rest. */
  private rested(before: Taken, place: string, start: number, ready: number): boolean {
    const { rest, sanitise } = this.model.workers[before.mode.worker]!;
    if (start - ready >= rest) return true;
    const there = before.mode.task.place;
    return (
      there !== place && stopBy(this.model.day, there, place, start) - (before.handsEnd + sanitise) >= rest
    );
  }

  private eats(worker: number, from: number, to: number): boolean {
    const { lunch } = this.model.workers[worker]!;
    return lunch !== null && min(to, lunch.to) - max(from, lunch.from) >= lunch.minutes;
  }

  private gapsOf(worker: number): Gap[] {
    const kept = this.gaps[worker]!;
    if (kept.version === this.workerVersion[worker]) return kept.gaps;
    const list = this.lists[worker]!;
    const { sanitise } = this.model.workers[worker]!;
    const n = list.length;
    const resets: boolean[] = [];
    const eats: boolean[] = [];
    for (let i = 0; i <= n; i++) {
      const before = list[i - 1];
      const after = list[i];
      if (!before || !after) {
        resets.push(true);
        eats.push(
          this.eats(worker, before ? before.handsEnd + sanitise : -NEVER, after ? after.start : NEVER),
        );
        continue;
      }
      const place = after.mode.task.place;
      const ready = this.readyAfter(before.mode, before.handsEnd, place);
      resets.push(this.rested(before, place, after.start, ready));
      eats.push(
        this.eats(worker, ready, after.start) ||
          (before.mode.task.place !== place &&
            this.eats(
              worker,
              before.handsEnd + sanitise,
              stopBy(this.model.day, before.mode.task.place, place, after.start),
            )),
      );
    }
    const meals = eats.filter(Boolean).length;
    const reach: number[] = new Array<number>(n + 1).fill(-NEVER);
    for (let i = n - 1; i >= 0; i--)
      reach[i] = resets[i + 1] ? list[i]!.handsEnd : max(list[i]!.handsEnd, reach[i + 1]!);
    let began = 0;
    kept.gaps = Array.from({ length: n + 1 }, (_, i) => {
      const before = list[i - 1] ?? null;
      const after = list[i] ?? null;
      if (before && resets[i - 1]) began = before.start;
      return {
        from: before?.handsEnd ?? -NEVER,
        to: after?.start ?? NEVER,
        began,
        reach: reach[i]!,
        lunchElsewhere: meals - (eats[i] ? 1 : 0) > 0,
        before,
        after,
      };
    });
    kept.version = this.workerVersion[worker]!;
    return kept.gaps;
  }

  /** From each slot on, for how many slots a chair of the pool is free. */
  chairRuns(pool: number): Int16Array {
    const kept = this.poolRuns[pool]!;
    if (kept.version === this.poolVersion[pool]) return kept.runs;
    kept.version = this.poolVersion[pool]!;
    const counts = this.counts[pool]!;
    const most = this.model.pools[pool]!.chairs.length;
    const { runs } = kept;
    let run = 0;
    for (let s = counts.length - 1; s >= 0; s--) {
      run = counts[s]! < most ? run + 1 : 0;
      if (s < runs.length) runs[s] = s + run >= counts.length ? 32767 : run;
    }
    return runs;
  }

  /** Whether a plan fits with all its tasks together; its worker's own gaps are asked task by task. */
  accepts(plan: UnitPlan): boolean {
    const placed: number[] = [];
    let fits = true;
    for (let i = 0; i < plan.modes.length && fits; i++) {
      const mode = plan.modes[i]!;
      const slot = plan.starts[i]!;
      const seated = mode.pool < 0 || this.chairRuns(mode.pool)[slot]! >= mode.chairSlots;
      fits = mode.pinned || (seated && this.workerStarts(mode)[slot] === 1);
      if (!fits) break;
      if (mode.pinned) continue;
      this.put(mode, slot);
      placed.push(i);
    }
    for (const i of placed) this.take(plan.modes[i]!, plan.starts[i]!);
    return fits;
  }
}
