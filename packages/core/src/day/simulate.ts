import { seedFromText } from '../math';
import type { DayAnswer, TaskKind } from './instance';
import { endsOf } from './laidOut';
import { clearStart, layDown, type Line } from './lines';
import { wholeDay, type OpenDay } from './wholeDay';

// Taken out of the global once: these run in the innermost loops.
const { exp, log, max, min, sqrt, imul, floor } = Math;
const NEVER = Number.POSITIVE_INFINITY;

/**
 * How far work strays from its plan: the standard deviation of ln(real / planned), by kind, until learned.
 */
export const STRAYS: Readonly<Record<TaskKind, number>> = {
  makeup: 0.17,
  lashes: 0.2,
  hair: 0.2,
  set: 0.25,
  touchup: 0.2,
};
/** A slow or quick day of a pair of hands: shared by all they do. */
export const DAY_STRAYS = 0.07;
/** Minutes people are asked to come before their first visit. */
export const COME_BEFORE_MINUTES = 5;
/** People who come later than they were told: how often, and by how many minutes on average. A guess. */
const COMES_LATE = { chance: 0.15, minutes: 3 };

export type Certainty = {
  readonly share: number;
  /** Wilson's 95 % interval. */ readonly low: number;
  readonly high: number;
};

export type Simulated = {
  readonly mornings: number;
  readonly all: Certainty;
  readonly people: Readonly<
    Record<string, Certainty & { readonly readyIn90: number; readonly lateMinutes: number }>
  >;
  /** Weighted minutes late to expect. */ readonly lateMinutes: number;
  /** Whose overruns make others late: minutes a morning, by visit ('person task'), most first. */
  readonly blame: readonly { readonly key: string; readonly minutes: number }[];
};

/** How long a visit really takes of its plan. */
export type Stays = {
  /** The standard deviation of ln(real / planned), beside what the whole day shares. */
  readonly strayOf: (line: Line) => number;
  /** What is usual of planned minutes: 1 is as planned. */ readonly paceOf: (line: Line) => number;
};
/** Until anything was timed: as planned, and as far from it as the trade guesses. */
export const USUAL_STAYS: Stays = { strayOf: (line) => STRAYS[line.task.kind], paceOf: () => 1 };

export type SimulateOptions = Partial<Stays> & {
  readonly seed?: number;
  readonly mornings?: number;
};

/**
 * Many mornings of a timetable, each visit as long as chance makes it: planned x exp(s z + .07 z of the
 * worker's day). Everybody keeps the planned order and begins nothing before its planned start; rests and
 * lunches may shrink. The same visit is as slow in every timetable with the same seed, so that two timetables
 * are compared on the same mornings (common random numbers).
 */
export function simulateDay(
  given: OpenDay,
  answer: Pick<DayAnswer, 'ways' | 'visits'>,
  { seed = 1, mornings = 4000, ...stays }: SimulateOptions = {},
): Simulated {
  const day = wholeDay(given);
  const lines = layDown(day, answer);
  const run = new Mornings(lines, seed, { ...USUAL_STAYS, ...stays });
  const readyBy = new Map([
    ...day.people.map((person) => [person.id, person.readyBy] as const),
    ...day.rounds.map((round) => [round.id, round.to] as const),
  ]);
  const ids = [...readyBy.keys()].filter((id) => lines.some((line) => line.of === id));
  const onTime = new Map(ids.map((id) => [id, 0]));
  const late = new Map(ids.map((id) => [id, 0]));
  const readies = new Map(ids.map((id) => [id, new Float64Array(mornings)]));
  const blame = new Float64Array(lines.length);
  let all = 0;
  let weighted = 0;
  for (let morning = 0; morning < mornings; morning++) {
    run.play(morning);
    let everybody = true;
    for (const id of ids) {
      const ready = run.readyOf(id);
      readies.get(id)![morning] = ready;
      const over = ready - readyBy.get(id)!;
      if (over <= 0) onTime.set(id, onTime.get(id)! + 1);
      else {
        everybody = false;
        late.set(id, late.get(id)! + over);
        weighted += over * (day.people.find((person) => person.id === id)?.weights.late ?? 1);
        run.blame(id, blame);
      }
    }
    if (everybody) all++;
  }
  const people = Object.fromEntries(
    ids.map((id) => {
      const sorted = readies.get(id)!.sort();
      return [
        id,
        {
          ...wilson(onTime.get(id)!, mornings),
          readyIn90: sorted[min(mornings - 1, floor(0.9 * mornings))]!,
          lateMinutes: late.get(id)! / mornings,
        },
      ];
    }),
  );
  return {
    mornings,
    all: wilson(all, mornings),
    people,
    lateMinutes: weighted / mornings,
    blame: lines
      .map((line, i) => ({ key: `${line.of} ${line.task.id}`, minutes: blame[i]! / mornings }))
      .filter((one) => one.minutes > 0)
      .sort((a, b) => b.minutes - a.minutes),
  };
}

/** Mornings of one timetable played one after the other, in room of their own. */
export class Mornings {
  private readonly ends: Float64Array;
  private readonly hands: Float64Array;
  private readonly chairs: Float64Array;
  private readonly cause: Int32Array;
  private readonly overrun: Float64Array;
  private readonly hashes: readonly number[];
  private readonly dayHashes: readonly number[];
  private readonly comes: readonly number[];
  private readonly strays: readonly number[];
  private readonly usual: readonly number[];

  constructor(
    private readonly lines: readonly Line[],
    private readonly seed: number,
    { strayOf, paceOf }: Stays,
  ) {
    this.ends = new Float64Array(lines.length);
    this.hands = new Float64Array(lines.length);
    this.chairs = new Float64Array(lines.length);
    this.cause = new Int32Array(lines.length);
    this.overrun = new Float64Array(lines.length);
    this.hashes = lines.map((line) => seedFromText(line.task.id));
    this.dayHashes = lines.map((line) => seedFromText(`day ${line.worker.id}`));
    this.comes = lines.map((line) => seedFromText(`comes ${line.of}`));
    this.strays = lines.map(strayOf);
    this.usual = lines.map((line) => line.minutes * paceOf(line));
  }

  /** Plays a morning. */
  play(morning: number): void {
    this.lines.forEach((line, i) => {
      const z = normalOf(this.hashes[i]!, morning, this.seed);
      const slow = DAY_STRAYS * normalOf(this.dayHashes[i]!, morning, this.seed);
      const minutes = line.pinned ? line.minutes : this.usual[i]! * exp(this.strays[i]! * z + slow);
      let start = line.start;
      let cause = -1;
      const wait = (until: number, because: number): void => {
        if (until > start) {
          start = until;
          cause = because;
        }
      };
      if (line.first && !line.pinned) wait(this.arrival(i, line, morning), i);
      if (line.afterWorker >= 0) wait(this.hands[line.afterWorker]! + line.workerGap, line.afterWorker);
      if (line.afterWorker >= 0 && line.departures)
        wait(nextDeparture(line, this.hands[line.afterWorker]!), line.afterWorker);
      if (line.afterPerson >= 0) wait(this.ends[line.afterPerson]!, line.afterPerson);
      if (line.afterChair >= 0) wait(this.chairs[line.afterChair]! + line.chairGap, line.afterChair);
      // Fixed appointments and hours away are not run into: whoever it is comes back after them.
      start = clearStart(line, start, minutes);
      this.cause[i] = cause;
      this.overrun[i] = max(0, minutes - line.minutes);
      const { handsEnd, personEnd, chairEnd } = endsOf(line.task, start, minutes);
      this.hands[i] = handsEnd;
      this.chairs[i] = chairEnd;
      this.ends[i] = personEnd;
    });
  }

  private arrival(i: number, line: Line, morning: number): number {
    const u = uniformOf(this.comes[i]!, morning, this.seed);
    if (u >= COMES_LATE.chance) return -NEVER;
    return line.start - COME_BEFORE_MINUTES - COMES_LATE.minutes * log(1 - u / COMES_LATE.chance);
  }

  readyOf(id: string): number {
    let ready = -NEVER;
    this.lines.forEach((line, i) => {
      if (line.of === id) ready = max(ready, this.ends[i]!);
    });
    return ready;
  }

  /** Walks back from a late end through what held it up, and notes everyone's overrun. */
  blame(id: string, into: Float64Array): void {
    let at = -1;
    this.lines.forEach((line, i) => {
      if (line.of === id && (at < 0 || this.ends[i]! > this.ends[at]!)) at = i;
    });
    for (let steps = 0; at >= 0 && steps <= this.lines.length; steps++) {
      into[at]! += this.overrun[at]!;
      const next = this.cause[at]!;
      if (next === at) break;
      at = next;
    }
  }
}

function nextDeparture(line: Line, free: number): number {
  const leave = free + line.pack;
  const at = line.departures!.find((one) => one >= leave);
  return at === undefined ? NEVER : at + line.afterLeaving;
}

/** Wilson's score interval (1927) of `k` in `n`, 95 %. */
export function wilson(k: number, n: number): Certainty {
  const z = 1.959963984540054;
  if (n === 0) return { share: NaN, low: 0, high: 1 };
  const p = k / n;
  const centre = (p + (z * z) / (2 * n)) / (1 + (z * z) / n);
  const half = (z / (1 + (z * z) / n)) * sqrt((p * (1 - p)) / n + (z * z) / (4 * n * n));
  return { share: p, low: max(0, centre - half), high: min(1, centre + half) };
}

/** A number in (0, 1) that is the same for the same visit, morning and seed. */
function uniformOf(hash: number, morning: number, seed: number): number {
  let x = (hash ^ imul(morning + 1, 0x9e3779b1) ^ imul(seed + 1, 0x85ebca6b)) >>> 0;
  x = imul(x ^ (x >>> 16), 0x21f0aaad);
  x = imul(x ^ (x >>> 15), 0x735a2d97);
  return (((x ^ (x >>> 15)) >>> 0) + 0.5) / 4294967296;
}

const normalOf = (hash: number, morning: number, seed: number): number =>
  probit(uniformOf(hash, morning, seed));

/** The standard normal quantile, to 1.2e-9 (Acklam, 2003). */
export function probit(p: number): number {
  const [a1, a2, a3, a4, a5, a6] = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716,
    2.506628277459239,
  ];
  const [b1, b2, b3, b4, b5] = [
    -54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572,
  ];
  const [c1, c2, c3, c4, c5, c6] = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ];
  const [d1, d2, d3, d4] = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const tail = (q: number): number =>
    (((((c1 * q + c2) * q + c3) * q + c4) * q + c5) * q + c6) / ((((d1 * q + d2) * q + d3) * q + d4) * q + 1);
  if (p < 0.02425) return tail(sqrt(-2 * log(p)));
  if (p > 1 - 0.02425) return -tail(sqrt(-2 * log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (
    ((((((a1 * r + a2) * r + a3) * r + a4) * r + a5) * r + a6) * q) /
    (((((b1 * r + b2) * r + b3) * r + b4) * r + b5) * r + 1)
  );
}
