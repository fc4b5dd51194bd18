import { asWorn } from '../chair';
import { shiftDepth } from '../colour';
import { fitLook, type Chart } from '../look';
import { BASES, client, id, KIT, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from '../look/look.testing';
import { refitChart } from '../repeat';
import { compactFrom, compactNotes, compactProblems, type Compact } from './compact';
import { lessonFrom } from './lesson';
import { compactChanges, lessonChanges, renewedCompact, seasonChart, seasonOf } from './seasons';

const TODAY = '2031-11-20';
const creams = (list: typeof KIT.products) => list.map((one) => ({ ...one, texture: 'cream' as const }));
const CREAM_KIT = { ...KIT, products: creams(KIT.products) };
const fit = (steps = 0, kit: typeof KIT = CREAM_KIT): Chart =>
  fitLook(LOOK, client(shiftDepth(SKIN, steps)), kit, OCCASION, STAMP).chart;
const compactOf = (chart: Chart): Compact =>
  compactFrom(
    chart,
    chart.steps.map((step) => step.id),
    { perWeek: 3, rows: 2, columns: 3, by: 'order of use' },
    { id: id(700), tins: [id(701), id(702)], today: '2031-05-14' },
  ).compact;
const again = (chart: Chart, steps: number, kit: typeof KIT = CREAM_KIT) =>
  refitChart(
    chart,
    client(shiftDepth(SKIN, steps)),
    kit,
    { ...OCCASION, date: TODAY },
    { ...STAMP, version: chart.version + 1 },
  );

test.each([-4, -2.5, -1, 0, 1, 2.5, 4])(
  'on a skin %d steps deeper: what still holds is said so, what does not is nearer after, or nothing is',
  (steps) => {
    const chart = fit();
    const compact = compactOf(chart);
    const lines = seasonOf(compact, again(chart, steps));
    const laid = chart.steps.filter(({ use }) => use.length > 0);
    expect(lines.map(({ stepId }) => stepId)).toEqual(laid.map((step) => step.id));
    for (const { kind, off, then, words } of lines) {
      expect(words).not.toMatch(/NaN|null|undefined/);
      if (kind === 'holds') expect(off ?? 0).toBeLessThanOrEqual(2);
      if (kind === 'nothing nearer') expect(off!).toBeGreaterThan(2);
      if (kind === 'mix' || kind === 'swap') expect(off === null || then! < off).toBe(true);
    }
    if (steps === 0)
      expect(lines.every(({ kind }) => kind === 'holds' || kind === 'nothing nearer')).toBe(true);
    if (Math.abs(steps) >= 2.5) expect(lines.some(({ kind }) => kind !== 'holds')).toBe(true);
    // A kit that has what is asked for: what can be mended is.
    if (steps === 2.5 || steps === 4) expect(lines.some(({ kind }) => kind === 'mix')).toBe(true);
  },
);

test('what its client must not have by now is told and taken out, though nothing stands in for it', () => {
  const chart = fit();
  const compact = compactOf(chart);
  const lying = compact.tins.flatMap((tin) => tin.pans).map(({ productId }) => productId);
  const step = chart.steps.find(
    ({ role, use }) => role !== 'base' && use.length === 1 && lying.includes(use[0]!.product.id),
  )!;
  const { product: gone } = step.use[0]!;
  const tested = { productId: gone.id, product: 'it', verdict: 'reacted' as const, on: '2031-10-01' };
  const products = CREAM_KIT.products.filter(({ kind, id: own }) => kind !== gone.kind || own === gone.id);
  const others = { ...CREAM_KIT, products };
  const refit = refitChart(
    chart,
    { ...client(SKIN), patchTests: [tested] },
    others,
    { ...OCCASION, date: TODAY },
    { ...STAMP, version: chart.version + 1 },
  );
  const line = seasonOf(compact, refit).find(({ stepId }) => stepId === step.id)!;
  expect(line.kind).not.toBe('holds');
  expect(line.words).toMatch(/no product\. .*reacted.*nothing else/);
  const next = seasonChart(compact, refit);
  expect(next.steps.find(({ id: own }) => own === step.id)!.use).toEqual([]);
  const pans = renewedCompact(compact, chart, next, TODAY)!.tins.flatMap((tin) => tin.pans);
  expect(pans.some(({ productId }) => productId === gone.id)).toBe(false);
});

test('the next version takes only what the compact needs: other steps and orders stay as they were', () => {
  const chart = fit();
  const base = chart.steps[0]!;
  const only: Compact = { ...compactOf(chart), stepIds: [base.id] };
  const refit = again(chart, 3);
  const next = seasonChart(only, refit);
  expect(next.version).toBe(chart.version + 1);
  expect(next.steps.map((step) => step.id)).toEqual(chart.steps.map((step) => step.id));
  expect(next.steps[0]!.use).not.toEqual(base.use);
  for (const [i, step] of next.steps.entries()) if (i > 0) expect(step.use).toEqual(chart.steps[i]!.use);
});

test('what was wished of a pan at the chair is told, and taken over with the season', () => {
  const chart = fit();
  const compact = compactOf(chart);
  const base = chart.steps.find(({ use, role }) => role === 'base' && use.length > 0)!;
  const told = asWorn(chart, [
    {
      kind: 'deviation',
      stepId: base.id,
      at: STAMP.at,
      by: 'Ada',
      deviation: { kind: 'next time', nextTime: 'other product', note: '' },
    },
  ]);
  const refit = refitChart(
    told,
    client(SKIN),
    CREAM_KIT,
    { ...OCCASION, date: TODAY },
    { ...STAMP, version: 2 },
  );
  const line = seasonOf({ ...compact, stepIds: chart.steps.map(({ id: own }) => own) }, refit).find(
    ({ stepId }) => stepId === base.id,
  )!;
  expect(line).toMatchObject({ kind: 'swap', words: expect.stringContaining('Chosen for next time') });
  const next = seasonChart({ ...compact, stepIds: [base.id] }, refit);
  expect(next.steps.find(({ id: own }) => own === base.id)!.use).not.toEqual(base.use);
});

test.each([-4, -2, 2, 4])(
  '%d steps on the compact is sound again, every pan it keeps is where it was',
  (steps) => {
    const chart = fit();
    const compact = compactOf(chart);
    const next = seasonChart(compact, again(chart, steps));
    const renewed = renewedCompact(compact, chart, next, TODAY)!;
    expect(compactProblems(renewed, next)).toEqual([]);
    const notes = compactNotes(renewed, next);
    const used = new Set(next.steps.flatMap(({ use }) => use.map((one) => one.product.id)));
    // Whatever the steps lay and goes in a pan has one.
    expect(notes.beside.filter(({ why }) => why === 'not put in a tin')).toEqual([]);
    for (const [tin, { pans }] of compact.tins.entries())
      for (const pan of pans)
        if (used.has(pan.productId)) expect(renewed.tins[tin]!.pans).toContainEqual(pan);
    for (const { productId, on } of renewed.fills) {
      const before = compact.fills.find((fill) => fill.productId === productId);
      expect(on).toBe(before ? before.on : TODAY);
    }
    const said = compactChanges(compact, renewed, [chart, next]);
    const moved = compact.tins.flatMap(({ pans }) => pans).filter(({ productId }) => !used.has(productId));
    expect(said.length).toBeGreaterThanOrEqual(moved.length > 0 ? 1 : 0);
    expect(said.join()).not.toContain('what was there');
  },
);

test('what takes a swapped product’s place is what its own step uses now', () => {
  const chart = fit();
  const compact = compactOf(chart);
  const [first] = chart.steps;
  const old = first!.use[0]!.product;
  const fresh = kitOf(product(95, 'base', [60, 12, 19], { texture: 'cream' })).products[0]!;
  const next: Chart = {
    ...chart,
    version: 2,
    steps: chart.steps.map((step) =>
      step.id === first!.id ? { ...step, use: [{ ...first!.use[0]!, product: fresh }] } : step,
    ),
  };
  const renewed = renewedCompact(compact, chart, next, TODAY)!;
  const place = (one: Compact, productId: string) =>
    one.tins.flatMap(({ pans }) => pans).find((pan) => pan.productId === productId);
  expect(place(renewed, fresh.id)).toMatchObject({
    row: place(compact, old.id)!.row,
    column: place(compact, old.id)!.column,
  });
  expect(compactChanges(compact, renewed, [chart, next])[0]).toMatch(/^[A-C]\d: .* instead of /);
});

test('more than there is room for stays beside, and is said; with no step left there is no compact', () => {
  const chart = fit();
  const one: Compact = {
    ...compactOf(chart),
    tins: [{ id: id(701), rows: 1, columns: 1, pans: [] }],
    fills: [],
  };
  const renewed = renewedCompact(one, chart, chart, TODAY)!;
  expect(renewed.tins[0]!.pans).toHaveLength(1);
  expect(compactNotes(renewed, chart).beside.length).toBeGreaterThan(0);
  expect(
    renewedCompact(
      one,
      chart,
      { ...chart, steps: fit(1, kitOf(...creams(BASES))).steps.map((s) => ({ ...s, id: id(1) })) },
      TODAY,
    ),
  ).toBeNull();
});

test('a lesson says what is another: product, amount, place, a step more or less; nothing of the same', () => {
  const chart = fit();
  const keep = chart.steps.map((step) => step.id);
  const lesson = (of: Chart, kept = keep) => lessonFrom(of, { minutes: 180, keep: kept });
  expect(lessonChanges(lesson(chart), lesson(chart))).toEqual([]);
  const [base] = chart.steps;
  const withBase = (more: object): Chart => ({
    ...chart,
    steps: chart.steps.map((step) => (step.id === base!.id ? { ...step, ...more } : step)),
  });
  const swapped = withBase({
    use: [{ ...base!.use[0]!, product: { ...base!.use[0]!.product, shade: 'Other' } }],
  });
  expect(lessonChanges(lesson(chart), lesson(swapped))).toEqual([
    expect.stringMatching(new RegExp(`^${base!.title}: .*Other.* instead of `)),
  ]);
  const more = withBase({ use: base!.use.map((use) => ({ ...use, parts: use.parts * 4 })) });
  expect(lessonChanges(lesson(chart), lesson(more))).toEqual([
    `${base!.title}: now ${lesson(more).steps.find(({ stepId }) => stepId === base!.id)!.amount}.`,
  ]);
  expect(lessonChanges(lesson(chart), lesson(chart, keep.slice(1)))).toContain(`${base!.title} is left out.`);
  expect(lessonChanges(lesson(chart, keep.slice(1)), lesson(chart))).toContain(`${base!.title} is new.`);
});
