import { seededRandom } from '../math';
import type { PartyDay } from './instance';
import { modelOf } from './model';
import { Proof } from './prove';
import { Search, type Found } from './search';
import { latenessIn, lateMinutesIn } from './timetable';

export type HowLateOptions = {
  readonly seed?: number;
  /** Rounds of search and nodes of proof. */ readonly rounds?: number;
  readonly nodes?: number;
};

export type HowLate = {
  /** Weighted minutes, the least found; Infinity where somebody finds no place at all. */
  readonly late: number;
  /** The same minutes without weights. */ readonly minutes: number;
  /** Proven: it cannot be less. */ readonly atLeast: number;
};

const IN_TIME: HowLate = { late: 0, minutes: 0, atLeast: 0 };

/** How late a day is at best, as far as a short search and proof tell. */
export function howLate(day: PartyDay, { seed = 1, rounds = 400, nodes = 60 }: HowLateOptions = {}): HowLate {
  const model = modelOf(day, { latePoints: 1, comfort: false, wall: false });
  const random = seededRandom(seed);
  const nobody = model.units.map(() => null);
  const lateIn = (best: Found | null): number => (best ? latenessIn(model, best.plans) : Infinity);
  const search = new Search(model, random);
  search.from(nobody);
  for (const _ of search.rounds(rounds, 30, 0.5)) if (lateIn(search.best) === 0) return IN_TIME;
  const proof = new Proof(model, random, search);
  for (const _ of proof.root()) if (lateIn(search.best) === 0) return IN_TIME;
  const steered = new Search(model, random, proof.prices);
  steered.from(search.best?.plans ?? nobody);
  for (const _ of steered.rounds(rounds, 20, 0.5)) if (lateIn(steered.best) === 0) return IN_TIME;
  if (steered.best) search.from(steered.best.plans);
  let n = 0;
  for (const _ of proof.branch()) if (lateIn(search.best) === 0 || n++ >= nodes) break;
  const { best } = search;
  const late = lateIn(best);
  return {
    late,
    minutes: best ? lateMinutesIn(model, best.plans) : Infinity,
    atLeast: late === 0 ? 0 : Math.max(0, Math.ceil(proof.bound - 1e-6)),
  };
}
