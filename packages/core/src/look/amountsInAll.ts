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

export type ToolInAll = {
  readonly tool: Step['tool'];
  /** How many are laid out clean for one face: one for each step that must not carry colour into the next. */
  readonly count: number;
  readonly stepIds: readonly string[];
};

/** Tools that are for one face once and then thrown away. */
const SINGLE_USE: readonly Step['tool'][] = ['spoolie', 'spatula'];

/**
 * The tools one face takes, to be packed clean: steps of one kind of layer share a tool, another kind takes
 * another; wands and spatulas are single-use, one a step. Fingers and bare pencils count for nothing.
 */
export function toolsForFace(steps: readonly Pick<Step, 'id' | 'tool' | 'role'>[]): ToolInAll[] {
  const all = new Map<Step['tool'], { keys: Set<string>; stepIds: string[] }>();
  for (const { id, tool, role } of steps) {
    if (tool === 'finger' || tool === 'none') continue;
    const so = all.get(tool) ?? { keys: new Set<string>(), stepIds: [] };
    so.keys.add(SINGLE_USE.includes(tool) ? id : role);
    so.stepIds.push(id);
    all.set(tool, so);
  }
  return [...all].map(([tool, { keys, stepIds }]) => ({ tool, count: keys.size, stepIds }));
}

/**
 * What some steps take of each product together, in the order they are first used; one product in two
 * measures is told twice.
 */
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
