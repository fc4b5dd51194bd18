import { layingRank, MOST_DOSE, phaseOrder, fitLook, type Adaptation, type Chart, type Step } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { taken } from './change';
import { changedKeys, differenceOf } from './difference';
import { planFromWorn } from './planFromWorn';

const CHART: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const ids = (chart: Chart): string[] => chart.steps.map((step) => step.id);
const withUse: Step = CHART.steps.find((step) => step.use.length > 0)!;
const other: Step = CHART.steps.find((step) => step.use.length > 0 && step.id !== withUse.id)!;
const fresh = (more: Partial<Step>): Step => ({ ...withUse, id: id(990), title: 'New', ...more });

describe('a change taken', () => {
  test('of one step leaves the others as they are', () => {
    const next = taken(CHART, { of: 'step', stepId: withUse.id, set: { note: 'thinly' } });
    expect(next.steps.map(({ note }) => note)).toEqual(
      CHART.steps.map((step) => (step.id === withUse.id ? 'thinly' : step.note)),
    );
    const gone = taken(CHART, { of: 'step', stepId: id(999), set: { note: 'thinly' } });
    expect(gone.steps).toEqual(CHART.steps);
  });

  test('of an amount is so many times the dose, never over the most', () => {
    const dosed = (by: number): Step[] => taken(CHART, { of: 'amount', stepId: withUse.id, by }).steps;
    const at = CHART.steps.indexOf(withUse);
    expect(dosed(0.5)[at]!.doseMgPerCm2).toBeCloseTo(withUse.doseMgPerCm2 / 2, 3);
    expect(dosed(10_000)[at]!.doseMgPerCm2).toBe(MOST_DOSE);
    expect(dosed(0.5).filter((_, i) => i !== at)).toEqual(CHART.steps.filter((_, i) => i !== at));
  });

  test('that leaves a step out does so, but for the last one there is', () => {
    const part = { of: 'left out', stepId: withUse.id } as const;
    expect(ids(taken(CHART, part))).toEqual(ids(CHART).filter((one) => one !== withUse.id));
    const alone = { ...CHART, steps: [withUse] };
    expect(taken(alone, part)).toEqual(alone);
  });

  test('that asks something of one step asks it of that one, and notes why', () => {
    const adaptations: readonly Adaptation[] = [
      { id: 'dry', stepId: withUse.id, change: 'changed', words: 'by hand', why: 'dry skin' },
    ];
    const next = taken(CHART, { of: 'asked', stepId: withUse.id, set: { tool: 'finger' }, adaptations });
    expect(next.steps.filter(({ tool }, i) => tool !== CHART.steps[i]!.tool).map((step) => step.id)).toEqual(
      withUse.tool === 'finger' ? [] : [withUse.id],
    );
    expect(next.adaptations?.filter((one) => one.stepId === withUse.id)).toEqual(adaptations);
    const without = taken(next, { of: 'asked', stepId: withUse.id, set: null, adaptations: [] });
    expect(ids(without)).not.toContain(withUse.id);
    expect(without.adaptations?.some((one) => one.stepId === withUse.id) ?? false).toBe(false);
  });

  test.each(['face first', 'eyes first'] as const)(
    'that adds a step puts it after all of its phase and before what comes later, %s',
    (eyesOrFace) => {
      const schools = { ...CHART.schools, eyesOrFace };
      const rank = layingRank(schools);
      const steps = [...CHART.steps].sort((a, b) => rank(a) - rank(b));
      const chart = { ...CHART, schools, steps };
      for (const phase of phaseOrder(schools)) {
        const step = fresh({ phase });
        const next = taken(chart, { of: 'added', step, adaptations: [] });
        const at = ids(next).indexOf(step.id);
        expect(next.steps.filter((one) => one.id !== step.id)).toEqual(steps);
        expect(next.steps.slice(0, at).every((one) => rank(one) <= rank(step))).toBe(true);
        expect(next.steps.slice(at + 1).every((one) => rank(one) > rank(step))).toBe(true);
      }
    },
  );
});

describe('what differs of a step', () => {
  test('is only what is otherwise', () => {
    expect(changedKeys(withUse, withUse)).toEqual({});
    expect(changedKeys(withUse, { ...withUse, note: 'x', passes: 9 })).toEqual({ note: 'x', passes: 9 });
  });

  const parts = (by: number): Step => ({
    ...withUse,
    use: withUse.use.map((one) => ({ ...one, parts: one.parts * by })),
  });
  test.each<[Step, string]>([
    [withUse, ''],
    [parts(1.5), '50 % more product'],
    [parts(0.75), '25 % less product'],
    [parts(1.004), ''],
    [{ ...withUse, handsOnMinutes: withUse.handsOnMinutes + 2 }, '2 min longer'],
    [{ ...withUse, handsOnMinutes: withUse.handsOnMinutes - 1 }, '1 min shorter'],
    [{ ...withUse, handsOnMinutes: withUse.handsOnMinutes - 1, waitMinutes: withUse.waitMinutes + 1 }, ''],
    [{ ...parts(2), waitMinutes: withUse.waitMinutes + 3 }, '100 % more product, 3 min longer'],
    [{ ...withUse, use: [] }, 'another product, 100 % less product'],
  ])('is told: %#', (after, words) => expect(differenceOf(withUse, after)).toBe(words));

  test('of nothing before no share is told', () => {
    expect(differenceOf({ ...withUse, use: [] }, withUse)).toBe('another product');
    expect(differenceOf({ ...withUse, use: [] }, { ...withUse, use: [] })).toBe('');
  });
});

describe('a plan from what was worn', () => {
  type Said = NonNullable<Step['done']>['deviations'][number];
  const worn = (...deviations: Partial<Said>[]): Chart => ({
    ...CHART,
    steps: CHART.steps.map((step) =>
      step.id === withUse.id
        ? {
            ...step,
            done: {
              ticked: true,
              at: '2031-05-14T10:00:00Z',
              by: 'Ada',
              deviations: deviations.map((one): Said => ({ kind: 'note', note: '', ...one })),
            },
          }
        : step,
    ),
  });
  const planned = (...deviations: Partial<Said>[]): Step | undefined =>
    planFromWorn(worn(...deviations)).steps.find((step) => step.id === withUse.id);
  const total = ({ use }: Step): number => use.reduce((sum, one) => sum + one.parts, 0);
  const { done: _, ...plain } = withUse;

  test('is as it was where nothing was said, without its ticks', () => {
    expect(planned()).toEqual(plain);
  });

  test('takes an amount that was taken, its dose with it, and no other word’s numbers', () => {
    const twice = planned({ kind: 'amount', measures: 2 * total(withUse) })!;
    expect(total(twice)).toBeCloseTo(2 * total(withUse), 9);
    expect(twice.doseMgPerCm2).toBeCloseTo(Math.min(MOST_DOSE, 2 * withUse.doseMgPerCm2), 9);
    expect(planned({ kind: 'amount', note: 'a little more' })).toEqual({
      ...plain,
      note: [withUse.note, 'a little more'].filter(Boolean).join('\n'),
    });
    expect(planned({ kind: 'note', measures: 40 })).toEqual(plain);
  });

  test('takes the product that was used, where one was said', () => {
    expect(planned({ kind: 'other product', use: other.use })!.use).toEqual(other.use);
    expect(planned({ kind: 'other product', use: [] })).toEqual(plain);
    expect(planned({ kind: 'note', use: other.use })).toEqual(plain);
  });

  test('leaves out what was skipped, and what was wished for next time is no note', () => {
    expect(planned({ kind: 'skipped' })).toBeUndefined();
    expect(planned({ kind: 'next time', nextTime: 'deeper', note: 'a bit' })).toEqual(plain);
  });
});
