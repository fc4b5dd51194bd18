import { fitLook, type Chart, type Step } from '../look';
import { client, id, KIT, LOOK, OCCASION, STAMP } from '../look/look.testing';
import { productsMet, type RecordedEvent } from '.';

const chart: Chart = fitLook(LOOK, client(), KIT, OCCASION, STAMP).chart;
const [base] = chart.steps as [Step, ...Step[]];
const laid = (n: number): Step['use'] => [
  { ...base.use[0]!, product: { ...base.use[0]!.product, id: id(n) } },
];
const said = (use: Step['use'] | undefined): RecordedEvent => ({
  id: id(800),
  stepId: base.id,
  at: STAMP.at,
  by: 'Ada',
  kind: 'deviation',
  deviation: use ? { kind: 'other product', use, note: '' } : { kind: 'note', note: 'Stings.' },
});
const met = (one: Pick<Chart, 'steps'>, ...events: readonly RecordedEvent[]) =>
  productsMet(one, events).map((product) => product.id);

test('all that is planned, once each, in order', () => {
  const planned = [...new Set(chart.steps.flatMap(({ use }) => use.map(({ product }) => product.id)))];
  expect(planned.length).toBeGreaterThan(2);
  expect(met(chart)).toEqual(planned);
  expect(met({ steps: [...chart.steps, ...chart.steps] })).toEqual(planned);
});

test('a variant’s own too, and what was used instead, also by somebody who never ticked it', () => {
  const evening = { ...base, id: id(601), variant: 'evening', instead: base.id, use: laid(991) };
  const varied = { steps: [...chart.steps, evening] };
  expect(met(varied)).toEqual([...met(chart), id(991)]);
  expect(met(varied, said(laid(992)), said(laid(991)), said(undefined))).toEqual([
    ...met(chart),
    id(991),
    id(992),
  ]);
});
