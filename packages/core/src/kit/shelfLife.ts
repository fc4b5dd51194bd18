import { addDays, addMonths } from '../calendar';
import type { Product, Unit } from './product';

export type ShelfLife = {
  readonly state: 'unopened' | 'good' | 'soon' | 'past';
  /** Last day of use as YYYY-MM-DD; null while unopened. */
  readonly until: string | null;
};

const SOON_DAYS = 30;

/** Whether an opened unit is still within its maker's months after opening, on a day given as YYYY-MM-DD. */
export function shelfLife(
  unit: Pick<Unit, 'openedOn'>,
  product: Pick<Product, 'monthsAfterOpening'>,
  today: string,
): ShelfLife {
  if (unit.openedOn === null) return { state: 'unopened', until: null };
  const until = addMonths(unit.openedOn, product.monthsAfterOpening);
  if (today > until) return { state: 'past', until };
  return { state: today > addDays(until, -SOON_DAYS) ? 'soon' : 'good', until };
}
