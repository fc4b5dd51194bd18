import { KIT } from '../../look/look.testing';
import { guessMapping, readKitCsv, writeKitCsv } from '.';

const HEAD = 'Brand,Product,Colour,Type';
const read = (columns: string, cells: string, owned = false) =>
  readKitCsv(`${HEAD},${columns}\nOriel,Veil,N2,foundation,${cells}`, { owned }).rows[0]!;

test.each([
  ['1', 1],
  ['2', 2],
  ['x3', 3],
  ['4 pcs', 4],
  ['99', 99],
  ['yes', 1],
  ['In stock', 1],
  ['out of stock', 0],
  ['✓', 1],
  ['0', 0],
  ['no', 0],
  ['-', 0],
])('a quantity of “%s” is %i in the case', (cell, count) => {
  for (const owned of [false, true]) {
    const row = read('Qty,Location', `${cell},Case A`, owned);
    expect(row.problems).toEqual([]);
    expect(row.unitCount).toBe(count);
    expect(row.unit?.place).toBe(count > 0 ? 'Case A' : undefined);
  }
});

test('a quantity nobody can read, or of a shop, is said; an empty one says nothing', () => {
  for (const cell of ['some', '1.5', '-2', 'two'])
    expect(read('Qty', cell).problems).toEqual([
      { column: 'quantity', message: `“${cell}” is no number of pieces: write it as 2` },
    ]);
  expect(read('Qty', '100').problems.map(({ column }) => column)).toEqual(['quantity']);
  expect(read('Qty,Left', ',half')).toMatchObject({ unitCount: 1, unit: { remainingMg: 15_000 } });
  expect(read('Qty', '')).toMatchObject({ unitCount: 0, unit: null });
});

test.each([
  ['30ml', '', 30_000],
  ['9 g', '80%', 7_200],
  ['9 g / 0.3 oz', 'half', 4_500],
  ['100 ml', 'full', 100_000],
  // An amount that is said is what is left, whatever a full one holds.
  ['9 g', '2 g', 2_000],
  // No amount, or nobody knows of what: as such a thing usually comes.
  ['travel size', 'half', 15_000],
  ['30', 'half', 15_000],
  ['0 ml', 'half', 15_000],
  ['', 'half', 15_000],
])('of a size of “%s” with “%s” left are %i mg', (size, left, mg) => {
  const row = read('Size,Left', `${size},${left}`);
  expect(row.problems).toEqual([]);
  expect(left === '' ? null : row.unit!.remainingMg).toBe(left === '' ? null : mg);
  const owned = read('Size,Qty', `${size},1`);
  if (left === '') expect(owned).toMatchObject({ takenAsFull: true, unit: { remainingMg: mg } });
});

test('of two columns that may tell the kind the one that does is taken, wherever it stands', () => {
  const rows = [
    ['Face', 'Foundation'],
    ['Eyes', 'Eyeshadow'],
    ['Lips', 'Lipstick'],
  ];
  const headers = ['Brand', 'Category', 'Subcategory'];
  const mapped = (names: readonly string[], turned: boolean) =>
    guessMapping(
      names,
      rows.map(([one, two]) => ['Oriel', ...(turned ? [two!, one!] : [one!, two!])]),
    ).kind;
  expect(mapped(headers, false)).toBe('Subcategory');
  expect(mapped(headers, true)).toBe('Category');
  // Where both do, and where no row is known, the first.
  expect(guessMapping(headers, [['Oriel', 'blush', 'blush']]).kind).toBe('Category');
  expect(guessMapping(headers).kind).toBe('Category');
  // Where both are as good the one that is called so; an item is a product's name, and no unit is a quantity.
  expect(guessMapping(['Type', 'Kind'], [['blush', 'blush']]).kind).toBe('Kind');
  expect(guessMapping(['Brand', 'Item', 'Shade', 'Type', 'Units'])).toEqual({
    maker: 'Brand',
    line: 'Item',
    shade: 'Shade',
    kind: 'Type',
  });
  // A column that is something else already tells no kind.
  expect(guessMapping(['Item', 'Product', 'Type'], [['x', 'blush', 'powder']]).kind).toBe('Type');
});

test('a file of ours has neither, and is as it was', () => {
  const [header = ''] = writeKitCsv(KIT).split('\n');
  expect(header).not.toMatch(/quantity|size/);
  const { rows, saysUnits } = readKitCsv(writeKitCsv(KIT), { owned: true });
  expect(saysUnits).toBe(true);
  expect(rows.reduce((sum, { unitCount }) => sum + unitCount, 0)).toBe(KIT.units.length);
});

test('more pieces than any studio owns are another file', () => {
  const file = (rows: number) =>
    readKitCsv(
      `${HEAD},Qty\n${Array.from({ length: rows }, (_, i) => `Oriel,Veil,N${i},foundation,99`).join('\n')}`,
    );
  expect(file(202).rows).toHaveLength(202);
  expect(file(203)).toMatchObject({
    rows: [],
    problems: ['The file tells of 20097 pieces; at most 20000 are taken at once. Split it.'],
  });
});
