import * as fc from 'fast-check';
import type { Product, Unit } from '@toile/core';
import type { KitRow } from './kitView';
import { COLUMNS, sortedBy, sortRows, type Sorting } from './tableView';

const row = (
  over: { readonly [key in keyof Product]?: Product[key] },
  left: number | null = null,
): KitRow => ({
  product: {
    id: over.id ?? over.shade ?? '1',
    maker: 'Quill',
    line: 'Veil',
    shade: '1',
    kind: 'foundation',
    finish: 'matte',
    lab: null,
    ...over,
  } as Product,
  units: left === null ? [] : [{ remainingMg: left, place: 'case 1' } as Unit],
  fact: left === null ? 'not owned' : 'unopened',
  past: false,
});
const shades = (rows: readonly KitRow[]): string[] => rows.map((r) => r.product.shade);

describe('the kit’s table', () => {
  test('a column sorts up, then down, then up; another begins up', () => {
    const up = sortedBy(null, 'depth');
    expect(up).toEqual({ by: 'depth', down: false });
    const down = sortedBy(up, 'depth');
    expect(down).toEqual({ by: 'depth', down: true });
    expect(sortedBy(down, 'depth')).toEqual(up);
    expect(sortedBy(down, 'left')).toEqual({ by: 'left', down: false });
  });

  test('names count numbers as numbers, and depth goes from fair to deep', () => {
    const names = [row({ shade: 'V10' }), row({ shade: 'V9' }), row({ shade: 'V1' })];
    expect(shades(sortRows(names, { by: 'product', down: false }))).toEqual(['V1', 'V9', 'V10']);
    expect(shades(sortRows(names, { by: 'product', down: true }))).toEqual(['V10', 'V9', 'V1']);
    const depths = [
      row({ shade: 'deep', lab: [30, 10, 12] }),
      row({ shade: 'none' }),
      row({ shade: 'fair', lab: [75, 8, 14] }),
    ];
    expect(shades(sortRows(depths, { by: 'depth', down: false }))).toEqual(['fair', 'deep', 'none']);
    expect(shades(sortRows(depths, { by: 'depth', down: true }))).toEqual(['deep', 'fair', 'none']);
  });

  test('what is left counts all units, and what is not owned comes last either way', () => {
    const some = row({ shade: 'b' }, 300);
    const two = { ...row({ shade: 'a' }, 200), units: [...row({}, 200).units, ...row({}, 250).units] };
    const rows = [row({ shade: 'none' }), two, some];
    expect(shades(sortRows(rows, { by: 'left', down: false }))).toEqual(['b', 'a', 'none']);
    expect(shades(sortRows(rows, { by: 'left', down: true }))).toEqual(['a', 'b', 'none']);
  });

  test('nothing is lost or doubled, rows alike keep their order, and sorting twice changes nothing', () => {
    const rows = fc.array(
      fc.record({
        shade: fc.constantFrom('1', '2', '10', 'x'),
        finish: fc.constantFrom('matte', 'satin'),
        L: fc.option(fc.integer({ min: 20, max: 80 })),
        left: fc.option(fc.integer({ min: 0, max: 3 })),
      }),
      { maxLength: 40 },
    );
    const sorting = fc.record({ by: fc.constantFrom(...COLUMNS), down: fc.boolean() });
    fc.assert(
      fc.property(rows, sorting, (made, by: Sorting) => {
        const all = made.map(({ shade, finish, L, left }, i) =>
          row(
            {
              id: String(i),
              shade,
              finish: finish as Product['finish'],
              lab: L === null ? null : [L, 10, 15],
            },
            left,
          ),
        );
        const once = sortRows(all, by);
        expect(new Set(once)).toEqual(new Set(all));
        expect(once).toHaveLength(all.length);
        expect(sortRows(once, by)).toEqual(once);
        const alike = (r: KitRow) =>
          by.by === 'finish' ? r.product.finish : by.by === 'product' ? r.product.shade : null;
        if (by.by === 'finish' || by.by === 'product')
          for (const group of new Set(all.map(alike)))
            expect(once.filter((r) => alike(r) === group)).toEqual(all.filter((r) => alike(r) === group));
      }),
    );
  });
});
