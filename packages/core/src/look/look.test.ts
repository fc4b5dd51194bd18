import fc from 'fast-check';
import { deltaE2000, depthOf, matchBase, type Lab } from '../colour';
import { checkLimits } from '../face';
import { areaOfStep, excludedBecause, measuresInWords, skinTarget, wantedColour } from '../shade';
import {
  colourOfUse,
  diffCharts,
  fitLook,
  inOrder,
  nextVersion,
  phaseOrder,
  productsInWords,
  proposeProducts,
  type Chart,
  type FitContext,
} from '.';
import { asWorn, type ChairEvent } from '../chair';
import { planFromWorn } from '../repeat';
import { BASES, client, id, KIT, kitOf, LOOK, OCCASION, product, SKIN, STAMP } from './look.testing';

const context = (more: Partial<FitContext> = {}): FitContext => ({
  client: client(),
  kit: KIT,
  date: '2031-05-14',
  forbids: { finishes: [], kinds: [] },
  ...more,
});
const fit = (who = client(), kit = KIT): Chart => fitLook(LOOK, who, kit, OCCASION, STAMP).chart;
const stepOf = (chart: Chart, title: string) => chart.steps.find((s) => s.title === title)!;
const [base, contour] = LOOK.steps;
/** A step of care that asks for a kind, on the lids where nothing else is said. */
const onLids = (
  kind: 'primer' | 'highlight' | 'concealer' | 'powder',
  guide: 'zone.mobileLid' | 'zone.foreheadCentre' = 'zone.mobileLid',
) => ({
  ...base!,
  role: 'care' as const,
  phase: 'eyes' as const,
  shade: null,
  wants: { kinds: [kind] },
  placements: [{ guide, side: 'both' as const }],
});

test('the target weighs face, neck and decollete, and leaves out what is not read', () => {
  const { skin } = client();
  const target = skinTarget(skin)!;
  expect(target[0]).toBeGreaterThan(Math.min(skin.chin![0], skin.decollete![0]) - 0.01);
  expect(skinTarget({ neck: [60, 10, 18] })).toEqual([60, 10, 18]);
  expect(skinTarget({})).toBeNull();
  expect(skinTarget({ cheek: [60, 12, 18], neck: [70, 8, 18] }, { face: 0, neck: 1, decollete: 0 })).toEqual([
    70, 8, 18,
  ]);
});

test('a relative shade moves with the skin and is eased on mature skin', () => {
  const plain = wantedColour(contour!, client())!;
  expect(depthOf(plain) - depthOf(skinTarget(client().skin)!)).toBeCloseTo(2.5, 6);
  const mature = wantedColour(contour!, client(SKIN, { features: { age: 'mature' } }))!;
  expect(depthOf(mature) - depthOf(skinTarget(client().skin)!)).toBeCloseTo(2, 6);
  expect(wantedColour({ ...contour!, shade: { lab: [40, 1, 2] } }, client())).toEqual([40, 1, 2]);
  expect(wantedColour(contour!, { ...client(), skin: {} })).toBeNull();
});

test('blush goes deeper and redder on deep skin', () => {
  const blush = { role: 'blush' as const, shade: { lab: [68, 28, 20] as [number, number, number] } };
  expect(wantedColour(blush, client([70, 10, 18]))).toEqual([68, 28, 20]);
  const deep = wantedColour(blush, client([34, 11, 13]))!;
  expect(deep[0]).toBeLessThan(60);
  expect(deep[1]).toBeGreaterThan(30);
});

test('the base proposed is as close as the nearest single or pair of the kit', () => {
  const target = skinTarget(client().skin)!;
  const best = proposeProducts(base!, context())[0]!;
  const { singles, pairs } = matchBase(
    target,
    BASES.map((p) => ({ id: p.id, lab: p.lab as Lab })),
  );
  expect([singles[0]!.deltaE, pairs[0]!.deltaE].some((d) => Math.abs(d - best.deltaE!) < 1e-9)).toBe(true);
  expect(best.use.every((u) => Number.isInteger(2 * u.parts) && u.parts >= 0.5)).toBe(true);
  expect(best.reasons[0]).toMatch(/^\d\.\d off, /);
});

test('the best singles and the best mixes are both among the proposals, in order of cost', () => {
  const proposals = proposeProducts(base!, context());
  expect(proposals.filter((p) => p.use.length === 1).map((p) => p.use[0]!.product.id)).toEqual([
    BASES[1]!.id,
  ]);
  expect(proposals.filter((p) => p.use.length === 2)).toHaveLength(3);
  for (const p of proposals) expect(p.deltaE!).toBeLessThanOrEqual(2);
  expect(proposals.map((p) => p.cost)).toEqual([...proposals.map((p) => p.cost)].sort((a, b) => a - b));
});

test('a mix says its ratio and its colour is the mix’s', () => {
  const pair = proposeProducts(base!, context({ kit: kitOf(BASES[0]!, BASES[2]!) })).find(
    (p) => p.use.length === 2,
  )!;
  expect(pair.reasons.join()).toMatch(/mix \d : \d/);
  expect(deltaE2000(colourOfUse(pair.use)!, pair.lab!)).toBeLessThan(0.01);
});

test.each([
  [
    'shine in contour',
    product(50, 'contour', SKIN, { finish: 'shimmer' }),
    contour!,
    {},
    'shine undoes a shadow',
  ],
  ['another kind', product(50, 'blush', SKIN), contour!, {}, 'not what this step asks for'],
  ['a withdrawn product', product(50, 'contour', SKIN, { withdrawn: true }), contour!, {}, 'withdrawn'],
  [
    'an allergen',
    product(50, 'contour', SKIN, { ingredients: ['Lanolin alcohol'] }),
    contour!,
    { client: client(SKIN, { sensitivities: ['lanolin'] }) },
    'Lanolin alcohol (lanolin)',
  ],
  [
    'fibres with lenses',
    KIT.products.find((p) => p.id === id(40))!,
    LOOK.steps[5]!,
    { client: client(SKIN, { features: { lenses: true } }) },
    'fibres',
  ],
  [
    'what the look forbids',
    product(50, 'contour', SKIN),
    contour!,
    { forbids: { finishes: ['natural' as const], kinds: [] } },
    'allows nothing natural',
  ],
  ['not for the eye', product(50, 'mascara', SKIN), LOOK.steps[5]!, {}, 'eye area'],
  ['a primer that is not for the eye', product(50, 'primer', null), onLids('primer'), {}, 'eye area'],
  [
    'a loose shimmer on the lids of lenses',
    product(50, 'highlight', SKIN, { texture: 'loose', finish: 'shimmer', eyeSafe: true }),
    onLids('highlight'),
    { client: client(SKIN, { features: { lenses: true } }) },
    'sheds into contact lenses',
  ],
])('%s is left out, with the reason', (_, candidate, step, more, reason) => {
  expect(excludedBecause(candidate, step, context(more))).toContain(reason);
});

test('a primer of lids is one that is meant for the eye, or none; the skin takes either', () => {
  const plain = product(50, 'primer', null, { eyeSafe: false });
  const meant = product(51, 'primer', null, { eyeSafe: true });
  const taken = (step: ReturnType<typeof onLids>, ...products: (typeof plain)[]) =>
    proposeProducts(step, context({ kit: kitOf(...products) })).map(({ use }) => use[0]!.product.id);
  expect(taken(onLids('primer'), plain, meant)).toEqual([meant.id]);
  expect(taken(onLids('primer'), plain)).toEqual([]);
  // What covers and sets is laid up to the lids by everybody.
  for (const kind of ['concealer', 'powder'] as const) {
    const covers = product(52, kind, SKIN, { eyeSafe: false });
    expect(excludedBecause(covers, onLids(kind), context({}))).toBeNull();
  }
  const onSkin = onLids('primer', 'zone.foreheadCentre');
  expect([...taken(onSkin, plain, meant)].sort()).toEqual([plain.id, meant.id].sort());
});

test('units past their shelf life are not used', () => {
  const old = { ...KIT, units: KIT.units.map((u) => ({ ...u, openedOn: '2029-01-01' })) };
  expect(proposeProducts(base!, context({ kit: old }))).toEqual([]);
});

test('a fitted look binds every step, keeps every limit, and leaves the look alone', () => {
  const before = JSON.stringify(LOOK);
  const { chart, proposals, notes } = fitLook(LOOK, client(), KIT, OCCASION, STAMP);
  expect(chart.steps.map((s) => s.title)).toEqual(['Base', 'Contour', 'Forehead', 'Light', 'Lid', 'Mascara']);
  for (const step of chart.steps) {
    expect(step.use).toEqual(proposals[step.id]![0]?.use ?? []);
    for (const placement of step.placements)
      expect(checkLimits(placement, chart.client.landmarks, chart.client.features)).toEqual([]);
  }
  expect(notes).toEqual(['Base: carried down the neck: the neck is 3.3 from the face, lighter.']);
  expect(stepOf(chart, 'Contour').use[0]!.product.finish).toBe('matte');
  expect(JSON.stringify(LOOK)).toBe(before);
});

test('narrow temples leave the forehead contour out and say why', () => {
  const { chart, notes } = fitLook(
    LOOK,
    client(SKIN, { features: { narrowTemples: true } }),
    KIT,
    OCCASION,
    STAMP,
  );
  expect(stepOf(chart, 'Forehead')).toBeUndefined();
  expect(notes.join()).toContain('temples are narrow');
});

test('one narrow temple loses the forehead contour on its side only', () => {
  const { chart, notes } = fitLook(
    LOOK,
    client(SKIN, { features: { right: { narrowTemples: true } } }),
    KIT,
    OCCASION,
    STAMP,
  );
  expect(stepOf(chart, 'Forehead').placements).toEqual([{ guide: 'foreheadContour', side: 'left' }]);
  expect(notes.join()).toContain('Forehead left out in part: the client’s right temple is narrow');
});

test('an empty kit is told step by step; an unread skin is refused', () => {
  const { chart, notes } = fitLook(LOOK, client(), { products: [], units: [] }, OCCASION, STAMP);
  expect(chart.steps.every((s) => s.use.length === 0)).toBe(true);
  expect(notes.filter((n) => /: no [a-z ]+ of the kit can be used/.test(n))).toHaveLength(5);
  expect(notes.join()).toContain('Buy a matte contour, about depth');
  expect(() => fitLook(LOOK, { ...client(), skin: {} }, KIT, OCCASION, STAMP)).toThrow('read the skin first');
});

test('a reach over the limits is eased when a look is fitted, and said', () => {
  const wide = {
    ...LOOK,
    steps: [
      {
        ...contour!,
        placements: [{ guide: 'cheekContour' as const, side: 'both' as const, params: { reach: 150 } }],
      },
    ],
  };
  const { chart, notes } = fitLook(wide, client(), KIT, OCCASION, STAMP);
  expect(notes.join()).toContain('moved to keep its limits');
  expect(checkLimits(chart.steps[0]!.placements[0]!, chart.client.landmarks)).toEqual([]);
});

test('schools order the phases', () => {
  const eyesFirst = phaseOrder({ ...LOOK.schools, eyesOrFace: 'eyes first' });
  expect(eyesFirst.indexOf('eyes')).toBeLessThan(eyesFirst.indexOf('base'));
  const under = phaseOrder({ ...LOOK.schools, contour: 'under base', concealer: 'under base' });
  expect(under.indexOf('sculpt')).toBeLessThan(under.indexOf('base'));
  expect(under.indexOf('conceal')).toBeLessThan(under.indexOf('base'));
  expect([...eyesFirst].sort()).toEqual([...phaseOrder(LOOK.schools)].sort());
  expect(
    inOrder(
      [
        { phase: 'lips', role: 'lip', placements: [], n: 1 },
        { phase: 'base', role: 'base', placements: [], n: 2 },
        { phase: 'base', role: 'base', placements: [], n: 3 },
      ] as const,
      LOOK,
    ).map((s) => s.n),
  ).toEqual([2, 3, 1]);
});

const event = (
  stepId: string,
  more:
    | { kind: 'done' | 'undone' }
    | { kind: 'deviation'; deviation: Extract<ChairEvent, { kind: 'deviation' }>['deviation'] },
): ChairEvent => ({ stepId, at: '2031-05-14T10:00:00Z', by: 'Teodor', ...more });

test('as worn: ticks, takes ticks back, keeps deviations', () => {
  const chart = fit();
  const baseId = stepOf(chart, 'Base').id;
  const worn = asWorn(chart, [
    event(baseId, { kind: 'done' }),
    event(baseId, { kind: 'deviation', deviation: { kind: 'amount', measures: 2, note: '' } }),
    event(baseId, { kind: 'undone' }),
    event(id(999), { kind: 'done' }),
  ]);
  expect(stepOf(worn, 'Base').done).toMatchObject({
    ticked: false,
    deviations: [{ kind: 'amount', measures: 2 }],
  });
  expect(asWorn(chart, [event(baseId, { kind: 'done' }), event(baseId, { kind: 'undone' })])).toEqual(chart);
});

test('two pumps instead of one become the recipe; what was skipped goes', () => {
  const chart = fit();
  const planned = stepOf(chart, 'Base').use.reduce((n, u) => n + u.parts, 0);
  const { steps, carried } = planFromWorn(
    asWorn(chart, [
      event(stepOf(chart, 'Base').id, {
        kind: 'deviation',
        deviation: { kind: 'amount', measures: planned * 2, note: 'fuller' },
      }),
      event(stepOf(chart, 'Light').id, { kind: 'deviation', deviation: { kind: 'skipped', note: '' } }),
    ]),
  );
  const next = steps.find((s) => s.title === 'Base')!;
  expect(next.use.reduce((n, u) => n + u.parts, 0)).toBeCloseTo(planned * 2, 9);
  expect(next.doseMgPerCm2).toBeCloseTo(1.2, 9);
  expect(next.note).toContain('fuller');
  expect(next.done).toBeUndefined();
  expect(steps.some((s) => s.title === 'Light')).toBe(false);
  expect(carried.map((c) => c.what)).toEqual([
    `Base: ${measuresInWords(planned * 2, 'pump')} instead of ${planned}, as worn`,
    'Light was skipped last time',
  ]);
});

test('differences are told in words: product, place, amount, note, order, removal', () => {
  const a = fit();
  const b: Chart = {
    ...a,
    occasion: { ...a.occasion, date: '2031-06-01' },
    steps: [...a.steps.slice(1), a.steps[0]!]
      .filter((s) => s.title !== 'Lid')
      .map((s) =>
        s.title === 'Contour'
          ? {
              ...s,
              note: 'softer',
              placements: [{ guide: 'cheekContour' as const, side: 'both' as const, params: { reach: 80 } }],
            }
          : s,
      )
      .map((s) => (s.title === 'Light' ? { ...s, use: s.use.map((u) => ({ ...u, parts: 3 })) } : s)),
  };
  const told = diffCharts(a, b);
  expect(told.map((d) => d.what).sort()).toEqual(['amount', 'note', 'occasion', 'order', 'place', 'removed']);
  expect(told.find((d) => d.what === 'place')!.words).toContain('reach 100 to 80 %');
  expect(diffCharts(a, a)).toEqual([]);
});

test('a next version counts on from its parent and drops the old seal', () => {
  const chart = { ...fit(), hash: `sha256:${'0'.repeat(64)}` };
  expect(nextVersion(chart, chart, { author: 'Bo', at: STAMP.at, reason: 'calmer' })).toMatchObject({
    id: chart.id,
    version: 2,
    parent: 1,
    author: 'Bo',
  });
  expect(nextVersion(chart, chart, { author: 'Bo', at: STAMP.at, reason: '' }).hash).toBeUndefined();
});

test('areas and names', () => {
  expect(areaOfStep(base!, client())).toBeGreaterThan(200);
  expect(productsInWords([])).toBe('no product');
  const use = stepOf(fit(), 'Mascara').use;
  expect(productsInWords(use)).toMatch(/^Ordway Line /);
});

test('fitting is deterministic for any skin', () => {
  fc.assert(
    fc.property(fc.double({ min: 28, max: 80, noNaN: true }), (L) => {
      const who = client([L, 12, 17]);
      expect(fit(who)).toEqual(fit(who));
    }),
    { numRuns: 10, seed: 1 },
  );
});
