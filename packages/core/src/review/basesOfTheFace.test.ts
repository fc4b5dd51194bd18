import type { Product } from '../kit';
import type { Chart } from '../look';
import { reviewChart } from '.';
import {
  added,
  extra,
  failing,
  KIT,
  other,
  PRODUCTS,
  QUIET,
  scene,
  STEPS,
  use,
  withFeatures,
  without,
  withStep,
  type Guide,
  type Scene,
} from './review.testing';

// A base of the neck, or one that evens the lids, is none of the face: what is asked of the face's is not
// asked of it, and what it does does not stand for it.
const rules = ({ chart, kit }: Scene): Set<string> =>
  new Set(reviewChart(chart, kit).map(({ rule }) => rule));
const speaks = (rule: string, from: Scene): boolean => rules(from).has(rule);
const FACE: readonly Guide[] = ['zone.wholeFace'];
const BESIDE: readonly (readonly Guide[])[] = [
  ['zone.neck'],
  ['zone.neck', 'zone.decollete'],
  ['zone.mobileLid'],
];

/** The quiet chart on somebody, with a second base at a place: before the first, or in its stead. */
function based(
  guides: readonly Guide[],
  more: Partial<Product>,
  features: Parameters<typeof withFeatures>[0] = {},
  from: Chart = QUIET,
): Scene {
  const product: Product = {
    ...PRODUCTS.base,
    id: `${PRODUCTS.base.id.slice(0, -2)}99`,
    shade: 'second',
    ...more,
  };
  const second = extra('Second base', 'base', 'base', PRODUCTS.base, [...guides], {
    use: use(product),
    doseMgPerCm2: 0.3,
  });
  const kit = { ...KIT, products: [...KIT.products, product] };
  return scene(added(second, 'base', withFeatures(features, from)), kit);
}

test.each<[string, Partial<Product>, Parameters<typeof withFeatures>[0]]>([
  ['dewy-base-on-oily', { finish: 'dewy' }, { oily: ['forehead', 'nose'] }],
  ['matte-on-dry', { finish: 'matte' }, { dry: true }],
  ['matte-on-dry', { finish: 'matte' }, { dryZones: ['chin'] }],
  ['base-off-neck', { lab: [52, 14, 22] }, {}],
  ['under-school-coverage', { coverage: 'full' }, {}],
])('%s asks the face’s base, %j', (rule, more, features) => {
  const from: Chart = {
    ...(rule === 'base-off-neck'
      ? withStep('base', { placements: [{ guide: 'zone.apple', side: 'both' }] })
      : QUIET),
    ...(rule === 'under-school-coverage'
      ? { schools: { ...QUIET.schools, contour: 'under base' as const } }
      : {}),
  };
  const on = (guides: readonly Guide[]): Scene => based(guides, more, features, from);
  expect(speaks(rule, on(FACE))).toBe(true);
  for (const guides of BESIDE) expect([guides, speaks(rule, on(guides))]).toEqual([guides, false]);
});

test('a matte or dewy base is told where it lies on what is dry or oily, and not beside it', () => {
  const matte = (guide: Guide) =>
    speaks('matte-on-dry', based([guide], { finish: 'matte' }, { dryZones: ['chin'] }));
  expect(matte('zone.chin')).toBe(true);
  expect(matte('zone.foreheadCentre')).toBe(false);
  const dewy = (guide: Guide) =>
    speaks('dewy-base-on-oily', based([guide], { finish: 'dewy' }, { oily: ['chin', 'nose'] }));
  expect(dewy('zone.chin')).toBe(true);
  expect(dewy('zone.foreheadCentre')).toBe(false);
});

test('what evens the lids needs to match no skin', () => {
  const deep = { lab: [40, 14, 20] as Product['lab'] };
  expect(speaks('base-off-skin', based(['zone.mobileLid'], deep))).toBe(false);
  expect(speaks('base-off-skin', based(['zone.wholeFace'], deep))).toBe(true);
});

test('with none on the face nothing is asked before or after it', () => {
  const only = (guides: readonly Guide[]): Scene =>
    scene(
      withFeatures(
        { oily: ['forehead'] },
        withStep(
          'base',
          { placements: guides.map((guide) => ({ guide, side: 'both' as const })) },
          without('primer', 'powder'),
        ),
      ),
    );
  for (const rule of ['no-primer-on-oily', 'not-set-on-oily']) {
    expect(speaks(rule, only(FACE))).toBe(true);
    for (const guides of BESIDE)
      expect([rule, guides, speaks(rule, only(guides))]).toEqual([rule, guides, false]);
  }
});

test('shadow that falls is told where a face is done before it, and not where only the lids are evened', () => {
  const falling = other('eye', { texture: 'loose' });
  const on = (guides: readonly Guide[]): Scene => ({
    ...falling,
    chart: {
      ...falling.chart,
      steps: falling.chart.steps.map((s) =>
        s.role === 'base'
          ? { ...s, placements: guides.map((guide) => ({ guide, side: 'both' as const })) }
          : s,
      ),
    },
  });
  expect(speaks('eyes-first', on(FACE))).toBe(true);
  expect(speaks('eyes-first', on(['zone.mobileLid']))).toBe(false);
});

test('light on the lids is none of the layers of the face that shine', () => {
  const shining = (guide: Guide): Scene => {
    const lights = Array.from({ length: 4 }, (_, i) =>
      extra(`Light ${i}`, 'sculpt', 'highlight', PRODUCTS.highlight, [guide], {
        use: use({ ...PRODUCTS.highlight, finish: 'shimmer' }),
      }),
    );
    return scene(lights.reduce((chart, light) => added(light, 'highlight', chart), QUIET));
  };
  expect(speaks('shine-everywhere', shining('cheekboneLight'))).toBe(true);
  expect(speaks('shine-everywhere', shining('lidCentre'))).toBe(false);
});

test('powder everywhere is led round the lids: what evens them after it is no cream over powder', () => {
  const after = (guide: Guide): Scene => {
    const evened = extra('Evened', 'eyes', 'base', PRODUCTS.base, [guide], {
      use: use({ ...PRODUCTS.base, texture: 'cream' }),
    });
    return scene(
      added(evened, 'brow', withStep('powder', { placements: [{ guide: 'zone.wholeFace', side: 'both' }] })),
    );
  };
  expect(speaks('cream-over-powder', after('zone.chin'))).toBe(true);
  expect(speaks('cream-over-powder', after('zone.mobileLid'))).toBe(false);
  expect(speaks('cream-over-powder', after('zone.upperLip'))).toBe(false);
});

test('what did not hold at the nose is said of the base that lies there', () => {
  const { chart, kit } = based(['zone.neck'], { line: 'Body' });
  const told = (from: Chart) =>
    reviewChart(from, kit, {}, failing(6)).find(({ rule }) => rule === 'holds-the-hours')?.stepIds;
  const faceFirst = { ...chart, steps: inTurn(chart.steps) };
  expect(told(chart)).toEqual([STEPS.base.id]);
  expect(told(faceFirst)).toEqual([STEPS.base.id]);
});
/** The second of two bases after the first. */
const inTurn = (steps: Chart['steps']): Chart['steps'] =>
  steps.flatMap((s) =>
    s.title === 'Second base'
      ? []
      : s.id === STEPS.base.id
        ? [s, ...steps.filter(({ title }) => title === 'Second base')]
        : [s],
  );
