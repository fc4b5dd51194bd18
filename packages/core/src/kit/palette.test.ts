import fc from 'fast-check';
import { id, product } from '../look/look.testing';
import {
  arrangementKey,
  arrangePalette,
  byKeys,
  cellName,
  movePan,
  panAt,
  paletteProblems,
  type Palette,
} from '.';

const palette = (pans: Palette['pans'], rows = 2, columns = 3): Palette => ({
  id: id(1),
  name: 'Eyes',
  rows,
  columns,
  pans,
});
const pan = (n: number, row: number, column: number) => ({ productId: id(n), row, column });
const PRODUCTS = [
  product(10, 'shadow', [40, 10, 10]),
  product(11, 'shadow', [80, 5, 10]),
  product(12, 'blush', [60, 25, 12]),
  product(13, 'base', [70, 10, 18]),
];

test('places are named by row and column', () =>
  expect([cellName({ row: 0, column: 0 }), cellName({ row: 2, column: 11 })]).toEqual(['A1', 'C12']));

test('a pan moves to an empty place, two change places, nothing leaves the grid', () => {
  const start = palette([pan(10, 0, 0), pan(11, 0, 1)]);
  expect(
    panAt(movePan(start, { row: 0, column: 0 }, { row: 1, column: 2 }), { row: 1, column: 2 })!.productId,
  ).toBe(id(10));
  const swapped = movePan(start, { row: 0, column: 0 }, { row: 0, column: 1 });
  expect(panAt(swapped, { row: 0, column: 0 })!.productId).toBe(id(11));
  expect(panAt(swapped, { row: 0, column: 1 })!.productId).toBe(id(10));
  expect(movePan(start, { row: 0, column: 0 }, { row: 2, column: 0 })).toBe(start);
  expect(movePan(start, { row: 1, column: 1 }, { row: 0, column: 0 })).toBe(start);
});

test('any run of moves keeps every pan once, each in a place of its own', () => {
  const cell = fc.record({ row: fc.integer({ min: -1, max: 3 }), column: fc.integer({ min: -1, max: 4 }) });
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { maxLength: 12 }), (moves) => {
      const end = moves.reduce(
        (p, [from, to]) => movePan(p, from, to),
        palette([pan(10, 0, 0), pan(11, 0, 1), pan(12, 1, 2)]),
      );
      expect(paletteProblems(end)).toEqual([]);
      expect(end.pans.map((p) => p.productId).sort()).toEqual([id(10), id(11), id(12)]);
    }),
    { seed: 3 },
  );
});

test('arranged by use and light to dark', () => {
  const start = palette([pan(10, 1, 2), pan(11, 0, 0), pan(12, 0, 2), pan(13, 1, 0)]);
  const order = (p: Palette) =>
    [...p.pans]
      .sort((a, b) => a.row - b.row || a.column - b.column)
      .map((x) => Number(x.productId.slice(-2)));
  expect(order(arrangePalette(start, PRODUCTS, 'order of use'))).toEqual([13, 12, 11, 10]);
  expect(order(arrangePalette(start, PRODUCTS, 'light to dark'))).toEqual([11, 13, 12, 10]);
  expect(paletteProblems(arrangePalette(start, PRODUCTS, 'light to dark'))).toEqual([]);
});

test('doubled places, doubled products and places outside are named', () => {
  expect(paletteProblems(palette([pan(10, 0, 0), pan(11, 0, 0)]))[0]!.message).toMatch(/A1 holds two pans/);
  expect(paletteProblems(palette([pan(10, 0, 0), pan(10, 0, 1)]))[0]!.message).toMatch(/A2 is already in A1/);
  expect(paletteProblems(palette([pan(10, 5, 0)]))[0]!.message).toMatch(/outside 2 rows of 3/);
});

test('the edges are inside, what lies one beyond them is not', () => {
  const start = palette([pan(10, 1, 1)]);
  const from = { row: 1, column: 1 };
  for (const [row, column] of [
    [0, 0],
    [0, 2],
    [1, 0],
    [1, 2],
  ] as const)
    expect(movePan(start, from, { row, column }).pans).toEqual([pan(10, row, column)]);
  for (const [row, column] of [
    [-1, 1],
    [1, -1],
    [2, 1],
    [1, 3],
  ] as const)
    expect(movePan(start, from, { row, column })).toBe(start);
  const outside = paletteProblems(palette([pan(10, 2, 0), pan(11, 0, 3), pan(12, 1, 2)]));
  expect(outside).toEqual([
    { cell: { row: 2, column: 0 }, message: 'C1 is outside 2 rows of 3' },
    { cell: { row: 0, column: 3 }, message: 'A4 is outside 2 rows of 3' },
  ]);
});

test('what is not in the kit, and what has no colour, comes last; equal ones keep the order they lay in', () => {
  const bare = product(14, 'base', [70, 10, 18]);
  const products = [...PRODUCTS, { ...bare, lab: null }, product(15, 'blush', [60, 25, 12])];
  const start = palette([pan(99, 0, 0), pan(14, 0, 1), pan(15, 1, 0), pan(12, 0, 2), pan(11, 1, 1)]);
  const order = (by: 'order of use' | 'light to dark'): number[] =>
    [...arrangePalette(start, products, by).pans]
      .sort((a, b) => a.row - b.row || a.column - b.column)
      .map((p) => Number(p.productId.slice(-2)));
  // 12 lay in the first row, 15 in the second: alike in kind and colour.
  expect(order('light to dark')).toEqual([11, 12, 15, 99, 14]);
  expect(order('order of use')).toEqual([14, 12, 15, 11, 99]);
  expect(arrangementKey({ kind: 'base', lab: null }, 'light to dark')).toEqual([101, 0]);
});

test('keys are compared first to last, and only as far as they differ', () => {
  const list = [
    [2, 1],
    [1, 9],
    [2, 0],
    [1, 9, 1],
  ];
  expect(byKeys(list, (one) => one)).toEqual([
    [1, 9],
    [1, 9, 1],
    [2, 0],
    [2, 1],
  ]);
});
