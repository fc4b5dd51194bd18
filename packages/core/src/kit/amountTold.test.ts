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
