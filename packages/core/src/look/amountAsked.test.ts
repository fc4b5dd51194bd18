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
  expect(asked.use[0]!.parts).toBe(Math.max(1, Math.round(asked.takenMg / contour.use[0]!.product.mgPerMeasure)));
});

test('what was proposed is what its dose asks for', () => {
  for (const step of chart.steps.filter((s) => s.use.length === 1)) expect(amountAsked(step, who)!.use).toEqual(step.use);
});

test('a step without product or place asks for nothing', () => {
  expect(amountAsked({ ...contour, use: [] }, who)).toBeNull();
  expect(amountAsked({ ...contour, placements: [] }, who)).toBeNull();
});

test('a mix keeps its ratio, in whole measures of its smallest part, as near the dose as that allows', () => {
  const [one] = contour.use;
  const whole = [{ guide: 'zone.wholeFace' as const, side: 'both' as const }];
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }), fc.double({ min: 0.1, max: 9, noNaN: true }), (a, b, doseMgPerCm2) => {
      const use = [
        { ...one!, parts: a },
        { ...one!, parts: b },
      ];
      const asked = amountAsked({ ...contour, placements: whole, use, doseMgPerCm2 }, who)!;
      expect(asked.use[0]!.parts / asked.use[1]!.parts).toBeCloseTo(a / b, 9);
      const smallest = Math.min(...asked.use.map((u) => u.parts));
      expect(smallest).toBeCloseTo(Math.max(1, Math.round(smallest)), 9);
      const round = mgOf([...asked.use]) / smallest;
      if (smallest > 1) expect(Math.abs(mgOf([...asked.use]) - asked.takenMg)).toBeLessThanOrEqual(round / 2 + 1e-6);
    }),
    { numRuns: 60, seed: 9 },
  );
});
