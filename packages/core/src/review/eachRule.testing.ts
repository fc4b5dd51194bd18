import { shiftDepth, type Lab } from '../colour';
import type { Chart, Step } from '../look';
import { reviewChart, type ReviewFinding } from '.';
import { id } from '../look/look.testing';
import {
  added,
  DEEP,
  extra,
  failing,
  FAIR,
  KIT,
  onSkin,
  other,
  PRODUCTS,
  QUIET,
  scene,
  SKIN,
  skin,
  STEPS,
  twoLips,
  twoShadows,
  use,
  withFeatures,
  without,
  withStep,
  type Scene,
} from './review.testing';

const relative = (depthSteps: number): Step['shade'] => ({ relative: { to: 'skin', depthSteps } });
const bronzed = (lab: Lab): Scene =>
  scene(
    added(
      extra('Bronze', 'sculpt', 'bronze', { ...PRODUCTS.bronzer, lab: [...lab] }, ['zone.temple']),
      'powder',
    ),
  );

/** One scene in which each rule speaks. */
export const SPEAKS: Readonly<Record<string, () => Scene>> = {
  allergen: () => {
    const { chart, kit } = other('lip', { ingredients: ['lanolin'] });
    return scene({ ...chart, client: { ...chart.client, sensitivities: ['lanolin'] } }, kit);
  },
  'not-for-eyes': () => other('eye', { eyeSafe: false }),
  lenses: () => {
    const { chart, kit } = other('mascara', { ingredients: ['nylon fibers'] });
    return scene(withFeatures({ lenses: true }, chart), kit);
  },
  'lash-extensions': () => scene(withFeatures({ lashes: 'extensions' })),
  'many-measures': () => scene(withStep('blush', { use: STEPS.blush.use.map((u) => ({ ...u, parts: 41 })) })),
  'colour-not-read': () => other('blush', { lab: null }),
  'past-its-date': () => scene({ ...QUIET, occasion: { ...QUIET.occasion, date: '2033-05-14' } }),
  'ends-soon': () => scene({ ...QUIET, occasion: { ...QUIET.occasion, date: '2032-02-20' } }),
  withdrawn: () =>
    scene(QUIET, {
      ...KIT,
      products: KIT.products.map((p) => (p.kind === 'lip colour' ? { ...p, withdrawn: true } : p)),
    }),
  'gone-from-kit': () =>
    scene(QUIET, { ...KIT, units: KIT.units.filter((u) => u.productId !== PRODUCTS.lip.id) }),
  'not-enough': () =>
    scene(QUIET, {
      ...KIT,
      units: KIT.units.map((u) => (u.productId === PRODUCTS.base.id ? { ...u, remainingMg: 10 } : u)),
    }),
  'patch-test': () =>
    scene({
      ...added(
        extra('Lash band', 'lashes', 'lash', PRODUCTS.lashes, ['lashes'], { waitMinutes: 0.75 }),
        'liner',
      ),
      client: { ...QUIET.client, sensitivities: ['nickel'] },
    }),
  'shared-tools': () => scene(withStep('mascara', { tool: 'small brush' })),
  'clean-first': () => scene(without('clean')),
  'light-touch-for-children': () => scene(withFeatures({ age: 'child' })),
  'steady-hand': () =>
    scene(
      withFeatures(
        { headTremor: true },
        added(extra('Liner', 'eyes', 'liner', PRODUCTS.shadow, ['liner'], { technique: 'line' }), 'mascara'),
      ),
    ),
  'family-conflict': () => other('base', { family: 'water' }, {}, withStep('primer', { waitMinutes: 1 })),
  'cream-over-powder': () =>
    scene(added(extra('Cream later', 'sculpt', 'blush', PRODUCTS.blush, ['zone.noseSide']), 'brow')),
  'powder-before-set': () =>
    other(
      'blush',
      { texture: 'pressed' },
      {},
      withStep('powder', { placements: [{ guide: 'zone.wholeFace', side: 'both' }] }),
    ),
  'wet-on-wet': () => scene(withStep('primer', { waitMinutes: 0 })),
  'too-many-layers-under-eye': () =>
    scene(
      added(
        extra('More', 'conceal', 'conceal', PRODUCTS.concealer, ['zone.underEye']),
        'contour',
        added(extra('Correct', 'correct', 'correct', PRODUCTS.concealer, ['zone.underEye']), 'conceal'),
      ),
    ),
  'too-many-layers': () =>
    scene({
      ...QUIET,
      steps: [
        ...QUIET.steps.slice(0, 3),
        ...Array.from({ length: 8 }, (_, i) => ({ ...STEPS.base, id: id(950 + i) })),
        ...QUIET.steps.slice(3),
      ],
    }),
  'heavy-base': () => scene(withStep('base', { doseMgPerCm2: 2 })),
  'thick-powder-on-lines': () => scene(withFeatures({ dry: true }, withStep('powder', { waitMinutes: 3 }))),
  'set-too-late': () => scene(withStep('contour', { handsOnMinutes: 30 })),
  'blush-on-contour': () =>
    scene(
      withStep('blush', { placements: [{ guide: 'blushLifted', side: 'both', params: { liftMm: -8 } }] }),
    ),
  'in-the-hollow': () =>
    scene(
      withStep('contour', { placements: [{ guide: 'cheekContour', side: 'both', params: { liftMm: -6 } }] }),
    ),
  'rub-after-airbrush': () =>
    scene(
      withStep(
        'conceal',
        { technique: 'buff' },
        withStep('base', { tool: 'airbrush', passes: 3, doseMgPerCm2: 0.2 }),
      ),
    ),
  'airbrush-passes': () => scene(withStep('base', { tool: 'airbrush', passes: 1 })),
  'airbrush-contour-flow': () =>
    scene(
      withStep('contour', { tool: 'airbrush', technique: 'spray', flow: 'fully open', doseMgPerCm2: 0.1 }),
    ),
  'eyes-after-airbrush': () => scene(withStep('base', { tool: 'airbrush', passes: 3, doseMgPerCm2: 0.2 })),
  'shine-in-contour': () => other('contour', { finish: 'shimmer' }),
  'shine-on-texture': () => {
    const { chart, kit } = other('highlight', { finish: 'shimmer' });
    return scene(withFeatures({ texture: 'textured' }, chart), kit);
  },
  'shimmer-on-mature': () => {
    const { chart, kit } = other('highlight', { finish: 'shimmer' });
    return scene(withFeatures({ age: 'mature' }, chart), kit);
  },
  'grey-cast': () => {
    const { chart, kit } = other('conceal', { lab: [78, 4, 8], coverage: 'full' }, { doseMgPerCm2: 0.6 });
    return scene(chart, kit);
  },
  'ashy-powder': () => {
    const { chart, kit } = other('powder', { lab: [92, 0, 3], coverage: 'light' }, { doseMgPerCm2: 0.6 });
    return scene(onSkin(DEEP, chart), kit);
  },
  'white-cast': () =>
    other(
      'powder',
      { texture: 'loose', finish: 'shimmer', ingredients: ['silica'] },
      { doseMgPerCm2: 1 },
      onSkin(DEEP),
    ),
  'contrast-on-mature': () => {
    const { chart, kit } = other('contour', { lab: [...shiftDepth(SKIN, 6)] });
    return scene(withFeatures({ age: 'mature' }, chart), kit);
  },
  'orange-on-fair': () => {
    const { chart, kit } = other('contour', { lab: [68, 8, 27] });
    return scene(onSkin(FAIR, chart), kit);
  },
  'cool-contour-on-deep': () => {
    const { chart, kit } = other('contour', { lab: [30, 1, 2] });
    return scene(onSkin(DEEP, chart), kit);
  },
  'bronzer-undertone': () => {
    const cool = shiftDepth(SKIN, 0, { undertone: 'cool' });
    const chart = added(
      extra('Bronze', 'sculpt', 'bronze', { ...PRODUCTS.bronzer, lab: [58, 9, 26] }, ['zone.temple']),
      'powder',
    );
    return scene({ ...chart, client: { ...chart.client, skin: { ...skin, neck: cool } } });
  },
  'base-off-neck': () =>
    scene({
      ...withStep('base', { placements: [{ guide: 'zone.wholeFace', side: 'both' }] }),
      client: { ...QUIET.client, skin: { ...skin, neck: [74, 8, 18] } },
    }),
  'face-apart': () =>
    scene({
      ...QUIET,
      client: { ...QUIET.client, skin: { ...skin, forehead: [46, 12, 15], chin: [48, 12, 16] } },
    }),
  'base-off-skin': () => other('base', { lab: [52, 13, 20] }),
  'chalky-blush': () => scene(onSkin(DEEP)),
  'blush-hardly-shows': () => other('blush', { lab: [63, 13, 19] }),
  'liner-off-lip': () => other('liner', { lab: [26, 24, 10] }),
  'eye-colours-alike': () => twoShadows({}),
  'lips-alike': () => twoLips({}),
  'mascara-for-tears': () => other('mascara', { shade: 'black' }),
  'no-primer-on-oily': () => scene(withFeatures({ oily: ['forehead'] }, without('primer'))),
  'not-set-on-oily': () => scene(withFeatures({ oily: ['forehead'] }, without('powder'))),
  'dewy-base-on-oily': () => {
    const { chart, kit } = other('base', { finish: 'dewy' });
    return scene(withFeatures({ oily: ['forehead', 'nose'] }, chart), kit);
  },
  'matte-on-dry': () => {
    const { chart, kit } = other('base', { finish: 'matte' });
    return scene(withFeatures({ dry: true }, chart), kit);
  },
  'no-spray-for-long': () => scene(without('spray')),
  'hydrating-spray-for-long': () => {
    const { chart, kit } = other('spray', { finish: 'dewy' });
    return scene({ ...chart, occasion: { ...chart.occasion, hoursToLast: 12 } }, kit);
  },
  'lip-for-long': () => other('lip', { coverage: 'sheer' }),
  'gloss-in-wind': () => {
    const { chart, kit } = other('lip', { finish: 'dewy' });
    return scene({ ...chart, occasion: { ...chart.occasion, conditions: ['wind'] } }, kit);
  },
  'lip-bleeds': () => scene(withFeatures({ lines: ['lip'] }, without('liner'))),
  'matte-lip-unprepared': () => other('lip', { finish: 'matte' }),
  'glue-not-tacky': () =>
    scene(added(extra('Lash band', 'lashes', 'lash', PRODUCTS.lashes, ['lashes']), 'liner')),
  'no-last-look': () => scene(without('spray')),
  'shine-everywhere': () =>
    scene({
      ...QUIET,
      steps: QUIET.steps.map((x) => ({
        ...x,
        use: x.use.map((u) => ({ ...u, product: { ...u.product, finish: 'dewy' as const } })),
      })),
    }),
  'out-of-limits': () =>
    scene(
      withStep('contour', { placements: [{ guide: 'cheekContour', side: 'both', params: { reach: 160 } }] }),
    ),
  'forbidden-finish': () => scene({ ...QUIET, forbids: { finishes: ['satin'], kinds: [] } }),
  'forbidden-kind': () => scene({ ...QUIET, forbids: { finishes: [], kinds: ['mascara'] } }),
  'tool-off-product': () => other('blush', { texture: 'pressed' }, { tool: 'finger' }),
  'no-product': () => scene(withStep('lip', { use: [] })),
  'no-place': () => scene(withStep('lip', { placements: [] })),
  'no-dose': () => scene(withStep('lip', { doseMgPerCm2: 0 })),
  'narrow-temples': () =>
    scene(
      withFeatures(
        { narrowTemples: true },
        withStep('contour', { placements: [{ guide: 'foreheadContour', side: 'both' }] }),
      ),
    ),
  'eyes-first': () => other('eye', { texture: 'loose' }),
  'under-school-coverage': () => {
    const { chart, kit } = other('base', { coverage: 'full' });
    return scene({ ...chart, schools: { ...chart.schools, contour: 'under base' } }, kit);
  },
  'light-in-shadow': () =>
    scene(withStep('highlight', { placements: [{ guide: 'cheekContour', side: 'both' }] })),
  'light-on-lines': () => {
    const { chart, kit } = other(
      'highlight',
      { finish: 'shimmer' },
      { placements: [{ guide: 'zone.underEye', side: 'both' }] },
    );
    return scene(withFeatures({ lines: ['under eye'] }, chart), kit);
  },
  'wedge-on-crows-feet': () =>
    scene(
      withFeatures(
        { lines: ['crow’s feet'] },
        withStep('conceal', {
          placements: [
            { guide: 'innerComma', side: 'both' },
            { guide: 'outerWedge', side: 'both' },
          ],
        }),
      ),
    ),
  'uneven-sides': () =>
    scene(
      withStep('blush', {
        placements: [
          { guide: 'blushLifted', side: 'left' },
          { guide: 'blushLifted', side: 'right', params: { liftMm: 6 } },
        ],
      }),
    ),
  'far-from-guide': () =>
    scene(
      withStep('blush', {
        placements: [
          {
            outline: [
              [28, 84],
              [38, 80],
              [40, 84],
              [30, 88],
            ],
            stroke: [
              [29, 86, 2],
              [34, 84, 2],
              [39, 82, 2],
            ],
            featherMm: 2,
            side: 'both',
          },
        ],
      }),
    ),
  'mirror-check': () => scene(withStep('blush', { placements: [{ guide: 'blushLifted', side: 'left' }] })),
  'patch-test-result': () =>
    scene({
      ...QUIET,
      client: {
        ...QUIET.client,
        patchTests: [{ productId: PRODUCTS.lip.id, product: 'Lip', verdict: 'reacted', on: '2031-05-01' }],
      },
    }),
  'unknown-ingredients': () => {
    const { chart, kit } = other('lip', { ingredients: [] });
    return scene({ ...chart, client: { ...chart.client, sensitivities: ['lanolin'] } }, kit);
  },
  'tool-allergen': () => {
    const chart = withStep('base', { tool: 'damp sponge' });
    return scene({ ...chart, client: { ...chart.client, sensitivities: ['rubber latex'] } });
  },
  'set-aside': () => other('blush', { lab: [90, 60, 0] }),
  'concealer-mask': () =>
    other(
      'conceal',
      { lab: [...shiftDepth(SKIN, -4)], coverage: 'full' },
      { doseMgPerCm2: 1.4, shade: relative(-1) },
    ),
  'concealer-halo': () =>
    other('conceal', { lab: [...shiftDepth(SKIN, 2)], coverage: 'full' }, { doseMgPerCm2: 1 }),
  'powder-patch': () =>
    other('powder', { lab: [...shiftDepth(SKIN, 3)], coverage: 'medium' }, { doseMgPerCm2: 0.5 }),
  'contour-too-light': () => other('contour', { lab: [...shiftDepth(SKIN, -2)] }),
  'contour-does-nothing': () => other('contour', { lab: [...shiftDepth(SKIN, 0.4)] }),
  'bronzer-off': () => bronzed([...shiftDepth(SKIN, -1)]),
  'base-joint': () =>
    scene(
      added(
        extra('Edge', 'base', 'base', { ...PRODUCTS.base, lab: [...shiftDepth(SKIN, 4)] }, ['zone.jawline'], {
          shade: relative(1.5),
        }),
        'conceal',
      ),
    ),
  'heavy-blush': () => other('blush', { lab: [24, 34, 12], coverage: 'medium' }, { doseMgPerCm2: 1 }),
  'light-deeper': () => other('highlight', { lab: [...shiftDepth(SKIN, 1.5)] }),
  'light-does-nothing': () => other('highlight', { lab: [...shiftDepth(SKIN, -0.2)] }),
  'icy-light': () => {
    const { chart, kit } = other('highlight', { lab: [90, 1, 3] });
    return scene(onSkin(DEEP, chart), kit);
  },
  'brow-off-hair': () =>
    scene(
      withFeatures(
        { hairTone: 'fair' },
        withStep('brow', { use: use({ ...PRODUCTS.brow, lab: [16, 1, 1] }) }),
      ),
    ),
  'lid-off': () => other('eye', { lab: [80, 6, 14] }, { placements: [{ guide: 'socket', side: 'both' }] }),
  'chalky-lip': () => {
    const { chart, kit } = other('lip', { lab: [76, 8, 8] });
    return scene(onSkin(DEEP, chart), kit);
  },
  'metals-on-olive': () => {
    const olive = shiftDepth(SKIN, 0, { undertone: 'olive' });
    const { chart, kit } = other('eye', { lab: [70, 0, 1], finish: 'shimmer' });
    return scene({ ...chart, client: { ...chart.client, skin: { ...skin, neck: olive } } }, kit);
  },
  'contrast-of-light-on-lined': () => {
    const { chart, kit } = other('highlight', { lab: [...shiftDepth(SKIN, -5.6)] });
    return scene(withFeatures({ age: 'mature' }, chart), kit);
  },
  'base-for-long': () => other('base', { wearHours: 3 }),
  'dewy-in-heat': () => {
    const { chart, kit } = other('base', { finish: 'dewy' });
    return scene({ ...chart, occasion: { ...chart.occasion, conditions: ['heat'] } }, kit);
  },
  'oily-zone-left-out': () =>
    scene(
      withFeatures(
        { oily: ['forehead', 'nose', 'cheeks'] },
        withStep('primer', { placements: [{ guide: 'zone.foreheadCentre', side: 'both' }] }),
      ),
    ),
  'forbidden-place': () =>
    scene({
      ...added(extra('Lower line', 'eyes', 'eye', PRODUCTS.shadow, ['lowerLine']), 'mascara'),
      forbids: { finishes: [], kinds: [], places: ['lower lash line'] },
    }),
  'more-than-needed': () => scene(withStep('base', { use: STEPS.base.use.map((u) => ({ ...u, parts: 8 })) })),
  'holds-the-hours': () => ({
    ...scene({ ...QUIET, occasion: { ...QUIET.occasion, hoursToLast: 8 } }),
    wears: failing(6),
  }),
  'long-in-the-chair': () => scene(withStep('eye', { handsOnMinutes: 110 })),
};

type Reviewed = Scene & {
  readonly found: readonly ReviewFinding[];
  /** What is said of another chart in the same scene. */ readonly again: (chart: Chart) => ReviewFinding[];
};
const scenes = new Map<string, Reviewed>();
/** Each scene is built and reviewed once. */
export const sceneOf = (rule: string) => {
  let held = scenes.get(rule);
  if (!held) {
    const made = SPEAKS[rule]!();
    const again = (chart: Chart): ReviewFinding[] => reviewChart(chart, made.kit, {}, made.wears);
    scenes.set(rule, (held = { ...made, found: again(made.chart), again }));
  }
  return held;
};
