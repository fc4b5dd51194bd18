import fc from 'fast-check';
import { fitLook, type Deviation } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { asWorn, conflictsOf, type RecordedEvent } from '.';

const chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const step = chart.steps[0]!;
const AT = '2031-05-14T09:00:00Z';
const id = (n: number): string => `0190a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
type More = Partial<Omit<RecordedEvent, 'kind'>>;
const done = (n: number, device: string, more: More = {}): RecordedEvent => ({
  id: id(n),
  stepId: step.id,
  at: AT,
  by: device,
  device,
  kind: 'done',
  ...more,
});
const said = (n: number, device: string, deviation: Deviation, more: More = {}): RecordedEvent => ({
  id: id(n),
  stepId: step.id,
  at: AT,
  by: device,
  device,
  kind: 'deviation',
  deviation,
  ...more,
});
const amount = (measures: number): Deviation => ({ kind: 'amount', measures, note: '' });
const SKIPPED: Deviation = { kind: 'skipped', note: '' };

test('done on one phone and skipped on another that knew nothing of it cannot both be so', () => {
  const events = [done(1, 'a', { seen: null }), said(2, 'b', SKIPPED, { seen: null })];
  expect(conflictsOf(events)).toEqual([{ stepId: step.id, one: events[0], other: events[1] }]);
});

test('what was recorded in the knowledge of the other is a change of mind', () => {
  expect(conflictsOf([done(1, 'a', { seen: null }), said(2, 'b', SKIPPED, { seen: id(1) })])).toEqual([]);
  expect(
    conflictsOf([said(1, 'a', amount(1), { seen: null }), said(2, 'a', amount(2), { seen: null })]),
  ).toEqual([]);
  // Older apps do not say what they knew.
  expect(conflictsOf([done(1, 'a'), said(2, 'b', SKIPPED)])).toEqual([]);
});

test('only what denies the other is a conflict', () => {
  const pair = (one: Deviation, other: Deviation): number =>
    conflictsOf([said(1, 'a', one, { seen: null }), said(2, 'b', other, { seen: null })]).length;
  expect(pair(amount(2), amount(3))).toBe(1);
  expect(pair(amount(2), amount(2))).toBe(0);
  expect(pair(amount(2), { kind: 'note', note: 'dry' })).toBe(0);
  expect(
    pair({ kind: 'other product', use: step.use, note: '' }, { kind: 'other product', use: [], note: '' }),
  ).toBe(1);
  expect(conflictsOf([done(1, 'a', { seen: null }), done(2, 'b', { seen: null })])).toEqual([]);
});

test('settling keeps one version, leaves the other out of what was worn, and ends the conflict', () => {
  const events = [done(1, 'a', { seen: null }), said(2, 'b', SKIPPED, { seen: null })];
  expect(asWorn(chart, events).steps[0]!.done?.deviations).toHaveLength(1);
  const settled = [...events, done(3, 'b', { seen: id(2), settles: [id(1), id(2)] })];
  expect(conflictsOf(settled)).toEqual([]);
  expect(asWorn(chart, settled).steps[0]!.done).toMatchObject({ ticked: true, deviations: [] });
  const otherWay = [...events, said(3, 'a', SKIPPED, { seen: id(2), settles: [id(1), id(2)] })];
  expect(asWorn(chart, otherWay).steps[0]!.done).toMatchObject({ ticked: false, deviations: [SKIPPED] });
});

test('a device never conflicts with itself, and settling everything that conflicts leaves nothing', () => {
  const event = fc.record({
    device: fc.constantFrom('a', 'b', 'c'),
    skip: fc.boolean(),
    seen: fc.option(fc.nat(8)),
  });
  fc.assert(
    fc.property(fc.array(event, { maxLength: 9 }), (list) => {
      const events = list.map(({ device, skip, seen }, n) => {
        const known = { seen: seen === null || seen >= n ? null : id(seen) };
        return skip ? said(n, device, SKIPPED, known) : done(n, device, known);
      });
      const conflicts = conflictsOf(events);
      for (const { one, other } of conflicts) expect(one.device).not.toBe(other.device);
      const last = done(99, 'a', {
        seen: events.at(-1)?.id ?? null,
        settles: conflicts.flatMap(({ one, other }) => [one.id, other.id]),
      });
      expect(conflictsOf([...events, last])).toEqual([]);
    }),
    { numRuns: 200, seed: 5 },
  );
});

test('two who used another product conflict by what, how much and in which measure', () => {
  const [use] = step.use;
  const other = (more: object | null): Deviation => ({
    kind: 'other product',
    note: '',
    ...(more && { use: [{ ...use!, ...more }] }),
  });
  const pair = (one: Deviation, two: Deviation): number =>
    conflictsOf([said(1, 'a', one, { seen: null }), said(2, 'b', two, { seen: null })]).length;
  expect(pair(other({}), other({}))).toBe(0);
  expect(pair(other(null), other(null))).toBe(0);
  expect(pair(other({}), other(null))).toBe(1);
  expect(pair(other({}), other({ parts: 2 * use!.parts }))).toBe(1);
  expect(pair(other({}), other({ measure: 'drop' }))).toBe(1);
  expect(pair(other({}), other({ product: { ...use!.product, id: id(44) } }))).toBe(1);
  // Of two kinds neither denies the other.
  expect(pair(other({}), amount(2))).toBe(0);
  expect(pair(SKIPPED, amount(2))).toBe(0);
});

test('of another step, or of a device without a name by the same hands, nothing is a conflict', () => {
  const elsewhere = said(2, 'b', SKIPPED, { seen: null, stepId: id(55) });
  expect(conflictsOf([done(1, 'a', { seen: null }), elsewhere])).toEqual([]);
  const nameless = (n: number, by: string) => {
    const { device: _none, ...rest } = said(n, by, SKIPPED, { seen: null });
    return rest as RecordedEvent;
  };
  const ticked = (by: string) => {
    const { device: _none, ...rest } = done(1, by, { seen: null });
    return rest as RecordedEvent;
  };
  expect(conflictsOf([ticked('Ada'), nameless(2, 'Ada')])).toEqual([]);
  expect(conflictsOf([ticked('Ada'), nameless(2, 'Bo')])).toHaveLength(1);
  // One says its device, the other does not: then by whose hands.
  expect(conflictsOf([done(1, 'x', { seen: null, by: 'Ada' }), nameless(2, 'Ada')])).toEqual([]);
});

test('what was seen is known with all before it, and nothing behind it', () => {
  const first = done(1, 'a', { seen: null });
  const second = done(2, 'c', { seen: id(1) });
  const late = (seen: string) => said(3, 'b', SKIPPED, { seen });
  expect(conflictsOf([first, second, late(id(2))])).toEqual([]);
  expect(conflictsOf([first, second, late(id(1))]).map(({ one }) => one.id)).toEqual([id(2)]);
  // An event nobody has is no knowledge.
  expect(conflictsOf([first, second, late(id(40))]).map(({ one }) => one.id)).toEqual([id(1), id(2)]);
});
