import { asWorn, type ChairEvent } from '../chair';
import { fitLook, type Chart } from '../look';
import { planFromWorn } from '../repeat';
import { LAYER_KINDS } from '../face';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { refitChart } from '../repeat';
import { RULES } from '../review';
import { causeNamed, FAULTS, findCauses } from '.';

const chart: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const idOf = (title: string): string => chart.steps.find((s) => s.title === title)!.id;
const withStep = (title: string, more: Partial<Chart['steps'][number]>): Chart => ({
  ...chart,
  steps: chart.steps.map((s) => (s.title === title ? { ...s, ...more } : s)),
});

test('every cause points at rules and roles that exist, and says what to do now and next time', () => {
  const rules = new Set(RULES.map((r) => r.id));
  expect(FAULTS.length).toBeGreaterThanOrEqual(16);
  for (const { causes, id } of FAULTS) {
    expect(new Set(causes.map((c) => c.id)).size).toBe(causes.length);
    for (const cause of causes) {
      expect({ id, unknown: cause.rules.filter((r) => !rules.has(r)) }).toEqual({ id, unknown: [] });
      expect(cause.roles.every((r) => r === 'care' || LAYER_KINDS.includes(r))).toBe(true);
      expect(cause.now.endsWith('.') && !cause.next.endsWith('.')).toBe(true);
    }
  }
});

test('without anything in the chart the order of experience holds, what it has no step for last, and shares add up', () => {
  const causes = findCauses(chart, KIT, 'lifts');
  expect(causes.map((c) => c.cause.id)).toEqual(['pressing', 'dry-sponge', 'too-light', 'rubbed', 'beneath']);
  expect(causes.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 12);
  expect(causes[0]).toMatchObject({ because: null, step: { title: 'Base' } });
});

test('what the chart shows comes first, with the reason and its step', () => {
  const forward = withStep('Contour', {
    placements: [{ guide: 'cheekContour', side: 'both', params: { reach: 155 } }],
  });
  const [first] = findCauses(forward, KIT, 'muddy');
  expect(first!.cause.id).toBe('forward');
  expect(first!.because).toContain('pupil line');
  expect(first!.step!.title).toBe('Contour');
  expect(first!.cause.remedy(first!.step!).placements).toEqual([{ guide: 'cheekContour', side: 'both' }]);
  expect(() => findCauses(chart, KIT, 'itchy')).toThrow('itchy');
});

test('a fault recorded at the chair changes the next version, and says why', () => {
  const events: ChairEvent[] = [
    {
      kind: 'deviation',
      stepId: idOf('Base'),
      at: OCCASION.date,
      by: 'Ada',
      deviation: { kind: 'fault', fault: { seen: 'cakey', cause: 'layers' }, note: 'At noon' },
    },
  ];
  const worn = asWorn(withStep('Base', { passes: 3, doseMgPerCm2: 1 }), events);
  const { steps, carried } = planFromWorn(worn);
  const base = steps.find((s) => s.title === 'Base')!;
  expect(base).toMatchObject({ passes: 1, note: 'At noon' });
  expect(
    planFromWorn(
      asWorn(chart, [
        {
          ...events[0]!,
          deviation: { kind: 'fault', fault: { seen: 'patchy', cause: 'damp' }, note: 'At noon' },
        },
      ] as ChairEvent[]),
    ).steps.find((s) => s.title === 'Base')!.note,
  ).toBe('Set thinly first.\nAt noon');
  expect(base.doseMgPerCm2).toBeCloseTo(0.7, 9);
  expect(carried[0]!.what).toBe('Base: cakey, heavy last time, so one thin layer less');
  const refit = refitChart(
    worn,
    client(),
    KIT,
    { ...OCCASION, date: '2031-06-01' },
    { ...STAMP, version: 2 },
  );
  expect(refit.changes.map((c) => c.why).join()).toContain('cakey, heavy last time');
  expect(causeNamed('cakey', 'nothing')).toBeNull();
});

test('every remedy leaves a step that can be worked', () => {
  for (const { causes } of FAULTS)
    for (const { remedy } of causes)
      for (const step of chart.steps) {
        const mended = remedy(step);
        expect(mended.id).toBe(step.id);
        expect(mended.passes).toBeGreaterThanOrEqual(1);
        for (const use of mended.use) expect(use.parts).toBeGreaterThan(0);
      }
});
