import { fitLook } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { scatteredBack, type FlashGrade } from '../shade';
import { TRIAL_ZONES, zonesCompared, type TrialZone } from '../trial';
import { productGrades, type ZoneCast } from '.';

const chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const cast = (zone: TrialZone, more: Partial<ZoneCast> = {}): ZoneCast => ({
  zone,
  side: 'left',
  burnt: false,
  added: 0,
  error: 0.001,
  deltaL: 0,
  cast: false,
  ...more,
});
const base = chart.steps.find(({ role }) => role === 'base')!;
const dose = base.doseMgPerCm2 * base.passes;
const everywhere = (more: Partial<ZoneCast>): ZoneCast[] => TRIAL_ZONES.map((zone) => cast(zone, more));

test('a product that added what its grade adds at its dose has that grade, whatever the dose', () => {
  const grades: readonly FlashGrade[] = [0, 1, 2, 3];
  for (const times of [0.5, 1, 2])
    for (const grade of grades) {
      const thick = { ...chart, steps: [{ ...base, doseMgPerCm2: base.doseMgPerCm2 * times }] };
      const [first] = productGrades(thick, everywhere({ added: scatteredBack(grade, dose * times) }));
      expect([times, first!.grade]).toEqual([times, grade]);
      expect(first!.productId).toBe(base.use[0]!.product.id);
    }
});

test('only zones the pictures tell of count: nothing is graded by what is burnt out or uncertain', () => {
  const white = { added: 0.05, cast: true } as const;
  expect(productGrades(chart, everywhere({ ...white, burnt: true }))).toEqual([]);
  expect(productGrades(chart, everywhere({ ...white, cast: null }))).toEqual([]);
  expect(productGrades(chart, [])).toEqual([]);
  const [one] = productGrades({ ...chart, steps: [base] }, [
    cast('forehead', { added: 0 }),
    cast('chin', { ...white, burnt: true }),
    cast('nose', { ...white, cast: null }),
  ]);
  expect(one).toMatchObject({ grade: 0, zones: ['forehead'] });
});

test('each product of the plan once, powders before what lies under them; what is of a variant, or throws nothing, is left out', () => {
  const all = productGrades(chart, everywhere({ added: 0.01 }));
  expect(new Set(all.map(({ productId }) => productId)).size).toBe(all.length);
  const kinds = all.map(
    ({ productId }) =>
      chart.steps.flatMap(({ use }) => use).find(({ product }) => product.id === productId)!.product.kind,
  );
  expect(kinds).toContain('base');
  expect(kinds).not.toContain('mascara');
  expect([...kinds].sort((a, b) => order(a) - order(b))).toEqual(kinds);
  const varied = { ...chart, steps: chart.steps.map((step) => ({ ...step, variant: 'evening' })) };
  expect(productGrades(varied, everywhere({ added: 0.01 }))).toEqual([]);
});
const order = (kind: string): number =>
  ['powder', 'base', 'concealer', 'primer', 'spray', 'highlight'].indexOf(kind);

test('it is told of where the product lies and of nowhere else', () => {
  for (const step of chart.steps.filter(({ use, placements }) => use.length > 0 && placements.length > 0)) {
    const zones = zonesCompared(chart, [{ here: step, other: null }]);
    const elsewhere = TRIAL_ZONES.filter((zone) => !zones.includes(zone)).map((zone) => cast(zone));
    expect(productGrades({ ...chart, steps: [step] }, elsewhere)).toEqual([]);
  }
});
