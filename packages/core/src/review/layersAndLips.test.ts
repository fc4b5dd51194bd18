import { FAMILIES } from '../kit';
import { reviewChart } from '.';
import {
  added,
  extra,
  KIT,
  other,
  PRODUCTS,
  QUIET,
  scene,
  STEPS,
  withFeatures,
  without,
  withStep,
  type Scene,
} from './review.testing';

const of = (rule: string, { chart, kit }: Scene) =>
  reviewChart(chart, kit).filter((one) => one.rule === rule);

describe('families on one another', () => {
  const on = (
    under: (typeof FAMILIES)[number],
    top: (typeof FAMILIES)[number],
    waitMinutes: number,
  ): boolean => {
    const first = other('primer', { family: under }, { waitMinutes });
    const second = other('base', { family: top }, {}, first.chart);
    const kit = {
      ...KIT,
      products: KIT.products.map(
        (p) =>
          [first.kit, second.kit].flatMap(({ products }) => products).find((q) => q.id === p.id && q !== p) ??
          p,
      ),
    };
    return of('family-conflict', { chart: second.chart, kit }).length > 0;
  };
  const pairs = FAMILIES.flatMap((under) => FAMILIES.map((top) => [under, top] as const));

  test.each(pairs)(
    '%s under %s parts even after half an hour just where oil is under water or silicone',
    (under, top) => {
      expect(on(under, top, 30)).toBe(under === 'oil' && (top === 'water' || top === 'silicone'));
    },
  );
  test.each(pairs.filter(([under, top]) => under === top))('%s under %s never parts', (under, top) => {
    expect(on(under, top, 0)).toBe(false);
  });
});

describe('bases over one another', () => {
  const both = (one: number, two: number) =>
    scene(
      added(
        extra('Second base', 'base', 'base', PRODUCTS.base, ['zone.wholeFace'], { doseMgPerCm2: two }),
        'conceal',
        withStep('base', { doseMgPerCm2: one }),
      ),
    );

  test.each([
    [0.7, 0.8, false],
    [0.7, 0.81, true],
    [1.4, 0.05, false],
    [1.4, 0.2, true],
  ])('of %d and %d mg/cm² are a mask from 1.5 on: %s', (one, two, thick) => {
    expect(of('heavy-base', both(one, two)).length > 0).toBe(thick);
  });

  test('are thinned each by its share, and nothing else is', () => {
    const { chart, kit } = both(1.2, 0.6);
    const [finding] = of('heavy-base', { chart, kit });
    expect(finding!.stepIds).toEqual(chart.steps.filter(({ role }) => role === 'base').map(({ id }) => id));
    const mended = finding!.fix!.apply(chart);
    const doses = mended.steps.filter(({ role }) => role === 'base').map((step) => step.doseMgPerCm2);
    expect(doses[0]! / doses[1]!).toBeCloseTo(2, 2);
    expect(doses[0]! + doses[1]!).toBeCloseTo(0.75, 2);
    expect(mended.steps.filter(({ role }) => role !== 'base')).toEqual(
      chart.steps.filter(({ role }) => role !== 'base'),
    );
    expect(of('heavy-base', { chart: mended, kit })).toEqual([]);
  });
});

describe('a lip that may bleed', () => {
  const bare = without('liner');
  const lined = { lines: ['lip' as const] };
  const withLiner = (role: 'lip' | 'lip line' | 'eye') =>
    added(extra('Held', 'lips', role, PRODUCTS.liner, ['lips']), 'lip', bare);

  test.each([
    ['on lip lines', lined, bare, true],
    ['on a blurred edge', { lipEdge: 'blurred' as const }, bare, true],
    ['on lines of one side', { right: lined }, bare, true],
    ['on other lines', { lines: ['smile' as const, 'forehead' as const] }, bare, false],
    ['on none', {}, bare, false],
    ['held by a liner in a step of its own', lined, withLiner('lip line'), false],
    ['held by a liner in a step of the lips', lined, withLiner('lip'), false],
    ['with a lip liner at the eyes, which holds nothing', lined, withLiner('eye'), true],
    ['where no lip is worn', lined, without('liner', 'lip'), false],
  ])('%s', (_, features, chart, bleeds) => {
    expect(of('lip-bleeds', scene(withFeatures(features, chart))).length > 0).toBe(bleeds);
  });
});

describe('a matte lip', () => {
  const matte = (from = QUIET) => other('lip', { finish: 'matte' }, {}, from);
  const rule = 'matte-lip-unprepared';

  test('wants balm before it: a satin one does not, nor matte colour anywhere else', () => {
    expect(of(rule, matte())).toHaveLength(1);
    expect(of(rule, other('lip', { finish: 'satin' }))).toEqual([]);
    expect(of(rule, other('blush', { finish: 'matte' }))).toEqual([]);
    expect(of(rule, other('lip', { finish: 'matte' }, { role: 'lip line' }))).toEqual([]);
  });

  test('is prepared where it says so, or by a step of its own where nothing comes early', () => {
    const { chart, kit } = matte();
    const noted = of(rule, { chart, kit })[0]!.fix!.apply(chart);
    expect(of(rule, { chart: noted, kit })).toEqual([]);
    expect(noted.steps).toHaveLength(chart.steps.length);
    const late = matte(without('clean', 'primer'));
    const added = of(rule, late)[0]!.fix!.apply(late.chart);
    expect(added.steps).toHaveLength(late.chart.steps.length + 1);
    const balm = added.steps.find(({ id }) => !late.chart.steps.some((step) => step.id === id))!;
    expect(balm).toMatchObject({ role: 'care', phase: 'prep', doseMgPerCm2: 0, use: [] });
    expect(added.steps.indexOf(balm)).toBeLessThan(added.steps.findIndex(({ id }) => id === STEPS.lip.id));
    expect(of(rule, { chart: added, kit: late.kit })).toEqual([]);
  });
});
