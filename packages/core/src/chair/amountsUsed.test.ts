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
  expect(takenFromUnits(chart, base.id, [event({ kind: 'done' })])).toEqual(planned);
  expect(takenFromUnits(chart, base.id, [event({ kind: 'done' }), event({ kind: 'undone' })])).toEqual(
    new Map(),
  );
});

test('a skipped step takes nothing, another amount scales it, another product is what is taken', () => {
  const after = (deviation: object) =>
    takenFromUnits(chart, base.id, [
      event({ kind: 'done' }),
      event({ kind: 'deviation', deviation: { note: '', ...deviation } } as never),
    ]);
  expect(after({ kind: 'skipped' })).toEqual(new Map());
  const measures = base.use.reduce((sum, u) => sum + u.parts, 0);
  for (const [unit, mg] of after({ kind: 'amount', measures: 2 * measures }))
    expect(mg).toBeCloseTo(2 * planned.get(unit)!, 9);
  const other = { ...base.use[0]!, unitId: '0190a000-0000-7000-8000-000000000999', parts: 1 };
  expect([...after({ kind: 'other product', use: [other] }).keys()]).toEqual([other.unitId]);
});
