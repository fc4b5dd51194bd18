import { substitute } from '../shade';
import { contextOf, fitLook, stepsUsing, substituteInChart, substituteRefused, type Chart } from '.';
import { client, KIT, kitOf, LOOK, OCCASION, product, STAMP } from './look.testing';

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

describe('what is right for one is refused for another', () => {
  const gone = base.use[0]!.product;
  const inPlace = product(300, 'base', [64, 12, 20], { ingredients: ['dimethicone', 'lanolin'] });
  const kit = kitOf(inPlace);
  const refused = (change: Partial<Chart> = {}, parts = [inPlace], which = kit) =>
    substituteRefused(
      { ...chart, ...change },
      gone.id,
      parts.map((one) => ({ product: one })),
      which,
    );
  const tested = (productId: string) =>
    ({ productId, product: 'Line', verdict: 'reacted', on: '2031-05-01' }) as const;
  const who = (change: Partial<Chart['client']>) => ({ client: { ...chart.client, ...change } });

  test('nothing against it, nothing said', () => {
    expect(refused()).toBeNull();
    expect(stepsUsing(chart, gone.id)).toEqual([{ role: 'base', placements: base.placements }]);
    expect(stepsUsing(chart, inPlace.id)).toEqual([]);
  });

  test('an ingredient, a patch test, a look, a withdrawal, its months: each by name', () => {
    expect(refused(who({ sensitivities: ['lanolin'] }))).toBe('Ordway Line S300: contains lanolin');
    expect(refused(who({ sensitivities: ['cetyl alcohol'] }))).toBeNull();
    expect(refused(who({ patchTests: [tested(inPlace.id)] }))).toMatch(/^Ordway Line S300: /);
    expect(refused(who({ patchTests: [tested(gone.id)] }))).toBeNull();
    expect(refused({ forbids: { finishes: ['natural'], kinds: [] } })).toMatch(/allows nothing natural/);
    expect(refused({}, [{ ...inPlace, withdrawn: true }])).toMatch(/withdrawn/);
    const dayOf = (date: string) => ({ occasion: { ...chart.occasion, date } });
    expect(refused(dayOf('2032-03-01'))).toBeNull();
    expect(refused(dayOf('2032-03-02'))).toMatch(/shelf life/);
  });

  test('any part of a mix is enough, and a step at the eyes asks more', () => {
    const second = product(301, 'adjuster', [90, 0, 5], { ingredients: ['carmine'] });
    const both = kitOf(inPlace, second);
    expect(refused(who({ sensitivities: ['carmine'] }), [inPlace, second], both)).toMatch(/S301: contains/);
    const atTheLid = chart.steps.map((step) =>
      step.id === base.id ? { ...step, role: 'eye' as const } : step,
    );
    expect(refused({ steps: atTheLid })).toMatch(/not meant for the eye area/);
    expect(refused({ steps: atTheLid }, [{ ...inPlace, eyeSafe: true }])).toBeNull();
  });

  test('loose shimmer is no powder for lids in lenses, wherever else it may lie', () => {
    const shimmer = product(302, 'powder', [80, 5, 15], { texture: 'loose', finish: 'shimmer' });
    const powders = (guide: 'zone.mobileLid' | 'zone.apple'): Pick<Chart, 'steps'> => ({
      steps: chart.steps.map((step) =>
        step.id === base.id ? { ...step, role: 'powder', placements: [{ guide, side: 'both' }] } : step,
      ),
    });
    const lenses = (worn: boolean) => who({ features: { ...chart.client.features, lenses: worn } });
    const over = (lids: Pick<Chart, 'steps'>, worn: boolean) =>
      refused({ ...lids, ...lenses(worn) }, [shimmer], kitOf(shimmer));
    expect(over(powders('zone.mobileLid'), true)).toMatch(/loose shimmer sheds/);
    expect(over(powders('zone.mobileLid'), false)).toBeNull();
    expect(over(powders('zone.apple'), true)).toBeNull();
    const other = product(303, 'powder', [80, 5, 15], { texture: 'loose', finish: 'shimmer' });
    const offered = (lids: Pick<Chart, 'steps'>) =>
      substitute(shimmer, contextOf({ ...chart, ...lenses(true) }, kitOf(other)), {
        steps: stepsUsing(lids, gone.id),
      });
    expect(offered(powders('zone.mobileLid'))).toEqual([]);
    expect(offered(powders('zone.apple'))).toHaveLength(1);
  });
});
