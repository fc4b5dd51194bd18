import fc from 'fast-check';
import { asWorn, type ChairEvent } from '../chair';
import { fitLook, type Step } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { asHabit, habitProposals, workedHabits, type WorkedHabit } from '.';

const fitted = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
// Thick enough that half of it is not the smallest amount there is.
const chart = asHabit(fitted, {
  stepId: fitted.steps.find(({ role }) => role === 'base')!.id,
  change: { kind: 'amount', factor: 4 },
})!;
const base = chart.steps.find(({ role }) => role === 'base')!;
const LINE = `${base.use[0]!.product.maker} ${base.use[0]!.product.line}`;
const planned = (step: Step): number => step.use.reduce((sum, { parts }) => sum + parts, 0);
const at = (n: number): string => new Date(Date.UTC(2031, 4, 1) + n * 86_400_000).toISOString();
const habit = (n: number, more: Partial<WorkedHabit>): WorkedHabit => ({
  at: at(n),
  clientId: `other ${n}`,
  lookId: chart.look.id,
  role: 'base',
  title: base.title,
  line: LINE,
  ratio: 1,
  skipped: false,
  ...more,
});
const used = (...ratios: readonly number[]): WorkedHabit[] => ratios.map((ratio, n) => habit(n, { ratio }));
const offers = (habits: readonly WorkedHabit[]) => habitProposals(chart, habits);
const amounts = (habits: readonly WorkedHabit[]) =>
  offers(habits).filter(({ change }) => change.kind === 'amount');

describe('what was done at the chair, against the plan', () => {
  const told = (stepId: string, more: Partial<ChairEvent>): ChairEvent =>
    ({ stepId, at: at(0), by: 'Ada', kind: 'done', ...more }) as ChairEvent;
  const deviation = (of: object): Partial<ChairEvent> =>
    ({ kind: 'deviation', deviation: { note: '', ...of } }) as unknown as Partial<ChairEvent>;
  test('done as planned, more, skipped, another product, and untouched', () => {
    const lone = chart.steps.filter(({ use }) => use.length === 1);
    const [plain, more, skipped, other] = lone;
    const worn = asWorn(chart, [
      told(plain!.id, {}),
      told(more!.id, deviation({ kind: 'amount', measures: 2 * planned(more!) })),
      told(more!.id, {}),
      told(skipped!.id, deviation({ kind: 'skipped' })),
      told(other!.id, deviation({ kind: 'other product', use: plain!.use })),
      told(other!.id, {}),
    ]);
    const habits = workedHabits(worn);
    expect(habits.map(({ title, ratio, skipped: left }) => [title, ratio, left])).toEqual(
      chart.steps
        .filter(({ id }) => [plain, more, skipped, other].some((step) => step!.id === id))
        .map(({ id, title }) => [
          title,
          id === plain!.id ? 1 : id === more!.id ? 2 : null,
          id === skipped!.id,
        ]),
    );
  });
});

describe('an amount', () => {
  test('more on three of the last five is offered, on two it is not; the other way twice, and it is not either', () => {
    expect(amounts(used(1.5, 1.5, 1.5, 1, 1))).toHaveLength(1);
    expect(amounts(used(1.5, 1.5, 1, 1, 1))).toEqual([]);
    expect(amounts(used(1.5, 1.5, 1.5, 0.5, 0.5))).toEqual([]);
    expect(amounts(used(0.5, 0.5, 0.5, 1, 1.5))).toHaveLength(1);
    // Only the last five speak: newest are those with the largest day.
    expect(amounts(used(2, 2, 2, 2, 1, 1, 1, 1, 1))).toEqual([]);
  });
  test('taken, the dose follows and the measures cover it; what comes to the same measures is no proposal', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 3, noNaN: true }), (ratio) => {
        const [one] = amounts(used(ratio, ratio, ratio, ratio, ratio));
        if (one === undefined) return expect(Math.abs(ratio - 1)).toBeLessThan(0.3);
        if (one.change.kind !== 'amount') throw new Error('no amount');
        const next = asHabit(chart, one)!;
        const step = next.steps.find(({ id }) => id === base.id)!;
        expect(step.doseMgPerCm2).toBeCloseTo(base.doseMgPerCm2 * one.change.factor, 9);
        expect(Math.abs(one.change.factor - ratio)).toBeLessThanOrEqual(0.05 + 1e-9);
        expect(planned(step) > planned(base)).toBe(ratio > 1);
        expect(one.offer).toBe(`${Math.round(planned(step) * 100) / 100} ${step.use[0]!.measure} of ${LINE}`);
        // Nothing else of the chart is touched.
        expect(next.steps.filter(({ id }) => id !== base.id)).toEqual(
          chart.steps.filter(({ id }) => id !== base.id),
        );
      }),
    );
    expect(amounts(used(1.02, 1.02, 1.02, 1.02, 1.02))).toEqual([]);
  });
  test('the client’s own last times, another line and another kind of step say nothing of it', () => {
    const much = [1.6, 1.6, 1.6, 1.6];
    const as = (more: Partial<WorkedHabit>) => much.map((ratio, n) => habit(n, { ratio, ...more }));
    expect(amounts(as({}))).toHaveLength(1);
    expect(amounts(as({ clientId: chart.client.id }))).toEqual([]);
    expect(amounts(as({ line: 'Ordway Else' }))).toEqual([]);
    expect(amounts(as({ role: 'conceal' }))).toEqual([]);
    expect(amounts(as({ ratio: null }))).toEqual([]);
  });
  test('five of five is strong, fewer a hint, and what speaks against it is counted', () => {
    const [all] = amounts(used(1.5, 1.5, 1.5, 1.5, 1.5));
    const [some] = amounts(used(1.5, 1.5, 1.5, 1, 1));
    expect([all!.strength, some!.strength]).toEqual(['strong', 'hint']);
    expect(some!.against).toMatch(/on 2 it was as planned or the other way/);
    expect(some!.says).toMatch(/^On 3 of the last 5 faces more of .* about 1\.5 times as much\.$/);
  });
});

describe('a step', () => {
  const skips = (...left: readonly boolean[]): WorkedHabit[] =>
    left.map((skipped, n) => habit(n, { skipped, ratio: skipped ? null : 1 }));
  const leaving = (habits: readonly WorkedHabit[]) =>
    offers(habits).filter(({ change }) => change.kind === 'leave out');
  test('skipped on three of the last five of this look it is asked whether to leave it out', () => {
    expect(leaving(skips(true, true, true, false, false))).toHaveLength(1);
    expect(leaving(skips(true, true, false, false, false))).toEqual([]);
    expect(leaving(skips(true, true, true))).toHaveLength(1);
    expect(leaving(skips(true, true, true, false, false, false, false, false))).toEqual([]);
    expect(leaving(skips(true, true, true).map((one) => ({ ...one, lookId: 'another' })))).toEqual([]);
    expect(leaving(skips(true, true, true).map((one) => ({ ...one, title: 'Else' })))).toEqual([]);
  });
  test('cleaning is never asked to be left out', () => {
    const phased = (phase: Step['phase']) =>
      habitProposals(
        { ...chart, steps: chart.steps.map((step) => (step.id === base.id ? { ...step, phase } : step)) },
        skips(true, true, true, true, true),
      ).filter(({ change }) => change.kind === 'leave out');
    expect([phased('prime'), phased('clean')].map(({ length }) => length)).toEqual([1, 0]);
  });
  test('what speaks against it is said: on how many it was done, or that nobody has seen it since', () => {
    const against = (...left: readonly boolean[]): string => leaving(skips(...left))[0]!.against!;
    expect(against(true, true, true, false, false)).toBe('Against it: on 2 it was done.');
    expect(against(true, true, true, true, false)).toBe('Against it: on 1 it was done.');
    for (const all of [skips(true, true, true), skips(true, true, true, true, true)])
      expect(leaving(all)[0]!.against).toMatch(/nobody has seen the look with it since/);
  });
  test('taken, the step is gone and nothing else; what is not there is not taken', () => {
    const [one] = leaving(skips(true, true, true));
    expect(asHabit(chart, one!)!.steps).toEqual(chart.steps.filter(({ id }) => id !== base.id));
    expect(asHabit(chart, { ...one!, stepId: 'nowhere' })).toBeNull();
    expect(asHabit(chart, { ...one!, change: { kind: 'line' } })).toBeNull();
  });
});

test('whatever was told, no proposal stands twice and each names a step of the chart', () => {
  const any = fc.record({
    ratio: fc.option(fc.constantFrom(0.5, 1, 1.5, 2), { nil: null }),
    skipped: fc.boolean(),
    title: fc.constantFrom(...chart.steps.map(({ title }) => title)),
    role: fc.constantFrom(...chart.steps.map(({ role }) => role)),
  });
  fc.assert(
    fc.property(fc.array(any, { maxLength: 40 }), (list) => {
      const found = offers(list.map((one, n) => habit(n, one)));
      expect(new Set(found.map(({ key }) => key)).size).toBe(found.length);
      for (const one of found) expect(asHabit(chart, one)).not.toBeNull();
    }),
    { numRuns: 60 },
  );
});
