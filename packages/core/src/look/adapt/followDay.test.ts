import fc from 'fast-check';
import { AGES, DRY_ZONES, LIDS, OILY_ZONES, PLAIN_FEATURES, type Features } from '../../face';
import { CONDITIONS, OCCASION_LIGHTS, OCCASIONS } from '../../shade';
import { adaptLook, fitLook, followDay, refuseAdaptation, type Chart, type Occasion, type Step } from '..';
import { client, KIT, kitOf, product, STAMP } from '../look.testing';
import { FULL } from './adapt.testing';

const kit = kitOf(...KIT.products, product(90, 'spray', null, { wearHours: 12 }));
const bare = { ...FULL, steps: FULL.steps.filter((s) => !s.wants.kinds.includes('spray')) };

const occasions: fc.Arbitrary<Occasion> = fc.record({
  kind: fc.constantFrom(...OCCASIONS),
  date: fc.constant('2031-05-14'),
  lights: fc.uniqueArray(fc.constantFrom(...OCCASION_LIGHTS)),
  hoursToLast: fc.constantFrom(1, 3, 3.5, 5, 7.5, 8, 9, 12),
  camera: fc.boolean(),
  conditions: fc.uniqueArray(fc.constantFrom(...CONDITIONS)),
});
const features: fc.Arbitrary<Features> = fc
  .record({
    age: fc.constantFrom(...AGES),
    dry: fc.boolean(),
    oily: fc.uniqueArray(fc.constantFrom(...OILY_ZONES)),
    dryZones: fc.uniqueArray(fc.constantFrom(...DRY_ZONES)),
    lids: fc.record({ left: fc.constantFrom(...LIDS), right: fc.constantFrom(...LIDS) }),
  })
  .map((some) => ({ ...PLAIN_FEATURES, ...some }));

/** What a day decides of a step. */
const decided = ({
  id,
  note,
  doseMgPerCm2,
  passes,
  waitMinutes,
  handsOnMinutes,
  wants,
}: Step | (typeof FULL.steps)[number]) => ({
  id,
  note,
  doseMgPerCm2,
  passes,
  waitMinutes,
  handsOnMinutes,
  wants,
});
const fit = (occasion: Occasion, who = client(), look = FULL): Chart =>
  fitLook(look, who, kit, occasion, STAMP).chart;
const names = (chart: Pick<Chart, 'adaptations'>): string[] =>
  (chart.adaptations ?? []).map((a) => `${a.id} ${a.stepId}`).sort();
const sorted = <T extends { id: string }>(steps: readonly T[]): T[] =>
  [...steps].sort((a, b) => a.id.localeCompare(b.id));

test('a chart that follows another day is as if it had been fitted for that day, whoever it is for', () => {
  fc.assert(
    fc.property(occasions, occasions, features, fc.constantFrom(FULL, bare), (first, second, worn, look) => {
      const who = client(undefined, { features: worn });
      const { chart } = followDay(fit(first, who, look), second, kit);
      // A second way: the look adapted to that day from the beginning.
      const { steps, adaptations } = adaptLook(look, who, second);
      const own = (a: { id: string }): boolean => a.id !== 'powder makes it exact';
      expect(sorted(chart.steps).map(decided)).toEqual(sorted(steps).map(decided));
      expect(names({ adaptations: (chart.adaptations ?? []).filter(own) })).toEqual(
        names({ adaptations: [...adaptations] }),
      );
      expect(chart.occasion).toBe(second);
    }),
    { numRuns: 60 },
  );
});

test('there and back is where it began, product for product', () => {
  fc.assert(
    fc.property(occasions, occasions, (first, second) => {
      const chart = fit(first, client(), bare);
      const back = followDay(followDay(chart, second, kit).chart, first, kit).chart;
      expect(sorted(back.steps)).toEqual(sorted(chart.steps));
      expect(names(back)).toEqual(names(chart));
    }),
    { numRuns: 25 },
  );
});

const QUIET: Occasion = {
  kind: 'other',
  date: '2031-05-14',
  lights: ['daylight'],
  hoursToLast: 5,
  camera: true,
  conditions: [],
};
const LONG: Occasion = { ...QUIET, hoursToLast: 12, conditions: ['heat', 'tears'] };

test('what comes and what goes is told by name with its reason, and the same day changes nothing', () => {
  const chart = fit(QUIET, client(), bare);
  const there = followDay(chart, LONG, kit);
  expect(there.come.map((a) => a.id)).toEqual(
    expect.arrayContaining(['a spray to hold it', 'thin layers for long wear', 'waterproof']),
  );
  expect(there.come.find((a) => a.id === 'waterproof')?.why).toContain('tears');
  expect(there.gone).toEqual([]);
  const back = followDay(there.chart, QUIET, kit);
  expect(back.come).toEqual([]);
  expect(back.gone.map((a) => a.id).sort()).toEqual(there.come.map((a) => a.id).sort());
  const same = followDay(chart, { ...QUIET, date: '2031-06-01' }, kit);
  expect([same.come, same.gone, same.chart.steps]).toEqual([[], [], chart.steps]);
});

test('a spray that is added has a product of the kit; without one in the kit it has none', () => {
  const sprayOf = ({ chart }: { readonly chart: Chart }) =>
    chart.steps.find((s) => s.wants.kinds.includes('spray'))!;
  const chart = fit(QUIET, client(), bare);
  expect(sprayOf(followDay(chart, LONG, kit)).use.map((u) => u.product.kind)).toEqual(['spray']);
  expect(sprayOf(followDay(chart, LONG, KIT)).use).toEqual([]);
});

test('what was refused stays refused, and what was written by hand stays', () => {
  const long = fit(LONG, client(), bare);
  const waterproof = long.adaptations!.find((a) => a.id === 'waterproof')!;
  const spray = long.adaptations!.find((a) => a.id === 'a spray to hold it')!;
  const refused = refuseAdaptation(refuseAdaptation(long, waterproof), spray);
  const again = followDay(refused, { ...LONG, hoursToLast: 11 }, kit);
  expect([again.come, again.gone]).toEqual([[], []]);
  expect(again.chart.steps.some((s) => s.wants.kinds.includes('spray'))).toBe(false);
  const base = long.steps.find((s) => s.role === 'base')!;
  const byHand = {
    ...long,
    steps: long.steps.map((s) => (s.id === base.id ? { ...s, note: 'Only where it is needed.' } : s)),
  };
  const quiet = followDay(byHand, QUIET, kit).chart.steps.find((s) => s.id === base.id)!;
  expect(quiet.note).toBe('Only where it is needed.');
});

test('refused on one lip it still holds on the other, on the same day and on another', () => {
  const lip = {
    ...FULL.steps.find((s) => s.role === 'lip' && s.wants.kinds.includes('lip colour'))!,
    doseMgPerCm2: 2.5,
  };
  const evening = {
    ...FULL,
    steps: [...FULL.steps.map((s) => (s.id === lip.id ? lip : s)), { ...lip, id: STAMP.id }],
  };
  const day: Occasion = { ...LONG, conditions: ['meals'] };
  const chart = fit(day, client(), evening);
  const lips = (chart.adaptations ?? []).filter((a) => a.id === 'lip through a meal');
  expect(lips).toHaveLength(2);
  const refused = refuseAdaptation(chart, lips[0]!);
  for (const hoursToLast of [12, 11]) {
    const next = followDay(refused, { ...day, hoursToLast }, kit);
    expect([next.come, next.gone]).toEqual([[], []]);
    const noteOf = (id: string) => next.chart.steps.find((s) => s.id === id)!.note;
    expect(noteOf(lips[0]!.stepId)).not.toContain('Blot, powder');
    expect(noteOf(lips[1]!.stepId)).toContain('Blot, powder');
  }
});
