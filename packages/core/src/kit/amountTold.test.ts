import fc from 'fast-check';
import { amountTold } from '.';

test.each([
  ['12', { mg: 12 }],
  ['12.5', { mg: 12.5 }],
  ['1.500', { mg: 1500 }],
  ['1 500', { mg: 1500 }],
  ['800 mg', { mg: 800 }],
  ['12 G', { mg: 12_000 }],
  ['ca. 12 grams left', { mg: 12_000 }],
  ['3 cl', { mg: 30_000 }],
  ['1 oz', { mg: 28_350 }],
  ['1 fl. oz.', { mg: 29_574 }],
  ['0 %', { share: 0 }],
  ['100%', { share: 1 }],
  ['75 percent', { share: 0.75 }],
  ['2/3', { share: 2 / 3 }],
  ['½', { share: 0.5 }],
  ...['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'].map(
    (unit) => [`12 ${unit}`, { mg: 12_000 }] as const,
  ),
  ...['mg', 'milligram', 'milligrams'].map((unit) => [`12 ${unit}`, { mg: 12 }] as const),
  ...['ml', 'mls', 'millilitre', 'milliliters', 'cc'].map((unit) => [`12 ${unit}`, { mg: 12_000 }] as const),
  ...['oz', 'oz.', 'ounce', 'ounces'].map((unit) => [`2 ${unit}`, { mg: 56_700 }] as const),
  ...['fl oz', 'floz', 'fl. oz', 'fl.oz.', 'fluid ounce', 'fluid ounces'].map(
    (unit) => [`1 ${unit}`, { mg: 29_574 }] as const,
  ),
  ...['full', 'new', 'brand new', 'sealed', 'unused', 'all', 'whole'].map(
    (told) => [told, { share: 1 }] as const,
  ),
  ...['empty', 'none', 'finished', 'gone', 'out'].map((told) => [told, { share: 0 }] as const),
  ...['a quarter', 'one quarter', 'quarter left', '¼ full'].map((told) => [told, { share: 0.25 }] as const),
  ...['a third', 'one third full', 'third', '⅓'].map((told) => [told, { share: 1 / 3 }] as const),
  ...['two thirds', '2 third left', '⅔'].map((told) => [told, { share: 2 / 3 }] as const),
  ...['three quarter', '3 quarters left', '¾ full'].map((told) => [told, { share: 3 / 4 }] as const),
  ...['a half', 'half gone', 'half empty', '½ left'].map((told) => [told, { share: 0.5 }] as const),
  ...['approx. 5 g', 'approx 5 g', 'about 5 g', '~5 g', 'ca 5 g'].map(
    (told) => [told, { mg: 5000 }] as const,
  ),
  ['5 kg', null],
  ['5 gold', null],
  ['a 5 g', null],
  ['5 floz refill', null],
  ['1 tfl oz', null],
  ['nearly empty', null],
  ['empty soon', null],
  ['not new', null],
  ['5 mgs', null],
  ['half used', { share: 0.5 }],
  ['three quarters full', { share: 0.75 }],
  ['unopened', { share: 1 }],
  ['used up', { share: 0 }],
  ['101 %', null],
  ['3/2', null],
  ['1/0', null],
  ['0/0', null],
  ['12 pumps', null],
  ['some', null],
  ['half a gram', null],
  ['-3 g', null],
  ['1.2.3 g', null],
  ['', null],
] as const)('%s', (told, amount) => {
  expect(amountTold(told)).toEqual(amount === null ? null : amount);
});

test('whatever is written, it is an amount of none or more, or a share of at most one, or nothing', () => {
  const words = fc.oneof(
    fc.string({ maxLength: 12 }),
    fc
      .tuple(fc.double({ min: 0, max: 1e5, noNaN: true }), fc.constantFrom('', ' g', 'ml', ' %', ' oz', '/3'))
      .map(([number, unit]) => `${number}${unit}`),
  );
  fc.assert(
    fc.property(words, (told) => {
      const amount = amountTold(told);
      if (amount === null) return;
      if ('mg' in amount) expect(amount.mg).toBeGreaterThanOrEqual(0);
      else expect(amount.share >= 0 && amount.share <= 1).toBe(true);
    }),
  );
});
