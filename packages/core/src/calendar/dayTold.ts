import { isDay } from './day';

/** In which order a file writes the parts of a day before the year. */
export type DayOrder = 'day first' | 'month first';

const NUMBERS = /^(\d{1,2})([./-])(\d{1,2})\2(\d{2}|\d{4})$/;
const YEAR_FIRST = /^(\d{4})[./-](\d{1,2})[./-](\d{1,2})(?:[T ].*)?$/;
const two = (part: string): string => part.padStart(2, '0');
const year = (told: string): string => (told.length === 2 ? `20${told}` : told);

/**
 * The order all days of a file are written in: the one in which every one of them is a day. Null where each
 * would do, or none; with points it is the day first.
 */
export function dayOrderOf(days: readonly string[]): DayOrder | null {
  const numbers = days.flatMap((told) => NUMBERS.exec(told.trim()) ?? []).length;
  if (numbers === 0) return null;
  const fits = (order: DayOrder): boolean =>
    days.every((told) => !NUMBERS.test(told.trim()) || dayTold(told, order) !== null);
  const [day, month] = [fits('day first'), fits('month first')];
  return day && !month ? 'day first' : month && !day ? 'month first' : null;
}

/**
 * A day as YYYY-MM-DD from how it is written by hand or by a spreadsheet; null where it is none, or may be
 * two.
 */
export function dayTold(told: string, order: DayOrder | null): string | null {
  const text = told.trim();
  const ordered = YEAR_FIRST.exec(text);
  if (ordered) return realDay(ordered[1]!, ordered[2]!, ordered[3]!);
  const numbers = NUMBERS.exec(text);
  if (!numbers) return null;
  const [, first, mark, second, last] = numbers;
  const dayFirst = realDay(year(last!), second!, first!);
  const monthFirst = realDay(year(last!), first!, second!);
  if (mark === '.' || order === 'day first') return dayFirst;
  if (order === 'month first') return monthFirst;
  return dayFirst === monthFirst ? dayFirst : null;
}

function realDay(y: string, m: string, d: string): string | null {
  const day = `${y}-${two(m)}-${two(d)}`;
  return isDay(day) ? day : null;
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'] as const;

/**
 * The first day of a month that is told without a day, as YYYY-MM-DD: '03/2031', '2031-03', 'March 2031',
 * 'mar 31'. Null where it is none. For what lasts from then on the first day is the careful one.
 */
export function monthTold(told: string): string | null {
  const text = told.trim().toLowerCase();
  const [, first, , last] = /^(\d{1,2})([./-])(\d{4})$/.exec(text) ?? [];
  if (first && last) return realDay(last, first, '1');
  const [, y, m] = /^(\d{4})[./-](\d{1,2})$/.exec(text) ?? [];
  if (y && m) return realDay(y, m, '1');
  const [, name = '', named] = /^([a-z]{3,9})\.?,? ?['’]?(\d{2}|\d{4})$/.exec(text) ?? [];
  const month = MONTHS.findIndex((one) => name.startsWith(one) && LONG_MONTHS.test(name)) + 1;
  return named && month > 0 ? realDay(year(named), String(month), '1') : null;
}
const LONG_MONTHS =
  /^(jan(uary)?|feb(ruary)?|mar(ch)?|apr(il)?|may|june?|july?|aug(ust)?|sept?(ember)?|oct(ober)?|nov(ember)?|dec(ember)?)$/;
