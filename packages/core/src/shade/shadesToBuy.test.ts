import { depthOf, type Lab } from '../colour';
import type { Product } from '../kit';
import { BASES, product } from '../look/look.testing';
import { shadeMap, shadesToBuy } from '.';

const base = (n: number, lab: Lab, more: Partial<Product> = {}): Product => ({
  ...product(200 + n, 'base', lab),
  ...more,
});
const FIVE = [
  base(0, [70.2, 9.8, 17.5]),
  base(1, [60.1, 12, 20.4]),
  base(2, [47.5, 14.2, 23.1]),
  base(3, [32.8, 13.1, 17.6]),
  base(4, [25.4, 9.5, 10.9], { family: 'wax', texture: 'stick' }),
];
const KITS: Readonly<Record<string, readonly Product[]>> = {
  'a few of every depth': FIVE,
  'those of the other tests': BASES,
  'one fair base': [FIVE[0]!],
  'one very deep stick': [FIVE[4]!],
  'nothing but oil': FIVE.map((one) => ({ ...one, family: 'oil' as const })),
  'that may not meet': FIVE.map((one, i) => ({
    ...one,
    family: (['oil', 'silicone', 'water'] as const)[i % 3]!,
  })),
};

describe.each(Object.entries(KITS))('%s', (_, kit) => {
  const bought = shadesToBuy(kit);
  // What is bought is of the kind of base there is most of.
  const usual = kit.find(
    ({ family }) =>
      kit.filter((one) => one.family === family).length ===
      Math.max(...kit.map((two) => kit.filter((one) => one.family === two.family).length)),
  )!;
  const withAll = (shades: readonly { readonly lab: Lab }[]): Product[] => [
    ...kit,
    ...shades.map(({ lab }, i): Product => ({
      ...usual,
      id: product(300 + i, 'base', lab).id,
      lab: [lab[0], lab[1], lab[2]],
    })),
  ];

  test('serves as many more as the map of the kit with it says', () => {
    expect(bought.length).toBeGreaterThan(0);
    bought.forEach(({ serves }, i) => {
      const [before, after] = [bought.slice(0, i), bought.slice(0, i + 1)].map((some) =>
        shadeMap(withAll(some)),
      );
      expect(before!.gaps.length - after!.gaps.length).toBe(serves);
    });
  });

  test('no other skin’s shade bought first would serve more', () => {
    const { gaps } = shadeMap(kit);
    for (const { lab } of gaps)
      expect(gaps.length - shadeMap(withAll([{ lab }])).gaps.length).toBeLessThanOrEqual(bought[0]!.serves);
  });
});

test('where nothing is there nothing is told, where everybody is served nothing is bought', () => {
  expect(shadesToBuy([])).toEqual([]);
  expect(shadesToBuy([{ ...FIVE[0]!, lab: null }])).toEqual([]);
  expect(shadesToBuy([{ ...FIVE[0]!, withdrawn: true }])).toEqual([]);
  const every = shadeMap([FIVE[0]!]).gaps.map(({ lab }, i) => base(20 + i, lab));
  expect(shadesToBuy([...every, FIVE[0]!])).toEqual([]);
});

test('a kit of light bases is first told of deep ones, and of no more than fit a list', () => {
  const light = [74, 70, 66, 62, 58].map((l, i) => base(90 + i, [l, 10, 17]));
  const bought = shadesToBuy(light);
  expect(bought.length).toBeLessThanOrEqual(4);
  expect(depthOf(bought[0]!.lab)).toBeGreaterThan(12);
});
