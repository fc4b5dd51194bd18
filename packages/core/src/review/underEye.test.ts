import type { Chart, Step } from '../look';
import { reviewChart } from '.';
import { added, extra, KIT, PRODUCTS, QUIET, withStep } from './review.testing';

const RULE = 'too-many-layers-under-eye';
const found = (chart: Chart) => reviewChart(chart, KIT).filter(({ rule }) => rule === RULE);
const guides = (step: Step): string[] => step.placements.map((p) => ('guide' in p ? p.guide : 'drawn'));
const named = (chart: Chart, title: string): Step => chart.steps.find((s) => s.title === title)!;

const drawn: Step['placements'][number] = {
  outline: [
    [4, 60],
    [10, 60],
    [10, 66],
    [4, 66],
  ],
  featherMm: 1,
  side: 'left',
};
const powdered = (...placements: Step['placements']): Chart => withStep('powder', { placements });
const at = (...names: ('zone.underEye' | 'zone.noseSide')[]): Step['placements'] =>
  names.map((guide) => ({ guide, side: 'both' }));
const corrector = (from: Chart): Chart =>
  added(extra('Correct', 'correct', 'correct', PRODUCTS.concealer, ['zone.underEye']), 'conceal', from);

// Base, concealer and powder are three: a fourth is one too many.
test('a powder that lies elsewhere too is left out under the eye, and stays everywhere else', () => {
  const chart = corrector(powdered(...at('zone.noseSide', 'zone.underEye'), drawn));
  const [finding] = found(chart);
  expect(finding!.message).toMatch(/^4 layers lie under the eye; it affords 3\./);
  expect(finding!.fix!.label).toBe('Leave powder out there');
  const mended = finding!.fix!.apply(chart);
  expect(guides(named(mended, 'Powder'))).toEqual(['zone.noseSide', 'drawn']);
  expect(mended.steps.map((s) => s.title)).toEqual(chart.steps.map((s) => s.title));
  expect(found(mended)).toEqual([]);
});

test('a powder for under the eye alone stays: the corrector goes', () => {
  const chart = corrector(powdered(...at('zone.underEye')));
  const { fix } = found(chart)[0]!;
  expect(fix!.label).toBe('Leave correct out');
  const mended = fix!.apply(chart);
  expect(named(mended, 'Correct')).toBeUndefined();
  expect(named(mended, 'Powder')).toEqual(named(chart, 'Powder'));
  expect(found(mended)).toEqual([]);
});

test('of two powders that lie elsewhere too the last is left out', () => {
  const both = at('zone.noseSide', 'zone.underEye');
  const first = extra('First', 'set', 'powder', PRODUCTS.powder, ['zone.noseSide', 'zone.underEye']);
  const chart = added(first, 'powder', powdered(...both));
  expect(found(chart)[0]!.fix!.label).toBe('Leave powder out there');
});

test('passes come first, as many as they save; ways are joined until it is enough', () => {
  const thick = withStep('conceal', { passes: 3 }, powdered(...at('zone.noseSide')));
  // One base and three of concealer.
  expect(found(thick)[0]!.fix!.label).toBe('Conceal in one pass');
  expect(named(found(thick)[0]!.fix!.apply(thick), 'Conceal').passes).toBe(1);
  const more = corrector(
    withStep('conceal', { passes: 2 }, powdered(...at('zone.noseSide', 'zone.underEye'))),
  );
  const { message, fix } = found(more)[0]!;
  expect(message).toMatch(/^5 layers/);
  expect(fix!.label).toBe('Conceal in one pass; Leave powder out there');
  expect(found(fix!.apply(more))).toEqual([]);
  const six = added(
    extra('Again', 'correct', 'conceal', PRODUCTS.concealer, ['zone.underEye']),
    'conceal',
    more,
  );
  expect(found(six)[0]!.fix!.label).toBe('Conceal in one pass; Leave powder out there; Leave correct out');
});

test('where all that is not enough nothing is offered', () => {
  const more = (n: number, from: Chart): Chart =>
    added(extra(`More ${n}`, 'conceal', 'conceal', PRODUCTS.concealer, ['zone.underEye']), 'contour', from);
  expect(found(more(1, more(2, QUIET)))[0]!.fix).toBeNull();
});
