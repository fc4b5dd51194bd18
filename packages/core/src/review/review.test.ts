import { shiftDepth, type Lab } from '../colour';
import type { Product } from '../kit';
import type { Chart, Step } from '../look';
import { acceptFinding, reviewChart, RULE_GROUPS, RULES } from '.';
import { id } from '../look/look.testing';
import type { WearGroup } from '../trial';
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
  type Guide,
  type Name,
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
const SPEAKS: Readonly<Record<string, () => Scene>> = {
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

const scenes = new Map<string, Scene & { readonly found: ReturnType<typeof reviewChart> }>();
/** Each scene is built and reviewed once. */
const sceneOf = (rule: string) => {
  let held = scenes.get(rule);
  if (!held) {
    const made = SPEAKS[rule]!();
    scenes.set(rule, (held = { ...made, found: reviewChart(made.chart, made.kit, {}, made.wears) }));
  }
  return held;
};

test('at least 80 rules, each with a name of its own, a reason, and a scene', () => {
  expect(RULES.length).toBeGreaterThanOrEqual(80);
  expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
  for (const rule of RULES) expect(rule.why.length).toBeGreaterThan(20);
  expect(Object.keys(SPEAKS).sort()).toEqual(RULES.map((r) => r.id).sort());
  expect(RULE_GROUPS.flatMap((g) => g.rules)).toHaveLength(RULES.length);
});

test('the quiet chart is quiet', () =>
  expect(reviewChart(QUIET, KIT).map((f) => `${f.rule}: ${f.message}`)).toEqual([]));

test.each(Object.keys(SPEAKS))('%s speaks', (rule) =>
  expect(sceneOf(rule).found.map((f) => f.rule)).toContain(rule),
);

test('every fix mends what it is for', () => {
  let fixes = 0;
  for (const rule of Object.keys(SPEAKS)) {
    const { chart, kit, found } = sceneOf(rule);
    const fixable = found.filter((f) => f.rule === rule && f.fix);
    if (fixable.length === 0) continue;
    fixes++;
    const mended = reviewChart(fixable[0]!.fix!.apply(chart), kit);
    expect({ rule, left: mended.filter((f) => f.rule === rule).length }).toEqual({
      rule,
      left: found.filter((f) => f.rule === rule).length - 1,
    });
  }
  expect(fixes).toBeGreaterThan(12);
});

test('a base goes round the eyes: what lies on them does not disagree with it', () => {
  const brow = {
    ...STEPS.brow,
    use: [{ ...STEPS.brow.use[0]!, product: { ...STEPS.brow.use[0]!.product, family: 'wax' as const } }],
  };
  const rest = QUIET.steps.filter((s) => s.id !== brow.id);
  const at = rest.findIndex((s) => s.role === 'base');
  const eyesFirst: Chart = { ...QUIET, steps: [...rest.slice(0, at), brow, ...rest.slice(at)] };
  expect(reviewChart(eyesFirst, KIT).map((f) => f.rule)).not.toContain('family-conflict');
});

test('what is noted of one side only is found, and mended, on that side only', () => {
  const uneven = { right: { narrowTemples: true, lines: ['crow’s feet' as const] } };
  const forehead = withFeatures(
    uneven,
    withStep('contour', { placements: [{ guide: 'foreheadContour', side: 'both' }] }),
  );
  const [temples] = reviewChart(forehead, KIT).filter((f) => f.rule === 'narrow-temples');
  expect(temples!.message).toContain('client’s right temple');
  expect(temples!.fix!.apply(forehead).steps.find((s) => s.role === 'contour')!.placements).toEqual([
    { guide: 'foreheadContour', side: 'left' },
  ]);
  const wedge = (side: 'left' | 'right') =>
    withFeatures(uneven, withStep('conceal', { placements: [{ guide: 'outerWedge', side }] }));
  const rules = (chart: Chart) => reviewChart(chart, KIT).map((f) => f.rule);
  expect(rules(wedge('right'))).toContain('wedge-on-crows-feet');
  expect(rules(wedge('left'))).not.toContain('wedge-on-crows-feet');
});

test.each(['patch-test', 'unknown-ingredients', 'allergen'])(
  'where nothing is to be minded, %s has nothing to say',
  (rule) => {
    const { chart, kit } = sceneOf(rule);
    const told = (sensitivities: readonly string[]): string[] =>
      reviewChart({ ...chart, client: { ...chart.client, sensitivities: [...sensitivities] } }, kit)
        .filter((finding) => finding.rule === rule)
        .map(({ message }) => message);
    const some = told(chart.client.sensitivities);
    expect(some.length).toBeGreaterThan(0);
    expect(told(['none', 'No known allergies'])).toEqual([]);
    // Beside something that is, it is not read out.
    expect(told(['none', ...chart.client.sensitivities])).toEqual(some);
  },
);

test('what several steps take out of one unit is added up, to the mg, and what is done takes no more', () => {
  const needs = PRODUCTS.powder.mgPerMeasure;
  const twice = added(extra('Powder again', 'set', 'powder', PRODUCTS.powder, ['zone.chin']), 'brow');
  const left = (remainingMg: number, chart: Chart): string[] =>
    reviewChart(chart, {
      ...KIT,
      units: KIT.units.map((u) => (u.productId === PRODUCTS.powder.id ? { ...u, remainingMg } : u)),
    })
      .filter(({ rule }) => rule === 'not-enough')
      .map(({ message }) => message.slice(message.indexOf(' has ')));
  expect(left(2 * needs, twice)).toEqual([]);
  expect(left(2 * needs - 1, twice)).toEqual([
    ` has ${2 * needs - 1} mg left; ${needs} are needed, after ${needs} in earlier steps.`,
  ]);
  expect(left(needs - 1, twice)).toEqual([
    ` has ${needs - 1} mg left; ${needs} are needed.`,
    ` has ${needs - 1} mg left; ${needs} are needed, after ${needs} in earlier steps.`,
  ]);
  const [first] = twice.steps.filter(({ role }) => role === 'powder');
  const worked = {
    ...twice,
    steps: twice.steps.map((s) =>
      s === first
        ? { ...s, done: { by: 'Ada', at: '2031-05-14T09:30:00Z', ticked: true, deviations: [] } }
        : s,
    ),
  };
  expect(left(needs, worked)).toEqual([]);
});

test('mascara and bands are found on lash extensions only, each by itself, and left out on request', () => {
  const band = added(extra('Lash band', 'lashes', 'lash', PRODUCTS.lashes, ['lashes']), 'liner');
  for (const lashes of ['full', 'sparse', 'straight', undefined] as const)
    expect(
      reviewChart(withFeatures(lashes ? { lashes } : {}, band), KIT).map(({ rule }) => rule),
    ).not.toContain('lash-extensions');
  const worn = withFeatures({ lashes: 'extensions' }, band);
  const found = reviewChart(worn, KIT).filter(({ rule }) => rule === 'lash-extensions');
  expect(found.map(({ message }) => message)).toEqual([
    'Mascara: lash extensions are worn.',
    'Lash band: lash extensions are worn.',
  ]);
  const mended = found.reduce((chart, { fix }) => fix!.apply(chart), worn);
  expect(mended.steps.filter(({ role }) => role === 'lash')).toEqual([]);
  expect(mended.steps).toHaveLength(worn.steps.length - 2);
});

test('a colour is unread where the kind has one: a clear powder, gloss or spray is none', () => {
  const told = (name: Name, more: Partial<Product>): string[] => {
    const { chart, kit } = other(name, more);
    return reviewChart(chart, kit)
      .filter(({ rule }) => rule === 'colour-not-read')
      .map(({ message }) => message);
  };
  expect(told('powder', { lab: null })).toEqual([]);
  expect(told('brow', { lab: null })).toEqual([]);
  expect(told('lip', { lab: null, coverage: 'sheer' })).toEqual([]);
  for (const name of ['base', 'conceal', 'contour', 'blush', 'highlight', 'eye', 'lip'] as const)
    expect([name, told(name, { lab: null }).length]).toEqual([name, 1]);
  expect(told('blush', { lab: null })[0]).toContain('in blush: the colour is not read');
});

test('gravest first; a studio grades a rule otherwise or switches it off', () => {
  const { chart, kit } = sceneOf('allergen');
  const both = reviewChart({ ...chart, steps: chart.steps.filter((x) => x.phase !== 'clean') }, kit);
  expect(both[0]!.rule).toBe('allergen');
  expect(reviewChart(chart, kit, { allergen: 'off' })).toEqual([]);
  expect(reviewChart(chart, kit, { allergen: 'note' })[0]!.severity).toBe('note');
});

test('an accepted finding keeps its reason and steps back', () => {
  const { chart, kit } = sceneOf('heavy-base');
  const [finding] = reviewChart(chart, kit);
  const accepted = acceptFinding(chart, finding!, 'Stage light');
  expect(reviewChart(accepted, kit)[0]).toMatchObject({ rule: 'heavy-base', accepted: 'Stage light' });
  expect(acceptFinding(accepted, finding!, 'Stage light, far away').findings).toHaveLength(1);
});

describe('hours judged by evidence', () => {
  const day = (hoursToLast: number, chart = QUIET): Chart => ({
    ...chart,
    occasion: { ...chart.occasion, hoursToLast },
  });
  const found = (wears: readonly WearGroup[], chart = day(8), grades = {}) =>
    reviewChart(chart, KIT, grades, wears).filter((f) => f.rule === 'holds-the-hours');

  test.each([
    [0, []],
    [2, []],
    [3, ['caution']],
    [20, ['caution']],
  ])('%i wears that failed say %j', (count, says) => {
    expect(found(count === 0 ? [] : failing(count)).map((f) => f.severity)).toEqual(says);
  });

  test('where it may as well hold it whispers', () => {
    const mixed = [...failing(3), ...failing(2, { good: 9, bad: null })];
    expect(found(mixed).map((f) => f.severity)).toEqual(['note']);
  });

  test('what held is silent, however long it was watched; and so is another line, or another zone', () => {
    expect(found(failing(20, { good: 10, bad: null }))).toEqual([]);
    expect(found(failing(20, { worn: 'Something else' }))).toEqual([]);
    // Failing late is no matter for a short day.
    expect(found(failing(20, { good: 9, bad: 10 }), day(4))).toEqual([]);
    expect(found(failing(20, { good: 5, bad: 6 }), day(10))).toHaveLength(1);
  });

  test('it says how many, how sure, and when to touch up; the studio’s own grade wins', () => {
    const [one] = found(failing(12, { skin: 'normal', climate: 'mild' }));
    expect(one!.message).toMatch(
      /nose, to 8 h: holds on about \d of 10 such days \(\d to \d\): 12 wears of it looked at\. Something longer-wearing, or a touch-up near \d h\.$/,
    );
    expect(found(failing(12), day(8), { 'holds-the-hours': 'stop' })[0]!.severity).toBe('stop');
    expect(found(failing(12), day(8), { 'holds-the-hours': 'off' })).toEqual([]);
  });

  test('of one step evidence and the usual never both speak', () => {
    const long = day(12, without('spray'));
    const rules = (wears: readonly WearGroup[]) => reviewChart(long, KIT, {}, wears).map((f) => f.rule);
    expect(rules([])).toContain('no-spray-for-long');
    expect(rules(failing(2))).toContain('no-spray-for-long');
    const spoken = rules(failing(12));
    expect(spoken).toContain('holds-the-hours');
    expect(spoken).not.toContain('no-spray-for-long');
  });
});

describe('a base on a face of more than one colour', () => {
  const two = { ...skin, forehead: [46, 12, 15] as Lab, chin: [48, 12, 16] as Lab };
  const onTwo = (chart: Chart, of: Record<string, Lab> = two): string[] =>
    reviewChart({ ...chart, client: { ...chart.client, skin: of } }, KIT)
      .filter(({ rule }) => rule === 'face-apart')
      .map(({ message }) => message);
  const at = (...placed: Guide[]): Step['placements'] => placed.map((guide) => ({ guide, side: 'both' }));
  const correct = (...placed: Guide[]): Step => ({
    ...STEPS.conceal,
    id: id(990),
    title: 'Correct',
    role: 'correct',
    placements: at(...placed),
  });

  test('says which parts, how far and which way', () => {
    const [said, ...more] = onTwo(QUIET);
    expect(more).toEqual([]);
    expect(said).toMatch(
      /is one shade: from what it is matched to the forehead is \d+\.\d deeper, the chin \d+\.\d deeper\.$/,
    );
    expect(onTwo(QUIET, skin)).toEqual([]);
    expect(onTwo(QUIET, { ...skin, forehead: [80, 6, 16] })[0]).toMatch(/the forehead is \d+\.\d lighter\.$/);
    expect(onTwo(QUIET, { ...skin, cheek: [60, 30, 16] })[0]).toMatch(/the cheek is \d+\.\d redder\.$/);
  });

  test('what is corrected first, or has a shade of its own, is met; the rest is still said', () => {
    const [first, ...rest] = QUIET.steps;
    const chart = (...more: Step[]): Chart => ({ ...QUIET, steps: [first!, ...more, ...rest] });
    expect(onTwo(chart(correct('zone.foreheadCentre', 'zone.chin')))).toEqual([]);
    expect(onTwo(chart(correct('zone.chin')))[0]).toMatch(/the forehead is \d+\.\d deeper\.$/);
    const edge = {
      ...STEPS.base,
      id: id(991),
      title: 'Edge',
      placements: at('zone.foreheadCentre', 'zone.chin'),
    };
    expect(onTwo(chart(edge)).filter((said) => said.startsWith(STEPS.base.title))).toEqual([]);
  });

  test('two layers over the whole face meet no part of it; said once, of what is left under both', () => {
    const again = { ...STEPS.base, id: id(992), title: 'Once more' };
    const twice = { ...QUIET, steps: QUIET.steps.flatMap((s) => (s.role === 'base' ? [s, again] : [s])) };
    const said = reviewChart({ ...twice, client: { ...twice.client, skin: two } }, KIT).filter(
      ({ rule }) => rule === 'face-apart',
    );
    expect(said.map(({ stepIds }) => stepIds)).toEqual([[STEPS.base.id, again.id]]);
  });

  test('what the base covers is not seen, what it lets through is', () => {
    const covered = (coverage: 'sheer' | 'full', doseMgPerCm2: number): Chart =>
      withStep('base', { use: use({ ...PRODUCTS.base, coverage }), doseMgPerCm2 });
    expect(onTwo(covered('sheer', 0.3))).toHaveLength(1);
    expect(onTwo(covered('full', 6))).toEqual([]);
  });

  test('without a base, without a reading, or where the base does not lie, there is nothing to say', () => {
    expect(onTwo(without('base'))).toEqual([]);
    expect(onTwo(QUIET, {})).toEqual([]);
    expect(onTwo(withStep('base', { placements: at('zone.apple') }))).toEqual([]);
  });
});
