import { reconstructSpectrum } from '../colour';
import type { Product, Unit } from '../kit';
import { id, OCCASION, product, SKIN } from '../look/look.testing';
import type { CostPart } from './answers';
import { dayOf } from './day';
import { amountCosts, COST, flashCosts, mixCosts, stockCosts, worstOf } from './stepCosts';

const base = (n: number, more: Partial<Product> = {}): Product => product(n, 'base', SKIN, more);
const drop = (tintingStrength: number): Product => product(9, 'adjuster', [94, 0, 2], { tintingStrength });
const of = (...products: readonly Product[]) => products.map((one) => ({ product: one, measures: 1 }));
const told = (costs: readonly { readonly part: string; readonly units: number; readonly words: string }[]) =>
  costs.map(({ part, units, words }) => [part, units, words]);

describe('stirring', () => {
  const [one, two, three] = [base(1), base(2), base(3)];
  test('a single bottle costs nothing, each further one its own', () => {
    expect(mixCosts(of(one))).toEqual([]);
    expect(told(mixCosts(of(one, two)))).toEqual([['mix', COST.mix, 'mix 1 : 1']]);
    expect(told(mixCosts(of(one, two, three)))).toEqual([['mix', 2 * COST.mix, 'mix 1 : 1 : 1']]);
  });

  const guessed = ['mix', COST.adjuster, 'an adjuster whose strength nobody has tried'];
  test.each([
    ['an adjuster as it came', of(one, drop(1)), true],
    ['first or last', of(drop(1), one), true],
    ['one whose strength was tried', of(one, drop(1.1)), false],
    ['two bases as they came', of(one, two), false],
    ['one of two adjusters tried', of(one, drop(1.6), drop(1)), true],
  ])('%s: is its strength guessed', (_, members, is) =>
    expect(told(mixCosts(members)).filter(([, , words]) => words === guessed[2])).toEqual(
      is ? [guessed] : [],
    ),
  );
});

describe('what the cases lack', () => {
  const unit = (openedOn: string | null, remainingMg: number): Unit => ({
    id: id(700),
    productId: id(1),
    openedOn,
    remainingMg,
    place: 'case 1',
  });
  const part = (held: Unit | null, measures = 2) => ({ product: base(1), measures, unit: held });
  const short = ['stock', COST.short, 'not enough left'];
  const sealed = ['stock', COST.unopened, 'would be opened'];
  const none = ['stock', COST.notOwned, 'not in the kit'];
  // Two measures of 150 mg are taken.
  test.each([
    ['opened, with more than enough', [part(unit('2031-03-01', 9000))], []],
    ['opened, with just enough', [part(unit('2031-03-01', 300))], []],
    ['opened, with a little less', [part(unit('2031-03-01', 299))], [short]],
    ['sealed', [part(unit(null, 9000))], [sealed]],
    ['sealed and too little', [part(unit(null, 299))], [short, sealed]],
    ['one of two sealed', [part(unit('2031-03-01', 9000)), part(unit(null, 9000))], [sealed]],
    ['one of two too little', [part(unit('2031-03-01', 9000)), part(unit('2031-03-01', 10))], [short]],
    ['one of two in no case: the rest does not matter', [part(unit(null, 10)), part(null)], [none]],
  ])('%s', (_, parts, costs) => expect(told(stockCosts(parts))).toEqual(costs));
});

describe('a flash', () => {
  const skin = reconstructSpectrum(SKIN, 'D65', 'skin').spectrum;
  const [photographed, not] = [true, false].map((camera) => dayOf({ ...OCCASION, camera }));
  const graded = (flashGrade: 0 | 1 | 2 | 3): Product => base(1, { flashGrade });
  const costs = (products: readonly Product[], dose = 2, day = photographed!) =>
    flashCosts(of(...products), skin, dose, day);

  test('by what throws back most, wherever it stands', () => {
    const worst = told(costs([graded(3)]));
    expect(worst).toEqual([
      ['day', COST.flash, expect.stringMatching(/^may turn \d\.\d lighter in a flash$/)],
    ]);
    expect(told(costs([graded(3), graded(0)]))).toEqual(worst);
    expect(told(costs([graded(0), graded(3)]))).toEqual(worst);
    expect(told(costs([graded(1), graded(3), graded(2)]))).toEqual(worst);
  });

  test.each([
    ['nothing throws back', () => costs([graded(0)])],
    ['nothing is laid', () => costs([graded(3)], 0)],
    ['nobody photographs', () => costs([graded(3)], 2, not!)],
    ['no day is known', () => flashCosts(of(graded(3)), skin, 2, null)],
    ['no skin is read', () => flashCosts(of(graded(3)), null, 2, photographed!)],
    ['so thin a film is not seen', () => costs([graded(1)], 0.1)],
  ])('nothing where %s', (_, said) => expect(said()).toEqual([]));
});

test('of each part and its words the most it costs', () => {
  const cost = (part: CostPart['part'], units: number, words: string): CostPart => ({ part, units, words });
  const lists = [
    [cost('stock', 1, 'a'), cost('stock', 2, 'b')],
    [cost('stock', 3, 'a'), cost('stock', 1, 'b'), cost('finish', 1, 'a')],
  ];
  expect(told(worstOf(lists))).toEqual([
    ['stock', 3, 'a'],
    ['stock', 2, 'b'],
    ['finish', 1, 'a'],
  ]);
});

describe('what is taken beyond the need', () => {
  const need = (takenMg: number) => ({ areaCm2: 10, onFaceMg: takenMg, takenMg });
  const one = base(1, { smallestShare: 0.5, measure: 'pump' });
  const two = base(2, { measure: 'pump' });
  const taking = (product: Product, measures: number) => ({ product, measures });
  const words = (members: readonly ReturnType<typeof taking>[], made: number, taken: number) =>
    amountCosts(members, made, need(taken)).map((cost) => cost.words);

  test('a tenth more is nothing; nothing asked is nothing', () => {
    expect(amountCosts([taking(one, 1)], 110, need(100))).toEqual([]);
    expect(amountCosts([taking(one, 1)], 110, need(0))).toEqual([]);
    expect(words([taking(one, 1)], 111, 100)).toEqual(['1 pump holds 111 mg, 100 needed']);
  });

  test.each<[string, readonly ReturnType<typeof taking>[], number, string]>([
    ['half as much again', [taking(one, 1)], 150, '1 pump holds 150 mg, 100 needed'],
    [
      'more, at its least',
      [taking(one, 0.5)],
      151,
      'half a pump holds 151 mg, 100 needed; it is the least it can be taken in',
    ],
    [
      'more, not at its least',
      [taking(one, 1)],
      151,
      '1 pump holds 151 mg, 100 needed; one fewer does not cover it',
    ],
    ['two of it', [taking(one, 2)], 151, '2 pumps hold 151 mg, 100 needed; one fewer does not cover it'],
    [
      'a mix, however small its measures',
      [taking(one, 0.5), taking(two, 0.5)],
      151,
      'half a pump and half a pump hold 151 mg, 100 needed; smaller measures do not give this mix',
    ],
  ])('%s', (_, members, made, said) => expect(words(members, made, 100)).toEqual([said]));

  test('it weighs by how often it is taken, four times at most, and a mix more', () => {
    const units = (members: readonly ReturnType<typeof taking>[], made: number) =>
      amountCosts(members, made, need(100))[0]!.units;
    expect(units([taking(one, 1)], 210)).toBeCloseTo(COST.waste * 1, 9);
    expect(units([taking(one, 1)], 400)).toBeCloseTo(COST.waste * 2.9, 9);
    expect(units([taking(one, 1)], 900)).toBeCloseTo(COST.waste * 2.9, 9);
    const mix = [taking(one, 0.5), taking(two, 0.5)];
    expect(units(mix, 150)).toBeCloseTo(COST.waste * 0.4, 9);
    expect(units(mix, 210)).toBeCloseTo(COST.waste + COST.tooMuch, 9);
  });
});
