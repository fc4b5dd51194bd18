import * as fc from 'fast-check';
import { depthOf, type Lab } from '../colour';
import { fitLook, type Chart, type Step } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { causeNamed, FAULTS } from '.';

const fitted: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const base = fitted.steps[0]!;
const step = (more: Partial<Step> = {}): Step => ({ ...base, note: 'Her own note.', ...more });
const mended = (name: string, from = step()): Step => {
  const [seen, cause] = name.split(' ');
  return causeNamed(seen!, cause!)!.cause.remedy(from);
};
/** What a remedy changed, by field. */
const changed = (name: string, from = step()): Partial<Step> => {
  const to = mended(name, from);
  const keys = (Object.keys(to) as (keyof Step)[]).filter(
    (key) => JSON.stringify(to[key]) !== JSON.stringify(from[key]),
  );
  return Object.fromEntries(keys.map((key) => [key, to[key]]));
};

test('less is less of the dose and of the measures, in quarters and never none', () => {
  const parts = (n: number): Step => step({ doseMgPerCm2: 1, use: [{ ...base.use[0]!, parts: n }] });
  const left = (name: string, n: number): number => mended(name, parts(n)).use[0]!.parts;
  expect(mended('cakey powder', parts(2)).doseMgPerCm2).toBeCloseTo(0.5, 12);
  expect(left('cakey powder', 2)).toBe(1);
  expect(left('cakey powder', 1.5)).toBe(0.75);
  expect(left('cakey powder', 0.25)).toBe(0.25);
  expect(mended('flat light-everywhere', parts(2)).doseMgPerCm2).toBeCloseTo(0.6, 12);
  expect(left('flat light-everywhere', 2)).toBe(1.25);
  expect(left('flat one-tone', 2)).toBe(2.5);
  expect(changed('cakey layers', { ...parts(1), passes: 3 })).toMatchObject({ passes: 1, doseMgPerCm2: 0.7 });
});

test('nothing that is seen is mended by more base, concealer or powder', () => {
  let asked = 0;
  for (const { causes } of FAULTS)
    for (const { roles, remedy } of causes)
      for (const role of roles.filter((one) => ['base', 'conceal', 'powder'].includes(one))) {
        const laid = step({ role, doseMgPerCm2: 1, passes: 2 });
        expect(remedy(laid).doseMgPerCm2).toBeLessThanOrEqual(1);
        expect(remedy(laid).passes).toBeLessThanOrEqual(2);
        asked += 1;
      }
  expect(asked).toBeGreaterThan(15);
});

test.each(['slides wet', 'lifts beneath'])('%s: two minutes longer than it was, at most an hour', (name) => {
  expect(changed(name, step({ waitMinutes: 0 }))).toEqual({ waitMinutes: 2 });
  expect(changed(name, step({ waitMinutes: 3 }))).toEqual({ waitMinutes: 5 });
  expect(changed(name, step({ waitMinutes: 59 }))).toEqual({ waitMinutes: 60 });
});

test('another tool or movement is that and nothing else', () => {
  expect(changed('lifts pressing', step({ tool: 'dense brush', technique: 'press' }))).toEqual({
    tool: 'damp sponge',
    technique: 'stipple',
  });
  expect(changed('lifts dry-sponge', step({ tool: 'dense brush', technique: 'buff' }))).toEqual({
    tool: 'damp sponge',
    technique: 'press',
    note: 'Her own note. Sponge damp, wrung well.',
  });
  expect(changed('patchy swirling', step({ technique: 'sweep' }))).toEqual({ technique: 'press' });
});

const NOTED: readonly (readonly [string, string])[] = [
  ['cakey powder-then-cream', 'Before any powder.'],
  ['creases late', 'Set at once.'],
  ['slides residue', 'Blot what has not sunk in.'],
  ['lifts rubbed', 'Nothing rubs over it.'],
  ['patchy damp', 'Set thinly first.'],
  ['orange oxidised', 'It turned last time: test it first.'],
  ['shine no-primer', 'Mattifying primer on the oily zones first.'],
  ['prints moist', 'Powder under the lashes first.'],
  ['bleeds no-edge', 'A fine liner and powder at the edge; gloss stays inside.'],
  ['fallout after-base', 'Shield the cheeks with powder, or do the eyes first.'],
];
test.each(NOTED)('%s is noted behind what was noted, once', (name, words) => {
  expect(changed(name)).toEqual({ note: `Her own note. ${words}` });
  expect(changed(name, step({ note: '' }))).toEqual({ note: words });
  expect(changed(name, mended(name))).toEqual({});
});

test.each(['creases too-light', 'grey too-light'])('%s: what is to look like skin by half a step', (name) => {
  for (const [role, by] of [
    ['base', 0.5],
    ['powder', 0.5],
    ['conceal', 1],
    ['contour', 1],
  ] as const) {
    const shade = { relative: { to: 'skin' as const, depthSteps: 0 } };
    expect(mended(name, step({ role, shade })).shade).toEqual({ relative: { to: 'skin', depthSteps: by } });
  }
});

test.each(['creases too-light', 'grey too-light'])(
  '%s: a step deeper, whatever way the shade is said',
  (name) => {
    const to = (shade: Step['shade']): Step['shade'] => mended(name, step({ role: 'conceal', shade })).shade;
    const relative = (depthSteps: number) => ({ relative: { to: 'skin' as const, depthSteps } });
    expect(to(relative(-2))).toEqual(relative(-1));
    expect(to({ relative: { to: 'skin', depthSteps: 1, undertone: 'cool' } })).toEqual({
      relative: { to: 'skin', depthSteps: 2, undertone: 'cool' },
    });
    expect([to(relative(5.5)), to(relative(-6))]).toEqual([relative(6), relative(-5)]);
    expect(to(null)).toBeNull();
    fc.assert(
      fc.property(fc.double({ min: 12, max: 92, noNaN: true }), (lightness) => {
        const was: [number, number, number] = [lightness, 9, 17];
        const { lab } = to({ lab: was }) as { lab: Lab };
        expect(depthOf(lab) - depthOf(was)).toBeCloseTo(1, 6);
        expect([lab[1], lab[2]]).toEqual([9, 17]);
      }),
    );
    // The product of the shade it was goes: another is found when the chart is fitted again.
    expect(mended(name).use).toEqual([]);
  },
);

test.each([
  'slides families',
  'lifts too-light',
  'grey too-cool',
  'orange too-warm',
  'flash scatter',
  'shine spray',
  'prints mascara',
])('%s takes the product out and nothing else', (name) => expect(changed(name)).toEqual({ use: [] }));

test.each(['muddy forward', 'muddy overlap', 'wide-nose sides'])(
  '%s: back to the guide, on the sides it was on',
  (name) => {
    const outline = [
      [0, 0],
      [4, 0],
      [0, 4],
    ] as [number, number][];
    const placements: Step['placements'] = [
      { guide: 'cheekContour', side: 'left', params: { reach: 155 }, without: [outline] },
      { guide: 'foreheadContour', side: 'both' },
      { outline, featherMm: 2, side: 'right' },
    ];
    expect(mended(name, step({ placements })).placements).toEqual([
      { guide: 'cheekContour', side: 'left' },
      { guide: 'foreheadContour', side: 'both' },
      { outline, featherMm: 2, side: 'right' },
    ]);
  },
);

test('the same on both sides: after the left, or after whichever there is', () => {
  const left = { guide: 'cheekContour' as const, side: 'left' as const, params: { reach: 120 } };
  const right = { guide: 'cheekContour' as const, side: 'right' as const };
  const other = { guide: 'foreheadContour' as const, side: 'right' as const };
  const both = (placements: Step['placements']): Step['placements'] =>
    mended('uneven by-eye', step({ placements })).placements;
  expect(both([right, left])).toEqual([{ ...left, side: 'both' }]);
  expect(both([right])).toEqual([{ ...right, side: 'both' }]);
  expect(both([left, right, other])).toEqual([
    { ...left, side: 'both' },
    { ...other, side: 'both' },
  ]);
});

test('no remedy takes the place or the measures that are left out of a step', () => {
  for (const { causes } of FAULTS)
    for (const { remedy } of causes)
      for (const one of fitted.steps) {
        const to = remedy(one);
        expect(to.placements.length).toBeGreaterThan(0);
        expect(to.doseMgPerCm2).toBeGreaterThan(0);
      }
});
