import type { Kit, WearCheck } from '@toile/core';
import { kitOfLine, lastTimeWords, linesOf } from './learnedView';

const check = (
  appliedAt: string,
  hours: number,
  zones: WearCheck['zones'],
  more: Partial<WearCheck> = {},
): WearCheck => ({
  id: `${appliedAt} ${hours}`,
  chartId: 'c',
  version: 1,
  clientId: 'a',
  appliedAt,
  at: new Date(Date.parse(appliedAt) + hours * 3_600_000).toISOString(),
  judge: 'artist',
  by: 'Ada',
  zones,
  touched: [],
  marks: [],
  stings: false,
  worn: {},
  ...more,
});
const MAY = '2031-05-14T08:00:00Z';
const JUNE = '2031-06-14T08:00:00Z';

test('only what failed the last time is said, with its hour', () => {
  const may = [check(MAY, 4, { nose: 'needs a touch-up' })];
  expect(lastTimeWords(may)).toBe('Last time this needed a touch-up: nose at 4.0 h.');
  const june = [
    check(JUNE, 4, { nose: 'holds' }),
    check(JUNE, 6.5, { mouth: 'needs a touch-up', chin: 'needs a touch-up' }),
  ];
  // Told in any order.
  expect(lastTimeWords([...june, ...may])).toBe(
    'Last time this needed a touch-up: mouth at 6.5 h, chin at 6.5 h.',
  );
  expect(lastTimeWords([...may, check(JUNE, 8, { nose: 'holds' })])).toBeNull();
  expect(lastTimeWords([])).toBeNull();
  expect(lastTimeWords([check(JUNE, 1, { nose: 'holds' }, { stings: true })])).toBe(
    'Last time it stung after 1.0 h and was taken off.',
  );
});

test('a line is offered when the kit holds something of it that is not withdrawn', () => {
  const product = (id: string, line: string, withdrawn = false) =>
    ({ id, maker: 'Ordway', line, withdrawn }) as Kit['products'][number];
  const unit = (productId: string) => ({ id: `u ${productId}`, productId }) as Kit['units'][number];
  const kit: Kit = {
    products: [product('1', 'Veil'), product('2', 'Veil'), product('3', 'Hours', true), product('4', 'Gone')],
    units: [unit('1'), unit('3')],
  };
  expect([...linesOf(kit)]).toEqual(['Ordway Veil']);
  expect(kitOfLine(kit, 'Ordway Veil')).toEqual({ products: kit.products.slice(0, 2), units: [unit('1')] });
});
