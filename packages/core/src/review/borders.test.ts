import { deltaE2000, shiftDepth, type Lab } from '../colour';
import { TEXTURES, type Product } from '../kit';
import type { Chart, Step } from '../look';
import { reviewChart } from '.';
import {
  added,
  DEEP,
  extra,
  FAIR,
  KIT,
  onSkin,
  other,
  PRODUCTS,
  QUIET,
  scene,
  SKIN,
  STEPS,
  twoLips,
  twoShadows,
  use,
  withFeatures,
  without,
  withStep,
  type Guide,
  type Scene,
} from './review.testing';

/*
 * Both sides of what a rule counts: the trade's numbers written down a second time, as far from each other as
 * tells which side is which.
 */
const speaks = (rule: string, { chart, kit }: Scene): boolean =>
  reviewChart(chart, kit).some((f) => f.rule === rule);
const said = (rule: string, { chart, kit }: Scene): readonly string[] =>
  reviewChart(chart, kit)
    .filter((f) => f.rule === rule)
    .map(({ message }) => message);
const one = (chart: Chart): Scene => scene(chart);
const minutesOf = (chart: Chart): number =>
  chart.steps.reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, 0);
const day = (hoursToLast: number, chart = QUIET): Chart => ({
  ...chart,
  occasion: { ...chart.occasion, hoursToLast },
});
const hued = ([L, a, b]: Lab, turn: number): Lab => {
  const angle = Math.atan2(b, a) + (turn * Math.PI) / 180;
  const chroma = Math.hypot(a, b);
  return [L, chroma * Math.cos(angle), chroma * Math.sin(angle)];
};
const liner = (lab: Lab): Scene => other('liner', { lab: [...lab] });
const FILL: Lab = [52, 26, 16];
const airbrushed = (more: Partial<Step> = {}): Chart =>
  withStep('base', { tool: 'airbrush', passes: 3, doseMgPerCm2: 0.2, ...more });
const after = (more: Partial<Step>): Scene => one(withStep('conceal', more, airbrushed()));
const lids = (more: Partial<Product>): Scene => other('eye', more);
const minutes = (total: number): Scene =>
  one(withStep('eye', { handsOnMinutes: STEPS.eye.handsOnMinutes + total - minutesOf(QUIET) }));

const OLIVE: Lab = shiftDepth(SKIN, 0, { undertone: 'olive' });
const olive = (lab: Lab): Scene => {
  const made = other('eye', { lab: [...lab], finish: 'shimmer' });
  return { ...made, chart: onSkin(OLIVE, made.chart) };
};
const lipBy = (steps: number, turn = 0, meant = 4): Scene =>
  twoLips({ lab: [...hued(shiftDepth(PRODUCTS.lip.lab!, steps), turn)] }, meant);
const socketBy = (steps: number, turn = 0, meant = 4): Scene => {
  const [L, a, b] = PRODUCTS.shadow.lab!;
  return twoShadows({ lab: [...hued(shiftDepth([L, a, b], steps), turn)] }, meant);
};
const light = (steps: number, features: Parameters<typeof withFeatures>[0]): Scene => {
  const made = other('highlight', { lab: [...shiftDepth(SKIN, -steps)] });
  return { ...made, chart: withFeatures(features, made.chart) };
};
const painted = (coverage: Product['coverage']): Scene => {
  const made = other('base', { coverage });
  return { ...made, chart: { ...made.chart, schools: { ...made.chart.schools, contour: 'under base' } } };
};

/** Two bases, each of so much, where they are said to lie. */
const stacked = (
  first: number,
  second: number,
  under: Guide[] = ['zone.wholeFace', 'zone.neck'],
  over: Guide[] = ['zone.chin'],
): Chart =>
  added(
    extra('Second base', 'base', 'base', PRODUCTS.base, over, { doseMgPerCm2: second }),
    'conceal',
    withStep('base', {
      doseMgPerCm2: first,
      placements: under.map((guide) => ({ guide, side: 'both' as const })),
    }),
  );
/** A water base over a primer of silicone that does not wait, with so many minutes of brows between. */
const meanwhile = (handsOnMinutes: number): Scene =>
  other(
    'base',
    { family: 'water' },
    {},
    added(
      extra('Brows first', 'brows', 'brow', PRODUCTS.brow, ['brow'], { handsOnMinutes }),
      'base',
      withStep('primer', { waitMinutes: 0 }),
    ),
  );
/** A care of a family on the whole face, and over it a primer of silicone where it is said. */
const layered = (primed: Guide[], family: Product['family']): Scene => {
  const prep = { ...PRODUCTS.prep, family };
  const chart = added(
    extra('Moisturise', 'prep', 'care', prep, ['zone.wholeFace', 'zone.neck'], { waitMinutes: 5 }),
    'primer',
    withStep('primer', {
      placements: primed.map((guide) => ({ guide, side: 'both' as const })),
      phase: 'prep',
    }),
  );
  return scene(chart, { ...KIT, products: KIT.products.map((p) => (p.id === prep.id ? prep : p)) });
};
/** Moisturised before the primer. */
const cared = (more: Partial<Step>): Chart =>
  added(extra('Moisturise', 'prep', 'care', PRODUCTS.prep, ['zone.wholeFace'], more), 'primer');
/** A face whose neck is another colour, its base on the face alone, and something more on the neck. */
const onNeck = (role: Step['role'], laid: Product): Chart => {
  const from = withStep('base', { placements: [{ guide: 'zone.wholeFace', side: 'both' }] });
  return added(
    extra('Neck', role === 'base' ? 'base' : 'prep', role, laid, ['zone.neck'], { waitMinutes: 3 }),
    role === 'base' ? 'conceal' : 'primer',
    { ...from, client: { ...from.client, skin: { ...from.client.skin, neck: [...shiftDepth(SKIN, 3)] } } },
  );
};
/** A paler, duller concealer over a shadow, with a corrector at a place before a step. */
const greyed = (place: Guide, before: 'conceal' | 'contour'): Scene => {
  const shadow: Lab = [SKIN[0] - 6, SKIN[1], SKIN[2] - 8];
  const from = added(extra('Correct', 'correct', 'correct', PRODUCTS.prep, [place]), before, {
    ...QUIET,
    client: { ...QUIET.client, skin: { ...QUIET.client.skin, underEye: shadow } },
  });
  return other('conceal', { lab: [68, 6, 9], coverage: 'medium' }, { doseMgPerCm2: 0.8 }, from);
};

const powdered = (guides: Guide[]): Scene =>
  one(withStep('powder', { placements: guides.map((guide) => ({ guide, side: 'both' as const })) }));
const oilyAnd = ({ chart, kit }: Scene): Scene => scene(withFeatures({ oily: ['forehead'] }, chart), kit);
const loose = (guides: Guide[]): Scene =>
  other(
    'highlight',
    { texture: 'loose', finish: 'shimmer' },
    { placements: guides.map((guide) => ({ guide, side: 'both' as const })) },
    withFeatures({ lenses: true }),
  );
const primed = (guides: Guide[], more: Partial<Product> = {}): Scene =>
  other(
    'primer',
    more,
    { placements: guides.map((guide) => ({ guide, side: 'both' as const })) },
    withFeatures({ oily: ['forehead'] }),
  );
const dewy = (oily: Chart['client']['features']['oily']): Scene =>
  other('base', { finish: 'dewy' }, {}, withFeatures({ oily }));
const glued = (waitMinutes: number): Scene =>
  one(added(extra('Band', 'eyes', 'lash', PRODUCTS.lashes, ['lashes'], { waitMinutes }), 'liner'));
const softly = (conditions: NonNullable<Chart['occasion']['conditions']>): Scene => {
  const made = other('spray', { finish: 'dewy' });
  return {
    ...made,
    chart: { ...made.chart, occasion: { ...made.chart.occasion, hoursToLast: 7, conditions } },
  };
};
const templed = (role: 'bronze' | 'contour'): Scene => {
  const laid = role === 'bronze' ? PRODUCTS.bronzer : PRODUCTS.contour;
  return one(
    withFeatures(
      { narrowTemples: true },
      added(extra('Temples', 'sculpt', role, laid, ['zone.temple']), 'blush'),
    ),
  );
};
/** A contour of two guides, each on a side. */
const sided = ([cheek, again]: readonly ['left', 'left' | 'right']): Scene =>
  one(
    withStep('contour', {
      placements: [
        { guide: 'cheekContour', side: cheek },
        { guide: 'cheekContour', side: again, params: { liftMm: 1 } },
      ],
    }),
  );
/** A contour on the left, and another step of its kind on a side. */
const beside = (side: 'left' | 'right'): Scene =>
  one(
    added(
      {
        ...extra('Contour again', 'sculpt', 'contour', PRODUCTS.contour, []),
        placements: [{ guide: 'cheekContour', side }],
      },
      'blush',
      withStep('contour', { placements: [{ guide: 'cheekContour', side: 'left' }] }),
    ),
  );
const drawn = (side: 'both' | 'right'): Scene => {
  const outline: [number, number][] = [
    [30, 20],
    [45, 15],
    [50, 25],
  ];
  return one(withStep('blush', { placements: [{ outline, featherMm: 4, side }] }));
};

type Case = readonly [rule: string, what: string, quiet: () => Scene, found: () => Scene];
const CASES: readonly Case[] = [
  [
    'heavy-base',
    '1.5 mg/cm2',
    () => one(withStep('base', { doseMgPerCm2: 1.5 })),
    () => one(withStep('base', { doseMgPerCm2: 1.51 })),
  ],
  [
    'heavy-base',
    'twice 0.75 mg/cm2',
    () => one(withStep('base', { doseMgPerCm2: 0.75, passes: 2 })),
    () => one(withStep('base', { doseMgPerCm2: 0.76, passes: 2 })),
  ],
  [
    'heavy-base',
    'two bases on one another, 1.5 mg/cm2',
    () => one(stacked(0.9, 0.6)),
    () => one(stacked(0.9, 0.61)),
  ],
  [
    'heavy-base',
    'two bases beside one another',
    () => one(stacked(0.9, 0.9, ['zone.neck'], ['zone.wholeFace'])),
    () => one(stacked(0.9, 0.9, ['zone.chin'], ['zone.wholeFace'])),
  ],
  [
    'thick-powder-on-lines',
    'two minutes of sitting',
    () => one(withFeatures({ dry: true }, withStep('powder', { waitMinutes: 1.9 }))),
    () => one(withFeatures({ dry: true }, withStep('powder', { waitMinutes: 2 }))),
  ],
  [
    'thick-powder-on-lines',
    '0.8 mg/cm2',
    () => one(withFeatures({ age: 'mature' }, withStep('powder', { doseMgPerCm2: 0.8 }))),
    () => one(withFeatures({ age: 'mature' }, withStep('powder', { doseMgPerCm2: 0.41, passes: 2 }))),
  ],
  [
    'thick-powder-on-lines',
    'neither dry nor lined',
    () => one(withStep('powder', { waitMinutes: 5, doseMgPerCm2: 2 })),
    () => one(withFeatures({ dry: true }, withStep('powder', { waitMinutes: 5 }))),
  ],
  [
    'set-too-late',
    '25 minutes of other work',
    () => one(withStep('contour', { handsOnMinutes: 21 })),
    () => one(withStep('contour', { handsOnMinutes: 21.5 })),
  ],
  [
    'set-too-late',
    'waits count',
    () => one(withStep('contour', { handsOnMinutes: 11, waitMinutes: 10 })),
    () => one(withStep('contour', { handsOnMinutes: 11, waitMinutes: 11 })),
  ],
  ['airbrush-passes', 'three', () => one(airbrushed()), () => one(airbrushed({ passes: 2 }))],
  ['airbrush-passes', 'six', () => one(airbrushed({ passes: 6 })), () => one(airbrushed({ passes: 7 }))],
  [
    'airbrush-passes',
    'by hand',
    () => one(withStep('base', { passes: 1 })),
    () => one(airbrushed({ passes: 1 })),
  ],
  [
    'family-conflict',
    'two minutes of settling',
    () => other('base', { family: 'water' }, {}, withStep('primer', { waitMinutes: 2 })),
    () => other('base', { family: 'water' }, {}, withStep('primer', { waitMinutes: 1.9 })),
  ],
  [
    'set-too-late',
    'a powder of lids sets no concealer',
    () => powdered(['zone.foreheadCentre']),
    () => powdered(['zone.mobileLid']),
  ],
  [
    'not-set-on-oily',
    'nor does it set skin',
    () => oilyAnd(powdered(['zone.foreheadCentre'])),
    () => oilyAnd(powdered(['zone.mobileLid'])),
  ],
  [
    'not-for-eyes',
    'by where it lies, whatever layer it is',
    () => primed(['zone.foreheadCentre', 'zone.underEye'], { eyeSafe: false }),
    () => primed(['zone.foreheadCentre', 'zone.mobileLid'], { eyeSafe: false }),
  ],
  [
    'not-for-eyes',
    'what is meant for them',
    () => primed(['lid'], { eyeSafe: true }),
    () => primed(['lid'], { eyeSafe: false }),
  ],
  [
    'lenses',
    'what sheds fibres, by whatever name',
    () => other('mascara', { ingredients: ['nylon-12'] }, {}, withFeatures({ lenses: true })),
    () => other('mascara', { ingredients: ['rayon'] }, {}, withFeatures({ lenses: true })),
  ],
  [
    'tool-off-product',
    'a finger takes a cream',
    () => other('blush', { texture: 'cream' }, { tool: 'finger' }),
    () => other('blush', { texture: 'loose' }, { tool: 'finger' }),
  ],
  [
    'tool-off-product',
    'an airbrush sprays what is liquid',
    () => other('base', { texture: 'liquid' }, { tool: 'airbrush' }),
    () => other('base', { texture: 'cream' }, { tool: 'airbrush' }),
  ],
  [
    'lenses',
    'loose shimmer on the lids by any layer',
    () => loose(['cheekboneLight']),
    () => loose(['lidCentre']),
  ],
  [
    'no-primer-on-oily',
    'a primer of lids is none of the forehead',
    () => primed(['zone.foreheadCentre']),
    () => primed(['zone.mobileLid']),
  ],
  [
    'no-primer-on-oily',
    'a primer that shines holds no shine back',
    () => primed(['zone.wholeFace'], { finish: 'satin' }),
    () => primed(['zone.wholeFace'], { finish: 'shimmer' }),
  ],
  [
    'dewy-base-on-oily',
    'two places of the skin, lids not counted',
    () => dewy(['lids', 'nose']),
    () => dewy(['nose', 'chin']),
  ],
  ['glue-not-tacky', 'wherever in the order', () => glued(0.5), () => glued(0.49)],
  ['hydrating-spray-for-long', 'a hot day', () => softly([]), () => softly(['heat'])],
  ['narrow-temples', 'by a zone too, and a contour alone', () => templed('bronze'), () => templed('contour')],
  [
    'mirror-check',
    'two places on one side are one side',
    () => sided(['left', 'right']),
    () => sided(['left', 'left']),
  ],
  [
    'mirror-check',
    'the like of it on the other side, by another step',
    () => beside('right'),
    () => beside('left'),
  ],
  ['mirror-check', 'what is drawn by hand', () => drawn('both'), () => drawn('right')],
  ['family-conflict', 'what is done meanwhile is a wait', () => meanwhile(2), () => meanwhile(1.9)],
  [
    'family-conflict',
    'a primer in places does not keep the base from what lies beside it',
    () => layered(['zone.wholeFace', 'zone.neck'], 'oil'),
    () => layered(['zone.noseBridge'], 'oil'),
  ],
  [
    'family-conflict',
    'nor one of the base’s own family on all of it',
    () => layered(['zone.noseBridge'], 'silicone'),
    () => layered(['zone.foreheadCentre'], 'oil'),
  ],
  [
    'wet-on-wet',
    'a moisturiser, three minutes',
    () => one(cared({ waitMinutes: 3 })),
    () => one(cared({ waitMinutes: 2.9 })),
  ],
  [
    'wet-on-wet',
    'what cleans comes off again',
    () => one(cared({ phase: 'clean', waitMinutes: 0 })),
    () => one(cared({ waitMinutes: 0 })),
  ],
  [
    'wet-on-wet',
    'a balm for lips alone',
    () => one(cared({ waitMinutes: 0, placements: [{ guide: 'lips', side: 'both' }] })),
    () =>
      one(
        cared({
          waitMinutes: 0,
          placements: [
            { guide: 'lips', side: 'both' },
            { guide: 'zone.wholeFace', side: 'both' },
          ],
        }),
      ),
  ],
  [
    'base-off-neck',
    'carried down by a base, not by what cares for the neck',
    () => one(onNeck('base', PRODUCTS.base)),
    () => one(onNeck('care', PRODUCTS.prep)),
  ],
  [
    'grey-cast',
    'a corrector under it, under the eye',
    () => greyed('zone.underEye', 'conceal'),
    () => greyed('zone.noseSide', 'conceal'),
  ],
  [
    'grey-cast',
    'a corrector before it, not after',
    () => greyed('zone.underEye', 'conceal'),
    () => greyed('zone.underEye', 'contour'),
  ],
  [
    'shared-tools',
    'a wand of its own, not the tube’s',
    () => one(withStep('mascara', { tool: 'spoolie' })),
    () => one(withStep('mascara', { tool: 'none' })),
  ],
  [
    'shared-tools',
    'a lip by brush, not from the bullet',
    () => one(withStep('lip', { tool: 'small brush' })),
    () => one(withStep('lip', { tool: 'none' })),
  ],
  [
    'shared-tools',
    'a pencil is sharpened',
    () => other('lip', { texture: 'pencil' }, { tool: 'none' }),
    () => other('lip', { texture: 'liquid' }, { tool: 'none' }),
  ],
  [
    'family-conflict',
    'oil, however long',
    () => other('primer', { family: 'silicone' }, { waitMinutes: 1 }),
    () => other('primer', { family: 'oil' }, { waitMinutes: 20 }),
  ],
  [
    'wet-on-wet',
    'two minutes on primer',
    () => one(withStep('primer', { waitMinutes: 2 })),
    () => one(withStep('primer', { waitMinutes: 1.9 })),
  ],
  [
    'wet-on-wet',
    'what is done elsewhere meanwhile',
    () =>
      one(
        added(
          extra('Brow first', 'brows', 'brow', PRODUCTS.brow, ['brow'], { handsOnMinutes: 1 }),
          'base',
          withStep('primer', { waitMinutes: 1 }),
        ),
      ),
    () =>
      one(
        added(
          extra('Brow first', 'brows', 'brow', PRODUCTS.brow, ['brow'], { handsOnMinutes: 0.9 }),
          'base',
          withStep('primer', { waitMinutes: 1 }),
        ),
      ),
  ],
  [
    'glue-not-tacky',
    'half a minute',
    () =>
      one(added(extra('Band', 'lashes', 'lash', PRODUCTS.lashes, ['lashes'], { waitMinutes: 0.5 }), 'liner')),
    () =>
      one(added(extra('Band', 'lashes', 'lash', PRODUCTS.lashes, ['lashes'], { waitMinutes: 0.4 }), 'liner')),
  ],
  [
    'many-measures',
    'forty',
    () => one(withStep('blush', { use: STEPS.blush.use.map((u) => ({ ...u, parts: 40 })) })),
    () => one(withStep('blush', { use: STEPS.blush.use.map((u) => ({ ...u, parts: 40.5 })) })),
  ],
  [
    'no-dose',
    'any dose',
    () => one(withStep('blush', { doseMgPerCm2: 0.01 })),
    () => one(withStep('blush', { doseMgPerCm2: 0 })),
  ],
  ['long-in-the-chair', 'two hours', () => minutes(120), () => minutes(120.5)],
  [
    'hydrating-spray-for-long',
    'ten hours',
    () => other('spray', { finish: 'dewy' }, {}, day(9.5)),
    () => other('spray', { finish: 'dewy' }, {}, day(10)),
  ],
  [
    'hydrating-spray-for-long',
    'one that holds',
    () => other('spray', { finish: 'natural' }, {}, day(12)),
    () => other('spray', { finish: 'dewy' }, {}, day(12)),
  ],
  [
    'lip-for-long',
    'four hours of wear',
    () => other('lip', { wearHours: 4, transferProof: false }),
    () => other('lip', { wearHours: 3.5, transferProof: false }),
  ],
  [
    'lip-for-long',
    'what leaves no trace',
    () => other('lip', { wearHours: 2, transferProof: true }),
    () => other('lip', { wearHours: 2, transferProof: false }),
  ],
  [
    'lip-for-long',
    'six hours, without a meal',
    () =>
      other(
        'lip',
        { wearHours: 2, transferProof: false },
        {},
        { ...day(5.5), occasion: { ...day(5.5).occasion, kind: 'trial' } },
      ),
    () =>
      other(
        'lip',
        { wearHours: 2, transferProof: false },
        {},
        { ...day(6), occasion: { ...day(6).occasion, kind: 'trial' } },
      ),
  ],
  [
    'lip-for-long',
    'what is packed',
    () => other('lip', { wearHours: 2, transferProof: false }, { note: 'Packed for touch-ups.' }),
    () => other('lip', { wearHours: 2, transferProof: false }, { note: 'Packed.' }),
  ],
  ['metals-on-olive', 'gold', () => olive([60, 3, 20]), () => olive([60, 1, 5])],
  ['metals-on-olive', 'a colour of chroma 8', () => olive([60, 0, 8.1]), () => olive([60, 0, 7.9])],
  [
    'metals-on-olive',
    'hues to green',
    () => olive(hued([60, 12, 0], 149)),
    () => olive(hued([60, 12, 0], 151)),
  ],
  [
    'metals-on-olive',
    'hues from pink',
    () => olive(hued([60, 12, 0], 351)),
    () => olive(hued([60, 12, 0], 349)),
  ],
  [
    'liner-off-lip',
    '1.2 steps lighter',
    () => liner(shiftDepth(FILL, -1.15)),
    () => liner(shiftDepth(FILL, -1.25)),
  ],
  [
    'liner-off-lip',
    '3 steps deeper',
    () => liner(shiftDepth(FILL, 2.95)),
    () => liner(shiftDepth(FILL, 3.05)),
  ],
  ['liner-off-lip', '38 degrees yellower', () => liner(hued(FILL, 37)), () => liner(hued(FILL, 39))],
  ['liner-off-lip', '38 degrees bluer', () => liner(hued(FILL, -37)), () => liner(hued(FILL, -39))],
  ['liner-off-lip', 'no hue to speak of', () => liner([52, -8, 8]), () => liner([52, -9, 9])],
  ['eye-colours-alike', 'seven tenths of a step', () => socketBy(0.75), () => socketBy(0.65)],
  [
    'eye-colours-alike',
    'half a step lighter, of another colour',
    () => socketBy(-0.45, 90),
    () => socketBy(-0.55, 90),
  ],
  ['eye-colours-alike', 'as deep, of another colour', () => socketBy(0, 20), () => socketBy(0, 17)],
  ['lips-alike', 'seven tenths of a step', () => lipBy(0.75), () => lipBy(0.65)],
  ['lips-alike', 'half a step lighter, of another colour', () => lipBy(-0.45, 30), () => lipBy(-0.55, 30)],
  ['lips-alike', 'meant apart', () => lipBy(0, 0, 1.4), () => lipBy(0, 0, 1.6)],
  ['eye-colours-alike', 'meant apart', () => socketBy(0, 0, 1.4), () => socketBy(0, 0, 1.6)],
  [
    'contrast-of-light-on-lined',
    '4.8 steps',
    () => light(4.6, { age: 'mature' }),
    () => light(5, { age: 'mature' }),
  ],
  [
    'contrast-of-light-on-lined',
    'skin without lines',
    () => light(5.5, {}),
    () => light(5.5, { age: 'mature' }),
  ],
  ['eyes-first', 'a loose shadow', () => lids({ texture: 'pressed' }), () => lids({ texture: 'loose' })],
  [
    'eyes-first',
    'a shimmer of lightness 35',
    () => lids({ finish: 'shimmer', lab: [35, 8, 10] }),
    () => lids({ finish: 'shimmer', lab: [34.9, 8, 10] }),
  ],
  [
    'eyes-first',
    'a matte as dark',
    () => lids({ finish: 'matte', lab: [20, 8, 10] }),
    () => lids({ finish: 'shimmer', lab: [20, 8, 10] }),
  ],
  ['under-school-coverage', 'a light base', () => painted('light'), () => painted('medium')],
  ['under-school-coverage', 'a sheer base', () => painted('sheer'), () => painted('opaque')],
  [
    'under-school-coverage',
    'a contour over the base',
    () => other('base', { coverage: 'full' }),
    () => painted('full'),
  ],
  ['no-last-look', 'a last look', () => one(QUIET), () => one(without('spray'))],
];

test.each(CASES)(
  '%s: on one side of %s it is silent, on the other it speaks',
  (rule, _what, quiet, found) => {
    expect(speaks(rule, quiet())).toBe(false);
    expect(speaks(rule, found())).toBe(true);
  },
);

test('a base that stops at the jaw is told from five off the neck', () => {
  const base = STEPS.base.use[0]!.product.lab!;
  const stopped = withStep('base', { placements: [{ guide: 'zone.wholeFace', side: 'both' }] });
  const neck = (steps: number): Lab => shiftDepth([base[0], base[1], base[2]], steps);
  const found = (steps: number, chart = stopped): boolean =>
    speaks(
      'base-off-neck',
      one({ ...chart, client: { ...chart.client, skin: { ...chart.client.skin, neck: neck(steps) } } }),
    );
  for (let steps = 0.5; steps < 5; steps += 0.25)
    expect([steps, found(steps)]).toEqual([steps, deltaE2000([base[0], base[1], base[2]], neck(steps)) > 5]);
  expect(found(4.5)).toBe(true);
  // Carried down the neck it is met.
  expect(found(4.5, QUIET)).toBe(false);
});

test('what meets at a place is counted by passes, an airbrush’s thin ones six to a layer', () => {
  const most = (rule: string, of: (passes: number) => Scene): readonly [number, string] => {
    for (let passes = 1; passes < 30; passes++) {
      const [first] = said(rule, of(passes));
      if (first) return [passes, first];
    }
    return [0, ''];
  };
  const [, message] = most('too-many-layers', (passes) => one(withStep('base', { passes })));
  expect(message).toMatch(/^8 layers meet at .*; a place affords 7\.$/);
  const [hand] = most('too-many-layers', (passes) => one(withStep('base', { passes, doseMgPerCm2: 0.05 })));
  const [sprayed] = most('too-many-layers', (passes) =>
    one(withStep('base', { passes, doseMgPerCm2: 0.05, tool: 'airbrush' })),
  );
  expect(hand).toBeGreaterThan(2);
  expect(sprayed).toBe(0);
  const [, under] = most('too-many-layers-under-eye', (passes) => one(withStep('conceal', { passes })));
  expect(under).toContain('4 layers');
});

test('over an airbrushed base nothing is rubbed in, by whatever rubs; pressed, loose or sprayed it may lie', () => {
  const rubs = (more: Partial<Step>): boolean => speaks('rub-after-airbrush', after(more));
  for (const technique of ['buff', 'sweep'] as const) {
    expect(rubs({ technique })).toBe(true);
    for (const tool of ['loose brush', 'fan brush', 'airbrush'] as const)
      expect(rubs({ technique, tool })).toBe(false);
  }
  for (const technique of ['press', 'stipple', 'line'] as const) expect(rubs({ technique })).toBe(false);
  // Before it, or with nothing on the brush, there is nothing to rub.
  expect(speaks('rub-after-airbrush', one(withStep('primer', { technique: 'buff' }, airbrushed())))).toBe(
    false,
  );
  expect(rubs({ technique: 'buff', use: [] })).toBe(false);
  expect(speaks('rub-after-airbrush', one(withStep('conceal', { technique: 'buff' })))).toBe(false);
});

test('a sprayed contour is told where its flow is said and not turned down', () => {
  const sprayed = (more: Partial<Step>): boolean =>
    speaks(
      'airbrush-contour-flow',
      one(withStep('contour', { tool: 'airbrush', technique: 'spray', doseMgPerCm2: 0.1, ...more })),
    );
  expect(sprayed({ flow: 'fully open' })).toBe(true);
  expect(sprayed({ flow: 'turned down' })).toBe(false);
  expect(sprayed({})).toBe(false);
  expect(sprayed({ flow: 'fully open', tool: 'small brush' })).toBe(false);
});

test('eyes and brows after an airbrushed base are told together, before it not', () => {
  expect(said('eyes-after-airbrush', one(airbrushed()))).toEqual([
    '2 steps at eyes or brows come after the airbrushed base.',
  ]);
  const alone = { ...airbrushed(), steps: airbrushed().steps.filter((s) => s.id !== STEPS.brow.id) };
  expect(said('eyes-after-airbrush', one(alone))).toEqual([
    'A step at eyes or brows comes after the airbrushed base.',
  ]);
  const first = {
    ...airbrushed(),
    steps: [
      STEPS.eye,
      STEPS.brow,
      ...airbrushed().steps.filter((s) => s.id !== STEPS.eye.id && s.id !== STEPS.brow.id),
    ],
  };
  expect(said('eyes-after-airbrush', one(first))).toEqual([]);
});

test('more is taken than is needed where it is half as much again; what is counted out as asked is not', () => {
  const needs = STEPS.base;
  const taking = (parts: number) => one(withStep('base', { use: needs.use.map((u) => ({ ...u, parts })) }));
  const firing = [1, 2, 3, 4, 5, 6, 8, 10, 14, 20].map((parts) => speaks('more-than-needed', taking(parts)));
  expect(firing).toEqual([...firing].sort((a, b) => Number(a) - Number(b)));
  expect(firing.at(-1)).toBe(true);
  const [told] = said('more-than-needed', taking(20));
  const [planned, needed] = told!.match(/\d+/g)!.map(Number);
  expect(planned).toBe(20 * PRODUCTS.base.mgPerMeasure);
  const first = [1, 2, 3, 4, 5, 6, 8, 10, 14, 20][firing.indexOf(true)]!;
  expect(first * PRODUCTS.base.mgPerMeasure).toBeGreaterThan(1.5 * needed!);
  // Only of what is pumped out for the face.
  expect(
    speaks(
      'more-than-needed',
      one(withStep('blush', { use: STEPS.blush.use.map((u) => ({ ...u, parts: 30 })) })),
    ),
  ).toBe(false);
});

test('left and right differ where it is seen: over two millimetres on average', () => {
  const lifted = (liftMm: number): Chart =>
    withStep('contour', {
      placements: [
        { guide: 'cheekContour', side: 'left' },
        { guide: 'cheekContour', side: 'right', params: { liftMm } },
      ],
    });
  const mean = (liftMm: number): number => {
    const [message] = said('uneven-sides', one(lifted(liftMm)));
    return message === undefined ? 0 : Number(/by (\d+\.\d) mm/.exec(message)![1]);
  };
  expect(mean(0)).toBe(0);
  const found = [0, 1, 2, 3, 4, 5, 6, 8].map(mean);
  expect(found).toEqual([...found].sort((a, b) => a - b));
  for (const mm of found) expect(mm === 0 || mm >= 2).toBe(true);
  expect(found.filter((mm) => mm > 0).length).toBeGreaterThan(1);
  expect(found.filter((mm) => mm === 0).length).toBeGreaterThan(1);
  // Both sides as one are even by themselves.
  expect(speaks('uneven-sides', one(QUIET))).toBe(false);
});

test('a product that clashes names what it lies on, and a fix that settles it', () => {
  const chart = withStep('primer', { waitMinutes: 0.5 });
  const { chart: made, kit } = other('base', { family: 'water' }, {}, chart);
  const finding = reviewChart(made, kit).find((f) => f.rule === 'family-conflict')!;
  expect(finding.stepIds).toEqual([STEPS.primer.id, STEPS.base.id]);
  expect(finding.message).toContain('(water) goes on');
  const mended = finding.fix!.apply(made);
  expect(mended.steps.find((s) => s.id === STEPS.primer.id)!.waitMinutes).toBe(2);
  expect(speaks('family-conflict', { chart: mended, kit })).toBe(false);
});

test('where an oily zone is left out it is the powder of the skin that goes there too', () => {
  const lids = extra('Set the lids', 'eyes', 'powder', PRODUCTS.powder, ['zone.mobileLid']);
  const chart = withFeatures(
    { oily: ['nose', 'cheeks'] },
    added(lids, 'primer', withStep('primer', { placements: [{ guide: 'zone.chin', side: 'both' }] })),
  );
  const finding = reviewChart(chart, KIT).find((f) => f.rule === 'oily-zone-left-out')!;
  expect(finding.stepIds).not.toContain(lids.id);
  const mended = finding.fix!.apply(chart);
  expect(mended.steps.find(({ id }) => id === lids.id)).toEqual(lids);
  expect(speaks('oily-zone-left-out', one(mended))).toBe(false);
});

describe('powder before what sets the face', () => {
  const pressed = use({ ...PRODUCTS.blush, texture: 'pressed' });
  const both = (...guides: Guide[]): Step['placements'] => guides.map((guide) => ({ guide, side: 'both' }));
  const before = (more: Partial<Step>, set: Guide[], from = QUIET): Scene =>
    scene(withStep('blush', more, withStep('powder', { placements: both(...set) }, from)));
  const cheek = both('zone.apple');

  test.each(['blush', 'contour', 'bronze', 'highlight'] as const)(
    '%s in any powder, never in cream',
    (role) => {
      for (const texture of TEXTURES) {
        const laid = { role, placements: cheek, use: use({ ...PRODUCTS.blush, texture }) };
        const powder = texture === 'pressed' || texture === 'loose';
        expect([texture, speaks('powder-before-set', before(laid, ['zone.wholeFace']))]).toEqual([
          texture,
          powder,
        ]);
      }
    },
  );

  test('only where it is set: a quarter of the place and more', () => {
    const laid = { placements: both('blushLifted'), use: pressed };
    for (const set of ['zone.wholeFace', 'blushLifted'] as const)
      expect([set, speaks('powder-before-set', before(laid, [set]))]).toEqual([set, true]);
    for (const set of ['zone.noseSide', 'zone.underEye', 'zone.chin', 'zone.mobileLid'] as const)
      expect([set, speaks('powder-before-set', before(laid, [set]))]).toEqual([set, false]);
  });

  test('quiet on bare skin, after a first powder, on eyes, and where the setting powder has no product', () => {
    const laid = { placements: cheek, use: pressed };
    // Neither base nor cream beneath it.
    const moist: Step['role'][] = ['base', 'conceal', 'contour', 'highlight'];
    const bare = { ...QUIET, steps: QUIET.steps.filter(({ role }) => !moist.includes(role)) };
    expect(speaks('powder-before-set', before(laid, ['zone.wholeFace'], bare))).toBe(false);
    const first = added(extra('First', 'set', 'powder', PRODUCTS.powder, ['zone.wholeFace']), 'conceal');
    expect(speaks('powder-before-set', before(laid, ['zone.wholeFace'], first))).toBe(false);
    const elsewhere = added(extra('First', 'set', 'powder', PRODUCTS.powder, ['zone.chin']), 'conceal');
    expect(speaks('powder-before-set', before(laid, ['zone.wholeFace'], elsewhere))).toBe(true);
    expect(
      speaks(
        'powder-before-set',
        scene(withStep('powder', { use: [] }, before(laid, ['zone.wholeFace']).chart)),
      ),
    ).toBe(false);
  });

  test('its fix lays it after that powder, and there is nothing more to say', () => {
    const { chart, kit } = before({ placements: cheek, use: pressed }, ['zone.wholeFace']);
    const finding = reviewChart(chart, kit).find(({ rule }) => rule === 'powder-before-set')!;
    expect(finding.message).toBe('Blush is powder and goes on before powder.');
    const mended = finding.fix!.apply(chart);
    const titles = mended.steps.map((s) => s.title);
    expect(titles.indexOf('Blush')).toBe(titles.indexOf('Powder') + 1);
    expect(reviewChart(mended, kit).map(({ rule }) => rule)).not.toContain('powder-before-set');
  });
});

test('a clear powder is seen all the same: nothing on light skin, ash on deep skin', () => {
  const clear = { lab: null, line: 'Cloth', shade: 'translucent', texture: 'loose' } as const;
  const set = (skin: Lab, more: Partial<Product> = {}, doseMgPerCm2 = 0.5): Scene =>
    other('powder', { ...clear, ...more }, { doseMgPerCm2 }, onSkin(skin));
  expect(speaks('ashy-powder', set(FAIR))).toBe(false);
  expect(speaks('ashy-powder', set(SKIN))).toBe(false);
  expect(speaks('ashy-powder', set(DEEP))).toBe(true);
  // A breath of it is not seen.
  expect(speaks('ashy-powder', set(DEEP, {}, 0.1))).toBe(false);
  // Of what colour one is that says nothing nobody knows.
  expect(speaks('ashy-powder', set(DEEP, { shade: 'N2' }))).toBe(false);
});
