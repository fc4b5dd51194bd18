import type { Step, Use } from './document';

export type AmountInAll = {
  readonly product: Use['product'];
  readonly measure: Use['measure'];
  /** Measures over all steps. */
  readonly parts: number;
  readonly mg: number;
  /** Steps that take of it. */
  readonly stepIds: readonly string[];
};

/** What some steps take of each product together, in the order they are first used; one product in two measures is told twice. */
export function amountsInAll(steps: readonly Pick<Step, 'id' | 'use'>[]): AmountInAll[] {
  const all = new Map<string, AmountInAll>();
  for (const { id, use } of steps) {
    for (const { product, measure, parts } of use) {
      const key = `${product.id} ${measure}`;
      const so = all.get(key) ?? { product, measure, parts: 0, mg: 0, stepIds: [] };
      all.set(key, {
        ...so,
        parts: so.parts + parts,
        mg: so.mg + parts * product.mgPerMeasure,
        stepIds: so.stepIds.includes(id) ? so.stepIds : [...so.stepIds, id],
      });
    }
  }
  return [...all.values()];
}
