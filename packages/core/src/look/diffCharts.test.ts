import fc from 'fast-check';
import { GUIDE_PARAMETERS, type GuideParameter } from '../face';
import { diffCharts, fitLook, type Chart, type ChartDifference, type Step } from '.';
import { client, id, KIT, LOOK, OCCASION, product, STAMP } from './look.testing';

const chart: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const at = chart.steps.findIndex(
  (step) => step.placements.some((one) => 'guide' in one) && step.use.length > 0,
);
const step = chart.steps[at]!;
const withStep = (change: Partial<Step>): Chart => ({
  ...chart,
  steps: chart.steps.map((one, i) => (i === at ? { ...one, ...change } : one)),
});
const [place] = step.placements as { guide: string; side: 'both' }[];
const placed = (change: object): Chart =>
  withStep({
    placements: [{ ...place!, ...change } as Step['placements'][number], ...step.placements.slice(1)],
  });
const [use, ...more] = step.use as [Step['use'][number], ...Step['use']];

type Edit = readonly [what: ChartDifference['what'], words: RegExp, changed: Chart];
const EDITS: Readonly<Record<string, Edit>> = {
  title: ['title', /^Otherwise: it was called /, withStep({ title: 'Otherwise' })],
  variant: [
    'variants',
    /in the variant Evening instead of in every variant/,
    { ...withStep({ variant: 'v' }), variants: [{ id: 'v', name: 'Evening' }] },
  ],
  optional: ['wish', /it may be left out\.$/, withStep({ optional: true })],
  product: [
    'product',
    /Line S300.* instead of /,
    withStep({ use: [{ ...use, product: { ...use.product, id: id(300), shade: 'S300' } }, ...more] }),
  ],
  amount: ['amount', / instead of /, withStep({ use: [{ ...use, parts: use.parts + 1 }, ...more] })],
  'a second product': [
    'product',
    / instead of /,
    withStep({ use: [...step.use, { ...use, product: { ...product(301, 'base', [60, 10, 15]) } }] }),
  ],
  dose: ['amount', /^.*: 7 mg\/cm² instead of .* mg\/cm²\.$/, withStep({ doseMgPerCm2: 7 })],
  shade: ['wish', /another colour is asked for/, withStep({ shade: { lab: [50, 10, 10] } })],
  wants: ['wish', /another make of product/, withStep({ wants: { ...step.wants, finishes: ['dewy'] } })],
  tool: ['how', /^.*: finger · .* instead of /, withStep({ tool: 'finger' })],
  technique: ['how', / instead of /, withStep({ technique: step.technique === 'press' ? 'sweep' : 'press' })],
  passes: ['how', /9 passes/, withStep({ passes: 9 })],
  minutes: ['how', /17 min/, withStep({ handsOnMinutes: 17 })],
  wait: ['how', /wait 13 min/, withStep({ waitMinutes: 13 })],
  note: ['note', /note “Softly”/, withStep({ note: 'Softly' })],
  side: ['place', /moved \(side both to left\)/, placed({ side: 'left' })],
  wiped: [
    'place',
    /moved \(wiped off otherwise\)/,
    placed({
      without: [
        [
          [0, 0],
          [1, 0],
          [0, 1],
        ],
      ],
    }),
  ],
  guide: ['place', /moved \(another guide/, placed({ guide: 'zone.chin' })],
  'a place more': ['place', /, new\.$/, withStep({ placements: [...step.placements, step.placements[0]!] })],
  client: ['client', /^For Bea instead of Ilse Moor\.$/, who({ id: id(77), name: 'Bea', readingId: id(78) })],
  reading: ['skin', /^Another reading/, who({ readingId: id(78) })],
  sensitivity: ['client', /^Minded now: lanolin and latex\.$/, who({ sensitivities: ['lanolin', 'latex'] })],
  look: ['look', /^Other instead of /, { ...chart, look: { ...chart.look, id: id(79), name: 'Other' } }],
  'version of the look': ['look', /version 9/, { ...chart, look: { ...chart.look, version: 9 } }],
  day: ['occasion', /day: 2031-06-01 instead of 2031-05-14/, on({ date: '2031-06-01' })],
  hours: ['occasion', /hours: 13 instead of 6/, on({ hoursToLast: 13 })],
  light: ['occasion', /light: led instead of daylight/, on({ lights: ['led'] })],
  weather: ['occasion', /the day brings: heat/, on({ conditions: ['heat'] })],
  school: [
    'school',
    / instead of /,
    {
      ...chart,
      schools: { ...chart.schools, contrast: chart.schools.contrast === 'soft' ? 'bold' : 'soft' },
    },
  ],
  forbidden: ['forbidden', /not allow/, { ...chart, forbids: { finishes: ['shimmer'], kinds: [] } }],
};
function who(change: Partial<Chart['client']>): Chart {
  return { ...chart, client: { ...chart.client, ...change } };
}
function on(change: Partial<Chart['occasion']>): Chart {
  return { ...chart, occasion: { ...chart.occasion, ...change } };
}
const OF_THE_WHOLE = ['client', 'skin', 'look', 'occasion', 'school', 'forbidden'];

test.each(Object.entries(EDITS))('another %s is said, either way round, and nothing else is', (_, edit) => {
  const [what, words, changed] = edit;
  const told = diffCharts(chart, changed);
  expect(
    told
      .filter((one) => one.what === what)
      .map((one) => one.words)
      .join(' '),
  ).toMatch(words);
  expect(told.every((one) => one.words.endsWith('.') && !one.words.includes('()'))).toBe(true);
  // A variant is told of the chart and of its step.
  expect(told.length).toBeLessThanOrEqual(what === 'variants' ? 2 : 1);
  for (const one of told) {
    if (OF_THE_WHOLE.includes(one.what)) expect(one.stepId).toBeNull();
    else if (one.stepId !== null) expect(one.stepId).toBe(step.id);
  }
  expect(diffCharts(changed, chart).map((one) => one.what)).toEqual(told.map((one) => one.what));
});

/** The same document as a database gives it back: its fields in another order. */
const reordered = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(reordered)
    : value !== null && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => b.localeCompare(a))
            .map(([key, one]) => [key, reordered(one)]),
        )
      : value;

test('the same chart differs in nothing, in whatever order its fields are kept', () => {
  for (const one of [chart, ...Object.values(EDITS).map(([, , changed]) => changed)]) {
    expect(diffCharts(one, structuredClone(one))).toEqual([]);
    expect(diffCharts(one, reordered(one) as Chart)).toEqual([]);
  }
  // What is the guide's own is the same whether it is written down or not.
  expect(diffCharts(chart, placed({ params: { reach: 100, fade: 100 } }))).toEqual([]);
});

test('every handle that was turned is named with from where and to where', () => {
  const names = Object.keys(GUIDE_PARAMETERS) as GuideParameter[];
  fc.assert(
    fc.property(fc.subarray(names, { minLength: 1 }), (turned) => {
      const params = Object.fromEntries(turned.map((name) => [name, GUIDE_PARAMETERS[name].maximum]));
      const [only, ...others] = diffCharts(chart, placed({ params }));
      expect(others).toEqual([]);
      for (const name of names) {
        const { label, initial, maximum, unit } = GUIDE_PARAMETERS[name];
        const words = `${label.toLowerCase()} ${initial} to ${maximum} ${unit}`;
        expect(only!.words.split(/, |\(|\)/).includes(words)).toBe(turned.includes(name));
      }
    }),
  );
});

test('a step more, a step less, another order, a note taken out', () => {
  const [first, second, ...rest] = chart.steps;
  expect(diffCharts(chart, { ...chart, steps: [second!, first!, ...rest] })).toEqual([
    { stepId: null, what: 'order', words: 'The steps are in another order.' },
  ]);
  const less = { ...chart, steps: [second!, ...rest] };
  expect(diffCharts(chart, less)).toEqual([
    { stepId: first!.id, what: 'removed', words: `${first!.title} was taken out.` },
  ]);
  expect(diffCharts(less, chart)).toEqual([
    { stepId: first!.id, what: 'added', words: `${first!.title} was added.` },
  ]);
  const noted = withStep({ note: 'Softly' });
  expect(diffCharts(noted, withStep({ note: '' }))[0]!.words).toMatch(/no note any more; it was “Softly”\.$/);
});
