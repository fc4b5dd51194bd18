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

const kitOf = (labs: readonly Lab[]): Mixable[] =>
  labs.map((lab, i) => ({ id: `p${i}`, lab, tintingStrength: i % 3 === 0 ? 1.3 : 1 }));

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

/** Every single, pair and triple in whole measures, straight from the public mixing functions. */
function bruteForceAll(target: Lab, kit: readonly Mixable[]): number[] {
  const found: number[] = [];
  const part = (k: number, parts: number) => ({
    spectrum: reconstructSpectrum(kit[k]!.lab, 'D65', 'oxide').spectrum,
    parts: parts * (kit[k]!.mgPerMeasure ?? 1),
    tintingStrength: kit[k]!.tintingStrength,
  });
  const add = (members: number[]): void => {
    for (const ratio of pumpRatios(members.length as 1 | 2 | 3, 6)) {
      found.push(deltaE2000(target, labUnder(mixSpectra(members.map((k, i) => part(k, ratio[i]!))), 'D65')));
    }
  };
  kit.forEach((_, a) => {
    add([a]);
    for (let b = a + 1; b < kit.length; b++) {
      add([a, b]);
      for (let c = b + 1; c < kit.length; c++) add([a, b, c]);
    }
  });
  return found.sort((x, y) => x - y);
}

test('with triples, measures of different weight and an uneven strength: the same ten best as brute force', () => {
  fc.assert(
    fc.property(skinLab, fc.array(skinLab, { minLength: 3, maxLength: 7 }), (target, labs) => {
      const kit = kitOf(labs).map((p, i) => ({ ...p, mgPerMeasure: i % 2 ? 35 : 170 }));
      const table = buildMixTable(kit, { maxProducts: 3 });
      const best = bruteForceAll(target, kit);
      expect(table.length).toBe(best.length);
      searchMixTable(table, target, { count: 10 }).forEach((mix, i) =>
        expect(mix.deltaE).toBeCloseTo(best[i]!, 9),
      );
    }),
    { numRuns: 12, seed: 5 },
  );
});

test('a pinned product is in every answer, and what cannot lead is never alone', () => {
  const kit = kitOf([
    [70, 9, 17],
    [60, 12, 19],
    [94, 0, 2],
  ]);
  const table = buildMixTable(kit, { maxProducts: 3, mayLead: (i) => i !== 2 });
  const pinned = searchMixTable(table, [66, 11, 18], { count: 50, must: 2 });
  expect(pinned.length).toBeGreaterThan(0);
  expect(pinned.every((m) => m.parts.some((p) => p.id === 'p2') && m.parts.length > 1)).toBe(true);
});

test('of what cannot lead a mix holds no more than is let: the same mixes as all of them with those left out', () => {
  fc.assert(
    fc.property(
      skinLab,
      fc.array(skinLab, { minLength: 3, maxLength: 6 }),
      fc.constantFrom(0.5, 2 / 3, 0.8),
      (target, labs, leastLed) => {
        const kit = kitOf(labs).map((p, i) => ({ ...p, mgPerMeasure: i % 2 ? 35 : 70 }));
        const options = { maxProducts: 3 as const, mayLead: (i: number) => i % 3 !== 1 };
        const led = buildMixTable(kit, { ...options, leastLed });
        const all = searchMixTable(buildMixTable(kit, options), target, { count: 1e4 });
        const share = (parts: readonly { readonly id: string; readonly pumps: number }[]): number => {
          const weighed = parts.map(({ id, pumps }) => {
            const i = kit.findIndex((p) => p.id === id);
            return { leads: options.mayLead(i), mg: pumps * kit[i]!.mgPerMeasure };
          });
          const sum = (list: typeof weighed): number => list.reduce((mg, one) => mg + one.mg, 0);
          return sum(weighed.filter(({ leads }) => leads)) / sum(weighed);
        };
        const kept = all.filter(({ parts }) => share(parts) >= leastLed - 1e-9);
        expect(led.length).toBe(kept.length);
        expect(searchMixTable(led, target, { count: 1e4 })).toEqual(kept);
      },
    ),
    { numRuns: 20 },
  );
});

test('a triple is offered only when it gains 0.3', () => {
  fc.assert(
    fc.property(skinLab, fc.array(skinLab, { minLength: 3, maxLength: 7 }), (target, labs) => {
      const { singles, pairs, triples } = matchBase(target, kitOf(labs), { maxProducts: 3 });
      for (const triple of triples)
        expect(Math.min(singles[0]!.deltaE, pairs[0]!.deltaE) - triple.deltaE).toBeGreaterThanOrEqual(0.3);
    }),
    { numRuns: 20, seed: 6 },
  );
});

test('progress goes up to one', () => {
  const shares: number[] = [];
  buildMixTable(
    kitOf([
      [70, 9, 17],
      [60, 12, 19],
      [50, 13, 17],
    ]),
    { maxProducts: 3, mayLead: (i) => i > 0, leastLed: 0.9, onProgress: (s) => shares.push(s) },
  );
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(shares.at(-1)).toBe(1);
});

test('an empty kit has no match', () =>
  expect(matchBase([60, 12, 18], [])).toEqual({ singles: [], pairs: [], triples: [] }));

test('differences in words', () => {
  expect([0.2, 0.7, 1.5, 3, 6].map(differenceInWords)).toEqual([
    'not visible',
    'barely visible',
    'visible side by side',
    'visible',
    'plainly off',
  ]);
});

test.each([
  [0.5, 'not visible', 'barely visible'],
  [1, 'barely visible', 'visible side by side'],
  [2, 'visible side by side', 'visible'],
  [4, 'visible', 'plainly off'],
])('from a difference of %d on %s is %s', (border, under, from) => {
  expect(differenceInWords(border - 0.001)).toBe(under);
  expect(differenceInWords(border)).toBe(from);
});
