import { differenceCiede2000 } from 'culori';
import fc from 'fast-check';
import { deltaE2000, deltaE2000Many, type Lab } from '.';

/** The published pairs of Sharma, Wu and Dalal (2005), table 1: L1 a1 b1 L2 a2 b2 dE. */
const SHARMA = `
50 2.6772 -79.7751 50 0 -82.7485 2.0425
50 3.1571 -77.2803 50 0 -82.7485 2.8615
50 2.8361 -74.0200 50 0 -82.7485 3.4412
50 -1.3802 -84.2814 50 0 -82.7485 1.0000
50 -1.1848 -84.8006 50 0 -82.7485 1.0000
50 -0.9009 -85.5211 50 0 -82.7485 1.0000
50 0 0 50 -1 2 2.3669
50 -1 2 50 0 0 2.3669
50 2.49 -0.001 50 -2.49 0.0009 7.1792
50 2.49 -0.001 50 -2.49 0.0010 7.1792
50 2.49 -0.001 50 -2.49 0.0011 7.2195
50 2.49 -0.001 50 -2.49 0.0012 7.2195
50 -0.001 2.49 50 0.0009 -2.49 4.8045
50 -0.001 2.49 50 0.0010 -2.49 4.8045
50 -0.001 2.49 50 0.0011 -2.49 4.7461
50 2.5 0 50 0 -2.5 4.3065
50 2.5 0 73 25 -18 27.1492
50 2.5 0 61 -5 29 22.8977
50 2.5 0 56 -27 -3 31.9030
50 2.5 0 58 24 15 19.4535
50 2.5 0 50 3.1736 0.5854 1.0000
50 2.5 0 50 3.2972 0 1.0000
50 2.5 0 50 1.8634 0.5757 1.0000
50 2.5 0 50 3.2592 0.3350 1.0000
60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.2630
61.2901 3.7196 -5.3901 61.4292 2.2480 -4.9620 1.8731
35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
22.7233 20.0904 -46.6940 23.0331 14.9730 -42.5619 2.0373
36.4612 47.8580 18.3852 36.2715 50.5065 21.2231 1.4146
90.8027 -2.0831 1.4410 91.1528 -1.6435 0.0447 1.4441
90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
2.0776 0.0795 -1.1350 0.9033 -0.0636 -0.5514 0.9082`
  .trim()
  .split('\n')
  .map((line) => line.split(' ').map(Number));

const lab = fc.tuple(
  fc.double({ min: 0, max: 100, noNaN: true }),
  fc.double({ min: -100, max: 100, noNaN: true }),
  fc.double({ min: -100, max: 100, noNaN: true }),
);
const culori = differenceCiede2000();
const oracle = (a: Lab, b: Lab): number =>
  culori({ mode: 'lab65', l: a[0], a: a[1], b: a[2] }, { mode: 'lab65', l: b[0], a: b[1], b: b[2] });

test('the table holds all 34 published pairs', () => expect(SHARMA).toHaveLength(34));

test.each(SHARMA)(
  '%d %d %d / %d %d %d differ by the published figure',
  (L1, a1, b1, L2, a2, b2, expected) => {
    expect(Math.abs(deltaE2000([L1!, a1!, b1!], [L2!, a2!, b2!]) - expected!)).toBeLessThan(1e-4);
  },
);

test('agrees with an independent implementation between the published pairs', () => {
  // Near-opposite hues are left to the published pairs: there the formula jumps and rounding decides the
  // side.
  fc.assert(
    fc.property(lab, lab, (a, b) => {
      const turn = Math.abs(Math.atan2(a[1] * b[2] - a[2] * b[1], a[1] * b[1] + a[2] * b[2]));
      fc.pre(Math.PI - turn > 1e-3 && Math.hypot(a[1], a[2]) > 1e-6 && Math.hypot(b[1], b[2]) > 1e-6);
      expect(Math.abs(deltaE2000(a, b) - oracle(a, b))).toBeLessThan(1e-9);
    }),
    { numRuns: 3000, seed: 1 },
  );
});

test('is symmetric, zero for equal colours and never negative', () => {
  fc.assert(
    fc.property(lab, lab, (a, b) => {
      expect(deltaE2000(a, a)).toBe(0);
      expect(deltaE2000(a, b)).toBeGreaterThanOrEqual(0);
      expect(deltaE2000(a, b)).toBeCloseTo(deltaE2000(b, a), 9);
    }),
    { seed: 2 },
  );
});

test('one against many gives the same figures as one by one', () => {
  fc.assert(
    fc.property(lab, fc.array(lab, { maxLength: 20 }), (target, many) => {
      const out = deltaE2000Many(target, Float64Array.from(many.flat()), new Float64Array(many.length));
      many.forEach((other, i) => expect(Math.abs(out[i]! - deltaE2000(target, other))).toBeLessThan(1e-9));
    }),
    { numRuns: 400, seed: 3 },
  );
});

test('one against many holds in the blues, at the axes and for greys', () => {
  const others: Lab[] = [];
  for (let hue = 0; hue < 360; hue += 0.5)
    for (const chroma of [0, 1e-9, 3, 40, 110])
      others.push([50, chroma * Math.cos((hue * Math.PI) / 180), chroma * Math.sin((hue * Math.PI) / 180)]);
  for (const target of [
    [40, 3, -60],
    [55, 30, 0],
    [55, 30, -1e-12],
    [50, 0, 0],
  ] as const) {
    const out = deltaE2000Many(target, Float64Array.from(others.flat()), new Float64Array(others.length));
    expect(Math.max(...others.map((other, i) => Math.abs(out[i]! - deltaE2000(target, other))))).toBeLessThan(
      1e-9,
    );
  }
});

test('one against many refuses an output that is too short', () => {
  expect(() => deltaE2000Many([50, 0, 0], new Float64Array(6), new Float64Array(1))).toThrow('2 are needed');
});
