import fc from 'fast-check';
import {
  buildMixTable,
  deltaE2000,
  differenceInWords,
  labUnder,
  matchBase,
  mixSpectra,
  pumpRatios,
  reconstructSpectrum,
  searchMixTable,
  type Lab,
  type Mixable,
} from '.';
import { skinLab } from './skinLab.testing';

/** Tries every pair the slow way, straight from the public mixing functions. */
function bruteForcePairs(target: Lab, kit: readonly Mixable[]): number {
  let best = Infinity;
  for (let i = 0; i < kit.length; i++) {
    for (let j = i + 1; j < kit.length; j++) {
      for (const [p, q] of pumpRatios(2, 6)) {
        const part = (k: number, parts: number) => ({
          spectrum: reconstructSpectrum(kit[k]!.lab, 'D65', 'oxide').spectrum,
          parts,
          tintingStrength: kit[k]!.tintingStrength,
        });
        best = Math.min(best, deltaE2000(target, labUnder(mixSpectra([part(i, p!), part(j, q!)]), 'D65')));
      }
    }
  }
  return best;
}

const kitOf = (labs: readonly Lab[]): Mixable[] => labs.map((lab, i) => ({ id: `p${i}`, lab, tintingStrength: i % 3 === 0 ? 1.3 : 1 }));

test('ratios in lowest terms: 11 for pairs, 19 for triples at six pumps', () => {
  expect(pumpRatios(2, 6)).toHaveLength(11);
  expect(pumpRatios(3, 6)).toHaveLength(19);
});

test('the search gives the same best pair as trying every one', () => {
  fc.assert(
    fc.property(skinLab, fc.array(skinLab, { minLength: 2, maxLength: 6 }), (target, labs) => {
      const kit = kitOf(labs);
      expect(matchBase(target, kit).pairs[0]!.deltaE).toBeCloseTo(bruteForcePairs(target, kit), 9);
    }),
    { numRuns: 25, seed: 1 },
  );
});

test('the early stop loses nothing: the same ranking as every row of the table', () => {
  fc.assert(
    fc.property(skinLab, fc.array(skinLab, { minLength: 3, maxLength: 8 }), (target, labs) => {
      const table = buildMixTable(kitOf(labs), { maxProducts: 3 });
      const all = searchMixTable(table, target, { count: table.length }).map((m) => m.deltaE);
      expect(searchMixTable(table, target, { count: 10 }).map((m) => m.deltaE)).toEqual(all.slice(0, 10));
    }),
    { numRuns: 15, seed: 2 },
  );
});

test('a target that is in the kit is found as a single without difference', () => {
  const kit = kitOf([
    [70, 9, 17],
    [60, 12, 19],
    [50, 13, 17],
  ]);
  const { singles } = matchBase([60, 12, 19], kit);
  expect(singles[0]!.parts).toEqual([{ id: 'p1', pumps: 1 }]);
  expect(singles[0]!.deltaE).toBeLessThan(1e-4);
});

test('products that may not meet are never mixed', () => {
  const kit = kitOf([
    [70, 9, 17],
    [60, 12, 19],
    [50, 13, 17],
  ]);
  const { pairs } = matchBase([58, 12, 18], kit, { mayMix: (i, j) => !(i === 0 || j === 0), count: 100 });
  expect(pairs).toHaveLength(11);
  expect(pairs.every((m) => m.parts.every((p) => p.id !== 'p0'))).toBe(true);
});

test('an empty kit has no match', () => expect(matchBase([60, 12, 18], [])).toEqual({ singles: [], pairs: [] }));

test('differences in words', () => {
  expect([0.2, 0.7, 1.5, 3, 6].map(differenceInWords)).toEqual(['not visible', 'barely visible', 'visible side by side', 'visible', 'plainly off']);
});
