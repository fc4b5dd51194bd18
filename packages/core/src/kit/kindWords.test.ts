import {
  finishTold,
  forEyesTold,
  kindsTold,
  PRODUCT_KINDS,
  textureTold,
  usualForm,
  type ProductKind,
} from '.';

// As shops, makers and people's own lists call them; none of it taken from the table that reads it.
const CALLED: Readonly<Record<ProductKind, readonly string[]>> = {
  prep: [
    'Moisturiser',
    'moisturizer',
    'Cleanser',
    'Micellar Water',
    'Toner',
    'Serum',
    'SPF',
    'SPF 50',
    'Face Mist',
    'Eye cream',
    'Lip balm',
    'Skincare',
    'Sunscreen',
    'Under Eye Patches',
    'Make-up remover',
  ],
  primer: [
    'Primer',
    'Face primer',
    'Eye Primer',
    'Eyeshadow primer',
    'Lip primer',
    'Mattifying primer',
    'Lash primer',
    'Primers',
  ],
  corrector: ['Colour corrector', 'Color Corrector', 'Colour correcting', 'Corrector palette', 'Neutraliser'],
  base: [
    'Foundation',
    'FOUNDATION',
    'foundations',
    'Liquid foundation',
    'Powder Foundation',
    'Foundation stick',
    'Tinted moisturiser',
    'BB cream',
    'CC Cream',
    'Skin tint',
    'Cushion',
    'Complexion',
    'Foundation SPF 15',
  ],
  adjuster: [
    'Adjuster',
    'Mixing medium',
    'Foundation mixer',
    'White mixing pigment',
    'Shade adjusting drops',
    'Lightening drops',
  ],
  concealer: ['Concealer', 'concealers', 'Liquid concealer', 'Concealer (under eye)', 'Camouflage'],
  powder: [
    'Powder',
    'Setting powder',
    'Loose Powder',
    'Translucent powder',
    'Pressed powder',
    'Finishing Powder',
    'Banana powder',
  ],
  contour: ['Contour', 'Contour stick', 'Cream contour', 'Contouring', 'Sculpting powder'],
  bronzer: ['Bronzer', 'Bronzing powder', 'Cream Bronzer'],
  blush: ['Blush', 'Blusher', 'Blushes', 'Powder blush', 'Cream blush', 'Cheek tint', 'Rouge'],
  highlight: [
    'Highlighter',
    'Highlighters',
    'Highlighting powder',
    'Illuminator',
    'Liquid highlighter',
    'Luminizer',
  ],
  brow: [
    'Brow',
    'Brows',
    'Eyebrow',
    'Brow pencil',
    'Eyebrow gel',
    'Brow pomade',
    'Brow mascara',
    'Brow powder',
  ],
  shadow: [
    'Eyeshadow',
    'Eye shadow',
    'eye-shadow',
    'Eyeshadows',
    'Shadow',
    'Eye palette',
    'Pigment',
    'Glitter',
    'Cream eyeshadow',
  ],
  liner: ['Eyeliner', 'Eye liner', 'Gel liner', 'Kajal', 'Kohl', 'Liquid Eyeliner', 'Eyeliner pencil'],
  mascara: ['Mascara', 'Waterproof mascara', 'Mascaras'],
  lashes: ['Lashes', 'False lashes', 'Strip lashes', 'Individual lashes', 'Eyelashes', 'Falsies'],
  'lip liner': ['Lip liner', 'Lipliner', 'Lip pencil', 'lip-liner'],
  'lip colour': [
    'Lipstick',
    'Lip stick',
    'Lip gloss',
    'Gloss',
    'Liquid lipstick',
    'Lip tint',
    'Lip stain',
    'Lip color',
    'Lips',
    'Lip colour',
  ],
  spray: ['Setting spray', 'Fixing Spray', 'Setting mist', 'Make-up fixer', 'Spray'],
};

test.each(Object.entries(CALLED))('%s by each of its names, and by no other', (kind, names) => {
  expect(names.filter((name) => kindsTold(name).join() !== kind)).toEqual([]);
});

test('every kind by its own name', () =>
  expect(PRODUCT_KINDS.filter((kind) => kindsTold(kind.toUpperCase()).join() !== kind)).toEqual([]));

test.each([
  ['Blush / highlighter duo', ['blush', 'highlight']],
  ['Contour & bronzer', ['contour', 'bronzer']],
  ['Colour correcting concealer', ['corrector', 'concealer']],
  ['Face palette', []],
  ['Lash glue', []],
  ['Lash adhesive', []],
  ['Foundation brush', []],
  ['Powder puff', []],
  ['Lash curler', []],
  ['Pencil sharpener', []],
  ['bass', []],
  ['', []],
  ['Miscellaneous', []],
] as const)('%s is not guessed: %j', (words, kinds) => expect(kindsTold(words)).toEqual(kinds));

test.each([
  ['Loose powder', 'loose'],
  ['Setting powder', 'pressed'],
  ['Powder foundation', 'pressed'],
  ['Cream blush', 'cream'],
  ['Brow pomade', 'cream'],
  ['Stick foundation', 'stick'],
  ['Liquid lipstick', 'liquid'],
  ['Gel liner', 'gel'],
  ['Kajal', 'pencil'],
  ['Skin tint', 'liquid'],
  ['Pigment', 'loose'],
  ['Creamy lipstick', null],
  ['Lipstick', null],
  ['Foundation', null],
] as const)('the texture of %s: %s', (words, texture) => expect(textureTold(words)).toBe(texture));

test.each([
  ['Matte lipstick', 'matte'],
  ['Mattifying primer', 'matte'],
  ['Shimmer shadow', 'shimmer'],
  ['Glitter', 'shimmer'],
  ['Glowing skin base', 'dewy'],
  ['Lip gloss', 'dewy'],
  ['Satin', 'satin'],
  ['Natural', 'natural'],
  ['Velvet Hour', null],
  ['Mattress', null],
] as const)('the finish of %s: %s', (words, finish) => expect(finishTold(words)).toBe(finish));

test.each([
  ['Eye primer', true],
  ['Under-eye concealer', true],
  ['Lid base', true],
  ['Glitter', false],
  ['Pigment', false],
  ['Body shimmer', false],
  ['Foundation', null],
  ['Mascara', null],
] as const)('%s is for the eyes: %s', (words, forEyes) => expect(forEyesTold(words)).toBe(forEyes));

describe('as a kind usually comes', () => {
  test('what is for the eyes is, what is powder is laid as powder, and no dose is a spoonful', () => {
    for (const kind of PRODUCT_KINDS) {
      const usual = usualForm(kind);
      expect([kind, usual.eyeSafe]).toEqual([
        kind,
        ['shadow', 'liner', 'mascara', 'lashes', 'brow'].includes(kind),
      ]);
      const dry = usual.texture === 'pressed' || usual.texture === 'loose';
      expect([kind, usual.family === 'powder']).toEqual([kind, dry]);
      expect(usual.mgPerMeasure).toBeGreaterThan(0);
      expect(usual.mgPerMeasure).toBeLessThanOrEqual(170);
    }
  });
  test.each([
    ['blush', 'pressed', 'swipe', 6],
    ['blush', 'cream', 'swipe', 10],
    ['blush', 'liquid', 'dot', 20],
    ['base', 'liquid', 'pump', 170],
    ['base', 'cream', 'rice-grain', 60],
    ['base', 'stick', 'swipe', 10],
    ['lip colour', 'liquid', 'swipe', 10],
    ['brow', 'gel', 'swipe', 10],
    ['shadow', 'loose', 'swipe', 6],
    ['concealer', 'pencil', 'swipe', 3],
  ] as const)('%s as %s: a %s of %d mg', (kind, texture, measure, mgPerMeasure) =>
    expect(usualForm(kind, texture)).toMatchObject({ texture, measure, mgPerMeasure }),
  );
});
