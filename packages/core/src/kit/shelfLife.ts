import type { Product, Unit } from './product';

export type ShelfLife = {
  readonly state: 'unopened' | 'good' | 'soon' | 'past';
  /** Last day of use as YYYY-MM-DD; null while unopened. */
  readonly until: string | null;
};

const SOON_DAYS = 30;

/** Whether an opened unit is still within its maker's months after opening, on a day given as YYYY-MM-DD. */
export function shelfLife(unit: Pick<Unit, 'openedOn'>, product: Pick<Product, 'monthsAfterOpening'>, today: string): ShelfLife {
  if (unit.openedOn === null) return { state: 'unopened', until: null };
  const until = addMonths(unit.openedOn, product.monthsAfterOpening);
  if (today > until) return { state: 'past', until };
  return { state: today > addDays(until, -SOON_DAYS) ? 'soon' : 'good', until };
}

/** A date some months on; the last of a month stays the last (31 January + 1 month is 28 or 29 February). */
function addMonths(date: string, months: number): string {
  const [year, month, day] = partsOf(date);
  const first = new Date(Date.UTC(year, month - 1 + months, 1));
  const last = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 0)).getUTCDate();
  first.setUTCDate(Math.min(day, last));
  return first.toISOString().slice(0, 10);
}

function addDays(date: string, days: number): string {
  const [year, month, day] = partsOf(date);
  return new Date(Date.UTC(year, month - 1, day + days)).toISOString().slice(0, 10);
}

function partsOf(date: string): readonly [number, number, number] {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(date);
  if (!match) throw new RangeError(`expected a date as YYYY-MM-DD, got ${JSON.stringify(date)}`);
  return [Number(match[1]), Number(match[2]), Number(match[3])];
}
