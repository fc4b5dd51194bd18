import { COVERAGE_WORDS, FAMILIES, FINISHES, MEASURES, PRODUCT_KINDS, TEXTURES } from '../../kit';
import { coverageInCell, familyInCell, finishInCell, measureInCell, textureInCell } from './cellWords';
import { readKitCsv } from '.';

const texture = (cell: string): string | null => textureInCell(cell, 'Tern blush');

test.each([
  ['finish', FINISHES, finishInCell],
  ['texture', TEXTURES, texture],
  ['coverage', COVERAGE_WORDS, coverageInCell],
  ['family', FAMILIES, familyInCell],
  ['measure', MEASURES, measureInCell],
] as const)(
  'a %s by our own word is itself, whatever its letters, and nonsense is nobody’s',
  (_, words, read) => {
    for (const word of words) expect([word, read(word.toUpperCase())]).toEqual([word, word]);
    for (const odd of ['', 'xyz', '12', 'Tern', 'unfinished', 'pumpkin'])
      expect([odd, read(odd)]).toEqual([odd, null]);
  },
);

test.each([
  ['semi-matte', 'natural'],
  ['Demi matt', 'natural'],
  ['skin-like', 'natural'],
  ['soft matte', 'matte'],
  ['velvet', 'matte'],
  ['soft-focus', 'matte'],
  ['Metallic', 'shimmer'],
  ['foiled', 'shimmer'],
  ['glitter', 'shimmer'],
  ['glass', 'dewy'],
  ['radiant', 'dewy'],
  ['silky', 'satin'],
  ['cream', 'satin'],
] as const)('the finish %s is %s', (cell, meant) => expect(finishInCell(cell)).toBe(meant));

test.each([
  ['powder', 'pressed'],
  ['Powder compact', 'pressed'],
  ['pan', 'pressed'],
  ['cake', 'pressed'],
  ['crème', 'cream'],
  ['wax', 'cream'],
  ['lotion', 'liquid'],
  ['watery', 'liquid'],
  ['crayon', 'pencil'],
  ['pigment', 'loose'],
] as const)('the texture %s is %s', (cell, meant) => expect(texture(cell)).toBe(meant));

test('a powder is loose where its name says so, and nothing else becomes it', () => {
  for (const cell of ['powder', 'Setting powder', 'powders']) {
    expect([cell, textureInCell(cell, 'powder Loose Cloth')]).toEqual([cell, 'loose']);
    expect([cell, textureInCell(cell, 'powder Cloth')]).toEqual([cell, 'pressed']);
  }
  expect(textureInCell('pressed powder', 'powder Loose Cloth')).toBe('pressed');
  expect(textureInCell('cream', 'powder Loose Cloth')).toBe('cream');
});

test.each([
  ['light to medium', 'light'],
  ['Medium-full', 'medium'],
  ['high', 'full'],
  ['very light', 'sheer'],
  ['translucent', 'sheer'],
  ['total', 'opaque'],
] as const)('the coverage %s is %s', (cell, meant) => expect(coverageInCell(cell)).toBe(meant));

test.each([
  ['water-based', 'water'],
  ['Silicone base', 'silicone'],
  ['aqua', 'water'],
  ['waxy', 'wax'],
  ['oil', 'oil'],
  ['oil-free', null],
  ['oil free', null],
  ['alcohol-free', null],
  ['oil free, water', 'water'],
] as const)('the family %s is %s', (cell, meant) => expect(familyInCell(cell)).toBe(meant));

test.each([
  ['Pumps', 'pump'],
  ['2 drops', 'drop'],
  ['a grain of rice', 'rice-grain'],
  ['stroke', 'swipe'],
] as const)('the measure %s is %s', (cell, meant) => expect(measureInCell(cell)).toBe(meant));

// What comes in shades, written a second time.
const SHADED: readonly string[] = [
  ...['corrector', 'base', 'adjuster', 'concealer', 'powder', 'contour', 'bronzer', 'blush', 'highlight'],
  ...['brow', 'shadow', 'liner', 'lip liner', 'lip colour'],
];
test.each(PRODUCT_KINDS)('a %s without a shade', (kind) => {
  const [row] = readKitCsv(`maker,line,shade,kind\nOriel,Milk,,${kind}`).rows;
  expect(row!.problems).toEqual(SHADED.includes(kind) ? [{ column: 'shade', message: 'is empty' }] : []);
  expect(row!.product?.shade).toBe(SHADED.includes(kind) ? undefined : '');
  expect(readKitCsv(`maker,line,shade,kind\nOriel,Milk,S,${kind}`).rows[0]!.product?.shade).toBe('S');
  expect(
    readKitCsv(`maker,line,shade,kind\nOriel,Milk,${'s'.repeat(201)},${kind}`).rows[0]!.problems,
  ).toEqual([{ column: 'shade', message: 'is longer than 200 letters' }]);
});

test('a case as an artist lists it comes in whole', () => {
  const { rows } = readKitCsv(
    [
      'Maker;Line;Shade;Kind;L*;a*;b*;Finish;Texture;Remaining mg;Place',
      'Fen;Eye Hold;;eye primer;;;;;;6000;Case A',
      'Fen;Milk;;moisturiser;;;;;;40000;Case A',
      'Linnet;Flush;Brick;blush;40;34;24;matte;powder;4000;Case B',
      'Linnet;Glow;Copper;highlighter;58;20;32;metallic;powder;3700;Case B',
      'Fen;Lock;;setting spray;;;;semi-matte;;80000;Case A',
    ].join('\n'),
  );
  expect(rows.flatMap((row) => row.problems)).toEqual([]);
  expect(rows.map(({ product }) => [product!.kind, product!.texture, product!.finish])).toEqual([
    ['primer', 'liquid', 'natural'],
    ['prep', 'cream', 'natural'],
    ['blush', 'pressed', 'matte'],
    ['highlight', 'pressed', 'shimmer'],
    ['spray', 'liquid', 'natural'],
  ]);
});
