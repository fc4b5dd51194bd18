import { chromaOf, depthOf, hueOf, labOfHue, shiftDepth } from '../colour';
import { checkLimits, inferLandmarks } from '../face';
import { FAULTS } from '../faults';
import { snapshotOf } from '../kit';
import { asWorn, type ChairEvent } from '../chair';
import {
  colourOfUse,
  diffCharts,
  fitLook,
  type Chart,
  type Deviation,
  type Look,
  type NextTime,
} from '../look';
import { BASES, client, id, KIT, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from '../look/look.testing';
import { acceptedRefit, notAsked, refitChart, type Refit } from '.';
import { planFromWorn } from './planFromWorn';

const fit = (who = client(), kit = KIT, look = LOOK): Chart => fitLook(look, who, kit, OCCASION, STAMP).chart;
const stepOf = (chart: Chart, title: string) => chart.steps.find((s) => s.title === title)!;

const again = (worn: Chart, who = client(), kit = KIT) =>
  refitChart(worn, who, kit, { ...OCCASION, date: '2031-11-20' }, { ...STAMP, version: 2 });

test('repeating with the same skin and kit changes nothing', () => {
  const chart = fit();
  const { chart: next, changes, drift } = again(chart);
  expect(changes.every((c) => c.kind === 'keep')).toBe(true);
  expect(next.steps).toEqual(chart.steps);
  expect(next).toMatchObject({ version: 2, parent: 1, occasion: { date: '2031-11-20' } });
  expect(drift).toEqual({ deltaE: 0, stepsDeeper: 0 });
});

test('a tanned client is matched again, with the difference and the reason', () => {
  const chart = fit();
  const tanned = client(shiftDepth(SKIN, 2.4));
  const { chart: next, changes, drift } = again(chart, tanned);
  const change = changes.find((c) => c.title === 'Base')!;
  expect(['remix', 'substitute']).toContain(change.kind);
  expect(change.after.deltaE!).toBeLessThan(change.before.deltaE!);
  expect(change.why).toMatch(/The skin is 2\.\d steps deeper/);
  expect(drift!.stepsDeeper).toBeGreaterThan(2);
  expect(diffCharts(chart, next).some((d) => d.what === 'product' && d.words.startsWith('Base'))).toBe(true);
});

test('a product gone from the kit is replaced; with nothing left it is kept and said', () => {
  const chart = fit();
  const used = new Set(stepOf(chart, 'Contour').use.map((u) => u.product.id));
  const without = { ...KIT, products: KIT.products.filter((p) => !used.has(p.id)) };
  expect(again(chart, client(), without).changes.find((c) => c.title === 'Contour')).toMatchObject({
    kind: 'substitute',
    why: 'It is no longer in the kit.',
  });
  const none = { ...KIT, products: KIT.products.filter((p) => p.kind !== 'contour') };
  const kept = again(chart, client(), none).changes.find((c) => c.title === 'Contour')!;
  expect(kept.kind).toBe('keep');
  expect(kept.why).toContain('nothing else');
});

test('a new sensitivity replaces what contains it', () => {
  const chart = fit(
    client(),
    kitOf(
      ...BASES,
      product(40, 'mascara', [12, 0, 0], { eyeSafe: true, ingredients: ['natural latex'] }),
      product(41, 'mascara', [12, 0, 0], { eyeSafe: true }),
    ),
  );
  const kit = kitOf(
    ...BASES,
    product(40, 'mascara', [12, 0, 0], { eyeSafe: true, ingredients: ['natural latex'] }),
    product(41, 'mascara', [12, 0, 0], { eyeSafe: true }),
  );
  const { changes } = again(chart, client(SKIN, { sensitivities: ['latex'] }), kit);
  expect(changes.find((c) => c.title === 'Mascara' && c.kind === 'substitute')).toMatchObject({
    why: expect.stringContaining('natural latex'),
  });
});

describe('what must not be met any more is not carried, though nothing can stand in for it', () => {
  const rubber = product(40, 'mascara', [12, 0, 0], { eyeSafe: true, ingredients: ['natural latex'] });
  const chart = fit(client(), kitOf(...BASES, rubber));
  const later = (sensitivities: readonly string[], kit = kitOf(...BASES, rubber)) => {
    const refit = again(chart, client(SKIN, { sensitivities: [...sensitivities] }), kit);
    const change = refit.changes.find((c) => c.id === `${stepOf(chart, 'Mascara').id} product`)!;
    return { change, use: stepOf(refit.chart, 'Mascara').use, refit };
  };

  test('the step has no product until one is found, and can be kept by whoever says so', () => {
    const { change, use, refit } = later(['latex']);
    expect(use).toEqual([]);
    expect(change).toMatchObject({ kind: 'without', after: { words: 'no product' } });
    expect(change.why).toMatch(/natural latex.*no product until one is found/);
    const refused = acceptedRefit(refit.base, refit.changes, new Set([change.id]));
    expect(stepOf(refused, 'Mascara').use).toEqual(stepOf(chart, 'Mascara').use);
  });
  test('nor what is no longer in the kit: by what was laid then', () => {
    const { change, use } = later(['latex'], kitOf(...BASES));
    expect(use).toEqual([]);
    expect(change.why).toContain('natural latex');
  });
  test('what is only gone or used up stays written down, to be bought', () => {
    const { change, use } = later([], kitOf(...BASES));
    expect(use).toEqual(stepOf(chart, 'Mascara').use);
    expect(change).toMatchObject({ kind: 'keep', why: expect.stringContaining('no longer in the kit') });
  });
  test('another who minds it not at all keeps it', () => {
    expect(later(['lanolin']).use.map(({ product: { id } }) => id)).toEqual([rubber.id]);
  });
});

const saidAt = (chart: Chart, title: string, deviation: Deviation): ChairEvent => ({
  kind: 'deviation',
  stepId: stepOf(chart, title).id,
  at: STAMP.at,
  by: 'Ada',
  deviation,
});
const changeOf = (refit: Refit, title: string, kind: string) =>
  refit.changes.find((c) => c.title === title && c.kind === kind);

test('what the chair taught is carried, each as a change of its own that can be refused', () => {
  const chart = fit();
  const planned = stepOf(chart, 'Base').use.reduce((sum, u) => sum + u.parts, 0);
  const worn = asWorn(chart, [
    saidAt(chart, 'Base', { kind: 'amount', measures: planned * 1.5, note: '' }),
    saidAt(chart, 'Light', { kind: 'skipped', note: '' }),
    saidAt(chart, 'Mascara', { kind: 'note', note: 'Tubing held well.' }),
  ]);
  const refit = again(worn);
  expect(changeOf(refit, 'Base', 'carried')).toMatchObject({ difference: '50 % more product' });
  expect(changeOf(refit, 'Light', 'carried')).toMatchObject({
    difference: 'the step falls away',
    after: { words: 'left out' },
  });
  expect(refit.chart.steps.some((s) => s.title === 'Light')).toBe(false);
  expect(stepOf(refit.chart, 'Mascara').note).toBe('Tubing held well.');
  expect(refit.base.steps.every((s) => s.done === undefined)).toBe(true);

  const refused = new Set([changeOf(refit, 'Light', 'carried')!.id]);
  const some = acceptedRefit(refit.base, refit.changes, refused);
  expect(stepOf(some, 'Light').use).toEqual(stepOf(chart, 'Light').use);
  expect(stepOf(some, 'Base').use.reduce((sum, u) => sum + u.parts, 0)).toBeCloseTo(planned * 1.5, 9);
});

test('everything taken is the proposal, everything refused the old plan for the new day', () => {
  const chart = fit();
  const worn = asWorn(chart, [saidAt(chart, 'Base', { kind: 'amount', measures: 9, note: '' })]);
  const refit = again(worn, client(shiftDepth(SKIN, 2)));
  expect(acceptedRefit(refit.base, refit.changes, notAsked(refit.changes))).toEqual(refit.chart);
  const none = acceptedRefit(refit.base, refit.changes, new Set(refit.changes.map((c) => c.id)));
  expect(none.steps).toEqual(chart.steps);
  expect(none.occasion.date).toBe('2031-11-20');
  expect(new Set(refit.changes.map((c) => c.id)).size).toBe(refit.changes.length);
});

const LIPS: Look = {
  ...LOOK,
  steps: [
    ...LOOK.steps,
    {
      ...LOOK.steps[0]!,
      id: id(180),
      phase: 'lips',
      role: 'lip',
      title: 'Lip',
      shade: { lab: [44, 46, 22] },
      wants: { kinds: ['lip colour'] },
      placements: [{ guide: 'lips', side: 'both' }],
    },
  ],
};
const RED = product(60, 'lip colour', [44, 46, 22], { texture: 'cream' });
const ROSE = product(61, 'lip colour', [52, 30, 14], { texture: 'cream' });
const PLUM = product(62, 'lip colour', [30, 40, 8], { texture: 'cream' });
const CORAL = product(64, 'lip colour', [46, 42, 36], { texture: 'cream' });
const PINK = product(65, 'lip colour', [45, 47, 6], { texture: 'cream' });

test.each([
  ['calmer', 'By the evening.', ROSE],
  ['deeper', '', PLUM],
  ['warmer', 'With the gold.', CORAL],
  ['cooler', '', PINK],
] as const)(
  '%s, chosen, proposes the kit’s nearest that way and shows the sentence',
  (nextTime, note, expected) => {
    const kit = kitOf(...KIT.products, RED, ROSE, PLUM, CORAL, PINK);
    const chart = fit(client(), kit, LIPS);
    expect(stepOf(chart, 'Lip').use[0]!.product.id).toBe(RED.id);
    const refit = again(
      asWorn(chart, [saidAt(chart, 'Lip', { kind: 'next time', nextTime, note })]),
      client(),
      kit,
    );
    const learned = changeOf(refit, 'Lip', 'learned')!;
    expect(stepOf(refit.chart, 'Lip').use[0]!.product.id).toBe(expected.id);
    expect(learned.why).toContain(note);
    const words: string = nextTime;
    expect(learned.difference).toMatch(new RegExp(`^${words} by \\d`));
    const refused = acceptedRefit(refit.base, refit.changes, new Set([learned.id]));
    expect(stepOf(refused, 'Lip').use[0]!.product.id).toBe(RED.id);
  },
);

test('a wish the kit cannot answer proposes nothing', () => {
  const kit = kitOf(...KIT.products, RED, product(63, 'lip colour', [43, 48, 24], { texture: 'cream' }));
  const chart = fit(client(), kit, LIPS);
  const worn = asWorn(chart, [saidAt(chart, 'Lip', { kind: 'next time', nextTime: 'calmer', note: '' })]);
  expect(changeOf(again(worn, client(), kit), 'Lip', 'learned')).toBeUndefined();
  expect(chromaOf(RED.lab!)).toBeLessThan(chromaOf([43, 48, 24]));
});

test.each([
  'Not too strong, perfect.',
  'She asked for a calmer lip.',
  'too dark? no, just right',
  'deeper next time',
  'Held through dinner.',
  'lighter hand',
])('nothing is read out of “%s”', (note) => {
  const kit = kitOf(...KIT.products, RED, ROSE, PLUM);
  const chart = fit(client(), kit, LIPS);
  const refit = again(asWorn(chart, [saidAt(chart, 'Lip', { kind: 'note', note })]), client(), kit);
  expect(changeOf(refit, 'Lip', 'learned')).toBeUndefined();
  expect(stepOf(refit.chart, 'Lip').use[0]!.product.id).toBe(RED.id);
  const kept = again(
    asWorn(chart, [saidAt(chart, 'Lip', { kind: 'next time', nextTime: 'keep', note })]),
    client(),
    kit,
  );
  expect(changeOf(kept, 'Lip', 'keep')!.why).toContain(note);
  expect(stepOf(kept.chart, 'Lip').use).toEqual(stepOf(chart, 'Lip').use);
});

test('more, less, leave out, other place and other product are done as chosen, each refusable', () => {
  const kit = kitOf(...KIT.products, RED, ROSE);
  const chart = fit(client(), kit, LIPS);
  const after = (title: string, nextTime: 'more' | 'less' | 'leave out' | 'other place' | 'other product') =>
    again(asWorn(chart, [saidAt(chart, title, { kind: 'next time', nextTime, note: '' })]), client(), kit);
  const dose = (c: Chart, title: string) => stepOf(c, title).doseMgPerCm2;
  expect(dose(after('Base', 'more').chart, 'Base')).toBeCloseTo(1.3 * dose(chart, 'Base'), 2);
  expect(dose(after('Base', 'less').chart, 'Base')).toBeCloseTo(0.75 * dose(chart, 'Base'), 2);
  const out = after('Light', 'leave out');
  expect(stepOf(out.chart, 'Light')).toBeUndefined();
  expect(
    stepOf(acceptedRefit(out.base, out.changes, new Set([changeOf(out, 'Light', 'learned')!.id])), 'Light'),
  ).toBeDefined();
  expect(changeOf(after('Contour', 'other place'), 'Contour', 'learned')).toMatchObject({
    part: null,
    difference: 'place it on the face anew',
  });
  expect(stepOf(after('Lip', 'other product').chart, 'Lip').use[0]!.product.id).toBe(ROSE.id);
});

describe('several things said of one step', () => {
  const kit = kitOf(...KIT.products, RED, ROSE, PLUM, PINK);
  const said = (chart: Chart, ...wishes: readonly NextTime[]) =>
    wishes.map((nextTime) => saidAt(chart, 'Lip', { kind: 'next time', nextTime, note: '' }));
  const chart = fit(client(), kit, LIPS);
  const dose = stepOf(chart, 'Lip').doseMgPerCm2;
  const repeated = (...wishes: readonly NextTime[]) =>
    again(asWorn(chart, said(chart, ...wishes)), client(), kit);

  test.each([
    [['more', 'less'], 0.75],
    [['less', 'more'], 1.3],
    [['more', 'more'], 1.3],
    [['leave out', 'less'], 0.75],
    [['keep', 'more'], 1.3],
    [['more', 'keep'], 1],
  ] as const)('%j: the last counts', (wishes, by) => {
    const refit = repeated(...wishes);
    expect(stepOf(refit.chart, 'Lip').doseMgPerCm2).toBeCloseTo(by * dose, 2);
    expect(new Set(refit.changes.map((c) => c.id)).size).toBe(refit.changes.length);
  });

  test.each([[['more', 'leave out']], [['keep', 'leave out']], [['deeper', 'leave out']]] as const)(
    '%j: it is left out, and nothing else is done to it',
    (wishes) => {
      const refit = repeated(...wishes);
      expect(stepOf(refit.chart, 'Lip')).toBeUndefined();
      expect(refit.changes.filter((c) => c.title === 'Lip' && c.kind === 'learned')).toHaveLength(1);
    },
  );

  test('what is about different things goes together: deeper, and less of it', () => {
    const { chart: next } = repeated('deeper', 'less');
    expect(stepOf(next, 'Lip').use[0]!.product.id).toBe(PLUM.id);
    expect(stepOf(next, 'Lip').doseMgPerCm2).toBeCloseTo(0.75 * dose, 2);
    expect(stepOf(repeated('warmer', 'deeper').chart, 'Lip').use[0]!.product.id).toBe(PLUM.id);
  });

  // A wish for more or less must never put back what was taken out.
  test.each(['more', 'less'] as const)(
    '%s of a product the client reacts to by now is of the one in its place',
    (nextTime) => {
      const latex = product(60, 'lip colour', [44, 46, 22], {
        texture: 'cream',
        ingredients: ['natural latex'],
      });
      const now = kitOf(...KIT.products, latex, ROSE);
      const worn = asWorn(chart, said(chart, nextTime));
      const refit = again(worn, client(SKIN, { sensitivities: ['latex'] }), now);
      for (const refused of [new Set<string>(), notAsked(refit.changes)])
        expect(
          stepOf(acceptedRefit(refit.base, refit.changes, refused), 'Lip').use.map((u) => u.product.id),
        ).toEqual([ROSE.id]);
      const gone = again(worn, client(), kitOf(...KIT.products, PINK));
      expect(stepOf(gone.chart, 'Lip').use.map((u) => u.product.id)).toEqual([PINK.id]);
    },
  );

  test('the amount of a product that was then exchanged is no part of the dose of the next', () => {
    const [use] = stepOf(chart, 'Lip').use;
    const rose = { ...use!, product: snapshotOf(ROSE) };
    const amount = (measures: number): Deviation => ({ kind: 'amount', measures, note: '' });
    const other: Deviation = { kind: 'other product', use: [rose], note: '' };
    const done = (...all: readonly Deviation[]) =>
      planFromWorn(
        asWorn(
          chart,
          all.map((one) => saidAt(chart, 'Lip', one)),
        ),
      ).steps.find((s) => s.title === 'Lip')!;
    const planned = use!.parts;
    expect(done(amount(3 * planned)).doseMgPerCm2).toBeCloseTo(3 * dose, 9);
    expect(done(amount(3 * planned), amount(2 * planned)).doseMgPerCm2).toBeCloseTo(2 * dose, 9);
    expect(done(amount(3 * planned), other).doseMgPerCm2).toBeCloseTo(dose, 9);
    const last = done(amount(3 * planned), other, amount(2 * planned));
    expect(last.doseMgPerCm2).toBeCloseTo(2 * dose, 9);
    expect(last.use).toEqual([{ ...rose, parts: 2 * planned }]);
  });

  test('a step that asks for no product, done with one: its like stands in for it once the client reacts to it', () => {
    const latex = product(70, 'shadow', [60, 20, 20], { eyeSafe: true, ingredients: ['natural latex'] });
    const plain = product(71, 'shadow', [58, 20, 20], { eyeSafe: true });
    const use = [{ unitId: null, product: snapshotOf(latex), parts: 1, measure: latex.measure }];
    const worn = asWorn(chart, [saidAt(chart, 'Lid', { kind: 'other product', use, note: '' })]);
    const now = kitOf(...kit.products, latex, plain);
    const lid = (who = client(), from = now) =>
      stepOf(again(worn, who, from).chart, 'Lid').use.map((u) => u.product.id);
    expect(lid()).toEqual([latex.id]);
    expect(lid(client(SKIN, { sensitivities: ['latex'] }))).toEqual([plain.id]);
    expect(lid(client(), kitOf(...kit.products, plain))).toEqual([plain.id]);
  });

  test('a fault that two have seen is mended once; two faults are both', () => {
    const fault = FAULTS.flatMap(({ id: seen, causes }) =>
      causes.map((cause) => ({ seen, cause: cause.id, remedy: cause.remedy })),
    ).filter(({ remedy }) => remedy(stepOf(chart, 'Base')).doseMgPerCm2 < stepOf(chart, 'Base').doseMgPerCm2);
    expect(fault.length).toBeGreaterThan(1);
    for (const { seen, cause, remedy } of fault) {
      const one: Deviation = { kind: 'fault', fault: { seen, cause }, note: '' };
      const worn = asWorn(chart, [
        saidAt(chart, 'Base', one),
        saidAt(chart, 'Base', { ...one, note: 'I saw it too.' }),
      ]);
      const next = stepOf(again(worn, client(), kit).chart, 'Base');
      expect(next.doseMgPerCm2).toBe(remedy(stepOf(chart, 'Base')).doseMgPerCm2);
      expect(next.note).toContain('I saw it too.');
    }
  });
});

test('a face traced anew has its places brought back inside its limits, and said by how much', () => {
  const drawn: Chart = {
    ...fit(),
    steps: fit().steps.map((s) =>
      s.title === 'Contour'
        ? {
            ...s,
            placements: [{ guide: 'cheekContour' as const, side: 'both' as const, params: { reach: 112 } }],
          }
        : s,
    ),
  };
  const wide = {
    ...client(),
    landmarks: inferLandmarks({ cheekboneWidth: 140, faceLength: 165, mouthWidth: 58 }),
  };
  expect(
    checkLimits({ guide: 'cheekContour', side: 'both', params: { reach: 112 } }, wide.landmarks).length,
  ).toBeGreaterThan(0);
  const refit = again(drawn, wide);
  const moved = changeOf(refit, 'Contour', 're-place')!;
  expect(moved.why).toMatch(/^It leaves its limits on the face as it is now\. [A-Z].*[^.]\.$/);
  expect(moved.difference).toMatch(/^\d+\.\d cm² placed otherwise$/);
  for (const p of stepOf(refit.chart, 'Contour').placements)
    expect(checkLimits(p, wide.landmarks)).toEqual([]);
  const narrow = again(fit(), client(SKIN, { features: { right: { narrowTemples: true } } }));
  expect(stepOf(narrow.chart, 'Forehead').placements).toEqual([{ guide: 'foreheadContour', side: 'left' }]);
  expect(changeOf(narrow, 'Forehead', 'asked')!.why).toContain('narrow');
  // What was put there by hand since is no answer to what was asked: it is placed anew, or goes.
  const byHand = (role: 'contour' | 'bronze', ...guides: ('zone.temple' | 'cheekContour')[]) => {
    const worn = fit(client(SKIN, { features: { narrowTemples: true } }));
    const steps = worn.steps.map((s) =>
      s.title === 'Contour'
        ? { ...s, role, placements: guides.map((guide) => ({ guide, side: 'both' as const })) }
        : s,
    );
    const next = again({ ...worn, steps }, client(SKIN, { features: { narrowTemples: true } }));
    return next.chart.steps
      .find((s) => s.title === 'Contour')
      ?.placements.map((p) => ('guide' in p ? p.guide : ''));
  };
  expect(byHand('contour', 'zone.temple', 'cheekContour')).toEqual(['cheekContour']);
  expect(byHand('contour', 'zone.temple')).toBeUndefined();
  expect(byHand('bronze', 'zone.temple')).toEqual(['zone.temple']);
});

test('an order is proposed when something new speaks for it, and only then', () => {
  const sparse = again(fit(), client(SKIN, { features: { brows: 'sparse' } }));
  const order = sparse.changes.find((c) => c.kind === 're-order')!;
  expect(order).toMatchObject({
    stepId: null,
    title: 'Eyes or face first: eyes first',
    part: { of: 'school', school: 'eyesOrFace' },
  });
  // Proposed, and not taken by itself.
  expect(sparse.chart.schools.eyesOrFace).toBe('face first');
  expect(acceptedRefit(sparse.base, sparse.changes).schools.eyesOrFace).toBe('eyes first');
  const before = fit(client(SKIN, { features: { brows: 'sparse' } }));
  expect(
    again(before, client(SKIN, { features: { brows: 'sparse' } })).changes.filter(
      (c) => c.kind === 're-order',
    ),
  ).toEqual([]);
});

test('a softer contrast is advised on the chart, not called an order', () => {
  const bold: Chart = { ...fit(), schools: { ...fit().schools, contrast: 'bold' } };
  const refit = again(bold, client(SKIN, { features: { age: 'mature' } }));
  expect(
    refit.changes.map((c) => c.part).filter((part) => part?.of === 'school' && part.school === 'contrast'),
  ).toEqual([]);
});

test('waits that can be filled are filled by proposal, with the minutes it saves', () => {
  const chart = fit();
  const waiting: Chart = {
    ...chart,
    steps: chart.steps.map((s) => (s.title === 'Base' ? { ...s, waitMinutes: 6 } : s)),
  };
  const refit = again(waiting);
  const order = refit.changes.find((c) => c.kind === 're-order')!;
  expect(order.difference).toMatch(/^\d min shorter for \d moves?$/);
  expect(refit.chart.steps.map((s) => s.title)).toEqual(waiting.steps.map((s) => s.title));
  const taken = acceptedRefit(refit.base, refit.changes);
  expect(taken.steps.map((s) => s.title)).not.toEqual(waiting.steps.map((s) => s.title));
  expect(taken.steps.map((s) => s.id).sort()).toEqual(waiting.steps.map((s) => s.id).sort());
});

describe('what was seen last time took the product out', () => {
  const after = (title: string, seen: string, cause: string, who = client(), kit = KIT) => {
    const chart = fit(who, kit);
    const deviation: Deviation = { kind: 'fault', note: '', fault: { seen, cause } };
    const refit = again(asWorn(chart, [saidAt(chart, title, deviation)]), who, kit);
    return { was: stepOf(chart, title), now: stepOf(refit.chart, title), refit };
  };
  const ids = (step: Chart['steps'][number]): string[] => step.use.map((u) => u.product.id);

  test('another is proposed for it, as a change of its own that can be refused', () => {
    const cooler = KIT.products
      .filter(({ kind }) => kind === 'contour')
      .map((one, i) => {
        const lab = labOfHue(one.lab![0], chromaOf([...one.lab!]), hueOf([...one.lab!]) - 6);
        return product(70 + i, 'contour', lab, { finish: one.finish });
      });
    const { was, now, refit } = after(
      'Contour',
      'orange',
      'too-warm',
      client(),
      kitOf(...KIT.products, ...cooler),
    );
    expect(now.use.length).toBeGreaterThan(0);
    expect(ids(now).filter((one) => ids(was).includes(one))).toEqual([]);
    const change = refit.changes.find((c) => c.id === `${was.id} product`)!;
    expect(change).toMatchObject({
      kind: 'substitute',
      why: 'Another product, after what was seen last time.',
    });
    expect(change.before.words).toContain(was.use[0]!.product.shade);
    expect(change.difference).toMatch(/^\d+\.\d from what it was$/);
    const refused = acceptedRefit(refit.base, refit.changes, new Set(refit.changes.map((c) => c.id)));
    expect(ids(stepOf(refused, 'Contour'))).toEqual(ids(was));
  });

  test('where the kit has nothing else it stays, and that is said', () => {
    const kit = kitOf(...BASES, product(20, 'contour', [54, 10, 15], { finish: 'matte' }));
    const { was, now, refit } = after('Contour', 'orange', 'too-warm', client(), kit);
    expect(ids(now)).toEqual(ids(was));
    expect(refit.changes.find((c) => c.id === `${was.id} product`)).toMatchObject({
      kind: 'keep',
      why: expect.stringContaining('nothing else'),
    });
  });

  test('nor is it put back where something speaks against it by now', () => {
    const rubber = (): ReturnType<typeof kitOf> =>
      kitOf(
        ...BASES,
        product(20, 'contour', [54, 10, 15], { finish: 'matte', ingredients: ['natural latex'] }),
      );
    const chart = fit(client(), rubber());
    const deviation: Deviation = { kind: 'fault', note: '', fault: { seen: 'orange', cause: 'too-warm' } };
    const worn = asWorn(chart, [saidAt(chart, 'Contour', deviation)]);
    const refit = again(worn, client(SKIN, { sensitivities: ['latex'] }), rubber());
    expect(stepOf(chart, 'Contour').use).not.toEqual([]);
    expect(stepOf(refit.chart, 'Contour').use).toEqual([]);
    const change = refit.changes.find((c) => c.id === `${stepOf(chart, 'Contour').id} product`)!;
    expect(change.why).toMatch(/natural latex.*nothing else/);
    expect(change.part).toBeNull();
  });

  test('on every skin: a step deeper is deeper, never the same, and never nothing', () => {
    const depths = Array.from({ length: 24 }, (_, n) => -6 + n * 0.75);
    let found = 0;
    for (const by of depths) {
      const who = client(shiftDepth(SKIN, by));
      const many = Array.from({ length: 14 }, (_, n) => product(60 + n, 'base', shiftDepth([74, 10, 18], n)));
      const { was, now } = after('Base', 'grey', 'too-light', who, kitOf(...many));
      if (was.use.length === 0) continue;
      expect(now.use.length).toBeGreaterThan(0);
      const [before, then] = [colourOfUse(was.use)!, colourOfUse(now.use)!];
      if (ids(now).join() === ids(was).join()) continue;
      found++;
      expect(ids(now).filter((one) => ids(was).includes(one))).toEqual([]);
      expect(depthOf(then)).toBeGreaterThan(depthOf(before));
    }
    expect(found).toBeGreaterThan(8);
  });
});
