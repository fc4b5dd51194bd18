import { seededRandom, standardNormal } from '../math';
import { chanceOfALeft, evidence, evidenceOf, shareOf, signTest, type Outcome } from '.';
import type { Side } from '../face';

// How often something is said of nothing, when it is looked at after every trial: counted exactly over all
// runs of a fair coin, and by lot where sides lean and hands have habits.

/** The chance that a rule ever speaks within so many trials, when A wins each with a chance. */
function everWithin(most: number, speaks: (better: number, trials: number) => boolean, wins = 0.5): number {
  let running = new Map([[0, 1]]);
  let spoken = 0;
  for (let n = 1; n <= most; n++) {
    const next = new Map<number, number>();
    for (const [k, chance] of running)
      for (const [to, part] of [
        [k + 1, chance * wins],
        [k, chance * (1 - wins)],
      ] as const)
        if (speaks(to, n)) spoken += part;
        else next.set(to, (next.get(to) ?? 0) + part);
    running = next;
  }
  return spoken;
}
const percent = (share: number): number => Math.round(1000 * share) / 10;
const signs = (k: number, n: number): number[] => Array.from({ length: n }, (_, i) => (i < k ? 1 : -1));
const byP = (k: number, n: number): boolean => signTest(signs(k, n)).p < 0.05;
const byPosterior = (k: number, n: number): boolean => {
  const above = shareOf(k, 0, n).aboveHalf;
  return above > 0.95 || above < 0.05;
};
const byEvidence =
  (bar: number) =>
  (k: number, n: number): boolean =>
    evidenceOf(k, n) >= bar - 1e-9;

test.each([
  ['p below .05 each time', byP, [5.5, 10.7, 15.4], 0.1],
  ['a posterior above .95 each time', byPosterior, [22, 33, 42], 1],
  ['evidence of 3', byEvidence(3), [15.6, 18.2, 20.3], 0.1],
  ['evidence of 10', byEvidence(10), [3.1, 4.5, 5.3], 0.1],
  ['evidence of 20', byEvidence(20), [1.6, 2.2, 2.7], 0.1],
] as const)(
  '%s speaks of no difference within 10, 20 and 40 trials in so many of a hundred',
  (_, speaks, said, off) => {
    const shares = [10, 20, 40].map((most) => percent(everWithin(most, speaks)));
    shares.forEach((share, i) => expect(Math.abs(share - said[i]!)).toBeLessThanOrEqual(off + 1e-9));
  },
);

test('by luck alone evidence never reaches a bar more often than one in the bar, however long one looks', () => {
  for (const bar of [3, 5, 10, 20, 50]) expect(everWithin(300, byEvidence(bar))).toBeLessThanOrEqual(1 / bar);
});

test.each([
  [0.7, 12, 26],
  [0.8, 26, 60],
  [0.9, 53, 93],
  [0.95, 74, 99],
])(
  'where A is better on a share of %d it is clear by 10 and 20 trials in %d and %d of a hundred',
  (wins, ten, twenty) => {
    expect(Math.abs(100 * everWithin(10, byEvidence(10), wins) - ten)).toBeLessThanOrEqual(1);
    expect(Math.abs(100 * everWithin(20, byEvidence(10), wins) - twenty)).toBeLessThanOrEqual(1);
  },
);

/** Trials of two alike, each side drawn by our leaning coin, a hand whose habit is its own, noise of one. */
function runOfNothing(random: () => number, trials: number, habit: number): Outcome[] {
  const sides: Side[] = [];
  return Array.from({ length: trials }, (): Outcome => {
    const left = chanceOfALeft(sides);
    const aSide: Side = random() < left ? 'left' : 'right';
    sides.push(aSide);
    const leftBetter = habit + standardNormal(random) > 0;
    const aBetter = leftBetter === (aSide === 'left');
    // If the coin alone decided, A did better as often as the better side gets A.
    return { won: aBetter ? 1 : -1, chance: leftBetter ? left : 1 - left };
  });
}

test.each([0, 0.5, 1, 3])(
  'with sides that lean and a hand’s habit of %d sd it still speaks of nothing in less than one in ten',
  (habit) => {
    const random = seededRandom(17);
    const RUNS = 4000;
    const spoken = Array.from({ length: RUNS }, () => runOfNothing(random, 30, habit)).filter((run) =>
      evidence(run).some((e) => e >= 10),
    ).length;
    // One in ten is the bound; four standard errors of so many runs above what is expected, 5 to 6.5 in a
    // hundred.
    expect(spoken / RUNS).toBeLessThan(0.065 + 4 * Math.sqrt((0.06 * 0.94) / RUNS));
    expect(spoken / RUNS).toBeGreaterThan(0.02);
  },
);
