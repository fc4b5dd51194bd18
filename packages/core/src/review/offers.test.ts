import { FINISHES, type Finish, type Kit, type Product } from '../kit';
import type { Chart } from '../look';
import { reviewChart, type ReviewFinding } from '.';
import { id } from '../look/look.testing';
import { sceneOf } from './eachRule.testing';
import { KIT, PRODUCTS, STEPS, withFeatures, withStep } from './review.testing';

/** A kit with one product more, at hand. */
const with1 = (kit: Kit, more: Product): Kit => ({
  products: [...kit.products, more],
  units: [...kit.units, { ...kit.units[0]!, id: id(981), productId: more.id }],
});
const findings = (chart: Chart, kit: Kit | null, rule: string): ReviewFinding[] =>
  reviewChart(chart, kit).filter((one) => one.rule === rule);
/** Which product a rule would put in place of its step's, by its shade; null where it offers nothing. */
function offered(rule: string, kind: 'base' | 'mascara', more: Partial<Product>): string | null {
  const { chart, kit } = sceneOf(rule);
  const own = kind === 'base' ? PRODUCTS.base : PRODUCTS.mascara;
  const [found] = findings(chart, with1(kit, { ...own, id: id(980), shade: 'Other', ...more }), rule);
  const mended = found!.fix?.apply(chart);
  const step = mended?.steps.find(({ id: of }) => of === found!.stepIds[0]);
  return step?.use[0]?.product.shade ?? null;
}

test.each<[rule: string, finishes: readonly Finish[]]>([
  ['dewy-base-on-oily', ['matte', 'natural', 'satin']],
  ['matte-on-dry', ['natural', 'satin', 'dewy']],
])('%s offers a base that is one of %j', (rule, finishes) => {
  const taken = FINISHES.filter((finish) => offered(rule, 'base', { finish }) === 'Other');
  expect([...taken].sort()).toEqual([...finishes].sort());
});

test('against tears a waterproof or tubing mascara is offered, and no other', () => {
  expect(offered('mascara-for-tears', 'mascara', { waterproof: true })).toBe('Other');
  expect(offered('mascara-for-tears', 'mascara', { waterproof: false })).toBeNull();
});

test('without a kit nothing is said of what it has not', () => {
  const { chart, kit } = sceneOf('gone-from-kit');
  expect(findings(chart, kit, 'gone-from-kit')).toHaveLength(1);
  expect(findings(chart, null, 'gone-from-kit')).toEqual([]);
});

test.each([
  ['handsOnMinutes', 30],
  ['waitMinutes', 30],
] as const)(
  'what is set is set too late, whether what lies between takes hands or only time: %s',
  (of, minutes) => {
    expect(findings(withStep('contour', { [of]: minutes }), KIT, 'set-too-late')).toHaveLength(1);
    expect(findings(withStep('contour', { [of]: 1 }), KIT, 'set-too-late')).toEqual([]);
  },
);

describe('light on lines beside the eyes', () => {
  const lit = (features: Parameters<typeof withFeatures>[0]): ReviewFinding[] => {
    const chart = withStep('highlight', {
      placements: [{ guide: 'cheekboneLight', side: 'both', params: { reach: 160, width: 200 } }],
      use: STEPS.highlight.use.map((use) => ({ ...use, product: { ...use.product, finish: 'shimmer' } })),
    });
    return findings(withFeatures(features, chart), KIT, 'light-on-lines');
  };

  test('is told by them, where they are', () => {
    const [found] = lit({ lines: ['crow’s feet'] });
    expect(found!.message).toContain('the lines beside the eyes');
    // At one of the two eyes, not between them.
    expect(found!.at![0]).toBeGreaterThan(44);
    expect(found!.at![0]).toBeLessThan(64);
    expect(lit({ lines: ['forehead'] })).toEqual([]);
    expect(lit({})).toEqual([]);
  });
});
