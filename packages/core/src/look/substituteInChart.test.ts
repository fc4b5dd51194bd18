import { substitute } from '../shade';
import { fitLook, substituteInChart } from '.';
import { client, KIT, LOOK, OCCASION, STAMP } from './look.testing';

const { chart } = fitLook(LOOK, client(), KIT, OCCASION, STAMP);
const base = chart.steps.find((s) => s.role === 'base')!;

test('a product is replaced in every step that uses it, the dose adjusted; a chart without it is left alone', () => {
  const gone = base.use[0]!.product;
  const context = {
    client: chart.client,
    kit: { ...KIT, products: KIT.products.filter((p) => p.id !== gone.id) },
    date: '2031-05-14',
  };
  const [best] = substitute(gone, context);
  const changed = substituteInChart(chart, gone.id, best!)!;
  const step = changed.steps.find((s) => s.id === base.id)!;
  expect(step.use.some((u) => u.product.id === gone.id)).toBe(false);
  expect(step.use.map((u) => u.product.id)).toEqual(
    expect.arrayContaining(best!.parts.map((p) => p.product.id)),
  );
  expect(changed.steps.filter((s) => s.id !== base.id)).toEqual(chart.steps.filter((s) => s.id !== base.id));
  expect(substituteInChart(changed, gone.id, best!)).toBeNull();
});
