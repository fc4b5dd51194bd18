import { Value } from '@sinclair/typebox/value';
import { isInside, type Point } from '../face';
import { chartSchemaOf, type Chart, type Step } from '../look';
import { RULES, type Severity } from '.';
import { sceneOf } from './eachRule.testing';
import { placeOf } from './rule';

const EVERY_LAYER = 'Primer Base Conceal Contour Blush Light Powder Brows Lid Mascara Lip_line Lip Spray'
  .split(' ')
  .map((title) => title.replace('_', ' '));

/** Of each rule in its scene: how grave, whether it offers to mend it, and of which steps, a finding each. */
const SAYS: readonly (readonly [rule: string, Severity, mends: boolean, steps: readonly string[]])[] = [
  ['allergen', 'stop', true, ['Lip']],
  ['patch-test-result', 'stop', true, ['Lip']],
  ['unknown-ingredients', 'caution', false, ['Lip']],
  ['tool-allergen', 'caution', true, ['Base']],
  ['set-aside', 'caution', false, ['Blush']],
  ['not-for-eyes', 'stop', true, ['Lid']],
  ['lenses', 'caution', true, ['Mascara']],
  ['lash-extensions', 'caution', true, ['Mascara']],
  ['past-its-date', 'stop', false, EVERY_LAYER],
  ['ends-soon', 'note', false, ['Mascara']],
  ['withdrawn', 'caution', false, ['Lip']],
  ['gone-from-kit', 'caution', false, ['Lip']],
  ['not-enough', 'caution', false, ['Base']],
  ['patch-test', 'caution', true, ['Lash band']],
  ['shared-tools', 'note', true, ['Mascara']],
  ['clean-first', 'caution', true, ['Primer']],
  ['light-touch-for-children', 'caution', true, ['Contour']],
  ['steady-hand', 'note', true, ['Liner']],
  ['family-conflict', 'caution', true, ['Primer + Base']],
  ['cream-over-powder', 'caution', true, ['Powder + Cream later']],
  ['powder-before-set', 'caution', true, ['Blush + Powder']],
  ['wet-on-wet', 'caution', true, ['Primer + Base']],
  ['too-many-layers-under-eye', 'caution', true, ['Base + Correct + Conceal + More']],
  [
    'too-many-layers',
    'note',
    false,
    ['Base + Base + Base + Base + Base + Base + Base + Base + Base + Contour + Light'],
  ],
  ['heavy-base', 'caution', true, ['Base']],
  ['thick-powder-on-lines', 'caution', true, ['Powder']],
  ['set-too-late', 'note', true, ['Conceal + Powder']],
  ['rub-after-airbrush', 'caution', true, ['Base + Conceal']],
  ['airbrush-passes', 'note', true, ['Base']],
  ['airbrush-contour-flow', 'note', true, ['Contour']],
  ['eyes-after-airbrush', 'caution', true, ['Base + Brows + Lid']],
  ['shine-in-contour', 'caution', false, ['Contour']],
  ['shine-on-texture', 'caution', false, ['Light']],
  ['shimmer-on-mature', 'caution', false, ['Light']],
  ['grey-cast', 'caution', false, ['Conceal']],
  ['concealer-mask', 'caution', false, ['Conceal']],
  ['concealer-halo', 'caution', false, ['Conceal']],
  ['ashy-powder', 'caution', false, ['Powder']],
  ['powder-patch', 'caution', false, ['Powder']],
  ['white-cast', 'caution', false, ['Powder']],
  ['contour-too-light', 'caution', false, ['Contour']],
  ['contour-does-nothing', 'note', false, ['Contour']],
  ['contrast-on-mature', 'caution', false, ['Contour']],
  ['orange-on-fair', 'caution', false, ['Contour']],
  ['cool-contour-on-deep', 'caution', false, ['Contour']],
  ['bronzer-off', 'note', false, ['Bronze']],
  ['bronzer-undertone', 'note', false, ['Bronze']],
  ['base-off-neck', 'caution', true, ['Base']],
  ['base-off-skin', 'caution', false, ['Base']],
  ['face-apart', 'caution', false, ['Base']],
  ['base-joint', 'caution', false, ['Edge']],
  ['chalky-blush', 'caution', false, ['Blush']],
  ['heavy-blush', 'caution', false, ['Blush']],
  ['blush-hardly-shows', 'note', false, ['Blush']],
  ['light-deeper', 'caution', false, ['Light']],
  ['light-does-nothing', 'note', false, ['Light']],
  ['icy-light', 'caution', false, ['Light']],
  ['brow-off-hair', 'caution', false, ['Brows']],
  ['lid-off', 'note', false, ['Lid']],
  ['eye-colours-alike', 'note', false, ['Socket + Lid']],
  ['lips-alike', 'note', false, ['Evening lip + Lip']],
  ['chalky-lip', 'caution', false, ['Lip']],
  ['metals-on-olive', 'note', false, ['Lid']],
  ['liner-off-lip', 'note', false, ['Lip line + Lip']],
  ['contrast-of-light-on-lined', 'note', false, ['Light']],
  ['base-for-long', 'note', false, ['Base']],
  ['dewy-in-heat', 'note', false, ['Base']],
  ['mascara-for-tears', 'note', false, ['Mascara']],
  ['no-primer-on-oily', 'caution', true, ['Base']],
  ['oily-zone-left-out', 'note', true, ['Primer']],
  ['not-set-on-oily', 'caution', true, ['Base']],
  ['dewy-base-on-oily', 'note', false, ['Base']],
  ['matte-on-dry', 'note', false, ['Base']],
  ['holds-the-hours', 'caution', false, ['Base']],
  ['no-spray-for-long', 'caution', true, ['Base']],
  ['hydrating-spray-for-long', 'note', false, ['Spray']],
  ['lip-for-long', 'note', true, ['Lip']],
  ['gloss-in-wind', 'note', false, ['Lip']],
  ['lip-bleeds', 'caution', true, ['Lip']],
  ['matte-lip-unprepared', 'note', true, ['Lip']],
  ['glue-not-tacky', 'caution', true, ['Lash band']],
  ['no-last-look', 'note', true, ['Lip']],
  ['shine-everywhere', 'note', false, ['Base + Blush + Light + Powder']],
  ['out-of-limits', 'caution', true, ['Contour']],
  ['blush-on-contour', 'caution', true, ['Contour + Blush']],
  ['in-the-hollow', 'caution', true, ['Contour']],
  ['light-in-shadow', 'note', false, ['Contour + Light']],
  ['light-on-lines', 'caution', false, ['Light']],
  ['wedge-on-crows-feet', 'caution', true, ['Conceal']],
  ['uneven-sides', 'note', true, ['Blush']],
  ['far-from-guide', 'note', false, ['Blush']],
  ['narrow-temples', 'caution', true, ['Contour']],
  ['no-place', 'note', false, ['Lip']],
  ['mirror-check', 'note', true, ['Blush']],
  ['forbidden-finish', 'caution', true, ['Light', 'Lip']],
  ['forbidden-kind', 'caution', true, ['Mascara']],
  ['forbidden-place', 'caution', true, ['Lower line']],
  ['tool-off-product', 'note', true, ['Blush']],
  ['no-product', 'caution', true, ['Lip']],
  ['colour-not-read', 'note', false, ['Blush']],
  ['many-measures', 'caution', false, ['Blush']],
  ['no-dose', 'note', true, ['Lip']],
  ['more-than-needed', 'note', true, ['Base']],
  ['eyes-first', 'note', true, ['Lid']],
  ['under-school-coverage', 'caution', false, ['Base']],
  ['long-in-the-chair', 'note', false, ['Clean']],
];

test('every rule is told of', () => {
  expect(SAYS.map(([rule]) => rule)).toEqual(RULES.map(({ id }) => id));
});

test.each(SAYS)('%s is a %s', (rule, severity, mends, steps) => {
  const { chart, found } = sceneOf(rule);
  const own = found.filter((finding) => finding.rule === rule);
  const titles = new Map(chart.steps.map(({ id, title }) => [id, title]));
  expect(own.map(({ stepIds }) => stepIds.map((id) => titles.get(id)).join(' + '))).toEqual(steps);
  for (const finding of own) {
    expect(finding.severity).toBe(severity);
    expect(Boolean(finding.fix)).toBe(mends);
    expect(finding.message).toMatch(/^\S.*[.?)]$/);
    if (finding.fix) expect(finding.fix.label).not.toBe('');
  }
});

/** Where mending one thing means another too: a step by its title, or the school. */
const ALSO: Readonly<Record<string, { readonly steps?: readonly string[]; readonly schools?: true }>> = {
  'eyes-after-airbrush': { schools: true },
  'eyes-first': { schools: true },
  'oily-zone-left-out': { steps: ['Powder'] },
  'matte-lip-unprepared': { steps: ['Clean'] },
};

test.each(SAYS.filter(([, , mends]) => mends).map(([rule]) => rule))(
  'what mends %s leaves every other step, the client and the day as they are',
  (rule) => {
    const { chart, found } = sceneOf(rule);
    const { steps: also = [], schools } = ALSO[rule] ?? {};
    for (const { fix, stepIds } of found.filter((finding) => finding.rule === rule)) {
      const mended = fix!.apply(chart);
      expect({ ...mended, steps: chart.steps, ...(schools && { schools: chart.schools }) }).toEqual(chart);
      expect(mended).not.toEqual(chart);
      const now = new Map(mended.steps.map((step) => [step.id, step]));
      const others = chart.steps.filter(({ id, title }) => !stepIds.includes(id) && !also.includes(title));
      expect(others.map(({ id }) => now.get(id))).toEqual(others);
    }
  },
);

const wrongIn = (chart: Chart): string[] =>
  [...Value.Errors(chartSchemaOf(chart), chart)].map(({ path, message }) => `${path}: ${message}`);

test.each(SAYS.filter(([, , mends]) => mends).map(([rule]) => rule))(
  'what mends %s makes a chart there can be, of which it is said no more',
  (rule) => {
    const { chart, found, again } = sceneOf(rule);
    expect(wrongIn(chart)).toEqual([]);
    for (const { fix, stepIds, rule: own } of found.filter((finding) => finding.rule === rule)) {
      const mended = fix!.apply(chart);
      expect(wrongIn(mended)).toEqual([]);
      const said = again(mended).filter((finding) => finding.rule === own);
      expect(said.map((finding) => finding.stepIds.join())).not.toContain(stepIds.join());
    }
  },
);

/** How far a place is from what a step lays, mm: nothing inside it. */
function offStep([x, y]: Point, step: Step, { client }: Chart): number {
  const polygons = step.placements.flatMap((placement) =>
    placeOf(placement, client, step.role).shapes.flatMap(({ region }) => region),
  );
  if (polygons.some((polygon) => isInside([x, y], polygon))) return 0;
  return Math.min(...polygons.flat().map(([a, b]) => Math.hypot(x - a, y - b)));
}

test.each(SAYS.map(([rule]) => rule))('where %s points on the face, one of its steps is', (rule) => {
  const { chart, found } = sceneOf(rule);
  for (const { at, stepIds } of found.filter((finding) => finding.rule === rule)) {
    if (at === null) continue;
    const steps = chart.steps.filter(({ id }) => stepIds.includes(id));
    expect(Math.min(...steps.map((step) => offStep(at, step, chart)))).toBeLessThan(4);
  }
});
