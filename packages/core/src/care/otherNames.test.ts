import fc from 'fast-check';
import { isKnownByName, matchAllergens, toBeMinded } from '.';
import { ALSO_CALLED } from './allergenWords';
import { PLANTS } from './plantsByName';

// What people say of themselves, against lists as they are printed. Written from labels and from the
// dictionary of INCI names, not from the tables it tests.
const meets = (ingredient: string, sensitivity: string): boolean =>
  matchAllergens(['Aqua', ingredient, 'Glycerin'], [sensitivity]).length > 0;

/** By everyday name, the whole name a list gives, often in Latin alone. */
const LATIN: Readonly<Record<string, readonly string[]>> = {
  apple: ['Pyrus Malus Fruit Extract', 'Malus Domestica Fruit Cell Culture Extract'],
  apricot: ['Prunus Armeniaca Kernel Oil'],
  avocado: ['Persea Gratissima Oil', 'Persea Americana Fruit Extract'],
  banana: ['Musa Sapientum Fruit Extract', 'Musa Paradisiaca'],
  blueberry: ['Vaccinium Myrtillus Fruit Extract'],
  carrot: ['Daucus Carota Sativa Root Extract'],
  celery: ['Apium Graveolens Seed Extract'],
  cherry: ['Prunus Avium Seed Oil', 'Prunus Cerasus Extract'],
  cinnamon: ['Cinnamomum Zeylanicum Bark Oil'],
  cocoa: ['Theobroma Cacao Seed Butter'],
  coffee: ['Coffea Arabica Seed Extract'],
  corn: ['Zea Mays Starch'],
  cotton: ['Gossypium Herbaceum Seed Oil'],
  cucumber: ['Cucumis Sativus Fruit Extract'],
  ginger: ['Zingiber Officinale Root Oil'],
  grape: ['Vitis Vinifera Seed Oil'],
  jojoba: ['Simmondsia Chinensis Seed Oil', 'Buxus Chinensis Oil'],
  kiwi: ['Actinidia Chinensis Fruit Extract'],
  lupin: ['Hydrolyzed Lupinus Albus Protein'],
  mango: ['Mangifera Indica Seed Butter'],
  mustard: ['Brassica Alba Seed Extract', 'Sinapis Alba'],
  olive: ['Olea Europaea Fruit Oil'],
  papaya: ['Carica Papaya Fruit Extract'],
  peach: ['Prunus Persica Kernel Oil'],
  pineapple: ['Ananas Sativus Fruit Extract'],
  pomegranate: ['Punica Granatum Seed Oil'],
  potato: ['Solanum Tuberosum Starch'],
  pumpkin: ['Cucurbita Pepo Seed Oil'],
  rice: ['Oryza Sativa Bran Wax', 'Oryza Sativa Starch'],
  strawberry: ['Fragaria Vesca Fruit Extract'],
  tomato: ['Solanum Lycopersicum Fruit Extract'],
  turmeric: ['Curcuma Longa Root Extract'],
  'witch hazel': ['Hamamelis Virginiana Water'],
};

test.each(Object.entries(LATIN))('%s is met by its botanical names, however it is told', (name, lists) => {
  const many = /[^aeiou]y$/.test(name) ? name.replace(/y$/, 'ies') : `${name}s`;
  for (const list of lists)
    for (const said of [name, many, `Allergic to ${name}!`, `reacts badly to ${many}, itchy`, `${name} oil`])
      expect([said, list, meets(list, said)]).toEqual([said, list, true]);
});

test('none of them is met by another', () => {
  const wrong = Object.keys(LATIN).flatMap((name) =>
    Object.entries(LATIN)
      .filter(([other]) => other !== name)
      .flatMap(([, lists]) => lists.filter((list) => meets(list, name)).map((list) => `${name}: ${list}`)),
  );
  expect(wrong).toEqual([]);
});

/** Otherwise said, and met. */
const MET: readonly (readonly [said: string, ingredient: string])[] = [
  ['plasters', 'Natural Rubber Latex'],
  ['sticking plasters', 'Colophonium'],
  ['band-aids', 'Rosin'],
  ['adhesive', 'Isobornyl Acrylate'],
  ['lash glue', 'Ethyl Cyanoacrylate'],
  ['eyelash extensions', 'Ethyl 2-Cyanoacrylate'],
  ['glue', 'Latex'],
  ['gel nails', 'HEMA'],
  ['balloons', 'Latex'],
  ['black henna', 'p-Phenylenediamine'],
  ['lash tint', 'Toluene-2,5-Diamine'],
  ['cheap earrings', 'Nickel'],
  ['jewellery', 'Cobalt Titanium Oxide'],
  ['metals', 'CI 77288'],
  ['sunscreen', 'Octocrylene'],
  ['sun cream', 'Butyl Methoxydibenzoylmethane'],
  ['SPF products', 'Ethylhexyl Methoxycinnamate'],
  ['chemical sunscreens', 'Benzophenone-3'],
  ['sulphates', 'Sodium Lauryl Sulfate'],
  ['SLS', 'Sodium Laureth Sulphate'],
  ['sulfates', 'Ammonium Laureth-2 Sulfate'],
  ['polyethylene glycol', 'PEG-40 Hydrogenated Castor Oil'],
  ['vitamin C', 'Ascorbyl Palmitate'],
  ['vit. C', 'Ascorbic Acid'],
  ['vit E', 'Tocopheryl Acetate'],
  ['tocopherol', 'Tocopheryl Linoleate'],
  ['B3', 'Niacinamide'],
  ['red dye', 'CI 75470'],
  ['red dyes', 'CI 15850'],
  ['red dye', 'CI 45410'],
  ['red dye', 'Red 7 Lake'],
  ['food colouring', 'Yellow 5 Lake'],
  ['yellow 5', 'CI 19140'],
  ['tartrazine', 'E102'],
  ['azo dyes', 'CI 15985'],
  ['daisies', 'Chamomilla Recutita Flower Extract'],
  ['ragweed', 'Calendula Officinalis Extract'],
  ['compositae', 'Arnica Montana'],
  ['shellfish', 'Chitosan'],
  ['prawns', 'Chitosan Succinamide'],
  ['fish', 'CI 75170'],
  ['bees', 'Cera Alba'],
  ['bee venom', 'Bee Venom'],
  ['perfumed products', 'Limonene'],
  ['strong smells', 'Parfum'],
  ['sheep’s wool', 'Lanolin Alcohol'],
  ['AHAs', 'Glycolic Acid'],
  ['BHA', 'Salicylic Acid'],
  ['gold', 'CI 77480'],
  ['aluminium', 'Aluminum Hydroxide'],
  ['glitter', 'Polyethylene Terephthalate'],
  ['petroleum', 'Petrolatum'],
  ['almonds and avocado', 'Persea Gratissima Oil'],
  ['avocado and guaiazulene', 'Guaiazulene'],
  ['latex; kiwi', 'Actinidia Chinensis Fruit Extract'],
];
test.each(MET)('%s: %s', (said, ingredient) => expect(meets(ingredient, said)).toBe(true));

/** What only sounds like it. Each would be a stop at the chair, and after some of them nobody reads one. */
const QUIET: readonly (readonly [said: string, ingredient: string])[] = [
  // Bound in a polymer it is in nearly every mascara.
  ['plasters', 'Acrylates Copolymer'],
  ['glue', 'Acrylates/Octylacrylamide Copolymer'],
  ['lash glue', 'Ethyl Methacrylate/N-Butyl Acrylate Copolymer'],
  ['hair dye', 'CI 15850'],
  ['hair dye', 'Yellow 5'],
  ['red dye', 'CI 77491'],
  ['red dye', 'CI 77891'],
  ['food colouring', 'CI 77492'],
  ['yellow 5', 'CI 15985'],
  ['sunscreen', 'Titanium Dioxide'],
  ['sunscreen', 'Zinc Oxide'],
  ['sulphates', 'Barium Sulfate'],
  ['sulphates', 'Magnesium Sulfate'],
  ['PEG', 'Propylene Glycol'],
  ['tea tree', 'Camellia Sinensis Leaf Extract'],
  ['pineapple', 'Pyrus Malus Fruit Extract'],
  ['pineapple', 'Pinus Sylvestris'],
  ['grapefruit', 'Vitis Vinifera Seed Oil'],
  ['peas', 'Arachis Hypogaea Oil'],
  ['peppermint', 'Piper Nigrum'],
  ['corn', 'Centaurea Cyanus (Cornflower) Water'],
  ['palm', 'Cetyl Palmitate'],
  ['fish', 'Fischer-Tropsch Wax'],
  ['shellfish', 'Shellac'],
  ['bee stings', 'Cera Alba'],
  ['olive', 'Oleic Acid'],
  ['coffee', 'Coffeeberry'],
  ['vitamin C', 'Tocopherol'],
  ['AHA', 'Citric Acid'],
  ['fruit acids', 'Stearic Acid'],
  ['gold', 'Golden Mica'],
  ['copper', 'Copernicia Cerifera Wax'],
  ['makes my skin go red', 'CI 15850 (Red 6)'],
  ['certain mascaras, eyes burn', 'Mascara Base'],
  ['hay fever', 'Glycerin'],
  ['cats', 'Caprylic Triglyceride'],
  ['penicillin', 'Pentylene Glycol'],
];
test.each(QUIET)('%s says nothing of %s', (said, ingredient) => expect(meets(ingredient, said)).toBe(false));

test('of every plant each name is met, one or many, and what is in a list under the everyday name too', () => {
  for (const [name, latin] of Object.entries(PLANTS)) {
    expect([name, meets(`${name} extract`, name)]).toEqual([name, true]);
    // Each way of writing it, with what is optional left out and each choice taken.
    for (const one of alternatives(latin))
      for (const list of [`${one} extract`, `Hydrolyzed ${one.toUpperCase()} protein`, one])
        expect([name, list, meets(list, name)]).toEqual([name, list, true]);
    expect([name, isKnownByName(`Very allergic to ${name}`)]).toEqual([name, true]);
    // Within a longer word it is another.
    for (const one of alternatives(latin))
      expect([name, one, meets(`x${one}x`, name)]).toEqual([name, one, false]);
  }
});

/** What a pattern of PLANTS stands for: its choices, one after the other. */
function alternatives(pattern: string): string[] {
  const optional = /\(([^()]*)\)\?/.exec(pattern);
  if (optional)
    return [pattern.replace(optional[0], optional[1]!), pattern.replace(optional[0], '')].flatMap(
      alternatives,
    );
  const group = /\(([^()]*)\)/.exec(pattern);
  if (group) return group[1]!.split('|').flatMap((one) => alternatives(outside(pattern, group[0], one)));
  return pattern.split('|').map((one) => one.replace(/(\w)\?/g, '$1').trim());
}
/** The group's own branch with one of its choices; the other branches as they are. */
function outside(pattern: string, group: string, one: string): string {
  return pattern.replace(group, one);
}

test('no name of one is hidden by a shorter one within it', () => {
  for (const name of [...Object.keys(PLANTS), ...Object.keys(ALSO_CALLED)])
    expect([name, isKnownByName(name)]).toEqual([name, true]);
});

describe('nothing to mind', () => {
  const NOTHING = [
    'none',
    'None.',
    'no',
    'No known allergies',
    'no allergies',
    'Not allergic',
    'no allergies that I know of',
    'n/a',
    'N/A',
    'nil',
    'nothing',
    'none known',
    'nothing so far',
    'NKDA',
    '-',
    '–',
    'no food allergies',
    'no skin reactions',
  ];
  test.each(NOTHING)('%s', (said) => {
    expect(toBeMinded([said])).toEqual([]);
    for (const list of ['Parfum', 'Nonoxynol-9', 'None', 'Known Extract', 'Allergen-free base'])
      expect(meets(list, said)).toBe(false);
  });
  // Whoever is unsure of what was meant minds it.
  test.each([
    ['unknown', 'Unknown'],
    ['no nuts', 'Prunus Amygdalus Dulcis Oil'],
    ['nothing with perfume', 'Parfum'],
    ['no allergies but latex', 'Latex'],
    ['no allergies, only latex', 'Latex'],
    ['No known allergies; reacts to perfume', 'Parfum'],
    ['No food allergies. Kiwi itches', 'Actinidia Chinensis Fruit Extract'],
    ['none except lanolin', 'Lanolin'],
    ['no reactions so far, avoids carmine', 'CI 75470'],
    ['not allergic to latex', 'Latex'],
    ['no lanolin please', 'Lanolin'],
  ])('%s is minded: %s', (said, list) => {
    expect(toBeMinded([said])).toEqual([said]);
    expect(meets(list, said)).toBe(true);
  });
  test('of several only what there is to mind', () =>
    expect(toBeMinded(['none', 'latex', '', 'n/a', 'kiwi'])).toEqual(['latex', 'kiwi']));
});

test('what nobody knows another name of is told apart', () => {
  expect(['guaiazulene', 'hay fever', 'cats', 'none'].filter(isKnownByName)).toEqual([]);
  expect(['kiwi', 'latex', 'plasters', 'red dye'].filter(isKnownByName)).toEqual([
    'kiwi',
    'latex',
    'plasters',
    'red dye',
  ]);
});

test('two notes in one meet what each meets alone, in any order and with any small words', () => {
  const names = fc.constantFrom(...Object.keys(LATIN));
  fc.assert(
    fc.property(names, names, fc.constantFrom(' and ', ', ', '; ', ' / ', ' & '), (a, b, between) => {
      for (const list of [...LATIN[a]!, ...LATIN[b]!]) {
        expect(meets(list, `${a}${between}${b}`)).toBe(true);
        expect(meets(`contains no ${list}`, `${a}${between}${b}`)).toBe(false);
      }
    }),
    { seed: 3, numRuns: 200 },
  );
});
