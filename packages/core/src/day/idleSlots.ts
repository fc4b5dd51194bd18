// Taken out of the global once: these run in the innermost loops.
const { min, max } = Math;
const NEVER = Number.POSITIVE_INFINITY;
/** Slots a worker must be idle in: rests between stretches of work, and a lunch in its window. */
export type IdleRule = {
  /** Most slots of a stretch of work, with the sanitising after it; null: no rest is asked. */
  readonly busy: number | null;
  readonly rest: number;
  readonly lunch: { readonly slots: number; readonly from: number; readonly to: number } | null;
};

/**
 * The cheapest idle slots that keep a worker's rule, by dynamic programming over where runs begin and end:
 * stretches of work of at most `busy` slots, between them runs of at least `rest` idle ones, one of them with
 * lunch. Runs at the ends of the day may be of any length. Holds its own room, so that a round takes none.
 */
export class IdleFinder {
  /** After `find`: the slots to be idle in, 1. */ readonly marks: Uint8Array;
  private readonly sum: Float64Array;
  private readonly stages: readonly Stage[];
  /** Whether the run of idling that ends in a slot is the one with lunch. */
  private readonly ate: Uint8Array;

  constructor(
    private readonly slots: number,
    private readonly rule: IdleRule,
  ) {
    this.marks = new Uint8Array(slots);
    this.sum = new Float64Array(slots + 1);
    this.ate = new Uint8Array(slots + 1);
    this.stages = Array.from({ length: rule.lunch ? 2 : 1 }, () => new Stage(slots));
  }

  /** The least cost under the price of each slot, none below zero. */
  find(price: Float64Array): number {
    const { slots: n, rule, sum, stages } = this;
    const busy = rule.busy ?? n;
    for (let s = 0; s < n; s++) sum[s + 1] = sum[s]! + price[s]!;
    for (const stage of stages) stage.clear();
    const [before, after] = stages;
    if (!before) return 0;
    before.work[0] = 0;
    before.idle[0] = 0;
    for (let s = 0; s <= n; s++) {
      // A run of idling that ends here began as early as this; those at the ends of the day may be short.
      const until = s === n ? n - 1 : max(s - rule.rest, 0);
      for (const stage of stages) {
        stage.endWork(s, busy);
        stage.keepCheapest(s, sum);
        if (s > 0) stage.endIdle(stage, s, until, sum);
      }
      if (s > 0 && after && rule.lunch) {
        const eaten = min(s, rule.lunch.to) - rule.lunch.slots;
        const now = eaten >= rule.lunch.from && before.endIdle(after, s, min(eaten, until), sum);
        this.ate[s] = now ? 1 : 0;
      }
      for (const stage of stages) stage.queueWork(s);
    }
    return this.trace();
  }

  private trace(): number {
    const { slots: n, stages, marks } = this;
    marks.fill(0);
    let index = stages.length - 1;
    const last = stages[index]!;
    const cost = min(last.work[n]!, last.idle[n]!);
    if (!Number.isFinite(cost)) return 0;
    let idling = last.work[n]! <= last.idle[n]!;
    for (let at = n; at > 0;) {
      const stage = stages[index]!;
      const from = idling ? stage.workFrom[at]! : stage.idleFrom[at]!;
      if (from < 0) break;
      if (idling) {
        marks.fill(1, from, at);
        if (index === 1 && this.ate[at]) index = 0;
      }
      at = from;
      idling = !idling;
    }
    return cost;
  }
}

/**
 * Before lunch or after it: the least cost with all before a slot decided, when work or idling begins there.
 */
class Stage {
  readonly work: Float64Array;
  readonly idle: Float64Array;
  readonly workFrom: Int32Array;
  readonly idleFrom: Int32Array;
  /** The cheapest slot up to each for a run of idling to begin in. */
  private readonly cheapest: Int32Array;
  /** Slots where work may begin, the cheapest within reach at the head. */
  private readonly queue: Int32Array;
  private head = 0;
  private tail = 0;

  constructor(slots: number) {
    const numbers = (): Float64Array => new Float64Array(slots + 1);
    const indices = (): Int32Array => new Int32Array(slots + 1);
    [this.work, this.idle] = [numbers(), numbers()];
    [this.workFrom, this.idleFrom, this.cheapest, this.queue] = [indices(), indices(), indices(), indices()];
  }

  clear(): void {
    this.work.fill(NEVER);
    this.idle.fill(NEVER);
    this.workFrom.fill(-1);
    this.idleFrom.fill(-1);
    this.head = this.tail = 0;
  }

  endWork(s: number, busy: number): void {
    while (this.head < this.tail && this.queue[this.head]! < s - busy) this.head++;
    if (this.head === this.tail) return;
    const from = this.queue[this.head]!;
    if (this.work[from]! >= this.idle[s]!) return;
    this.idle[s] = this.work[from]!;
    this.idleFrom[s] = from;
  }

  keepCheapest(s: number, sum: Float64Array): void {
    const before = s > 0 ? this.cheapest[s - 1]! : -1;
    const than = before < 0 ? NEVER : this.idle[before]! - sum[before]!;
    this.cheapest[s] = this.idle[s]! - sum[s]! < than ? s : before;
  }

  /**
   * Ends a run of idling that began no later than `until`, going on in a stage; whether it was better there.
   */
  endIdle(to: Stage, s: number, until: number, sum: Float64Array): boolean {
    const from = until < 0 ? -1 : this.cheapest[until]!;
    if (from < 0) return false;
    const cost = this.idle[from]! + sum[s]! - sum[from]!;
    if (cost >= to.work[s]!) return false;
    to.work[s] = cost;
    to.workFrom[s] = from;
    return true;
  }

  queueWork(s: number): void {
    const cost = this.work[s]!;
    if (cost === NEVER) return;
    while (this.head < this.tail && this.work[this.queue[this.tail - 1]!]! >= cost) this.tail--;
    this.queue[this.tail++] = s;
  }
}
