import fc from 'fast-check';
import {
  betaCdf,
  betaQuantile,
  clamp,
  lerp,
  logBeta,
  logGamma,
  median,
  never,
  quantileOf,
  seededRandom,
  seedFromText,
  shuffled,
  solveInPlace,
  standardNormal,
} from '.';
import { expectNear } from './near.testing';

describe('the gamma function', () => {
  it('is the factorial, and what is known at halves and near none', () => {
    let factorial = 1;
    for (let n = 1; n <= 20; n++) {
      expect(logGamma(n)).toBeCloseTo(Math.log(factorial), 10);
      factorial *= n;
    }
    expect(Math.exp(logGamma(0.5))).toBeCloseTo(Math.sqrt(Math.PI), 10);
    expect(Math.exp(logGamma(0.25))).toBeCloseTo(3.625609908221908, 9);
    expect(Math.exp(logGamma(0.1))).toBeCloseTo(9.513507698668732, 8);
    expect(logGamma(100)).toBeCloseTo(359.1342053695754, 8);
  });

  it('of x + 1 is x times that of x, either side of one half', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 60, noNaN: true }), (x) => {
        expect(logGamma(x + 1)).toBeCloseTo(Math.log(x) + logGamma(x), 8);
      }),
    );
  });

  it('makes the beta function, the same both ways round', () => {
    // B(2, 3) = 1! 2! / 4!
    expect(Math.exp(logBeta(2, 3))).toBeCloseTo(1 / 12, 12);
    expect(logBeta(7.5, 0.3)).toBeCloseTo(logBeta(0.3, 7.5), 12);
  });
});

/** P(X <= x) of a Beta(a, b) of whole numbers: so many successes at least of a + b - 1 tries. */
function byTries(x: number, a: number, b: number): number {
  const n = a + b - 1;
  let [sum, choose] = [0, 1];
  for (let k = 0; k <= n; k++) {
    if (k >= a) sum += choose * x ** k * (1 - x) ** (n - k);
    choose = (choose * (n - k)) / (k + 1);
  }
  return sum;
}

describe('the beta distribution', () => {
  it('is the sum over tries for whole numbers', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (a, b, x) => {
          expect(betaCdf(x, a, b)).toBeCloseTo(byTries(x, a, b), 9);
        },
      ),
    );
  });

  it('is the arcsine law for halves, and a power where b is one', () => {
    for (const x of [0.01, 0.1, 0.3, 0.5, 0.7, 0.99])
      expect(betaCdf(x, 0.5, 0.5)).toBeCloseTo((2 / Math.PI) * Math.asin(Math.sqrt(x)), 10);
    expect(betaCdf(0.3, 2.5, 1)).toBeCloseTo(0.3 ** 2.5, 10);
    expect(betaCdf(0.02, 400, 9000)).toBeCloseTo(1 - betaCdf(0.98, 9000, 400), 10);
  });

  it('has nothing below none and all of it above one, and refuses what is no distribution', () => {
    expect([betaCdf(-1, 2, 3), betaCdf(0, 2, 3), betaCdf(1, 2, 3), betaCdf(2, 2, 3)]).toEqual([0, 0, 1, 1]);
    expect(() => betaCdf(0.5, 0, 3)).toThrow(/above none, got 0 and 3/);
    expect(() => betaCdf(0.5, 3, 0)).toThrow(RangeError);
    expect(() => betaCdf(0.5, NaN, 1)).toThrow(RangeError);
  });

  it('has its quantiles where the distribution reaches them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (a, b, p) => {
          expect(betaCdf(betaQuantile(p, a, b), a, b)).toBeCloseTo(p, 7);
        },
      ),
    );
    expect(betaQuantile(0.5, 7, 7)).toBeCloseTo(0.5, 12);
    expect(quantileOf((x) => x * x, 0.25)).toBeCloseTo(0.5, 15);
    expect(quantileOf(() => 1, 0.5)).toBeLessThan(1e-15);
    expect(quantileOf(() => 0, 0.5)).toBeGreaterThan(1 - 1e-15);
  });
});

describe('clamp, lerp and median', () => {
  it('hold a number between two, its ends too', () => {
    expect([-1, 2, 3, 4, 9].map((x) => clamp(x, 2, 4))).toEqual([2, 2, 3, 4, 4]);
    expect([lerp(2, 6, 0), lerp(2, 6, 0.25), lerp(6, 2, 0.25), lerp(2, 6, 1)]).toEqual([2, 3, 5, 6]);
  });

  it('take the middle of an odd number, the mean of two otherwise, and leave the list as it was', () => {
    const values = [30, 4, 100];
    expect(median(values)).toBe(30);
    expect(values).toEqual([30, 4, 100]);
    expect(median([9, 1, 100, 3])).toBe(6);
    expect(median([7])).toBe(7);
    expect(median([])).toBeNaN();
  });
});

describe('chance', () => {
  it('is the same for the same seed and another for another', () => {
    const draw = (seed: number) => Array.from({ length: 3 }, seededRandom(seed));
    // Mulberry32 of seed 1, as its author's program gives it.
    expectNear(draw(1), [0.6270739405881613, 0.002735721180215478, 0.5274470399599522], 1e-15);
    expect(draw(1)).toEqual(draw(1));
    expect(draw(-1)).toEqual(draw(0xffffffff));
    expect(draw(1)).not.toEqual(draw(2));
  });

  it('is even over tenths', () => {
    const random = seededRandom(7);
    const tenths = new Array<number>(10).fill(0);
    for (let i = 0; i < 20_000; i++) tenths[Math.floor(random() * 10)]! += 1;
    for (const count of tenths) expect(Math.abs(count - 2000)).toBeLessThan(200);
  });

  it('takes its seed from text by FNV-1a', () => {
    // The published vectors of 32 bits.
    expect(['', 'a', 'foobar'].map(seedFromText)).toEqual([0x811c9dc5, 0xe40c292c, 0xbf9cf968]);
  });

  it('draws normals of mean none and variance one, also where the source gives none', () => {
    const random = seededRandom(11);
    const all = Array.from({ length: 20_000 }, () => standardNormal(random));
    const mean = all.reduce((sum, x) => sum + x, 0) / all.length;
    const variance = all.reduce((sum, x) => sum + (x - mean) ** 2, 0) / all.length;
    expectNear([mean, variance], [0, 1], 0.03);
    expect(all.filter((x) => Math.abs(x) > 1.96).length / all.length).toBeCloseTo(0.05, 2);
    expect(standardNormal(() => 0)).toBeCloseTo(0, 12);
    // Box and Muller: of 1 - 0.5 and 0.5 the radius is the root of 2 ln 2, the angle half a turn.
    expect(standardNormal(() => 0.5)).toBeCloseTo(-Math.sqrt(2 * Math.LN2), 12);
  });

  it('puts the same things in every order as often', () => {
    const random = seededRandom(3);
    const list = ['a', 'b', 'c'];
    const seen = new Map<string, number>();
    for (let i = 0; i < 6000; i++) {
      const order = shuffled(list, random).join('');
      seen.set(order, (seen.get(order) ?? 0) + 1);
    }
    expect([...seen.keys()].sort()).toEqual(['abc', 'acb', 'bac', 'bca', 'cab', 'cba']);
    for (const count of seen.values()) expect(Math.abs(count - 1000)).toBeLessThan(150);
    expect(list).toEqual(['a', 'b', 'c']);
  });
});

describe('a system of equations', () => {
  const numbers = (length: number) =>
    fc.array(fc.double({ min: -10, max: 10, noNaN: true }), { minLength: length, maxLength: length });

  it('is solved for several right-hand sides at once: put in again it gives what was asked', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 7 })
          .chain((n) =>
            fc
              .integer({ min: 1, max: 3 })
              .chain((m) =>
                fc.record({ n: fc.constant(n), m: fc.constant(m), a: numbers(n * n), x: numbers(n * m) }),
              ),
          ),
        ({ n, m, a, x }) => {
          // Made well posed without being made dominant on the diagonal: its rows turned by one.
          const rows = Float64Array.from(a, (v, i) => ((Math.floor(i / n) + 1) % n === i % n ? v + 100 : v));
          const b = new Float64Array(n * m);
          for (let i = 0; i < n; i++)
            for (let k = 0; k < m; k++)
              for (let j = 0; j < n; j++) b[i * m + k]! += rows[i * n + j]! * x[j * m + k]!;
          const solved = solveInPlace(rows, b, n, m);
          expect(solved).toBe(b);
          expectNear([...solved], x, 1e-9);
        },
      ),
    );
  });

  it('is solved where the first pivot is none or tiny', () => {
    expect([...solveInPlace(Float64Array.of(0, 1, 1, 0), Float64Array.of(2, 3), 2)]).toEqual([3, 2]);
    const tiny = solveInPlace(Float64Array.of(1e-20, 1, 1, 1), Float64Array.of(1, 2), 2);
    expectNear([...tiny], [1, 1], 1e-12);
  });

  it('takes the largest of what is left, minus signs aside', () => {
    // Without it the second and third rows lose all their digits.
    const a = Float64Array.of(1e-12, 1, 2, 1, 1, 1, -3e6, 2, 5);
    const x = [1, -2, 3];
    const b = Float64Array.from([0, 1, 2], (i) => x.reduce((sum, v, j) => sum + a[i * 3 + j]! * v, 0));
    expectNear([...solveInPlace(a, b, 3)], x, 1e-8);
  });

  it('is refused where rows say the same, or say nothing', () => {
    const solve =
      (...a: number[]) =>
      () =>
        solveInPlace(Float64Array.from(a), Float64Array.of(1, 1), 2);
    expect(solve(1, 2, 2, 4)).toThrow('singular at column 1');
    expect(solve(0, 0, 0, 0)).toThrow('singular at column 0');
    expect(solve(NaN, 1, 1, 1)).toThrow(RangeError);
    expect(solve(1e-290, 0, 0, 1e-290)).not.toThrow();
  });
});

it('a kind that was added and not handled is told with its place', () => {
  const added: unknown = { kind: 'new' };
  expect(never(added as never, 'colourOf').message).toBe('colourOf: no case for {"kind":"new"}');
});
