import fc from 'fast-check';
import { DISLIKE_KINDS, dislikesOf } from '.';

const kindsOf = (text: string): readonly string[] => dislikesOf(text).map(({ kind }) => kind);

test.each<[string, readonly string[]]>([
  ['glitter', ['shimmer']],
  ['Anything sparkly', ['shimmer']],
  ['no shimmer please', ['shimmer']],
  ['Frosted eyeshadow', ['shimmer', 'eye colour']],
  ['looking greasy', ['shine']],
  ['Too shiny', ['shine']],
  ['a dewy finish', ['shine']],
  ['matte skin', ['matte']],
  ['heavy foundation', ['much base']],
  ['Cakey make-up', ['much base']],
  ['full coverage', ['much base']],
  ['a mask', ['much base']],
  ['feeling plastered', ['much base']],
  ['Foundation', ['base']],
  ['false lashes', ['lashes']],
  ['falsies!', ['lashes']],
  ['Fake eyelashes, they itch', ['lashes']],
  ['strip lashes and glue', ['lashes']],
  ['mascara on the lower lashes', ['mascara']],
  ['Winged eyeliner', ['liner']],
  ['black liner', ['liner']],
  ['kohl', ['liner']],
  ['Contouring', ['contour']],
  ['stripes on my cheeks', ['contour']],
  ['highlighter', ['highlight']],
  ['blusher', ['blush']],
  ['Pink cheeks', ['blush']],
  ['bronzer', ['bronze']],
  ['an orange face', ['bronze']],
  ['red lips', ['red lip']],
  ['a bright red lipstick', ['red lip']],
  ['Dark lipstick', ['dark lip']],
  ['lip gloss', ['gloss']],
  ['lipstick', ['lip colour']],
  ['smoky eyes', ['dark lid']],
  ['smokey eye', ['dark lid']],
  ['smokey-eyes', ['dark lid']],
  ['smoky lid', ['dark lid']],
  ['smoky shadow', ['dark lid']],
  ['dark eye make-up', ['dark lid']],
  ['eye shadow', ['eye colour']],
  ['heavy brows', ['drawn brows']],
  ['drawn-on eyebrows', ['drawn brows']],
  ['powder', ['powder']],
  ['setting spray', ['spray']],
  ['I do not like blush', ['blush']],
  ["I don't want lashes glued on", ['lashes']],
  ['I would rather not wear mascara', ['mascara']],
  ['I’d like less shimmer', ['shimmer']],
  ['never wants highlighter again', ['highlight']],
  ['I love a glow, but no glitter', ['shimmer']],
  ['glitter; false lashes. Orange!', ['shimmer', 'lashes', 'bronze']],
  ['I like blush, not bronzer', ['bronze']],
  ['heavy make-up and heavy perfume', ['much base']],
  ['mask-like skin', ['much base']],
  ['I look like a clown with blush', ['blush']],
  ['It felt like a mask', ['much base']],
  ['lip liner', ['lip line']],
  ['my lips lined', ['lip line']],
  ['overlined lips', ['lip line']],
  ['white concealer', ['concealer']],
  ['baking under the eyes', ['powder']],
  ['Face gems', ['gems']],
  ['stick-on pearls', ['gems']],
  ['natural, no lashes', ['lashes']],
  ['an orange face, orange lips', ['bronze']],
  ['matt skin', ['matte']],
])('“%s” is read', (text, kinds) => {
  expect([...kindsOf(text)].sort()).toEqual([...kinds].sort());
});

test.each([
  '',
  'Nothing',
  'Not sure',
  'being late',
  'small talk',
  'I love glitter',
  "I don't mind shimmer",
  'my mate chose it',
  'an orange mouth',
  'No problem with false lashes',
  'happy with mascara',
  'Blush is fine',
  'nothing against bronzer',
  'my nose',
  'looking tired',
  'feeling made up',
  'heavy perfume',
  'pearl earrings',
  'hairspray, or hair spray',
  'flat hair',
  'a sheet mask',
  'my red cheeks',
  'highlights in my hair',
  'disco lights',
])('“%s” names nothing that is disliked', (text) => {
  expect(dislikesOf(text)).toEqual([]);
});

test('each is told once, in the words it was said in', () => {
  expect(dislikesOf('Glitter on the eyes. Really no sparkle, and no false lashes')).toEqual([
    { kind: 'shimmer', said: 'Glitter on the eyes' },
    { kind: 'lashes', said: 'and no false lashes' },
  ]);
  expect(dislikesOf(undefined)).toEqual([]);
});

test('any words can be asked, any number of times, and only known kinds come of them', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 1000 }), (text) => {
      const once = dislikesOf(text);
      expect(dislikesOf(text)).toEqual(once);
      for (const { kind, said } of once) {
        expect(DISLIKE_KINDS).toContain(kind);
        expect(text).toContain(said);
      }
    }),
  );
});
