import fc from 'fast-check';
import {
  AGES,
  BROWS,
  DRY_ZONES,
  LASHES,
  LIDS,
  LINES,
  OILY_ZONES,
  PLAIN_FEATURES,
  type Features,
} from '../../face';
import { OCCASIONS } from '../../shade';
import {
  adaptLook,
  askedAnew,
  fitLook,
  refuseAdaptation,
  usualOccasion,
  type Chart,
  type Occasion,
  type Step,
} from '..';
import { client, KIT, OCCASION, STAMP } from '../look.testing';
import { FULL } from './adapt.testing';

const LONG_DAY = usualOccasion('wedding', '2031-05-14');
const fit = (features: Partial<Features> = {}, occasion: Occasion = OCCASION): Chart =>
  fitLook(FULL, client(undefined, { features }), KIT, occasion, STAMP).chart;
/** The same chart, for a client who is so by now. */
const on = (chart: Chart, features: Partial<Features>, occasion: Occasion = chart.occasion): Chart => ({
  ...chart,
  client: client(undefined, { features }),
  occasion,
});
const asked = (chart: Chart, features: Partial<Features>, occasion?: Occasion) =>
  askedAnew(on(chart, features, occasion), chart);
const of = (chart: Chart, role: Step['role']): Step => chart.steps.find((s) => s.role === role)!;

const anybody: fc.Arbitrary<Features> = fc
  .record({
    age: fc.constantFrom(...AGES),
    dry: fc.boolean(),
    oily: fc.subarray([...OILY_ZONES]),
    dryZones: fc.subarray([...DRY_ZONES]),
    lines: fc.subarray([...LINES]),
    brows: fc.constantFrom(...BROWS),
    lashes: fc.constantFrom(...LASHES),
    lids: fc.record({ left: fc.constantFrom(...LIDS), right: fc.constantFrom(...LIDS) }),
    lenses: fc.boolean(),
    beard: fc.boolean(),
    narrowTemples: fc.boolean(),
  })
  .map((some) => ({ ...PLAIN_FEATURES, ...some }));
const anyDay = fc.constantFrom(...OCCASIONS).map((kind) => usualOccasion(kind, '2031-05-14'));

test('of whoever is as they were, for such a day again, nothing is asked anew', () => {
  fc.assert(
    fc.property(anybody, anyDay, (features, day) => {
      expect(asked(fit(features, day), features, day)).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test('what is asked anew makes of a chart what the look would be for them, by a second way', () => {
  fc.assert(
    fc.property(anybody, anybody, anyDay, anyDay, (was, is, first, second) => {
      const chart = fit(was, first);
      const changes = asked(chart, is, second);
      const steps = new Map(chart.steps.map((s) => [s.id, s]));
      for (const { stepId, step } of changes)
        if (step) steps.set(stepId, step);
        else steps.delete(stepId);
      const fresh = adaptLook(FULL, client(undefined, { features: is }), second).steps;
      expect([...steps.keys()].sort()).toEqual(fresh.map(({ id }) => id).sort());
      for (const { id, wants, passes, doseMgPerCm2, tool, technique, waitMinutes } of fresh)
        expect(steps.get(id)).toMatchObject({ wants, passes, doseMgPerCm2, tool, technique, waitMinutes });
    }),
    { numRuns: 40 },
  );
});

test('a step that nobody may wear any more falls away with its reason, and comes back with a later one', () => {
  const worn = fit();
  const [gone] = asked(worn, { lashes: 'extensions' }).filter(({ step }) => step === null);
  expect(gone).toMatchObject({
    stepId: of(worn, 'lash').id,
    come: [{ id: 'lash extensions', change: 'left out' }],
  });
  const without: Chart = {
    ...worn,
    client: client(undefined, { features: { lashes: 'extensions' } }),
    steps: worn.steps.filter(({ role }) => role !== 'lash'),
    adaptations: [...(worn.adaptations ?? []), ...gone!.adaptations],
  };
  // As it was done, for whoever lets the extensions grow out.
  const back = asked(without, {}).find(({ stepId }) => stepId === gone!.stepId);
  expect(back).toMatchObject({ isNew: true, step: { title: of(worn, 'lash').title, use: [] } });
  expect(asked(without, { lashes: 'extensions' })).toEqual([]);
});

test('a step left out for one reason stays out for another, and that is what stands recorded', () => {
  const worn = fit({ narrowTemples: true });
  const out = worn.adaptations!.find(({ id, change }) => id === 'narrow temples' && change === 'left out')!;
  expect(asked(worn, { age: 'child' }).find(({ stepId }) => stepId === out.stepId)).toMatchObject({
    step: null,
    isNew: false,
    come: [{ id: 'a child', change: 'left out' }],
    adaptations: [{ id: 'a child', change: 'left out' }],
  });
  expect(asked(worn, {}).find(({ stepId }) => stepId === out.stepId)).toMatchObject({
    isNew: true,
    gone: [out],
  });
});

test('what was refused stays refused; refused on one step it is still asked of another', () => {
  const worn = fit({ lenses: true });
  const minded = worn.adaptations!.filter(({ id }) => id === 'contact lenses');
  expect(minded.length).toBeGreaterThan(1);
  const refused = refuseAdaptation(worn, minded[0]!);
  expect(
    asked(refused, { lenses: true, dry: true }).flatMap(({ come }) => come.map(({ id }) => id)),
  ).not.toContain('contact lenses');
  // Somebody to whom nobody said no.
  const plain = fit();
  const now = asked(plain, { lenses: true }).flatMap(({ come }) =>
    come.filter(({ id }) => id === 'contact lenses'),
  );
  expect(now.map(({ stepId }) => stepId).sort()).toEqual(minded.map(({ stepId }) => stepId).sort());
});

describe('what was changed by hand', () => {
  const edited = (chart: Chart, id: string, set: Partial<Step>): Chart => ({
    ...chart,
    steps: chart.steps.map((s) => (s.id === id ? { ...s, ...set } : s)),
  });

  test('a dose set by hand is neither multiplied again nor taken back', () => {
    const worn = fit({ dry: true });
    const powder = of(worn, 'powder');
    expect(worn.adaptations!.some(({ id, stepId }) => id === 'less powder' && stepId === powder.id)).toBe(
      true,
    );
    const by = edited(worn, powder.id, { doseMgPerCm2: 0.55 });
    for (const now of [
      { dry: false },
      { dry: true, lines: ['forehead' as const] },
      { oily: ['nose' as const] },
    ]) {
      const step = asked(by, now).find(({ stepId }) => stepId === powder.id)?.step ?? of(by, 'powder');
      expect(step.doseMgPerCm2).toBe(0.55);
    }
  });

  test('a note written on keeps what was written, and loses only what is asked no longer', () => {
    const worn = fit({ lenses: true });
    const lash = of(worn, 'lash');
    expect(lash.note).toContain('Contact lenses');
    const by = edited(worn, lash.id, { note: `${lash.note} The left eye first.` });
    const now = asked(by, {}).find(({ stepId }) => stepId === lash.id)!;
    expect(now.step!.note).toBe('The left eye first.');
    expect(now.gone.map(({ id }) => id)).toEqual(['contact lenses']);
    expect(now.adaptations.some(({ id }) => id === 'contact lenses')).toBe(false);
  });
});

test('a step that comes is adapted itself, and falls away once nothing asks for it', () => {
  const look = { ...FULL, steps: FULL.steps.filter((s) => !s.wants.kinds.includes('primer')) };
  const worn = fitLook(look, client(), KIT, OCCASION, STAMP).chart;
  const [primer, ...more] = asked(worn, { oily: ['chin'] }).filter(({ isNew }) => isNew);
  expect(more).toEqual([]);
  expect(primer!.step!.placements).toEqual([{ guide: 'zone.chin', side: 'both' }]);
  expect(primer!.adaptations.map(({ id }) => id)).toEqual(['a primer for oil', 'primer where oily']);
  const oily = fitLook(look, client(undefined, { features: { oily: ['chin'] } }), KIT, OCCASION, STAMP).chart;
  const added = oily.adaptations!.find(({ id }) => id === 'a primer for oil')!;
  expect(asked(oily, {})).toContainEqual(
    expect.objectContaining({ stepId: added.stepId, step: null, gone: [added], adaptations: [] }),
  );
  // Refused once, it does not come again.
  expect(asked(refuseAdaptation(oily, added), { oily: ['chin', 'nose'] }).some(({ isNew }) => isNew)).toBe(
    false,
  );
});

test('a chart that nobody fitted is asked only what is new', () => {
  const { adaptations: _none, ...taken } = fit({ dry: true });
  const now = asked(taken, { dry: true }, LONG_DAY).flatMap(({ come }) => come.map(({ id }) => id));
  expect(now).toContain('thin layers for long wear');
  expect(now).not.toContain('less powder');
});
