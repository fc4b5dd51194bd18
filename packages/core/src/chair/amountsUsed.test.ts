import { fitLook } from '../look';
import { client, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { takenFromUnits, type ChairEvent } from '.';

const { chart } = fitLook(LOOK, client(), KIT, OCCASION, STAMP);
const base = chart.steps.find((s) => s.role === 'base')!;
const event = (more: Partial<ChairEvent> & Pick<ChairEvent, 'kind'>) =>
  ({ stepId: base.id, at: '2031-05-14T10:00:00Z', by: 'Ada', ...more }) as ChairEvent;
const planned = new Map(base.use.map((u) => [u.unitId!, u.parts * u.product.mgPerMeasure]));

test('nothing is taken before a step is done, the planned amount after, nothing again when it is undone', () => {
  expect(takenFromUnits(chart, base.id, [])).toEqual(new Map());
  expect(takenFromUnits(chart, base.id, [[event({ kind: 'done' })]])).toEqual(planned);
  expect(takenFromUnits(chart, base.id, [[event({ kind: 'done' }), event({ kind: 'undone' })]])).toEqual(
    new Map(),
  );
});

test('what was done at each of two sittings is taken twice, and taken back at one it is that one’s', () => {
  const [done, undone] = [event({ kind: 'done' }), event({ kind: 'undone' })];
  const twice = new Map([...planned].map(([unit, mg]) => [unit, 2 * mg]));
  expect(takenFromUnits(chart, base.id, [[done], [done]])).toEqual(twice);
  expect(takenFromUnits(chart, base.id, [[done, undone], [done]])).toEqual(planned);
  expect(takenFromUnits(chart, base.id, [[done], [undone]])).toEqual(planned);
});

test('a skipped step takes nothing, another amount scales it, another product is what is taken', () => {
  const after = (deviation: object) =>
    takenFromUnits(chart, base.id, [
      [event({ kind: 'done' }), event({ kind: 'deviation', deviation: { note: '', ...deviation } } as never)],
    ]);
  expect(after({ kind: 'skipped' })).toEqual(new Map());
  const measures = base.use.reduce((sum, u) => sum + u.parts, 0);
  for (const [unit, mg] of after({ kind: 'amount', measures: 2 * measures }))
    expect(mg).toBeCloseTo(2 * planned.get(unit)!, 9);
  const other = { ...base.use[0]!, unitId: '0190a000-0000-7000-8000-000000000999', parts: 1 };
  expect([...after({ kind: 'other product', use: [other] }).keys()]).toEqual([other.unitId]);
});

test('an amount without a number, another product without one, and an amount of nothing change nothing', () => {
  const [unit] = base.use;
  const mg = (deviations: readonly object[], use = base.use) => {
    const steps = chart.steps.map((s) => (s.id === base.id ? { ...s, use } : s));
    const said = deviations.map((deviation) =>
      event({ kind: 'deviation', deviation: { note: '', ...deviation } } as never),
    );
    return takenFromUnits({ ...chart, steps }, base.id, [[event({ kind: 'done' }), ...said]]);
  };
  expect(mg([{ kind: 'amount' }])).toEqual(planned);
  expect(mg([{ kind: 'other product' }])).toEqual(planned);
  expect(mg([{ kind: 'note' }, { kind: 'fault' }])).toEqual(planned);
  // No parts at all: nothing to share it out by.
  const none = mg([{ kind: 'amount', measures: 3 }], [{ ...unit!, parts: 0 }]);
  expect([...none.values()]).toEqual([0]);
  // Half of two thirds and one third: each keeps its share.
  const two = [
    { ...unit!, parts: 2 },
    { ...unit!, unitId: '0190a000-0000-7000-8000-000000000998', parts: 1 },
  ];
  const each = unit!.product.mgPerMeasure;
  expect([...mg([{ kind: 'amount', measures: 1.5 }], two).values()]).toEqual([each, each / 2]);
  // The same unit in two parts of one mix is one amount; what has no unit is taken from none.
  expect([...mg([], [unit!, unit!]).values()]).toEqual([2 * unit!.parts * each]);
  expect(mg([], [{ ...unit!, unitId: null }])).toEqual(new Map());
  expect(takenFromUnits(chart, '0190a000-0000-7000-8000-000000000997', [])).toEqual(new Map());
});
