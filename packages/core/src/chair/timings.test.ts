import type { Step } from '../look';
import { CHART as fitted, stepLike, WHOLE as whole } from '../order/order.testing';
import { ownTimings, withOwnTimings, workOf, workSamples, type ChairEvent, type WorkSample } from '.';

const step = (n: number, more: Partial<Step>): Step => stepLike(n, { placements: [], ...more });
const primer = step(1, { phase: 'prime', role: 'care', placements: whole, waitMinutes: 5 });
const base = step(2, { phase: 'base', role: 'base', placements: whole, handsOnMinutes: 8 });
const brows = step(3, { phase: 'brows', role: 'brow' });
const chart = { ...fitted, steps: [primer, base, brows] };
const tick = (s: Step, minute: number, by = 'Ada', kind: 'done' | 'undone' = 'done'): ChairEvent => ({
  kind,
  stepId: s.id,
  at: new Date(Date.UTC(2031, 4, 14, 9) + minute * 60_000).toISOString(),
  by,
});
const minutes = (events: readonly ChairEvent[]): (readonly [string, number])[] =>
  workSamples(chart, events).map((s) => [s.work, Math.round(s.minutes * 100) / 100] as const);

test('a step is timed from the tick before it, or from when what lies under it was dry', () => {
  expect(minutes([tick(primer, 0), tick(brows, 3), tick(base, 15)])).toEqual([
    ['brows', 3],
    ['base and conceal', 10],
  ]);
  expect(minutes([tick(primer, 0), tick(base, 4)])).toEqual([['base and conceal', 4]]);
});

test('ticks given together, a break, a tick taken back and the first of a sitting tell nothing', () => {
  expect(minutes([tick(primer, 0), tick(brows, 0.1)])).toEqual([]);
  expect(minutes([tick(primer, 0), tick(brows, 45)])).toEqual([]);
  expect(minutes([tick(primer, 0), tick(brows, 3), tick(brows, 4, 'Ada', 'undone')])).toEqual([]);
  expect(minutes([tick(primer, 0)])).toEqual([]);
  expect(minutes([])).toEqual([]);
});

test('two pairs of hands are timed apart', () => {
  expect(minutes([tick(primer, 0), tick(brows, 2, 'Bo'), tick(base, 12)])).toEqual([['base and conceal', 7]]);
});

test('the middle of three or more is kept, so that one bad day does not count', () => {
  const sample = (work: WorkSample['work'], real: number): WorkSample => ({
    by: 'Ada',
    work,
    plannedMinutes: 4,
    minutes: real,
  });
  expect(
    ownTimings([
      sample('eyes', 6),
      sample('eyes', 5),
      sample('eyes', 30),
      sample('lips', 2),
      sample('lips', 2),
    ]),
  ).toEqual([{ work: 'eyes', factor: 1.5, times: 3 }]);
  expect(ownTimings([])).toEqual([]);
});

test('a chart takes them to the half minute; other work, and work of no minutes, keeps its plan', () => {
  const timed = withOwnTimings(chart, [
    { work: 'base and conceal', factor: 1.3, times: 4 },
    { work: 'prime and correct', factor: 0.01, times: 3 },
  ]);
  expect(timed.steps.map((s) => s.handsOnMinutes)).toEqual([0.5, 10.5, 4]);
  expect(timed.steps[2]).toBe(brows);
  expect([workOf(primer), workOf(base)]).toEqual(['prime and correct', 'base and conceal']);
});

test('both sides of every threshold: ticked together, a break in it, a wait that explains', () => {
  const brow = (after: number) => minutes([tick(primer, 0), tick(brows, after)]).map(([, real]) => real);
  // Four minutes are planned: a break is more than twelve over it, which is more than three times it.
  expect([0.39, 0.41, 16, 16.01].map(brow)).toEqual([[], [0.41], [16], []]);
  // Eight are planned: three times it is the more.
  const late = (after: number) => minutes([tick(brows, 0), tick(base, after)]).map(([, real]) => real);
  expect([24, 24.01].map(late)).toEqual([[24], []]);
  // Dry at five: ticked at five it was worked on the wet, a moment later it began when it was dry.
  expect(minutes([tick(primer, 0), tick(base, 5)])).toEqual([['base and conceal', 5]]);
  expect(minutes([tick(primer, 0), tick(base, 5.5)])).toEqual([['base and conceal', 0.5]]);
  // What was ticked before the wet was: the wait is no reason.
  expect(minutes([tick(brows, 0), tick(base, 6), tick(primer, 7)])[0]).toEqual(['base and conceal', 6]);
});

test('a step of no minutes, and one the chart has no more, are no sample', () => {
  const idle = { ...chart, steps: [primer, { ...base, handsOnMinutes: 0 }, brows] };
  expect(workSamples(idle, [tick(primer, 0), tick(base, 9), tick(brows, 12)]).map((s) => s.work)).toEqual([
    'brows',
  ]);
  const gone = step(9, {});
  expect(minutes([tick(gone, 0), tick(brows, 3)])).toEqual([['brows', 3]]);
  expect(minutes([tick(primer, 0), tick(gone, 3)])).toEqual([]);
  expect(workSamples(chart, [tick(primer, 0), tick(brows, 3)])).toEqual([
    { by: 'Ada', work: 'brows', plannedMinutes: 4, minutes: 3 },
  ]);
});

test('most often timed first, never more than two hours and never nothing', () => {
  const samples = (work: WorkSample['work'], times: number, factor: number): WorkSample[] =>
    Array.from({ length: times }, () => ({ by: 'Ada', work, plannedMinutes: 2, minutes: 2 * factor }));
  const own = ownTimings([...samples('lips', 3, 2), ...samples('eyes', 5, 0.5), ...samples('brows', 2, 9)]);
  expect(own).toEqual([
    { work: 'eyes', factor: 0.5, times: 5 },
    { work: 'lips', factor: 2, times: 3 },
  ]);
  const made = (handsOnMinutes: number, factor: number) =>
    withOwnTimings({ ...chart, steps: [{ ...brows, handsOnMinutes }] }, [{ work: 'brows', factor, times: 3 }])
      .steps[0]!.handsOnMinutes;
  expect([made(4, 0.01), made(4, 1.2), made(100, 3), made(0, 2)]).toEqual([0.5, 5, 120, 0]);
  // By less than a quarter of a minute it is the same step still.
  const near = withOwnTimings(chart, [{ work: 'brows', factor: 1.05, times: 3 }]);
  expect(near.steps[2]).toBe(brows);
  expect(workOf({ phase: 'unheard of' as never })).toBe('finish');
});
