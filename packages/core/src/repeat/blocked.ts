import { shadeName } from '../kit';
import type { FitContext, Step } from '../look';
import { msg } from '../messages';
import { barredIn, excludedBecause } from '../shade';

/**
 * What speaks against using a step's products at all, first what the client must not meet, whether it is
 * still in the kit or not; null when nothing does.
 */
export const blockedOf = (step: Step, context: FitContext): string | null =>
  barredOf(step, context) ??
  step.use.map((u) => blockedBecause(u.product.id, step, context)).find((reason) => reason !== null) ??
  null;

/** Which of a step's products its client must not meet there, and why; null when none. */
export function barredOf(step: Step, { client }: FitContext): string | null {
  const [first] = barredIn([step], client);
  return first ? `${shadeName(first.product)}: ${first.why}` : null;
}

/**
 * Why a product cannot be used again. What it was used for, and with what, is not asked: it was done with
 * that, on purpose, in a mix, or thinned to be sprayed.
 */
function blockedBecause(productId: string, step: Step, context: FitContext): string | null {
  const product = context.kit.products.find((p) => p.id === productId);
  if (!product) return msg`It is no longer in the kit`;
  const usedAs: Step = { ...step, wants: { ...step.wants, kinds: [product.kind] }, tool: 'none' };
  const reason = excludedBecause(product, usedAs, context);
  if (reason) return `${shadeName(product)}: ${reason}`;
  return goneOf(step, context).includes(productId) ? msg`${shadeName(product)} is in no case any more` : null;
}

/**
 * Products of a step that came out of a case when they were used and lie in none now; what never did is
 * somebody's own, or was to be bought.
 */
export const goneOf = ({ use }: Pick<Step, 'use'>, { kit }: FitContext): readonly string[] =>
  use.flatMap(({ product, unitId }) =>
    unitId !== null && !kit.units.some((unit) => unit.productId === product.id) ? [product.id] : [],
  );
