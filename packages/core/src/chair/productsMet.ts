import type { ProductSnapshot } from '../kit';
import type { Chart } from '../look';
import type { ChairEvent } from './event';

/**
 * Every product a client may have met by a chart, once each: what it plans, in every variant, and what was
 * said at the chair to have been used instead. Where something went wrong none is left out for a tick that
 * was forgotten.
 */
export function productsMet(
  { steps }: Pick<Chart, 'steps'>,
  events: readonly ChairEvent[],
): ProductSnapshot[] {
  const planned = steps.flatMap(({ use }) => use);
  const said = events.flatMap((event) => (event.kind === 'deviation' ? (event.deviation.use ?? []) : []));
  return [...new Map([...planned, ...said].map(({ product }) => [product.id, product])).values()];
}
