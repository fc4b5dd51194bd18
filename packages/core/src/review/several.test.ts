import type { Finish, Product } from '../kit';
import type { Chart } from '../look';
import { reviewChart, type ReviewFinding } from '.';
import { id } from '../look/look.testing';
import { sceneOf } from './eachRule.testing';
import { added, extra, KIT, PRODUCTS, QUIET, STEPS, use, withStep } from './review.testing';

const says = (chart: Chart, rule: string): ReviewFinding[] =>
  reviewChart(chart, KIT).filter((finding) => finding.rule === rule);

/** A spray of a finish more, beside the quiet chart's, which has one of its own. */
const sprays = (own: Finish, second: Finish, hoursToLast = 12): Chart => {
  const chart = added(
    extra('Second spray', 'finish', 'care', null, [], {
      use: use({ ...PRODUCTS.spray, finish: second }),
      waitMinutes: 1,
    }),
    'spray',
    withStep('spray', { use: use({ ...PRODUCTS.spray, finish: own }) }),
  );
  return { ...chart, occasion: { ...chart.occasion, hoursToLast } };
};

test.each<[Finish, Finish, number]>([
  ['dewy', 'dewy', 2],
  ['dewy', 'matte', 0],
  ['matte', 'dewy', 0],
  ['matte', 'natural', 0],
])('of a %s and a %s spray for a long day %d are too soft', (own, second, told) => {
  expect(
    says(sprays(own, second), 'hydrating-spray-for-long').flatMap(({ stepIds }) => stepIds),
  ).toHaveLength(told);
  expect(says(sprays(own, second, 4), 'hydrating-spray-for-long')).toEqual([]);
});

test('a soft spray beside something else in one step is as soft', () => {
  const both = withStep('spray', {
    use: [...use({ ...PRODUCTS.spray, finish: 'dewy' }), ...use(PRODUCTS.prep)],
  });
  expect(
    says({ ...both, occasion: { ...both.occasion, hoursToLast: 12 } }, 'hydrating-spray-for-long'),
  ).toHaveLength(1);
});

test('of many layers in one place the one of most passes is offered in one', () => {
  const chart: Chart = {
    ...QUIET,
    steps: QUIET.steps.flatMap((step) => {
      if (step.id !== STEPS.base.id) return [step];
      const more = Array.from({ length: 4 }, (_, i) => ({ ...step, id: id(950 + i), passes: 1 }));
      return [
        { ...step, passes: 2 },
        ...more.slice(0, 2),
        { ...step, id: id(970), passes: 4 },
        ...more.slice(2),
      ];
    }),
  };
  const [found] = says(chart, 'too-many-layers');
  const mended = found!.fix!.apply(chart);
  const changed = mended.steps.filter((step, i) => step !== chart.steps[i]);
  expect(changed.map((step) => step.id)).toEqual([id(970)]);
  expect(changed).toEqual([{ ...chart.steps.find((step) => step.id === id(970))!, passes: 1 }]);
});

test('where the skin under the eye was not read, a concealer is judged on the face’s', () => {
  const { chart } = sceneOf('grey-cast');
  const { cheek } = chart.client.skin;
  const part: Chart = { ...chart, client: { ...chart.client, skin: { cheek: cheek! } } };
  expect(says(part, 'grey-cast')).toHaveLength(1);
  expect(says(withStep('conceal', {}, { ...part, steps: QUIET.steps }), 'grey-cast')).toEqual([]);
});

test('of a mixture with one colour that cannot be nothing is judged', () => {
  const off: Product = { ...PRODUCTS.base, lab: [40, 12, 18] };
  const impossible: Product = { ...PRODUCTS.base, id: id(990), lab: [99, 90, -90] };
  const mixed = (other: Product): Chart => withStep('base', { use: [...use(off), ...use(other)] });
  expect(says(mixed(off), 'base-off-skin').length).toBe(1);
  expect(says(mixed(impossible), 'base-off-skin')).toEqual([]);
});
