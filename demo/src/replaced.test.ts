import { substitute } from '@toile/core';
import { clientOf, DAY, KITS, SKIN_NAMES } from './corpus/ground';

test('on every skin and of every base: what is offered instead is worth stirring, and once', () => {
  let mixes = 0;
  for (const kit of [KITS.tiny, KITS['one maker'], KITS.messy])
    for (const skin of SKIN_NAMES) {
      const context = { client: clientOf({ skin }), kit, date: DAY };
      for (const product of kit.products.filter(({ kind }) => kind === 'base')) {
        const offered = substitute(product, context, { count: 40 });
        const costs = offered.map(({ cost }) => cost);
        expect(costs).toEqual([...costs].sort((a, b) => a - b));
        const of = offered.map(({ parts }) =>
          parts
            .map((part) => part.product.id)
            .sort()
            .join(' '),
        );
        expect(new Set(of).size).toBe(of.length);
        const alone = new Map(
          offered.flatMap((one): [string, typeof one][] =>
            one.parts.length === 1 ? [[one.parts[0]!.product.id, one]] : [],
          ),
        );
        for (const mix of offered.filter((one) => one.parts.length > 1)) {
          mixes++;
          // Dearer than what is in it alone only where it comes nearer.
          for (const part of mix.parts) {
            const single = alone.get(part.product.id);
            if (single && single.cost <= mix.cost) expect(mix.deltaE!).toBeLessThan(single.deltaE!);
          }
        }
      }
    }
  // Stirring is offered where it brings something, and not only there where nothing else is.
  expect(mixes).toBeGreaterThan(100);
});
