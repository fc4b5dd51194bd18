import { logBeta } from '../math';

/**
 * One finished trial of a question: A better, B better or neither; the chance that the coin alone made A win.
 */
export type Outcome = { readonly won: 1 | -1 | 0; readonly chance?: number };

/**
 * Running evidence: the wealth of a bettor who bets by what went before (a test martingale; Ville, 1939;
 * Shafer et al., 2011). It may be read after every trial: by luck alone it ever reaches e with chance 1 / e
 * at most.
 */
export function evidence(outcomes: readonly Outcome[]): number[] {
  let e = 1;
  let better = 0;
  let decided = 0;
  return outcomes.map(({ won, chance = 0.5 }) => {
    if (won !== 0) {
      const bet = (better + 0.5) / (decided + 1);
      e *= won > 0 ? bet / chance : (1 - bet) / (1 - chance);
      decided++;
      if (won > 0) better++;
    }
    return e;
  });
}

/** The same for fair coins, whatever the order: 2^n B(k + 1/2, n - k + 1/2) / B(1/2, 1/2). */
export function evidenceOf(better: number, decided: number): number {
  return Math.exp(decided * Math.LN2 + logBeta(better + 0.5, decided - better + 0.5) - logBeta(0.5, 0.5));
}

export type TrialsNeeded = {
  readonly reached: boolean;
  /** More trials if all go the leading way; null: more than `most`. */ readonly atBest: number | null;
  /** More trials until it is reached with an even chance; null: not within `most`. */
  readonly evenChance: number | null;
  /** The chance to have reached it after 1, 2, ... more. */ readonly chanceBy: readonly number[];
};

/** How many more trials until the evidence reaches a bar, by what so many of so many let expect. */
export function trialsNeeded(better: number, decided: number, bar = 10, most = 40): TrialsNeeded {
  const over = (k: number, n: number): boolean => evidenceOf(k, n) >= bar - 1e-9;
  if (over(better, decided)) return { reached: true, atBest: 0, evenChance: 0, chanceBy: [] };
  const leads = 2 * better >= decided;
  let atBest: number | null = null;
  for (let m = 1; m <= most && atBest === null; m++)
    if (over(better + (leads ? m : 0), decided + m)) atBest = m;
  let states = new Map([[better, 1]]);
  let passed = 0;
  const chanceBy: number[] = [];
  for (let m = 1; m <= most; m++) {
    const n = decided + m - 1;
    const next = new Map<number, number>();
    for (const [k, chance] of states) {
      const a = (k + 1) / (n + 2);
      for (const [to, part] of [
        [k + 1, chance * a],
        [k, chance * (1 - a)],
      ] as const) {
        if (over(to, n + 1)) passed += part;
        else next.set(to, (next.get(to) ?? 0) + part);
      }
    }
    states = next;
    chanceBy.push(passed);
  }
  const even = chanceBy.findIndex((chance) => chance >= 0.5 - 1e-12);
  return { reached: false, atBest, evenChance: even < 0 ? null : even + 1, chanceBy };
}
