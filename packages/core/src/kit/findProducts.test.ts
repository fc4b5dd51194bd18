import fc from 'fast-check';
import { CALLED_ALSO, kindsTold, PRODUCT_KINDS, productFinder, type ProductKind } from '.';
import { product } from '../look/look.testing';
import { plainWords } from '../plainWords';

let n = 0;
const make = (kind: ProductKind, shade: string, more: Partial<ReturnType<typeof product>> = {}) =>
  product(n++, kind, null, { maker: 'Søla & Møn', line: 'Première', shade, ...more });
const KIT = [
  make('base', '3N', { texture: 'liquid', finish: 'natural' }),
  make('base', '5W', { texture: 'stick', finish: 'matte' }),
  make('powder', 'fine', { texture: 'loose' }),
  make('powder', 'rice', { texture: 'pressed' }),
  make('blush', 'rose', { texture: 'cream' }),
  make('blush', 'peony', { texture: 'pressed' }),
  make('shadow', 'moss', { texture: 'pressed', finish: 'shimmer' }),
  make('liner', 'ink', { texture: 'pencil' }),
  make('mascara', 'black', { texture: 'liquid' }),
  make('lashes', 'short', { texture: 'liquid' }),
  make('lip liner', 'nude', { texture: 'pencil' }),
  make('lip colour', 'rose', { texture: 'stick', finish: 'matte' }),
  make('lip colour', 'glass', { texture: 'liquid', finish: 'dewy' }),
  make('spray', 'hold', { texture: 'liquid' }),
  make('prep', 'day', { texture: 'cream' }),
];
const found = (typed: string): string[] =>
  KIT.filter(productFinder(typed)).map(({ kind, shade }) => `${kind} ${shade}`);

test.each<[typed: string, ...found: string[]]>([
  ['foundation', 'base 3N', 'base 5W'],
  ['Foundations', 'base 3N', 'base 5W'],
  ['foundation 3n', 'base 3N'],
  ['stick foundation', 'base 5W'],
  ['loose powder', 'powder fine'],
  ['setting powder', 'powder fine', 'powder rice'],
  ['cream blush', 'blush rose'],
  ['blusher', 'blush rose', 'blush peony'],
  ['eyeshadow', 'shadow moss'],
  ['eye shadow shimmer', 'shadow moss'],
  ['eyeliner', 'liner ink'],
  ['mascara', 'mascara black'],
  ['falsies', 'lashes short'],
  ['lipstick', 'lip colour rose', 'lip colour glass'],
  ['lipsticks rose', 'lip colour rose'],
  ['matte lipstick', 'lip colour rose'],
  ['lip liner', 'lip liner nude'],
  ['setting spray', 'spray hold'],
  ['moisturizer', 'prep day'],
  ['rose', 'blush rose', 'lip colour rose'],
  ['sola', ...KIT.map(({ kind, shade }) => `${kind} ${shade}`)],
  ['mon premiere 3n', 'base 3N'],
  ['glue'],
  ['foundation rose'],
])('%s', (typed, ...expected) => {
  expect(found(typed)).toEqual(expected);
});

test('nothing typed finds all; order, case, accents and commas change nothing', () => {
  expect(found('')).toHaveLength(KIT.length);
  expect(found('  ')).toHaveLength(KIT.length);
  fc.assert(
    fc.property(
      fc.shuffledSubarray(['Première', 'rose', 'lipstick', 'Søla', 'matte'], { minLength: 1 }),
      fc.constantFrom(' ', ', ', '  '),
      (words, joint) => {
        const expected = found(words.join(' '));
        expect(found([...words].reverse().join(joint).toUpperCase())).toEqual(expected);
        expect(found(plainWords(words.join(joint)))).toEqual(expected);
        // Another word never finds more.
        expect(expected.filter((one) => !found(words.slice(1).join(' ')).includes(one))).toEqual([]);
      },
    ),
  );
});

test('what a kind is looked for by is what a list of one’s own calls it too', () => {
  for (const kind of PRODUCT_KINDS)
    for (const name of CALLED_ALSO[kind]) expect([name, kindsTold(name)]).toEqual([name, [kind]]);
});

test.each([
  ['Søla Vestergård', 'sola vestergard'],
  ['Łucja Đorđević', 'lucja dordevic'],
  ['Straße, Æsa, ÍSÓLD', 'strasse, aesa, isold'],
  ['O’Hara', "o'hara"],
])('%s is typed as %s', (name, typed) => expect(plainWords(name)).toBe(typed));
