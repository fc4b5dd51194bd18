import { productName, type Product } from '../kit';
import type { Chart, FitContext, Proposal, Step } from '../look';
import { msg, term } from '../messages';
import { needsMissed } from '../shade';

/**
 * What a step's products lack of what is asked now and was not: by the client, by the day, or by the step
 * itself.
 */
export type Lacking = { readonly needs: ReadonlySet<string>; readonly step: Step; readonly words: string };

export function newlyLacking(step: Step, worn: Chart, context: FitContext, then: FitContext): Lacking | null {
  const before = worn.steps.find(({ id }) => id === step.id);
  if (!before) return null;
  const found = inKit(step, context).flatMap((product) => {
    const known = new Set(missedBy(product, before, then).map(({ what }) => what));
    const missed = missedBy(product, step, context).filter(({ what }) => !known.has(what));
    return missed.length === 0 ? [] : [{ product, missed }];
  });
  if (found.length === 0) return null;
  return {
    needs: new Set(found.flatMap(({ missed }) => missed.map(({ what }) => what))),
    step,
    words: found
      .map(({ product, missed }) => `${productName(product)}: ${missed.map(({ words }) => words).join('; ')}`)
      .join('; '),
  };
}

export const inKit = ({ use }: Pick<Step, 'use'> | Proposal, { kit }: FitContext): readonly Product[] =>
  use.flatMap((u) => kit.products.find(({ id }) => id === u.product.id) ?? []);

export const lacks = (product: Product, { needs, step }: Lacking, context: FitContext): boolean =>
  missedBy(product, step, context).some(({ what }) => needs.has(what));

/**
 * What is asked of a product that it does not have: what it is made of and how it finishes, what client and
 * day ask.
 */
function missedBy(
  product: Product,
  { wants }: Step,
  context: FitContext,
): readonly { readonly what: string; readonly words: string }[] {
  if (product.kind === 'adjuster') return [];
  const has = <T extends string>(what: string, asked: readonly T[] | undefined, is: T) =>
    asked === undefined || asked.length === 0 || asked.includes(is)
      ? []
      : [{ what, words: msg`${term(is)}, not ${asked.map((one) => term(one)).join(msg` or `)}` }];
  return [
    ...has('finish', wants.finishes, product.finish),
    ...has('texture', wants.textures, product.texture),
    ...needsMissed(product, context),
  ];
}
