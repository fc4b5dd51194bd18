import { Value } from '@sinclair/typebox/value';
import fc from 'fast-check';
import { LAYER_KINDS } from '../face';
import { readChart, writeChart } from '../formats';
import { shadeRoleOf } from '../shade';
import {
  airbrushInWords,
  ChartV2Schema,
  fitLook,
  newStep,
  withDeeperEdge,
  withStep,
  withoutStep,
  movedStep,
  duplicatedStep,
  splitStep,
  mergedStep,
  notStirred,
  variedStep,
  withoutVariant,
  withVariant,
  type Chart,
} from '.';
import { client, id, KIT, LOOK, OCCASION, STAMP } from './look.testing';

const chart: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const titles = (c: Chart): string[] => c.steps.map((s) => s.title);
const idOf = (title: string): string => chart.steps.find((s) => s.title === title)!.id;

test.each(LAYER_KINDS)('a new %s goes where its phase comes, and the chart stays whole', (kind) => {
  const next = withStep(chart, newStep(kind, id(901), [{ guide: 'zone.chin', side: 'both' }]));
  expect(next.steps).toHaveLength(chart.steps.length + 1);
  const read = readChart(writeChart(next));
  expect(read.ok).toBe(true);
  const before = (a: string, b: string): boolean =>
    next.steps.findIndex((s) => s.title === a) < next.steps.findIndex((s) => s.title === b);
  if (kind === 'blush') expect(before('Light', 'Blush') && before('Blush', 'Lid')).toBe(true);
  if (kind === 'lip') expect(titles(next).at(-1)).toBe('Lip');
});

test('eyes first puts a new liner before the base', () => {
  const eyesFirst = { ...chart, schools: { ...chart.schools, eyesOrFace: 'eyes first' as const } };
  const sorted = {
    ...eyesFirst,
    steps: [...eyesFirst.steps].sort((a, b) => Number(b.phase === 'eyes') - Number(a.phase === 'eyes')),
  };
  expect(titles(withStep(sorted, newStep('liner', id(902)))).indexOf('Liner')).toBe(1);
});

test('a deeper edge follows the base, at temples and jaw, worked as the base is', () => {
  const base = chart.steps.find((s) => s.role === 'base')!;
  const edged = withDeeperEdge(chart, id(904));
  const edge = edged.steps[edged.steps.indexOf(base) + 1]!;
  expect(edge).toMatchObject({
    id: id(904),
    role: 'base',
    tool: base.tool,
    doseMgPerCm2: base.doseMgPerCm2 / 2,
    handsOnMinutes: base.handsOnMinutes / 2,
    use: [],
  });
  expect([shadeRoleOf(base), shadeRoleOf(edge)]).toEqual(['base', 'deeper edge']);
  expect(edged.steps.filter((s) => s.id !== id(904))).toEqual(chart.steps);
  const bare = { ...chart, steps: chart.steps.filter((s) => s.role !== 'base') };
  expect(withDeeperEdge(bare, id(904))).toBe(bare);
  expect(
    withDeeperEdge(
      {
        ...chart,
        steps: chart.steps.map((s) => ({
          ...s,
          done: { by: 'Ada', at: STAMP.at, ticked: true, deviations: [] },
        })),
      },
      id(904),
    ).steps[1]!.done,
  ).toBeUndefined();
});

test('a spray goes one side, the other, the centre, the neck, in as many coats as passes', () => {
  expect(airbrushInWords({ passes: 1, waitMinutes: 0 })).toBe(
    'One side, the other side, the centre, then down the neck, one thin coat.',
  );
  expect(airbrushInWords({ passes: 4, waitMinutes: 2 })).toContain(
    '4 thin coats, each dry before the next (about 2 min)',
  );
  expect(newStep('conceal', id(905)).note).toBe('Edges first, middle last.');
});

test('moved, copied, taken out; the last step stays', () => {
  expect(titles(movedStep(chart, idOf('Mascara'), 0))[0]).toBe('Mascara');
  expect(titles(movedStep(chart, idOf('Base'), 99)).at(-1)).toBe('Base');
  expect(titles(duplicatedStep(chart, idOf('Lid'), id(903)))).toContain('Lid again');
  expect(titles(withoutStep(chart, idOf('Lid')))).not.toContain('Lid');
  const one = { ...chart, steps: chart.steps.slice(0, 1) };
  expect(withoutStep(one, one.steps[0]!.id)).toBe(one);
});

test('split in two, dose, amount and minutes are shared out and the wait comes after the second', () => {
  const waits = { ...chart, steps: chart.steps.map((s) => ({ ...s, waitMinutes: 2 })) };
  const at = waits.steps.findIndex((s) => s.id === idOf('Contour'));
  const [a, b] = splitStep(waits, idOf('Contour'), id(904)).steps.slice(at, at + 2);
  const before = waits.steps[at]!;
  expect(a!.doseMgPerCm2 + b!.doseMgPerCm2).toBeCloseTo(before.doseMgPerCm2, 12);
  expect(a!.use[0]!.parts + b!.use[0]!.parts).toBeCloseTo(before.use[0]!.parts, 12);
  expect([a!.waitMinutes, b!.waitMinutes]).toEqual([0, 2]);
});

test('stirred into the step before, nothing used is lost', () => {
  const merged = mergedStep(chart, idOf('Contour'));
  const into = merged.steps[0]!;
  expect(into.title).toBe('Base with contour');
  expect(into.use.map((u) => u.product.kind)).toEqual(
    [...chart.steps[0]!.use, ...chart.steps[1]!.use].map((u) => u.product.kind),
  );
  expect(into.placements).toEqual([...chart.steps[0]!.placements, ...chart.steps[1]!.placements]);
  expect(into.handsOnMinutes).toBe(chart.steps[0]!.handsOnMinutes + chart.steps[1]!.handsOnMinutes);
  expect(mergedStep(chart, chart.steps[0]!.id)).toBe(chart);
});

const mgOf = (c: Chart): number =>
  c.steps.reduce((sum, s) => sum + s.use.reduce((mg, u) => mg + u.parts * u.product.mgPerMeasure, 0), 0);
const withUse = (steps: Chart['steps'], at: number, use: Chart['steps'][number]['use']): Chart['steps'] =>
  steps.map((s, i) => (i === at ? { ...s, use } : s));

test('a product both take is stirred in once, with the measures of both', () => {
  const base = chart.steps[0]!.use[0]!;
  const twice = {
    ...chart,
    steps: withUse(chart.steps, 1, [{ ...base, parts: 0.5 }, ...chart.steps[1]!.use]),
  };
  const [into] = mergedStep(twice, twice.steps[1]!.id).steps;
  expect(into!.use.filter(({ unitId }) => unitId === base.unitId)).toEqual([
    { ...base, parts: base.parts + 0.5 },
  ]);
  expect(into!.use).toHaveLength(chart.steps[0]!.use.length + chart.steps[1]!.use.length);
});

test('what a variant did instead of it, it does instead of both', () => {
  const [first, second] = chart.steps;
  const varied = variedStep(withVariant(chart, 'v', 'Evening'), second!.id, 'v', id(920));
  const merged = mergedStep(varied, second!.id);
  expect(merged.steps.find((s) => s.id === id(920))!.instead).toBe(first!.id);
});

test('why two steps are not stirred together is said, to the product and the minute', () => {
  const [first, second] = chart.steps;
  const refused = (change: (c: Chart) => Chart): string | null => {
    const changed = change(chart);
    const why = notStirred(changed, second!.id);
    const merged = mergedStep(changed, second!.id);
    expect(merged === changed).toBe(why !== null);
    if (why === null) expect([...Value.Errors(ChartV2Schema, merged)]).toEqual([]);
    return why;
  };
  const products = (count: number) => (c: Chart) => ({
    ...c,
    steps: withUse(
      withUse(c.steps, 1, []),
      0,
      Array.from({ length: count }, (_, i) => ({ ...first!.use[0]!, unitId: id(930 + i) })),
    ),
  });
  const minutes = (handsOnMinutes: number) => (c: Chart) => ({
    ...c,
    steps: c.steps.map((s, i) =>
      i === 0 ? { ...s, handsOnMinutes: 120 - second!.handsOnMinutes + handsOnMinutes } : s,
    ),
  });
  expect(notStirred(chart, first!.id)).toBe('It is the first step.');
  expect(notStirred(chart, id(999))).toBe('It is the first step.');
  expect(refused(products(12))).toBeNull();
  expect(refused(products(13))).toMatch(/more than 12 products/);
  expect(refused(minutes(0))).toBeNull();
  expect(refused(minutes(0.5))).toMatch(/more than 120 minutes/);
  expect(
    refused((c) => ({ ...c, steps: c.steps.map((s, i) => (i === 0 ? { ...s, variant: 'v' } : s)) })),
  ).toMatch(/another variant/);
  const measures = (parts: number) => (c: Chart) => ({
    ...c,
    steps: withUse(withUse(c.steps, 0, [{ ...first!.use[0]!, parts }]), 1, [{ ...first!.use[0]!, parts: 1 }]),
  });
  const noted = (letters: number) => (c: Chart) => ({
    ...c,
    steps: c.steps.map((s, i) => ({ ...s, note: 'x'.repeat(i === 0 ? letters : i === 1 ? 4000 : 0) })),
  });
  expect(refused(noted(3_999))).toBeNull();
  expect(refused(noted(4_000))).toMatch(/more than 8000 letters/);
  expect(refused(measures(9_999))).toBeNull();
  expect(refused(measures(9_999.5))).toMatch(/more than 10000 measures/);
});

test('the last step of a chart stays, also where it is a variant’s', () => {
  const only = variedStep(withVariant(chart, 'v', 'Evening'), chart.steps[0]!.id, 'v', id(920));
  const bare = { ...only, steps: only.steps.filter((s) => s.variant === 'v') };
  expect(withoutVariant(bare, 'v')).toBe(bare);
  expect(withoutVariant(only, 'v').variants).toEqual([]);
});

test('whatever is done to the steps, in whatever order, the chart can be kept and nothing taken is lost', () => {
  const edit = fc.record({
    what: fc.constantFrom('copy', 'split', 'stir', 'move', 'out', 'vary', 'unvary', 'new'),
    at: fc.nat(40),
    to: fc.nat(40),
    kind: fc.constantFrom(...LAYER_KINDS),
  });
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 25 }), (edits) => {
      let now = withVariant(chart, 'v', 'Evening');
      edits.forEach(({ what, at, to, kind }, i) => {
        const fresh = id(1000 + i);
        const step = now.steps[at % now.steps.length]!.id;
        const before = mgOf(now);
        if (what === 'copy') now = duplicatedStep(now, step, fresh);
        if (what === 'split') now = splitStep(now, step, fresh);
        if (what === 'stir') now = mergedStep(now, step);
        if (what === 'move') now = movedStep(now, step, to);
        if (what === 'out') now = withoutStep(now, step);
        if (what === 'vary') now = variedStep(now, step, 'v', fresh);
        if (what === 'unvary') now = withVariant(withoutVariant(now, 'v'), 'v', 'Evening');
        if (what === 'new') now = withStep(now, newStep(kind, fresh));
        if (['split', 'stir', 'move'].includes(what)) expect(mgOf(now)).toBeCloseTo(before, 6);
        expect(
          [...Value.Errors(ChartV2Schema, now)].map(({ path, message }) => `${path} ${message}`),
        ).toEqual([]);
        expect(new Set(now.steps.map((s) => s.id)).size).toBe(now.steps.length);
      });
    }),
    { numRuns: 60 },
  );
});
