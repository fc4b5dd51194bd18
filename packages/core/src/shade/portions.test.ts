import fc from 'fast-check';
import { MEASURES } from '../kit';
import { product } from '../look/look.testing';
import { COVERS, measuresInWords, measuresToCover, ratioOfMeasures, roundsToCover } from './portions';

const anyProduct = fc
  .record({
    mgPerMeasure: fc.integer({ min: 4, max: 300 }),
    smallestShare: fc.constantFrom(1, 0.5, 0.25),
    measure: fc.constantFrom(...MEASURES),
  })
  .map((more) => product(1, 'base', [60, 12, 18], more));
const mg = fc.double({ min: 1, max: 900, noNaN: true });

test('measures cover the need in whole smallest shares, and one share fewer does not', () => {
  fc.assert(
    fc.property(anyProduct, mg, (it, need) => {
      const measures = measuresToCover(it, need);
      const share = it.smallestShare!;
      expect(measures / share).toBeCloseTo(Math.round(measures / share), 9);
      expect(measures * it.mgPerMeasure).toBeGreaterThanOrEqual(COVERS * need - 1e-6);
      if (measures > share) expect((measures - share) * it.mgPerMeasure).toBeLessThan(COVERS * need + 1e-6);
      else expect(measures).toBe(share);
    }),
  );
});

test('rounds of a mix cover the need, one fewer does not', () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 400, noNaN: true }), mg, (perRound, need) => {
      const rounds = roundsToCover(perRound, need);
      expect(rounds * perRound).toBeGreaterThanOrEqual(COVERS * need - 1e-6);
      if (rounds > 1) expect((rounds - 1) * perRound).toBeLessThan(COVERS * need + 1e-6);
    }),
  );
});

test.each([
  [0.25, 'pump', 'a quarter pump'],
  [0.5, 'drop', 'half a drop'],
  [0.75, 'pump', '¾ pump'],
  [1, 'swipe', '1 swipe'],
  [1.5, 'pump', '1½ pumps'],
  [2.25, 'dot', '2¼ dots'],
  [3, 'rice-grain', '3 rice-grains'],
  [1.3, 'drop', '1.3 drops'],
] as const)('%d of a %s is said “%s”', (parts, measure, words) =>
  expect(measuresInWords(parts, measure)).toBe(words),
);

test('a ratio is in lowest whole terms and does not change with the amount', () => {
  expect(
    [
      [4, 2],
      [1.5, 0.5],
      [0.25, 1],
      [3, 1, 2],
      [1.1, 2],
    ].map(ratioOfMeasures),
  ).toEqual(['2 : 1', '3 : 1', '1 : 4', '3 : 1 : 2', '1.1 : 2']);
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 24 }), { minLength: 2, maxLength: 3 }),
      fc.integer({ min: 1, max: 6 }),
      (quarters, times) =>
        expect(ratioOfMeasures(quarters.map((q) => (q * times) / 4))).toBe(
          ratioOfMeasures(quarters.map((q) => q / 4)),
        ),
    ),
  );
});
