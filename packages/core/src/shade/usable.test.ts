import type { Features } from '../face';
import type { Product, ProductKind, Unit } from '../kit';
import { client, id, kitOf, product } from '../look/look.testing';
import {
  excludedBecause,
  filteredBecause,
  unitToTake,
  unusableBecause,
  type LaidWhere,
  type ShadeContext,
} from './usable';

const DAY = '2031-05-14';
const context = (
  it: Product,
  more: {
    features?: Partial<Features>;
    sensitivities?: string[];
    units?: readonly Unit[];
    forbids?: ShadeContext['forbids'];
  } = {},
): ShadeContext => ({
  client: client([64, 12, 19], more),
  kit: { products: [it], units: [...(more.units ?? kitOf(it).units)] },
  date: DAY,
  ...(more.forbids && { forbids: more.forbids }),
});
const unit = (n: number, openedOn: string | null, remainingMg: number): Unit => ({
  id: id(n),
  productId: id(1),
  openedOn,
  remainingMg,
  place: '',
});
const base = (more: Partial<Product> = {}): Product => product(1, 'base', [60, 12, 18], more);

describe('what cannot be used on somebody that day', () => {
  test.each<[string, Partial<Product>, Parameters<typeof context>[1], RegExp | null]>([
    ['nothing speaks against it', {}, {}, null],
    ['it is withdrawn', { withdrawn: true }, {}, /withdrawn/],
    ['no surface has its colour', { lab: [90, 60, 0] }, {}, /set aside/],
    [
      'it holds what is minded',
      { ingredients: ['Lanolin'] },
      { sensitivities: ['lanolin'] },
      /^contains Lanolin$/,
    ],
    [
      'it holds what is minded under another name',
      { ingredients: ['Adeps Lanae'] },
      { sensitivities: ['lanolin'] },
      /contains Adeps Lanae \(lanolin\)/,
    ],
    ['another thing is minded', { ingredients: ['Lanolin'] }, { sensitivities: ['latex'] }, null],
    // Twelve months after it was opened; to the day.
    ['it was opened a day short of a year ago', {}, { units: [unit(3, '2030-05-15', 100)] }, null],
    [
      'it was opened more than a year ago',
      {},
      { units: [unit(3, '2030-05-13', 100)] },
      /past its shelf life/,
    ],
    ['one unit is past, one is not', {}, { units: [unit(3, '2030-01-01', 100), unit(4, null, 100)] }, null],
    ['the only one that is not past is empty', {}, { units: [unit(3, '2031-01-01', 0)] }, /used up/],
    ['one is empty, one is not', {}, { units: [unit(3, '2031-01-01', 0), unit(4, '2031-01-01', 1)] }, null],
    ['there is none of it', {}, { units: [] }, null],
  ])('%s', (_, more, who, why) => {
    const it = base(more);
    const said = unusableBecause(it, context(it, who));
    if (why === null) expect(said).toBeNull();
    else expect(said).toMatch(why);
  });
});

describe('the unit to take', () => {
  const taken = (...units: Unit[]): string | undefined =>
    unitToTake(base(), { kit: { products: [base()], units }, date: DAY })?.id;

  test.each<[string, Unit[], number | undefined]>([
    ['an open one before a sealed one', [unit(3, null, 500), unit(4, '2031-05-01', 500)], 4],
    ['of two open the one that ends sooner', [unit(3, '2031-04-01', 500), unit(4, '2030-09-01', 500)], 4],
    ['not the one that has ended', [unit(3, '2031-04-01', 500), unit(4, '2029-09-01', 500)], 3],
    ['not the empty one', [unit(3, '2031-04-01', 500), unit(4, '2030-09-01', 0)], 3],
    ['a sealed one where nothing else is left', [unit(3, null, 500), unit(4, '2030-09-01', 0)], 3],
    [
      'none where all have ended or are empty',
      [unit(3, '2029-04-01', 500), unit(4, '2030-09-01', 0)],
      undefined,
    ],
    ['none where there is none', [], undefined],
  ])('%s', (_, units, n) => {
    expect(taken(...units)).toBe(n === undefined ? undefined : id(n));
    expect(taken(...[...units].reverse())).toBe(n === undefined ? undefined : id(n));
  });
});

test('of several of one kit each is judged by its own units and its own months', () => {
  const [six, twelve, other] = [
    base({ monthsAfterOpening: 6 }),
    base({ id: id(2), monthsAfterOpening: 12 }),
    base({ id: id(3), monthsAfterOpening: 6 }),
  ];
  const opened = (n: number, day: string): Unit => ({ ...unit(600 + n, day, 900), productId: id(n) });
  const units = [opened(1, '2030-09-01'), opened(2, '2030-09-01'), opened(3, '2031-03-01')];
  const kit = { products: [six!, twelve!, other!], units };
  const all = { ...context(six!), kit };
  const past = kit.products.map((it) => unusableBecause(it, all) !== null);
  expect(past).toEqual([true, false, false]);
  // The same product, once its maker says it keeps for a year.
  expect(unusableBecause({ ...six!, monthsAfterOpening: 12 }, { ...all, kit: { ...kit } })).toBeNull();
});

describe('what does not meet a wish', () => {
  test.each([
    ['textures', 'texture', 'liquid', 'cream'],
    ['finishes', 'finish', 'natural', 'matte'],
    ['coverages', 'coverage', 'medium', 'full'],
    ['families', 'family', 'silicone', 'water'],
  ] as const)('%s: one of those asked for, or any where none is', (wish, name, own, other) => {
    expect(filteredBecause(base(), { [wish]: [other] })).toBe(`its ${name} is ${own}`);
    expect(filteredBecause(base(), { [wish]: [other, own] })).toBeNull();
    expect(filteredBecause(base(), { [wish]: [own] })).toBeNull();
    expect(filteredBecause(base(), { [wish]: [] })).toBeNull();
    expect(filteredBecause(base(), {})).toBeNull();
  });
});

describe('what is no answer for a step', () => {
  const lid: LaidWhere = { role: 'eye', placements: [{ guide: 'lid', side: 'both' }] };
  const cheek: LaidWhere = { role: 'highlight', placements: [{ guide: 'cheekboneLight', side: 'both' }] };
  test.each<[string, ProductKind, Partial<Product>, LaidWhere, Parameters<typeof context>[1], RegExp | null]>(
    [
      ['a shadow meant for the eyes on a lid', 'shadow', { eyeSafe: true }, lid, {}, null],
      ['a shadow that is not on a lid', 'shadow', { eyeSafe: false }, lid, {}, /not meant for the eye/],
      ['the same on a cheek', 'highlight', { eyeSafe: false }, cheek, {}, null],
      [
        'a light laid on a lid, whatever its step is called',
        'highlight',
        { eyeSafe: false },
        { ...cheek, placements: lid.placements },
        {},
        /not meant for the eye/,
      ],
      [
        'a concealer up to the lids, as everybody lays it',
        'concealer',
        { eyeSafe: false },
        { role: 'conceal', placements: lid.placements },
        {},
        null,
      ],
      [
        'loose shimmer on a lid over contact lenses',
        'shadow',
        { eyeSafe: true, texture: 'loose', finish: 'shimmer' },
        lid,
        { features: { lenses: true } },
        /sheds into contact lenses/,
      ],
      [
        'loose shimmer without lenses',
        'shadow',
        { eyeSafe: true, texture: 'loose', finish: 'shimmer' },
        lid,
        {},
        null,
      ],
      [
        'loose matte over lenses',
        'shadow',
        { eyeSafe: true, texture: 'loose', finish: 'matte' },
        lid,
        { features: { lenses: true } },
        null,
      ],
      [
        'loose shimmer on a cheek over lenses',
        'highlight',
        { texture: 'loose', finish: 'shimmer' },
        cheek,
        { features: { lenses: true } },
        null,
      ],
      [
        'lashes on a child',
        'lashes',
        { eyeSafe: true },
        { role: 'lash' },
        { features: { age: 'child' } },
        /child/,
      ],
      ['lashes on an adult', 'lashes', { eyeSafe: true }, { role: 'lash' }, {}, null],
      [
        'mascara on a child',
        'mascara',
        { eyeSafe: true },
        { role: 'lash' },
        { features: { age: 'child' } },
        null,
      ],
      ['shine in a contour', 'contour', { finish: 'shimmer' }, { role: 'contour' }, {}, /undoes a shadow/],
      ['dew in a contour', 'contour', { finish: 'dewy' }, { role: 'contour' }, {}, /undoes a shadow/],
      ['satin in a contour', 'contour', { finish: 'satin' }, { role: 'contour' }, {}, null],
      [
        'cream through an airbrush',
        'base',
        { texture: 'cream' },
        { role: 'base', tool: 'airbrush' },
        {},
        /sprays what is liquid/,
      ],
      [
        'liquid through an airbrush',
        'base',
        { texture: 'liquid' },
        { role: 'base', tool: 'airbrush' },
        {},
        null,
      ],
      [
        'a kind the look allows none of',
        'mascara',
        { eyeSafe: true },
        { role: 'lash' },
        { forbids: { kinds: ['mascara'], finishes: [] } },
        /allows no mascara/,
      ],
      [
        'a finish the look allows nothing of',
        'base',
        { finish: 'dewy' },
        { role: 'base' },
        { forbids: { kinds: [], finishes: ['dewy'] } },
        /allows nothing dewy/,
      ],
    ],
  )('%s', (_, kind, more, step, who, why) => {
    const it = product(1, kind, null, more);
    const said = excludedBecause(it, { ...step, wants: { kinds: [kind] } }, context(it, who));
    if (why === null) expect(said).toBeNull();
    else expect(said).toMatch(why);
    expect(excludedBecause(it, { ...step, wants: { kinds: [] } }, context(it, who))).toMatch(
      /not what this step asks/,
    );
  });
});
