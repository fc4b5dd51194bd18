import { fitLook, type Chart } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import {
  driedBetween,
  lastDryAt,
  nextAfter,
  progressOf,
  variantWorked,
  waitsAt,
  type RecordedEvent,
} from '.';

const fitted: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const chart: Chart = {
  ...fitted,
  steps: fitted.steps.map((step, i) => ({ ...step, handsOnMinutes: i + 1, waitMinutes: i === 0 ? 5 : 0 })),
};
const AT = Date.parse('2031-05-14T09:00:00Z');
const done = (index: number, minutes = 0): RecordedEvent => ({
  id: id(700 + index),
  stepId: chart.steps[index]!.id,
  at: new Date(AT + minutes * 60_000).toISOString(),
  by: 'Ada',
  kind: 'done',
});
const skipped = (index: number): RecordedEvent => ({
  ...done(index),
  kind: 'deviation',
  deviation: { kind: 'skipped', note: '' },
});

test('how far it is: done or skipped, the first that is open, the minutes of what is', () => {
  const all = 1 + 2 + 3 + 4 + 5 + 6;
  expect(progressOf(chart, [])).toMatchObject({ doneCount: 0, nextIndex: 0, minutesLeft: all });
  expect(progressOf(chart, [done(0), skipped(2)])).toMatchObject({
    doneCount: 2,
    nextIndex: 1,
    minutesLeft: all - 1 - 3,
  });
  const every = chart.steps.map((_, i) => done(i));
  expect(progressOf(chart, every)).toMatchObject({ doneCount: 6, nextIndex: 6, minutesLeft: 0 });
  expect(progressOf(chart, [done(0)]).worn.steps[0]!.done!.ticked).toBe(true);
});

describe('in which variant it is worked', () => {
  const [first, second] = chart.steps;
  const other = (n: number, variant: string): Chart['steps'][number] => ({
    ...first!,
    id: id(600 + n),
    variant,
    instead: first!.id,
    handsOnMinutes: 50,
  });
  const varied: Chart = {
    ...chart,
    variants: [
      { id: 'evening', name: 'Evening' },
      { id: 'trial', name: 'Half face' },
    ],
    steps: [other(1, 'evening'), other(2, 'trial'), ...chart.steps],
  };
  const at = (stepId: string, minutes: number, kind: 'done' | 'undone' = 'done'): RecordedEvent => ({
    ...done(0, minutes),
    id: id(750 + minutes),
    stepId,
    kind,
  });
  test.each<[string, readonly RecordedEvent[], string | null]>([
    ['nothing told', [], null],
    ['steps of the plan', [at(first!.id, 1), at(second!.id, 2)], null],
    ['one of a variant', [at(id(601), 1), at(second!.id, 2)], 'evening'],
    ['one of either, the newest speaks', [at(id(601), 1), at(id(602), 2)], 'trial'],
    ['in whatever order they came', [at(id(602), 2), at(id(601), 1)], 'trial'],
    ['opened again', [at(id(601), 1), at(id(601), 2, 'undone')], null],
    ['skipped', [{ ...skipped(0), stepId: id(601) }], 'evening'],
  ])('%s', (_, events, worked) => expect(variantWorked(varied, events)).toBe(worked));
});

test('a step dries from its tick for its wait, to the minute and no longer', () => {
  const { worn } = progressOf(chart, [done(0), done(1)]);
  const [wait, ...others] = waitsAt(worn.steps, AT);
  expect(others).toEqual([]);
  expect(wait).toEqual({ stepId: chart.steps[0]!.id, title: 'Base', untilMinutes: AT / 60_000 + 5 });
  expect(waitsAt(worn.steps, AT + 5 * 60_000 - 1)).toHaveLength(1);
  expect(waitsAt(worn.steps, AT + 5 * 60_000)).toEqual([]);
  expect(waitsAt(progressOf(chart, [skipped(0)]).worn.steps, AT)).toEqual([]);
  expect(waitsAt(chart.steps, AT)).toEqual([]);
});

test('what has dried since a moment is told from the end of its wait on', () => {
  const { worn } = progressOf(chart, [done(0), done(1)]);
  const dry = AT + 5 * 60_000;
  const told = (afterMs: number, byMs: number) =>
    driedBetween(worn.steps, afterMs, byMs).map((one) => one.title);
  expect(told(dry - 1000, dry - 1)).toEqual([]);
  expect(told(dry - 1000, dry)).toEqual(['Base']);
  expect(told(dry - 1, dry + 60_000)).toEqual(['Base']);
  expect(told(dry, dry + 60_000)).toEqual([]);
  expect(driedBetween(chart.steps, 0, dry)).toEqual([]);
});

test('when the last wait is over, and nothing where none was begun', () => {
  const slow = { ...chart, steps: chart.steps.map((s, i) => ({ ...s, waitMinutes: i < 2 ? 5 : 0 })) };
  expect(lastDryAt(progressOf(slow, [done(0), done(1, 3)]).worn.steps)).toBe(AT + 8 * 60_000);
  expect(lastDryAt(chart.steps)).toBe(0);
});

test('what comes next once this one is done too; nothing when all is', () => {
  const { worn } = progressOf(chart, [done(0, -60)]);
  expect(nextAfter(worn, null, AT)!.index).toBe(1);
  expect(nextAfter(worn, worn.steps[1]!, AT)!.index).toBe(2);
  // Ticked just now it begins to dry just now: what lies on it waits, what does not is worked.
  const first = nextAfter(progressOf(chart, []).worn, chart.steps[0]!, AT)!;
  expect(first.index).not.toBe(1);
  expect(first.whileDrying?.title ?? null).toBe('Base');
  const allBut = progressOf(
    chart,
    chart.steps.slice(1).map((_, i) => done(i + 1)),
  ).worn;
  expect(nextAfter(allBut, allBut.steps[0]!, AT)).toBeNull();
  expect(nextAfter(allBut, null, AT)!.index).toBe(0);
});
