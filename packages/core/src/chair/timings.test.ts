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
