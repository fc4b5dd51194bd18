import { shiftDepth, skinByZone, type Lab } from '../colour';
import { inferLandmarks, PLAIN_FEATURES, type Features } from '../face';
import { snapshotOf, type Kit, type Product, type ProductKind } from '../kit';
import type { Chart, Step } from '../look';
import { id, kitOf, product } from '../look/look.testing';
import { wornByZone, type WearGroup } from '../trial';

export const SKIN: Lab = [64, 12, 19];
export const skin = skinByZone(SKIN);
let n = 100;
const make = (kind: ProductKind, lab: Lab | null, more: Partial<Product> = {}): Product =>
  product(n++, kind, lab, { family: 'silicone', finish: 'matte', eyeSafe: true, ...more });
export const PRODUCTS = {
  primer: make('primer', null),
  base: make('base', [64, 11.4, 19.2], { coverage: 'light', finish: 'natural' }),
  concealer: make('concealer', [63, 12, 18], { coverage: 'medium' }),
  contour: make('contour', shiftDepth(SKIN, 2, { undertone: 'neutral' }), { texture: 'cream' }),
  blush: make('blush', [56, 30, 16], { texture: 'cream', finish: 'natural' }),
  highlight: make('highlight', shiftDepth(SKIN, -2), { texture: 'cream', finish: 'satin' }),
  powder: make('powder', [64, 12, 19], { texture: 'pressed', family: 'powder', coverage: 'sheer' }),
  brow: make('brow', [34, 8, 12], { texture: 'pencil', family: 'wax' }),
  shadow: make('shadow', [60, 10, 14], { texture: 'pressed', family: 'powder' }),
  mascara: make('mascara', [12, 0, 0], { shade: 'tubing' }),
  liner: make('lip liner', [50, 24, 16], { texture: 'pencil', family: 'wax' }),
  lip: make('lip colour', [52, 26, 16], {
    texture: 'cream',
    family: 'wax',
    finish: 'satin',
    coverage: 'full',
  }),
  spray: make('spray', null, { finish: 'matte', family: 'alcohol' }),
  bronzer: make('bronzer', [58, 13, 22], { texture: 'pressed', family: 'powder' }),
  lashes: make('lashes', null),
  prep: make('prep', null, { texture: 'cream' }),
};
export const KIT: Kit = kitOf(...Object.values(PRODUCTS));
export const use = (p: Product): Step['use'] => [
  {
    unitId: KIT.units.find((u) => u.productId === p.id)?.id ?? null,
    product: snapshotOf(p),
    parts: 1,
    measure: p.measure,
  },
];
export type Guide = Extract<Step['placements'][number], { guide: unknown }>['guide'];
let s = 300;
export const step = (
  title: string,
  phase: Step['phase'],
  role: Step['role'],
  p: Product | null,
  guides: Guide[],
  more: Partial<Step> = {},
): Step => ({
  id: id(s++),
  title,
  phase,
  role,
  shade: null,
  wants: { kinds: p ? [p.kind] : [] },
  placements: guides.map((guide) => ({ guide, side: 'both' })),
  doseMgPerCm2: p ? 0.5 : 0,
  passes: 1,
  tool: 'small brush',
  technique: 'press',
  handsOnMinutes: 2,
  waitMinutes: 0,
  note: '',
  use: p ? use(p) : [],
  ...more,
});
export const STEPS = {
  clean: step('Clean', 'clean', 'care', null, []),
  primer: step('Primer', 'prime', 'care', PRODUCTS.primer, ['zone.wholeFace'], { waitMinutes: 2 }),
  base: step('Base', 'base', 'base', PRODUCTS.base, ['zone.wholeFace', 'zone.neck']),
  conceal: step('Conceal', 'conceal', 'conceal', PRODUCTS.concealer, ['zone.underEye'], {
    doseMgPerCm2: 0.3,
  }),
  contour: step('Contour', 'sculpt', 'contour', PRODUCTS.contour, ['cheekContour']),
  blush: step('Blush', 'sculpt', 'blush', PRODUCTS.blush, ['blushLifted']),
  highlight: step('Light', 'sculpt', 'highlight', PRODUCTS.highlight, ['cheekboneLight']),
  powder: step('Powder', 'set', 'powder', PRODUCTS.powder, ['zone.noseSide'], { doseMgPerCm2: 0.3 }),
  brow: step('Brows', 'brows', 'brow', PRODUCTS.brow, ['brow']),
  eye: step('Lid', 'eyes', 'eye', PRODUCTS.shadow, ['zone.mobileLid']),
  mascara: step('Mascara', 'lashes', 'lash', PRODUCTS.mascara, ['lashes'], { tool: 'spoolie' }),
  liner: step('Lip line', 'lips', 'lip', PRODUCTS.liner, ['lips']),
  lip: step('Lip', 'lips', 'lip', PRODUCTS.lip, ['lips']),
  spray: step('Spray', 'finish', 'care', PRODUCTS.spray, [], { waitMinutes: 1 }),
};
export type Name = keyof typeof STEPS;
export const QUIET: Chart = {
  format: 'toile.chart/2',
  id: id(1),
  version: 1,
  parent: null,
  author: 'Ada',
  at: '2031-05-14T09:00:00Z',
  reason: '',
  look: { id: id(2), version: 1, name: 'Quiet' },
  client: {
    id: id(3),
    name: 'Ilse Moor',
    landmarks: inferLandmarks({}),
    features: PLAIN_FEATURES,
    skin,
    readingId: null,
    sensitivities: [],
  },
  occasion: {
    kind: 'wedding',
    date: '2031-05-14',
    lights: ['daylight', 'flash'],
    hoursToLast: 9,
    camera: true,
  },
  schools: { eyesOrFace: 'face first', contour: 'over base', concealer: 'over base', contrast: 'soft' },
  variants: [],
  steps: Object.values(STEPS),
  findings: [],
};

export type Scene = { readonly chart: Chart; readonly kit: Kit; readonly wears?: readonly WearGroup[] };
/** So many wears of the quiet chart’s base whose nose was gone by three hours. */
export const failing = (count: number, more: Partial<WearGroup> = {}): WearGroup[] => [
  {
    zone: 'nose',
    worn: wornByZone(QUIET).nose!,
    own: false,
    skin: null,
    climate: null,
    good: 1,
    bad: 3,
    count,
    weight: count,
    ...more,
  },
];
export const scene = (chart: Chart, kit = KIT): Scene => ({ chart, kit });
export const withStep = (name: Name, more: Partial<Step>, from = QUIET): Chart => ({
  ...from,
  steps: from.steps.map((x) => (x.id === STEPS[name].id ? { ...x, ...more } : x)),
});
export const without = (...names: Name[]): Chart => ({
  ...QUIET,
  steps: QUIET.steps.filter((x) => !names.some((name) => STEPS[name].id === x.id)),
});
export const withFeatures = (features: Partial<Features>, from = QUIET): Chart => ({
  ...from,
  client: { ...from.client, features: { ...PLAIN_FEATURES, ...features } },
});
export const onSkin = (general: Lab, from = QUIET): Chart => ({
  ...from,
  client: { ...from.client, skin: skinByZone(general) },
});
/** The same step with another product, which the kit then has too. */
export const other = (name: Name, more: Partial<Product>, step: Partial<Step> = {}, from = QUIET): Scene => {
  const old =
    PRODUCTS[
      STEPS[name].use[0]!.product.id === PRODUCTS.powder.id
        ? 'powder'
        : (Object.keys(PRODUCTS) as (keyof typeof PRODUCTS)[]).find(
            (k) => PRODUCTS[k].id === STEPS[name].use[0]!.product.id,
          )!
    ];
  const changed: Product = { ...old, ...more };
  const kit = { ...KIT, products: KIT.products.map((p) => (p.id === old.id ? changed : p)) };
  return scene(withStep(name, { use: use(changed), ...step }, from), kit);
};
export const added = (extra: Step, at: Name, from = QUIET): Chart => {
  const i = from.steps.findIndex((x) => x.id === STEPS[at].id);
  return { ...from, steps: [...from.steps.slice(0, i), extra, ...from.steps.slice(i)] };
};
export const extra = (
  title: string,
  phase: Step['phase'],
  role: Step['role'],
  p: Product | null,
  guides: Guide[],
  more: Partial<Step> = {},
) => step(title, phase, role, p, guides, more);
export const DEEP: Lab = [36, 12, 13];
export const FAIR: Lab = [78, 9, 15];

/**
 * The quiet lid, meant light, and a socket meant four steps deeper: of the lid’s own shadow but for what is
 * said.
 */
export const twoShadows = (socket: Partial<Product>, meant = 4): Scene =>
  twoOf(PRODUCTS.shadow, socket, meant, (deeper, more) =>
    added(
      extra('Socket', 'eyes', 'eye', deeper, ['socket'], more.second),
      'mascara',
      withStep('eye', more.first),
    ),
  );
/** The same of the lips: one more for the evening. */
export const twoLips = (evening: Partial<Product>, meant = 4): Scene =>
  twoOf(PRODUCTS.lip, evening, meant, (deeper, more) =>
    added(
      extra('Evening lip', 'lips', 'lip', deeper, ['lips'], { ...more.second, variant: 'evening' }),
      'spray',
      { ...withStep('lip', more.first), variants: [{ id: 'evening', name: 'Evening' }] },
    ),
  );

function twoOf(
  own: Product,
  change: Partial<Product>,
  meant: number,
  chartOf: (
    deeper: Product,
    more: { readonly first: Partial<Step>; readonly second: Partial<Step> },
  ) => Chart,
): Scene {
  const [L, a, b] = own.lab!;
  const deeper: Product = { ...own, id: id(777), ...change };
  const unit = {
    ...KIT.units.find(({ productId }) => productId === own.id)!,
    id: id(778),
    productId: deeper.id,
  };
  const chart = chartOf(deeper, {
    first: { shade: { lab: [L, a, b] } },
    second: {
      shade: { lab: [...shiftDepth([L, a, b], meant)] },
      use: [{ unitId: unit.id, product: snapshotOf(deeper), parts: 1, measure: deeper.measure }],
    },
  });
  return scene(chart, { products: [...KIT.products, deeper], units: [...KIT.units, unit] });
}
