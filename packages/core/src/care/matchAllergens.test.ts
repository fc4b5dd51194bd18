import { familiesMeant, ingredientsKnown, matchAllergens, SENSITIVITIES, toBeMinded } from '.';

const meets = (list: string | readonly string[], sensitivity: string): boolean =>
  matchAllergens(typeof list === 'string' ? [list] : list, [sensitivity]).length > 0;

test.each([
  [
    'carmine',
    [
      'Carmine',
      'CI 75470',
      'ci75470',
      'C.I. 75470',
      '75470',
      'Cochineal extract',
      'Natural Red 4',
      'E120',
      'carminic acid (E 120)',
    ],
  ],
  ['latex', ['natural latex', 'Natural Rubber', 'Hevea Brasiliensis', 'rubber latex']],
  [
    'fragrance',
    [
      'Parfum',
      'PERFUME',
      'Aroma',
      'Linalool',
      'Benzyl Salicylate',
      'Lavandula Angustifolia Oil',
      'Citrus Limon Peel Oil',
      'Rosa Damascena Flower Water',
    ],
  ],
  ['lanolin', ['Adeps Lanae', 'PEG-75 Lanolin', 'wool wax', 'Wool alcohols', 'Isopropyl Lanolate']],
  [
    'nut oils',
    [
      'Prunus Amygdalus Dulcis (Sweet Almond) Oil',
      'Arachis Hypogaea Oil',
      'Corylus Avellana Seed Oil',
      'Macadamia Ternifolia',
      'Argania Spinosa Kernel Oil',
    ],
  ],
  ['cyanoacrylate', ['Ethyl Cyanoacrylate', 'octyl-cyanoacrylate', 'methoxyethyl cyanoacrylate']],
  ['nickel', ['nickel', 'Chromium Oxide Greens', 'CI 77288']],
  ['bismuth', ['Bismuth Oxychloride', 'CI 77163']],
  ['fibres', ['nylon fibers', 'Rayon', 'Nylon-66', 'cellulose fibre']],
  [
    'formaldehyde',
    ['DMDM Hydantoin', 'Quaternium-15', 'Imidazolidinyl Urea', 'Sodium Hydroxymethylglycinate'],
  ],
  ['isothiazolinones', ['Methylisothiazolinone', 'Methylchloroisothiazolinone']],
  ['preservatives', ['Methylparaben', 'Phenoxyethanol', 'Methylisothiazolinone']],
  ['beeswax', ['Cera Alba', 'beeswax', 'bees wax']],
  ['rosin', ['Colophonium', 'Glyceryl Rosinate']],
  ['balsam of Peru', ['Myroxylon Pereirae']],
  ['p-phenylenediamine', ['p-Phenylenediamine', 'PPD']],
  ['cocamidopropyl betaine', ['Cocamidopropyl Betaine']],
])('%s is met by every name lists have for it', (sensitivity, names) => {
  for (const name of names)
    expect([name, meets(['water', name, 'glycerin'], sensitivity)]).toEqual([name, true]);
});

test.each([
  [
    'latex',
    [
      'latex-free',
      'Latex free adhesive',
      'free from latex',
      'non-latex adhesive',
      'without latex',
      'contains no latex',
      'contains no natural rubber latex',
      '0% latex',
      'latex- and fragrance-free',
      'Free from parabens, latex and fragrance',
      'contain no latex',
      '0 % of latex',
      '0 % latex',
      'non latex',
      'zero latex',
      'not latex',
      'free of synthetic latex',
      'does not contain latex',
      'latex free',
      'latexfree',
      'latex wax free',
      'latex- or parfum-free',
      'latex-/parfum-free',
    ],
  ],
  [
    'fragrance',
    [
      'no fragrance',
      'fragrance-free',
      'without any perfume',
      'does not contain parfum',
      'latex- and fragrance-free',
    ],
  ],
  ['nut oils', ['coconut oil', 'nutmeg', 'nut-free', 'butternut', 'Butyrospermum Parkii']],
  ['fibres', ['cellulose gum', 'nylon-12', 'fibre-free']],
  ['carmine', ['carmine free', 'no carmine']],
  ['lanolin', ['allantoin', 'contains no lanolin']],
])('%s is not met by what only sounds like it or is said not to be there', (sensitivity, names) => {
  for (const name of names) expect([name, meets(['water', name], sensitivity)]).toEqual([name, false]);
});

test('a word turned round says nothing of the next', () => {
  expect(meets('fragrance-free, contains lanolin', 'lanolin')).toBe(true);
  expect(meets('fragrance-free, contains lanolin', 'fragrance')).toBe(false);
  expect(meets('not tested on animals, lanolin', 'lanolin')).toBe(true);
  expect(meets(['free from parabens', 'lanolin'], 'lanolin')).toBe(true);
  expect(meets('no parabens; parfum', 'fragrance')).toBe(true);
  expect(meets('may contain: CI 75470, CI 77891', 'carmine')).toBe(true);
  expect(meets('latex free but with parfum', 'fragrance')).toBe(true);
  expect(meets('without parabens. contain latex', 'latex')).toBe(true);
  expect(meets('free of parabens (parfum)', 'fragrance')).toBe(true);
  expect(meets('no parabens | parfum', 'fragrance')).toBe(true);
  expect(meets('glue: does not contain latex', 'latex')).toBe(false);
});

test.each([
  ['Perfume, badly', 'Linalool', true],
  ['wool', 'Lanolin alcohol', true],
  ['allergic to nuts', 'Arachis Hypogaea Oil', true],
  ['almonds', 'Prunus Amygdalus Dulcis Oil', true],
  ['almonds', 'Arachis Hypogaea Oil', false],
  ['reacts to tea tree', 'Melaleuca Alternifolia Leaf Oil', true],
  ['gluten', 'Triticum Vulgare Germ Oil', true],
  ['salicylates', 'Butyloctyl Salicylate', true],
  ['guaiazulene', 'Guaiazulene', true],
  ['guaiazulene', 'Glycerin', false],
  ['hair dye', 'p-phenylenediamine', true],
])('in her own words: %s against %s', (own, ingredient, found) => {
  expect(meets(['water', ingredient], own)).toBe(found);
});

test('what is noted is said back as it was noted, with the word of the list', () => {
  expect(matchAllergens(['Water', 'Adeps Lanae'], ['wool wax'])).toEqual([
    { sensitivity: 'wool wax', ingredient: 'Adeps Lanae' },
  ]);
});

test('an empty list is unknown, never safe', () => {
  expect([[], [''], ['unknown'], ['n/a']].map(ingredientsKnown)).toEqual([false, false, false, false]);
  expect(ingredientsKnown(['water'])).toBe(true);
});

test('every sensitivity that can be chosen means itself', () => {
  for (const name of SENSITIVITIES) expect(familiesMeant(name)).toEqual([name]);
});

test('a note is understood the same the first time and after a thousand others', () => {
  const first = meets('linalool', 'perfume, badly');
  for (let i = 0; i < 1_000; i++) meets('water', `plant${i}`);
  expect(meets('linalool', 'perfume, badly')).toBe(first);
  expect(first).toBe(true);
  expect(meets('plant999', 'plant999')).toBe(true);
  expect(meets('plant998', 'plant999')).toBe(false);
});

test.each([
  'none',
  'None.',
  'nil',
  'nothing',
  'no',
  'nope!',
  'no any',
  'not any',
  'n/a',
  'NA',
  'nka',
  'NKDA',
  'not applicable',
  'no allergies',
  'no known allergies',
  'no known drug allergies',
  'none that I know of',
  'none known',
  'not allergic',
  'no skin reactions so far',
  'without any sensitivities',
])('“%s” is nothing to mind', (said) => {
  expect(toBeMinded([said])).toEqual([]);
  expect(toBeMinded([said, 'latex'])).toEqual(['latex']);
});
test.each(['nickel', 'no latex', 'not sure', 'nut', 'allergies', 'nasturtium'])('“%s” is kept', (said) => {
  expect(toBeMinded([said])).toEqual([said]);
});
