import { fitLook, type Chart, type Deviation } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { planFromWorn } from '../repeat';
import { asWorn, isSettled, recordedBy, takenFromUnits, usedInStep, type RecordedEvent, type Told } from '.';

const chart: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const [base, contour] = chart.steps as [Chart['steps'][number], Chart['steps'][number]];
let count = 0;
const told = (more: Partial<Told>): RecordedEvent =>
  recordedBy('Ada', {
    id: id(++count),
    stepId: base.id,
    at: `2031-05-14T09:0${count % 10}:00Z`,
    kind: 'done',
    ...more,
  });
const said = (deviation: Deviation, more: Partial<Told> = {}): RecordedEvent =>
  told({ kind: 'deviation', deviation, ...more });
const SKIPPED: Deviation = { kind: 'skipped', note: '' };
const worn = (...events: RecordedEvent[]): Chart['steps'][number] => asWorn(chart, events).steps[0]!;
const mg = (...events: RecordedEvent[]): number =>
  [...takenFromUnits(chart, base.id, [events]).values()].reduce((sum, one) => sum + one, 0);
const PLANNED = base.use.reduce((sum, u) => sum + u.parts * u.product.mgPerMeasure, 0);

test('what is told of one step is that step’s alone, by whom and when it was told last', () => {
  const first = told({ at: '2031-05-14T09:01:00Z' });
  const again = { ...told({ at: '2031-05-14T09:07:00Z' }), by: 'Bo' };
  const { steps } = asWorn(chart, [first, again]);
  expect(steps[0]!.done).toEqual({ ticked: true, at: again.at, by: 'Bo', deviations: [] });
  expect(steps.slice(1)).toEqual(chart.steps.slice(1));
  expect(asWorn(chart, [told({ stepId: id(999) })])).toEqual(chart);
});

test('taken back it is as if nothing had been, but for what was noted', () => {
  expect(worn(told({}), told({ kind: 'undone' }))).toEqual(base);
  expect(worn(told({ kind: 'undone' }))).toEqual(base);
  const note: Deviation = { kind: 'amount', measures: 1, note: '' };
  expect(worn(said(note), told({}), told({ kind: 'undone' })).done).toMatchObject({
    ticked: false,
    deviations: [note],
  });
});

test('skipped and then done after all it is done, takes its product and stays in the plan', () => {
  const after = worn(said(SKIPPED), told({}));
  expect(after.done).toMatchObject({ ticked: true, deviations: [] });
  expect(mg(said(SKIPPED), told({}))).toBeCloseTo(PLANNED, 9);
  const { steps, carried } = planFromWorn(asWorn(chart, [said(SKIPPED), told({})]));
  expect(steps).toHaveLength(chart.steps.length);
  expect(carried).toEqual([]);
  // The other way round it was skipped after all.
  expect(mg(told({}), said(SKIPPED))).toBe(0);
  expect(isSettled(worn(told({}), said(SKIPPED)))).toBe(true);
  expect(planFromWorn(asWorn(chart, [told({}), said(SKIPPED)])).steps).toHaveLength(chart.steps.length - 1);
});

test('skipped and then opened again it is open', () => {
  expect(worn(said(SKIPPED), told({ kind: 'undone' }))).toEqual(base);
  expect(isSettled(worn(said(SKIPPED)))).toBe(true);
  expect(isSettled(base)).toBe(false);
  expect(isSettled(worn(said({ kind: 'amount', measures: 1, note: '' })))).toBe(false);
});

test('what a later one settled counts no more, and what was settled is told by its id alone', () => {
  const one = told({});
  const other = said(SKIPPED, { settles: [one.id] });
  expect(worn(one, other).done).toMatchObject({ ticked: false, deviations: [SKIPPED] });
  const { id: _id, ...nameless } = told({});
  expect(asWorn(chart, [nameless, told({ stepId: contour.id, settles: [] })]).steps[0]!.done!.ticked).toBe(
    true,
  );
});

test('nothing is used before it is done; then what was planned, or really used, in the amount that was said', () => {
  const other = [{ ...contour.use[0]!, parts: 3 }];
  const product: Deviation = { kind: 'other product', use: other, note: '' };
  const amount = (measures: number): Deviation => ({ kind: 'amount', measures, note: '' });
  const used = (...deviations: Deviation[]) => usedInStep(worn(...deviations.map((d) => said(d)), told({})));
  expect(usedInStep(worn(said(product)))).toEqual([]);
  expect(used(product)).toEqual(other);
  expect(used(product, amount(6))).toEqual([{ ...other[0]!, parts: 6 }]);
  // A fault, a note or another product without a product change nothing of what was used.
  expect(used({ kind: 'other product', note: 'none at hand' })).toEqual(base.use);
  expect(used({ kind: 'fault', note: '', fault: { seen: 'cakey', cause: 'layers' } })).toEqual(base.use);
  expect(used({ kind: 'amount', note: 'less' })).toEqual(base.use);
  const planned = base.use.reduce((sum, u) => sum + u.parts, 0);
  expect(used(amount(planned * 2)).map((u) => u.parts)).toEqual(base.use.map((u) => u.parts * 2));
  expect(used(amount(0)).every((u) => u.parts === 0)).toBe(true);
  // Skipped after it was done, nothing of it stayed, whatever was said of it before.
  expect(usedInStep(worn(said(product), told({}), said(SKIPPED)))).toEqual([]);
  const empty = { ...base, use: [], done: worn(said(amount(2)), told({})).done! };
  expect(usedInStep(empty)).toEqual([]);
});

test('what is taken is told of units only, two shares of one together', () => {
  const unit = base.use[0]!;
  const twice = {
    ...chart,
    steps: [{ ...base, use: [unit, { ...unit, parts: 1 }, { ...unit, unitId: null }] }],
  };
  expect([...takenFromUnits(twice, base.id, [[told({})]])]).toEqual([
    [unit.unitId, (unit.parts + 1) * unit.product.mgPerMeasure],
  ]);
  expect(takenFromUnits(chart, contour.id, [[told({})]]).size).toBe(0);
  expect(takenFromUnits(chart, id(999), [[told({})]]).size).toBe(0);
});

test('what was not said of an event stays unsaid; a deviation must say what was different', () => {
  const bare = recordedBy('Ada', { id: id(1), stepId: base.id, at: '2031-05-14T09:00:00Z', kind: 'undone' });
  expect(bare).toEqual({ id: id(1), stepId: base.id, at: '2031-05-14T09:00:00Z', by: 'Ada', kind: 'undone' });
  const said = { device: 'phone', seen: null, sitting: id(4), settles: [id(3)] };
  expect(told(said)).toMatchObject(said);
  // Each by itself.
  for (const [name, value] of Object.entries(said)) {
    expect(told({ [name]: value })).toHaveProperty(name, value);
    for (const other of Object.keys(said).filter((one) => one !== name))
      expect(told({ [name]: value })).not.toHaveProperty(other);
  }
  // A deviation beside a kind that has none is left out.
  expect(told({ kind: 'done', deviation: SKIPPED })).not.toHaveProperty('deviation');
  expect(() => told({ kind: 'deviation', deviation: undefined })).toThrow('says what was different');
});
