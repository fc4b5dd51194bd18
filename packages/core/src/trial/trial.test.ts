import fc from 'fast-check';
import type { Side } from '../face';
import { betaCdf, betaQuantile, seededRandom } from '../math';
import {
  asPrior,
  changeWorth,
  compareHalves,
  drawSides,
  drawTest,
  evidence,
  evidenceOf,
  failureRate,
  goodHours,
  guessedCurve,
  holdBand,
  holdChance,
  holdsAt,
  signFlipTest,
  signTest,
  touchUpTimes,
  turnbull,
  verdictOf,
  wearCurve,
  type SeenHalf,
  type Wear,
  type WornZone,
} from '.';

const quarters = fc.array(
  fc.integer({ min: -8, max: 8 }).map((n) => n / 4),
  { minLength: 1, maxLength: 9 },
);
const sides = fc.array(fc.constantFrom<Side>('left', 'right'), { minLength: 1, maxLength: 9 });
const wears = fc.array(
  fc
    .record({
      good: fc.constantFrom(0, 1, 2, 3, 4, 6, 8, 10, 12),
      more: fc.constantFrom(1, 2, 4),
      failed: fc.boolean(),
    })
    .map(({ good, more, failed }): Wear => ({ good, bad: failed ? good + more : null })),
  { maxLength: 12 },
);

test('A and B swapped turn every sign and keep every chance', () => {
  fc.assert(
    fc.property(quarters, (d) => {
      const turned = d.map((one) => -one);
      expect(signTest(turned).p).toBeCloseTo(signTest(d).p, 12);
      expect(signFlipTest(turned).p).toBeCloseTo(signFlipTest(d).p, 12);
      expect(signFlipTest(d).p).toBeGreaterThanOrEqual(signFlipTest(d).leastP - 1e-12);
    }),
  );
});

test('left and right swapped in all data change nothing about A and B', () => {
  const seen = fc.array(
    fc.record({
      hour: fc.constantFrom(0, 2, 4, 8),
      zone: fc.constantFrom('nose', 'chin'),
      side: fc.constantFrom<Side>('left', 'right'),
      measure: fc.constant('shine' as const),
      by: fc.constant('artist' as const),
      value: fc.integer({ min: 0, max: 3 }),
    }),
    { maxLength: 24 },
  );
  const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');
  const declared = { measure: 'shine', by: 'artist', zones: ['nose', 'chin'], margin: 0.5 } as const;
  fc.assert(
    fc.property(seen, fc.constantFrom<Side>('left', 'right'), (looks: SeenHalf[], aSide) => {
      const one = compareHalves(aSide, declared, looks);
      const two = compareHalves(
        other(aSide),
        declared,
        looks.map((look) => ({ ...look, side: other(look.side) })),
      );
      expect(two.outcome).toBe(one.outcome);
      expect(two.difference ?? 0).toBeCloseTo(one.difference ?? 0, 12);
    }),
  );
});

test('a touch-up ends its zone for both halves, a missed half drops its hour, hours before are refused', () => {
  const look = (hour: number, side: Side, value: number): SeenHalf => ({
    hour,
    zone: 'nose',
    side,
    measure: 'shine',
    by: 'artist',
    value,
  });
  const looks = [
    look(2, 'left', 0),
    look(2, 'right', 1),
    look(6, 'left', 0),
    look(6, 'right', 3),
    look(4, 'left', 0),
  ];
  const declared = { measure: 'shine', by: 'artist', zones: ['nose'], margin: 0.5 } as const;
  expect(compareHalves('left', declared, looks).zones[0]).toMatchObject({ pairs: 2, untilHour: 6 });
  expect(compareHalves('left', declared, looks, [{ hour: 3, zone: 'nose' }]).zones[0]).toMatchObject({
    pairs: 1,
    untilHour: 2,
    difference: 0.5,
  });
  expect(() => compareHalves('left', declared, [look(-1, 'left', 0)])).toThrow(
    '-1 h is before the application',
  );
});

test('draws lean against a surplus, so that long runs of one side are rare, and are the same for the same name', () => {
  let most = 0;
  for (let question = 0; question < 300; question++) {
    const before: Side[] = [];
    for (let trial = 0; trial < 10; trial++)
      before.push(drawSides(`studio/${question}-${trial}`, before).aSide);
    most += Math.abs(before.filter((side) => side === 'left').length * 2 - 10);
  }
  // A fair coin leaves 2.5 on average.
  expect(most / 300).toBeLessThan(1.5);
  expect(drawSides('a/b', [])).toEqual(drawSides('a/b', []));
});

test('evidence over all sequences of fair coins averages one, and never depends on order', () => {
  for (let n = 1; n <= 8; n++) {
    let mean = 0;
    for (let mask = 0; mask < 2 ** n; mask++) {
      const outcomes = Array.from({ length: n }, (_, i) => ({ won: ((mask >> i) & 1 ? 1 : -1) as 1 | -1 }));
      const e = evidence(outcomes).at(-1)!;
      mean += e / 2 ** n;
      expect(e).toBeCloseTo(evidenceOf(outcomes.filter(({ won }) => won > 0).length, n), 9);
    }
    expect(mean).toBeCloseTo(1, 9);
  }
});

test('the draws test agrees with every sequence counted', () => {
  fc.assert(
    fc.property(sides, fc.infiniteStream(fc.integer({ min: -6, max: 6 })), (aSides, values) => {
      const trials = aSides.map((aSide) => ({ aSide, leftMinusRight: (values.next().value as number) / 4 }));
      const observed = Math.abs(
        trials.reduce((sum, t) => sum + (t.aSide === 'left' ? 1 : -1) * t.leftMinusRight, 0),
      );
      let p = 0;
      for (let mask = 0; mask < 2 ** trials.length; mask++) {
        let [surplus, sum, chance] = [0, 0, 1];
        trials.forEach((trial, i) => {
          const left = (mask >> i) & 1;
          const lean = surplus === 0 ? 1 / 2 : surplus > 0 ? 1 / 3 : 2 / 3;
          chance *= left ? lean : 1 - lean;
          surplus += left ? 1 : -1;
          sum += (left ? 1 : -1) * trial.leftMinusRight;
        });
        if (Math.abs(sum) >= observed - 1e-9) p += chance;
      }
      expect(drawTest(trials).p).toBeCloseTo(p, 9);
    }),
    { numRuns: 60 },
  );
});

test('a question goes from too few to leaning to clear, and says when two hardly differ', () => {
  const of = (outcomes: readonly (1 | -1 | 0)[]) =>
    verdictOf(
      outcomes.map((outcome, i) => ({
        aSide: i % 2 === 0 ? 'left' : 'right',
        outcome,
        leftMinusRight: i % 2 === 0 ? outcome : -outcome,
      })),
    );
  expect(of([1, 1]).words).toBe('too few to tell');
  expect(of([])).toMatchObject({ words: 'too few to tell', towards: null, sideHabit: null });
  const many = of(Array.from({ length: 9 }, () => 1 as const));
  expect(many.towards).toBe('a');
  expect(['clear', 'settled']).toContain(many.words);
  expect(of([1, -1, -1, 1, 1, -1, -1, 1, 1, -1]).words).toBe('hardly differ');
});

test('a side that always comes out better is told as a habit, not as an answer', () => {
  const trials = Array.from({ length: 10 }, (_, i) => {
    const aSide: Side = i % 3 === 0 ? 'left' : 'right';
    return { aSide, outcome: (aSide === 'left' ? 1 : -1) as 1 | -1, leftMinusRight: 1 };
  });
  expect(verdictOf(trials).sideHabit).toMatchObject({ side: 'left', of: 10, decided: 10 });
});

test('masses are shares of one, in bands that never rise, and what was seen holding is never before it', () => {
  fc.assert(
    fc.property(wears, (list) => {
      const masses = turnbull(list);
      if (list.length === 0) return expect(masses).toEqual([]);
      expect(masses.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 6);
      let before = { low: 1, high: 1 };
      for (let hour = 0; hour <= 16; hour += 0.5) {
        const band = holdBand(masses, hour);
        expect(band.low).toBeLessThanOrEqual(band.high + 1e-9);
        expect(band.high).toBeLessThanOrEqual(before.high + 1e-9);
        expect(band.low).toBeLessThanOrEqual(before.low + 1e-9);
        before = band;
      }
    }),
  );
  expect(() => turnbull([{ good: 5, bad: 4 }])).toThrow('wear 1: seen failing at 4 h and holding at 5 h');
});

test('a chance to hold falls with the hour, and one more that held never lowers it', () => {
  fc.assert(
    fc.property(wears, fc.constantFrom(4, 7, 8, 12), (list, median) => {
      const curve = wearCurve(guessedCurve(median), list);
      const more = wearCurve(guessedCurve(median), [...list, { good: 12, bad: null }]);
      let before = 1;
      for (const hour of [0, 1, 2, 3.5, 5, 8, 11, 12, 15]) {
        const { mean, low, high, beyond } = holdChance(curve, hour);
        expect(mean).toBeLessThanOrEqual(before + 1e-9);
        expect(low).toBeLessThanOrEqual(high + 1e-9);
        expect(beyond).toBe(hour > 12);
        // A shared failure moves a little when the curve does: not by more than rounding in a per cent.
        expect(holdChance(more, hour).mean).toBeGreaterThanOrEqual(mean - 0.005);
        before = mean;
      }
    }),
    { numRuns: 60 },
  );
});

test('a wider group is leaned on with its own hazards, whatever it was worth', () => {
  const wide = wearCurve(
    guessedCurve(8),
    Array.from({ length: 40 }, () => ({ good: 4, bad: 6 })),
  );
  const prior = asPrior(wide);
  for (const hour of [2, 5, 8]) expect(holdsAt(prior, hour)).toBeCloseTo(holdsAt(wide, hour), 12);
  expect(holdChance(prior, 5).high - holdChance(prior, 5).low).toBeGreaterThan(
    holdChance(wide, 5).high - holdChance(wide, 5).low,
  );
  expect(() => asPrior(wide, 0)).toThrow(RangeError);
});

test('good hours are the area under the curve', () => {
  const curve = guessedCurve(7);
  for (const hours of [1, 3, 7, 12, 14]) {
    let area = 0;
    const steps = 20_000;
    for (let i = 0; i < steps; i++) area += holdsAt(curve, ((i + 0.5) / steps) * hours) * (hours / steps);
    expect(goodHours(curve, hours)).toBeCloseTo(area, 6);
  }
});

test('touch-ups are the best of all choices, events or none', () => {
  const random = seededRandom(3);
  for (let run = 0; run < 20; run++) {
    const zones: WornZone[] = ['nose', 'mouth'].map((zone) => ({
      zone,
      weight: 1 + Math.floor(random() * 3),
      curve: guessedCurve(3 + random() * 8),
    }));
    const events = random() < 0.5 ? [] : [{ atMinutes: 240, fails: { mouth: 0.6 } }];
    const allowed = Array.from({ length: 9 }, (_, i) => (i + 1) * 60);
    const bad = (at: readonly number[]): number => {
      let sum = 0;
      const total = zones.reduce((all, one) => all + one.weight, 0);
      [0, ...at].forEach((from, i, all) => {
        const to = all[i + 1] ?? 600;
        for (const { zone, weight, curve } of zones)
          for (let t = from; t < to; t++) {
            const middle = t + 0.5;
            const worn = (middle - from) / (i === 0 ? 1 : 0.8) / 60;
            const hit = events
              .filter((e) => e.atMinutes > from && e.atMinutes < middle)
              .reduce((s, e) => s * (1 - (zone === 'mouth' ? e.fails.mouth : 0)), 1);
            sum += (weight / total) * (1 - hit * holdsAt(curve, worn));
          }
      });
      return sum;
    };
    const found = touchUpTimes(zones, 600, 2, allowed, { events });
    let least = bad([]);
    for (const a of allowed) {
      least = Math.min(least, bad([a]));
      for (const b of allowed) if (b > a) least = Math.min(least, bad([a, b]));
    }
    expect(found.badMinutes).toBeCloseTo(least, 1);
    expect(bad(found.atMinutes)).toBeCloseTo(found.badMinutes, 1);
  }
});

test('two failures are not yet a proposal; many against few are', () => {
  const worn = (productId: string, failed: number, held: number) => [
    ...Array.from({ length: failed }, () => ({ productId, failed: true, daysAgo: 10, matches: true })),
    ...Array.from({ length: held }, () => ({ productId, failed: false, daysAgo: 10, matches: true })),
  ];
  const strengthOf = (rows: ReturnType<typeof worn>) =>
    changeWorth(failureRate('p', rows), failureRate('q', rows), false).strength;
  expect(strengthOf([...worn('p', 2, 0), ...worn('q', 0, 6)])).toBe('none');
  expect(strengthOf([...worn('p', 3, 1), ...worn('q', 1, 5)])).toBe('hint');
  expect(strengthOf([...worn('p', 9, 1), ...worn('q', 1, 12)])).toBe('strong');
  expect(strengthOf([...worn('p', 1, 5), ...worn('q', 3, 1)])).toBe('none');
});

test('the beta distribution: its quantile undoes it, and binomial tails agree', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 40, noNaN: true }),
      fc.double({ min: 0.3, max: 40, noNaN: true }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (a, b, p) => {
        expect(betaCdf(betaQuantile(p, a, b), a, b)).toBeCloseTo(p, 9);
      },
    ),
  );
  // P(Bin(6, .3) >= 4) = I_.3(4, 3).
  const tail = [4, 5, 6].reduce((sum, k) => sum + [0, 0, 0, 0, 15, 6, 1][k]! * 0.3 ** k * 0.7 ** (6 - k), 0);
  expect(betaCdf(0.3, 4, 3)).toBeCloseTo(tail, 12);
});
