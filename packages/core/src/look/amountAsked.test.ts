import { areaOfStep } from '../shade';
import fc from 'fast-check';
import { amountAsked, fitLook, type Step } from '.';
import { client, KIT, LOOK, OCCASION, STAMP } from './look.testing';

const who = client();
const chart = fitLook(LOOK, who, KIT, OCCASION, STAMP).chart;
const contour = chart.steps.find((s) => s.title === 'Contour')!;
const mgOf = (use: Step['use']): number => use.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0);

test('dose times skin, and what the tool keeps, in whole measures', () => {
  const asked = amountAsked({ ...contour, tool: 'finger', passes: 2, doseMgPerCm2: 4 }, who)!;
  const area = areaOfStep(contour, who);
  expect(asked.areaCm2).toBeCloseTo(area, 9);
  expect(asked.takenMg).toBeCloseTo((4 * 2 * area) / 0.95, 6);
  const half = contour.use[0]!.product.mgPerMeasure / 2;
  expect(asked.use[0]!.parts).toBe(0.5 * Math.ceil((0.95 * asked.takenMg) / half));
  expect(asked.madeMg).toBeGreaterThanOrEqual(0.95 * asked.takenMg);
});

test('what was proposed is what its dose asks for', () => {
  for (const step of chart.steps.filter((s) => s.use.length === 1))
    expect(amountAsked(step, who)!.use).toEqual(step.use);
});

test('a step without product or place asks for nothing', () => {
  expect(amountAsked({ ...contour, use: [] }, who)).toBeNull();
  expect(amountAsked({ ...contour, placements: [] }, who)).toBeNull();
});

test('a mix keeps its ratio, in the fewest half pumps that cover the dose', () => {
  const [one] = contour.use;
  const whole = [{ guide: 'zone.wholeFace' as const, side: 'both' as const }];
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 1, max: 5 }),
      fc.double({ min: 0.1, max: 9, noNaN: true }),
      (a, b, doseMgPerCm2) => {
        const use = [
          { ...one!, parts: a },
          { ...one!, parts: b },
        ];
        const asked = amountAsked({ ...contour, placements: whole, use, doseMgPerCm2 }, who)!;
        expect(asked.use[0]!.parts / asked.use[1]!.parts).toBeCloseTo(a / b, 9);
        for (const u of asked.use) expect(2 * u.parts).toBeCloseTo(Math.round(2 * u.parts), 9);
        const made = mgOf([...asked.use]);
        expect(made).toBeCloseTo(asked.madeMg, 6);
        expect(made).toBeGreaterThanOrEqual(0.95 * asked.takenMg - 1e-6);
        // One round fewer of the ratio in lowest terms would not cover it.
        const gcd = (x: number, y: number): number => (y === 0 ? x : gcd(y, x % y));
        const round = ((a + b) / gcd(a, b)) * (one!.product.mgPerMeasure / 2);
        if (made > round + 1e-6) expect(made - round).toBeLessThan(0.95 * asked.takenMg);
        expect(asked.why === null).toBe(made <= 1.5 * asked.takenMg);
      },
    ),
    { numRuns: 60, seed: 9 },
  );
});
