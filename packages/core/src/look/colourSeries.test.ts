import fc from 'fast-check';
import {
  chromaOf,
  deltaE2000,
  depthOf,
  hueOf,
  labOfHue,
  SKIN_ZONES,
  shiftDepth,
  UNDERTONES,
  type Lab,
} from '../colour';
import { client, KIT, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from './look.testing';
import {
  colourSeries,
  FAR_OFF,
  fitLook,
  SERIES_SCHEMES,
  stepsOfVariant,
  withColourSeries,
  type Chart,
  type LookStep,
  type Occasion,
} from '.';

const step = (
  n: number,
  more: Partial<LookStep> & Pick<LookStep, 'phase' | 'role' | 'title' | 'wants'>,
): LookStep => ({
  ...LOOK.steps[0]!,
  id: `0190a000-0000-7000-8000-00000000${String(n).padStart(4, '0')}`,
  doseMgPerCm2: 0.4,
  tool: 'small brush',
  ...more,
});
const look = {
  ...LOOK,
  steps: [
    ...LOOK.steps,
    step(700, {
      phase: 'sculpt',
      role: 'blush',
      title: 'Blush',
      shade: { lab: [58, 28, 18] },
      wants: { kinds: ['blush'] },
      placements: [{ guide: 'blushLifted', side: 'both' }],
    }),
    step(701, {
      phase: 'eyes',
      role: 'eye',
      title: 'Lid',
      shade: { lab: [48, 8, 14] },
      wants: { kinds: ['shadow'] },
      placements: [{ guide: 'lid', side: 'both' }],
    }),
    step(702, {
      phase: 'lips',
      role: 'lip',
      title: 'Lip',
      shade: { lab: [48, 30, 14] },
      wants: { kinds: ['lip colour'] },
      placements: [{ guide: 'lips', side: 'both' }],
    }),
  ],
};
/** Shadows, blushes and lips all round the hues. */
const wheel = kitOf(
  ...KIT.products,
  ...Array.from({ length: 24 }, (_, i) =>
    product(200 + i, 'shadow', labOfHue(46, 18, 15 * i), { eyeSafe: true, finish: 'matte' }),
  ),
  ...Array.from({ length: 9 }, (_, i) => product(300 + i, 'blush', labOfHue(57, 32, -20 + 10 * i))),
  ...Array.from({ length: 9 }, (_, i) => product(400 + i, 'lip colour', labOfHue(47, 32, -25 + 10 * i))),
);
const skins = fc.record({
  depth: fc.double({ min: 3, max: 21.5, noNaN: true }),
  undertone: fc.constantFrom(...UNDERTONES),
});
const skinOf = ({ depth, undertone }: { depth: number; undertone: (typeof UNDERTONES)[number] }) => {
  const lab = shiftDepth(SKIN, depth - depthOf(SKIN), { undertone });
  return Object.fromEntries(SKIN_ZONES.map((zone) => [zone, lab]));
};
const wearing = (lab: Lab, more: Partial<Occasion> = {}): Occasion => ({
  ...OCCASION,
  outfit: [{ name: 'sage silk', lab: [...lab] as [number, number, number] }],
  ...more,
});
const fitted = (occasion: Occasion, skin = client().skin): Chart =>
  fitLook(look, { ...client(), skin }, wheel, occasion, STAMP).chart;
/** Degrees between two hues, the shorter way. */
const apart = (a: number, b: number): number => Math.abs(((((a - b + 180) % 360) + 360) % 360) - 180);
const targetOf = (chart: Chart, scheme: (typeof SERIES_SCHEMES)[number], part: string): Lab =>
  colourSeries(chart, wheel)
    .find((series) => series.scheme === scheme)!
    .steps.find((s) => s.part === part)!.target;

test('near is in the hue worn, opposite across from it, on every skin; depth stays as the look has it', () => {
  fc.assert(
    fc.property(
      skins,
      fc.double({ min: 0, max: 359.9, noNaN: true }),
      fc.double({ min: 12, max: 60, noNaN: true }),
      (skin, hue, chroma) => {
        const chart = fitted(wearing(labOfHue(60, chroma, hue)), skinOf(skin));
        const [near, opposite] = [targetOf(chart, 'near', 'eye'), targetOf(chart, 'opposite', 'eye')];
        expect(apart(hueOf(near), hue)).toBeLessThan(0.01);
        expect(apart(hueOf(near), hueOf(opposite))).toBeCloseTo(180, 5);
        for (const { steps } of colourSeries(chart, wheel))
          for (const { part, target } of steps) {
            const signed = ((hueOf(target) + 180) % 360) - 180;
            if (part !== 'eye') expect(signed).toBeGreaterThanOrEqual(-25);
            if (part !== 'eye') expect(signed).toBeLessThanOrEqual(60);
            expect(chromaOf(target)).toBeLessThanOrEqual(45);
          }
        expect(near[0]).toBeCloseTo(targetOf(chart, 'neutral', 'eye')[0], 9);
      },
    ),
    { numRuns: 12 },
  );
});

test('how far off is what a colour difference says, and the nearest of the wheel is taken', () => {
  const chart = fitted(wearing(labOfHue(60, 26, 140)));
  const [near] = colourSeries(chart, wheel);
  const eye = near!.steps.find((s) => s.part === 'eye')!;
  expect(eye.lab).not.toBeNull();
  expect(apart(hueOf(eye.lab!), 140)).toBeLessThanOrEqual(15);
  const others = wheel.products.filter((p) => p.kind === 'shadow' && p.lab);
  const nearest = Math.min(...others.map((p) => deltaE2000(p.lab!, eye.target)));
  expect(deltaE2000(eye.lab!, eye.target)).toBeLessThanOrEqual(nearest + 3);
});

test.each<[string, Partial<Occasion>, RegExp | null]>([
  [
    'ivory and gold follow the gold',
    { outfit: [{ name: 'ivory', lab: [93, 0, 7] }], metal: 'gold' },
    /gold jewellery/,
  ],
  ['ivory alone has no hue to follow', { outfit: [{ name: 'ivory', lab: [93, 0, 7] }] }, null],
  [
    'of two the stronger leads',
    {
      outfit: [
        { name: 'grey', lab: [60, 2, 3] },
        { name: 'teal', lab: [45, -25, -8] },
      ],
    },
    /teal/,
  ],
  ['nothing said, nothing made', {}, null],
])('%s', (_, more, says) => {
  const series = colourSeries(fitted({ ...OCCASION, ...more }), wheel);
  if (says) expect(series[0]!.name).toMatch(says);
  else expect(series).toEqual([]);
});

test('a kit without it says so and leaves the step as planned; none is made of steps that are not there', () => {
  const chart = fitted(wearing(labOfHue(60, 26, 140)));
  const bare = colourSeries(chart, { ...wheel, products: wheel.products.filter((p) => p.kind !== 'shadow') });
  const eye = bare[0]!.steps.find((s) => s.part === 'eye')!;
  expect([eye.use, eye.off]).toEqual([[], null]);
  expect(eye.gap).not.toBeNull();
  let n = 0;
  const kept = withColourSeries(
    chart,
    bare[0]!,
    () => `0190a000-0000-7000-8000-9999${String(n++).padStart(8, '0')}`,
  );
  expect(kept.steps.filter((s) => s.variant !== undefined).map((s) => s.role)).toEqual(['blush', 'lip']);
  const without = { ...chart, steps: chart.steps.filter((s) => !['eye', 'blush', 'lip'].includes(s.role)) };
  expect(colourSeries(without, wheel)).toEqual([]);
});

test('what is nearest but another colour is named and not taken', () => {
  const chart = fitted(wearing(labOfHue(60, 40, 140)));
  const red = {
    ...wheel,
    products: wheel.products.filter((p) => p.kind !== 'shadow' || apart(hueOf(p.lab!), 20) < 40),
  };
  const eye = colourSeries(chart, red)[0]!.steps.find((s) => s.part === 'eye')!;
  expect(eye.off!).toBeGreaterThan(FAR_OFF);
  expect([eye.use.length, eye.nearest.length]).toEqual([0, 1]);
});

test('kept as a variant: three steps done otherwise, the plan as it was, once under one name', () => {
  const chart = fitted(wearing(labOfHue(60, 26, 140)));
  let n = 0;
  const newId = (): string => `0190a000-0000-7000-8000-9999${String(n++).padStart(8, '0')}`;
  const [near] = colourSeries(chart, wheel);
  const kept = withColourSeries(chart, near!, newId);
  expect(kept.variants.map((v) => v.name)).toEqual(['Near the sage silk']);
  expect(stepsOfVariant(kept.steps, null)).toEqual(chart.steps);
  const worked = stepsOfVariant(kept.steps, kept.variants[0]!.id);
  expect(worked).toHaveLength(chart.steps.length);
  expect(worked.filter((s) => s.variant !== undefined)).toHaveLength(3);
  expect(withColourSeries(kept, near!, newId)).toBe(kept);
});
