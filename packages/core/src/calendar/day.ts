import { zoneFormat } from './zoneFormat';

/** A day as YYYY-MM-DD: dates of the trade have no hour and no zone. */
const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;

/** Whether a text is a day of the calendar as YYYY-MM-DD: 31 February is none. */
export function isDay(text: string): boolean {
  const match = DAY.exec(text);
  return (
    match !== null && dayText(Date.UTC(Number(match[1]), Number(match[2]) - 1, Number(match[3]))) === text
  );
}

/** Year, month (1 to 12) and day of a date as YYYY-MM-DD. Throws a RangeError for any other text. */
export function partsOfDay(day: string): readonly [year: number, month: number, day: number] {
  const match = DAY.exec(day);
  if (!match) throw new RangeError(`expected a date as YYYY-MM-DD, got ${JSON.stringify(day)}`);
  return [Number(match[1]), Number(match[2]), Number(match[3])];
}

/** A date some days on, or back for less than none: `addDays('2028-02-28', 2)` is '2028-03-01'. */
export function addDays(day: string, days: number): string {
  const [year, month, of] = partsOfDay(day);
  return dayText(Date.UTC(year, month - 1, of + days));
}

/**
 * A date some months on; a day the month does not have becomes its last (31 January + 1 month is 28 or 29
 * February).
 */
export function addMonths(day: string, months: number): string {
  const [year, month, of] = partsOfDay(day);
  const last = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return dayText(Date.UTC(year, month - 1 + months, Math.min(of, last)));
}

/** Days from one date to another: below none when it lies before. */
export function daysBetween(from: string, to: string): number {
  const [at, then] = [partsOfDay(from), partsOfDay(to)].map(([y, m, d]) => Date.UTC(y, m - 1, d));
  return Math.round((then! - at!) / 86_400_000);
}

/** Whether a text names a time zone this machine knows, as 'Europe/Lisbon'. */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en-GB', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** The day an instant falls on in a time zone: one instant is two days, seen from Auckland and from Lima. */
export function dayIn(zone: string, instant: Date): string {
  const parts = zoneFormat(zone).formatToParts(instant);
  const part = (type: Intl.DateTimeFormatPartTypes): string => parts.find((p) => p.type === type)!.value;
  return `${part('year').padStart(4, '0')}-${part('month')}-${part('day')}`;
}

const dayText = (utcMs: number): string => new Date(utcMs).toISOString().slice(0, 10);
