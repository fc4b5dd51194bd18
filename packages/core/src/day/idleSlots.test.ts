import fc from 'fast-check';
import { IdleFinder, type IdleRule } from './idleSlots';

/** Every way to label the slots idle or not, by counting. */
function leastByCounting(price: readonly number[], { busy, rest, lunch }: IdleRule): number {
  const n = price.length;
  let least = Infinity;
  for (let mask = 0; mask < 2 ** n; mask++) {
    const idle = (s: number): boolean => ((mask >> s) & 1) === 1;
    let cost = 0;
    let fits = true;
    let eats = lunch === null;
    for (let from = 0; from < n;) {
      let to = from;
      while (to < n && idle(to) === idle(from)) to++;
      if (idle(from)) {
        for (let s = from; s < to; s++) cost += price[s]!;
        if (from > 0 && to < n && to - from < rest) fits = false;
        if (lunch && Math.min(to, lunch.to) - Math.max(from, lunch.from) >= lunch.slots) eats = true;
      } else if (busy !== null && to - from > busy) fits = false;
      from = to;
    }
    if (fits && eats) least = Math.min(least, cost);
  }
  return least;
}

test('the cheapest idle slots are those found by trying all, and keep the rule themselves', () => {
  const prices = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 4, maxLength: 11 });
  const rule = fc.record({
    busy: fc.option(fc.integer({ min: 1, max: 6 })),
    rest: fc.integer({ min: 1, max: 3 }),
    lunch: fc.option(
      fc.record({
        slots: fc.integer({ min: 1, max: 3 }),
        from: fc.integer({ min: 0, max: 4 }),
        more: fc.integer({ min: 0, max: 5 }),
      }),
    ),
  });
  fc.assert(
    fc.property(prices, rule, (price, { busy, rest, lunch }) => {
      const meal = lunch && {
        slots: Math.max(lunch.slots, rest),
        from: lunch.from,
        to: lunch.from + Math.max(lunch.slots, rest) + lunch.more,
      };
      // As the bound asks it: a lunch that may lie behind the last slot is not asked for.
      const asked = {
        busy,
        rest,
        lunch: meal && meal.to - meal.slots < price.length && meal.to <= price.length ? meal : null,
      };
      const finder = new IdleFinder(price.length, asked);
      const cost = finder.find(Float64Array.from(price));
      expect(cost).toBe(leastByCounting(price, asked));
      expect(finder.marks.reduce((sum, one, s) => sum + one * price[s]!, 0)).toBe(cost);
    }),
    { numRuns: 400 },
  );
});
