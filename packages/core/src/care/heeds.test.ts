import * as fc from 'fast-check';
import { HEED_KINDS, heedInWords, heedsOf, type HeedKind } from '.';

/** Sentences as clients write them: of their skin and eyes, and of what was done to them lately. */
const SKIN: readonly (readonly [string, ...HeedKind[]])[] = [
  ['cold sore on lower lip', 'open or infected'],
  ['I get cold sores when stressed', 'open or infected'],
  ['had a coldsore as a child, comes back', 'open or infected'],
  ['bit of sunburn on the nose', 'open or infected'],
  ['No allergies, cold sore', 'open or infected'],
  ['no rashes, cold sore on the lip', 'open or infected'],
  ['never any trouble, stye now', 'open or infected'],
  ['Sunburnt shoulders and face', 'open or infected'],
  ['pink eye cleared up last week', 'open or infected'],
  ['not sure if it is conjunctivitis', 'open or infected'],
  ['a stye in the left eye', 'open or infected'],
  ['No I have a stye', 'open or infected'],
  ["I don't know if it is infected", 'open or infected'],
  ["doesn't stop bleeding", 'open or infected'],
  ['impetigo round the mouth', 'open or infected'],
  ['cut myself shaving', 'open or infected'],
  ['my gums bleed, lip bleeding at the corner', 'open or infected'],
  ['burnt my forehead on the curling iron', 'open or infected'],
  ['weeping patch behind the ear', 'open or infected'],
  ['flaky skin round the nose', 'easily broken'],
  ['there are stitches above my brow', 'open or infected'],
  ['a blister from the curling iron', 'open or infected'],
  ['shingles on the temple last month', 'open or infected'],
  ['my skin is peeling from sunburn', 'open or infected', 'treated lately'],
  ['eczema round the eyes', 'easily broken'],
  ['Psoriasis at the hairline', 'easily broken'],
  ['rosacea, flares with heat', 'easily broken'],
  ['cracked corners of the mouth', 'easily broken'],
  ['on chemotherapy since spring', 'easily broken'],
  ['eye drops for glaucoma', 'eyes treated'],
  ['laser eye surgery in two weeks', 'eyes treated'],
  ['cataract operation on the right', 'eyes treated'],
  ['acne tablets from the doctor', 'thinned'],
  ['my eczema is back', 'easily broken'],
  ['rosacea coming back', 'easily broken'],
  ['the stye came back', 'open or infected'],
  ['on the other hand I get cold sores', 'open or infected'],
  ['waxed my legs and have a stye', 'open or infected'],
  ['eczema on my hands and chin', 'easily broken'],
  ['swollen eyelid this morning', 'open or infected'],
  ['sore eyes', 'open or infected'],
  ['razor burn on the neck', 'open or infected'],
  ['nicked myself shaving', 'open or infected'],
  ['mouth ulcer', 'open or infected'],
  ['a scratch from the cat', 'open or infected'],
  ['wasp sting on the lid', 'open or infected'],
  ['weeping eczema', 'open or infected'],
  ['irritated round the mouth', 'easily broken'],
  ['lip cracked in the corner', 'easily broken'],
  ['allergic reaction last week', 'easily broken'],
  ['a biopsy on the temple', 'easily broken'],
  ['using tret', 'thinned'],
  ['I cut my cheek', 'open or infected'],
  ['perioral dermatitis', 'easily broken'],
  ['eczema for 12 years', 'easily broken'],
  ['cold sores for the past ten summers, one now', 'open or infected'],
  ['hydrocortisone on the lids', 'thinned'],
];
const TREATMENTS: readonly (readonly [string, ...HeedKind[]])[] = [
  ['chemical peel last week', 'treated lately'],
  ['no peels, but laser in May', 'treated lately'],
  ['legs and upper lip waxed', 'treated lately'],
  ['Nothing apart from a facial wax', 'treated lately'],
  ['wax', 'treated lately'],
  ['micro-needling four weeks ago', 'treated lately'],
  ['laser hair removal on the chin, still going', 'treated lately'],
  ['dermaplaning yesterday', 'treated lately'],
  ['threading every two weeks, for 3 years', 'treated lately'],
  ['a facial on Monday', 'treated lately'],
  ['peels for the last three years', 'treated lately'],
  ['retinol every night', 'thinned'],
  ['Tretinoin, started in June', 'thinned'],
  ['glycolic acid toner', 'thinned'],
  ['lip filler 3 weeks ago', 'injected'],
  ['lips were injected two months ago', 'injected'],
  ['lash extensions since March', 'lash extensions'],
  ['Russian volume lashes, infill due', 'lash extensions'],
  ['eyelash extensions will be done the day before', 'lash extensions'],
  ['had my lashes done', 'lashes or brows treated'],
  ['lash lift and tint on Friday', 'lashes or brows treated'],
  ['a tint', 'treated lately'],
  ['brow lamination on Monday', 'lashes or brows treated'],
  ['microblading, top-up last month', 'lashes or brows treated'],
  ['spray tan planned Thursday', 'tan'],
  ['I use fake tan', 'tan'],
  ['chemical peel a few days back', 'treated lately'],
  ['peel twice a year', 'treated lately'],
  ['a facial once a year, the last on Monday', 'treated lately'],
  ['laser two years ago and again last week', 'treated lately'],
  ['a peel in 2021, another yesterday; peel last year and on Friday', 'treated lately'],
  ['acid peel', 'treated lately'],
  ['facials since May', 'treated lately'],
  ['plastic surgery on the chin', 'treated lately'],
  ['had my nose done', 'treated lately'],
  ['lips done last week', 'injected'],
  ['threads in the cheeks', 'injected'],
  ['cluster lashes for two weeks', 'lash extensions'],
  ['permanent eyeliner', 'lashes or brows treated'],
  ['tan from a bottle', 'tan'],
  ...[
    'brow done',
    'eyebrows done',
    'brow treatment',
    'brow lift',
    'brows lifted',
    'laminated brows',
    'brows laminated',
    'brow tint',
    'brows tinted',
    'brow dye',
    'brows dyed',
    'brow henna',
    'henna brow',
    'hennaed eyebrows',
    'brow tattoo',
    'brows tattooed',
    'tattooed brow',
    'eyebrow microblading',
    'micro blading',
    'tinted lashes',
    'lash perm',
    'lashes permed',
    'lash lifting',
    'eyelash dye',
    'permanent make-up',
    'semi-permanent makeup',
    'lip blushing',
    'lip tattoo',
    'tattooed liner',
    'micro-pigmentation',
  ].map((said) => [said, 'lashes or brows treated'] as const),
  ...[
    'derma roller',
    'dermarolling',
    'derma-roller',
    'derma planing',
    'micro dermabrasion',
    'radiofrequency',
    'rf needling',
  ].map((said) => [said, 'treated lately'] as const),
  ...[
    'lash ext',
    'lash exts',
    'extensions on my lashes',
    'hybrid lashes',
    'semi-permanent lashes',
    'lash infill',
    'lash infills',
  ].map((said) => [said, 'lash extensions'] as const),
];
const QUIET_SKIN = [
  'No cold sores',
  'never had a cold sore, stye or infection',
  'none, no rashes, no burns',
  'no broken skin',
  'I have no infections that I know of',
  'orange peel texture on the nose',
  'eczema on my hands',
  'allergic to beeswax',
  'I bruise easily',
  'vitiligo on the cheeks',
  'freckles',
  'had chicken pox as a child',
  'scar from a burn as a child',
  'hay fever',
  'wears glasses',
  'I do not react to acids',
  'large pores, shiny by noon',
  'clear skin',
  'facial hair on the chin',
  'facial palsy on the left',
  'burnt orange lip, please',
  'lipstick bleeds into the lines',
  'mascara flakes on me',
  'an infectious laugh',
  'a raw silk dress',
  'weeping at every speech',
  'mascara and individual lashes',
  'sore throat',
  'swollen ankles',
  'acne on my back',
  'eczema on my back and arms',
  'second-hand smoke bothers me',
  'thread veins on the cheek',
  'a thread vein on the cheek',
  'itchy feet',
];
const QUIET_TREATMENTS = [
  'None',
  'n/a',
  'nothing',
  'I haven’t had any peels or lasers',
  "didn't wax this time",
  'no laser, peel or waxing',
  'peel 2 years ago',
  'filler in 2019',
  'microbladed brows 3 years ago',
  'waxed my legs on Tuesday',
  'laser on the legs',
  'hyaluronic acid serum',
  'a peel-off mask',
  'a peel off mask',
  'a peeloff mask',
  'moisturiser and sunscreen',
  'no lash extensions',
  'my hair was coloured',
  'back waxed on Friday',
  'arms and legs waxed yesterday',
  'a peel over a year ago',
  'laser one year ago',
];

const kinds = (heeds: ReturnType<typeof heedsOf>): HeedKind[] => heeds.map(({ kind }) => kind).sort();

test.each(SKIN)('of skin and eyes: %s', (said, ...expected) => {
  expect(kinds(heedsOf({ conditions: said }))).toEqual([...expected].sort());
});
test.each(TREATMENTS)('of treatments: %s', (said, ...expected) => {
  expect(kinds(heedsOf({ treatments: said }))).toEqual([...expected].sort());
});
test.each(QUIET_SKIN)('nothing to mind in: %s', (said) => {
  expect(heedsOf({ conditions: said })).toEqual([]);
});
test.each(QUIET_TREATMENTS)('nothing was done in: %s', (said) => {
  expect(heedsOf({ treatments: said }, '', '2031-05-14')).toEqual([]);
});

test('every kind is met by a sentence above, and says whom to ask or what to leave alone', () => {
  const met = new Set([...SKIN, ...TREATMENTS].flatMap(([, ...found]) => found));
  expect([...HEED_KINDS].filter((kind) => !met.has(kind))).toEqual([]);
  for (const [said, ...expected] of [...SKIN, ...TREATMENTS])
    for (const { advice } of heedsOf({ conditions: said, treatments: said }))
      expect(`${expected.length} ${advice}`).toMatch(/decides|says|ask|read|Note/);
});

test('what was said is quoted as it stands, whole sentences of one kind together, each once', () => {
  const [heed, ...others] = heedsOf({
    conditions: 'Freckles. A stye in the left eye! Nothing else.',
    treatments: 'None; a small cut on the chin\nA stye in the left eye',
  });
  expect(others).toEqual([]);
  expect(heed).toMatchObject({
    kind: 'open or infected',
    said: 'A stye in the left eye; a small cut on the chin',
  });
  expect(heedInWords(heed!)).toBe(`“A stye in the left eye; a small cut on the chin”: ${heed!.advice}`);
});

test('what is usually worn and what is noted by hand are read too; a product is no treatment there', () => {
  expect(kinds(heedsOf({ usual: 'lash extensions and balm' }))).toEqual(['lash extensions']);
  expect(kinds(heedsOf({}, 'Waxed on Thursday.'))).toEqual(['treated lately']);
  expect(heedsOf({ usual: 'mascara, brow wax, a lip tint' }, 'Brows: a little wax')).toEqual([]);
  expect(heedsOf({})).toEqual([]);
});

test('sentences beside it, order, capitals and apostrophes change nothing', () => {
  const all = [...SKIN, ...TREATMENTS];
  const quiet = [...QUIET_SKIN, ...QUIET_TREATMENTS];
  fc.assert(
    fc.property(
      fc.constantFrom(...all),
      fc.array(fc.constantFrom(...quiet), { maxLength: 4 }),
      fc.nat(4),
      fc.constantFrom<(said: string) => string>(
        (said) => said,
        (said) => said.toUpperCase(),
        (said) => said.replace(/'/g, '’'),
        (said) => `  ${said}  `,
      ),
      fc.constantFrom('. ', '\n', '; ', '! '),
      ([said, ...expected], beside, at, written, joint) => {
        const sentences = [...beside.slice(0, at), written(said), ...beside.slice(at)];
        expect(kinds(heedsOf({ treatments: sentences.join(joint) }, '', '2031-05-14'))).toEqual(
          expect.arrayContaining([...expected]),
        );
        for (const heed of heedsOf({ conditions: sentences.join(joint) }, '', '2031-05-14'))
          expect(beside.filter((other) => heed.said.split('; ').includes(other))).toEqual([]);
      },
    ),
    { numRuns: 300 },
  );
});

test('any text at all is read, and what is quoted stands in it', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 200 }), fc.constantFrom(...SKIN), (noise, [said]) => {
      const text = `${noise}\n${said}`;
      for (const heed of heedsOf({ conditions: text }, noise))
        for (const sentence of heed.said.split('; ')) expect(text).toContain(sentence);
    }),
    { numRuns: 200 },
  );
});

test('a year is long ago from the second New Year on, by the day it is asked; without a day none is', () => {
  const treated = (said: string, today?: string) => kinds(heedsOf({ treatments: said }, '', today));
  expect(treated('filler in 2029', '2031-01-01')).toEqual([]);
  expect(treated('filler in 2029', '2030-12-31')).toEqual(['injected']);
  expect(treated('filler in 2030', '2031-12-31')).toEqual(['injected']);
  expect(treated('filler in 2026', '2027-06-01')).toEqual(['injected']);
  expect(treated('filler in 2026', '2028-06-01')).toEqual([]);
  expect(treated('filler in 1998', '2031-01-01')).toEqual([]);
  expect(treated('filler in 1998')).toEqual(['injected']);
  expect(treated('filler every May since 2019', '2031-01-01')).toEqual(['injected']);
  expect(kinds(heedsOf({ conditions: 'cold sores since 1998' }, '', '2031-01-01'))).toEqual([
    'open or infected',
  ]);
});
