import { messages, msg } from '../messages';
import { addDays } from './day';
import { clock } from './clock';

export const DAY_ORDERS = ['day month', 'month day', 'year month day'] as const;
export const CLOCKS = ['24 hours', '12 hours'] as const;
export const FIRST_WEEKDAYS = ['Monday', 'Sunday', 'Saturday'] as const;
export const AMOUNTS_FIRST = ['measures', 'millilitres'] as const;
export const TEMPERATURE_UNITS = ['°C', '°F'] as const;

/** How a studio tells days, hours, amounts and warmth. */
export type Manner = {
  readonly days: (typeof DAY_ORDERS)[number];
  readonly clock: (typeof CLOCKS)[number];
  readonly firstWeekday: (typeof FIRST_WEEKDAYS)[number];
  readonly amounts: (typeof AMOUNTS_FIRST)[number];
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
};
export const USUAL_MANNER: Manner = {
  days: 'day month',
  clock: '24 hours',
  firstWeekday: 'Monday',
  amounts: 'measures',
  temperature: '°C',
};

/** A minute of the day as a studio tells it: '09:10', or '9:10 am'; midnight is 12 am, noon 12 pm. */
export function toldClock(minute: number, by: Manner['clock']): string {
  const plain = clock(minute);
  if (by === '24 hours') return plain;
  const [hours, minutes] = plain.split(':');
  const hour = Number(hours);
  return `${hour % 12 === 0 ? 12 : hour % 12}:${minutes} ${hour < 12 ? msg`am` : msg`pm`}`;
}

/**
 * Words with every hour in them, which core tells as HH:MM, as a studio tells it. What is no hour (25:00, a
 * ratio of 1:30) stays as it is.
 */
export function toldHours(words: string, by: Manner['clock']): string {
  if (by === '24 hours') return words;
  // Without looking behind, which phones of some years ago cannot read at all.
  return words.replace(
    /(^|[^\d:])([01]\d|2[0-3]):([0-5]\d)(?![\d:])/g,
    (_, before: string, hours: string, minutes: string) =>
      `${before}${toldClock(Number(hours) * 60 + Number(minutes), by)}`,
  );
}

const WEEKDAYS = messages(['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']);
const MONTHS = messages([
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sept',
  'Oct',
  'Nov',
  'Dec',
]);

/** A day, YYYY-MM-DD, as a studio tells it: 'Wed 25 Nov', 'Wed Nov 25, 2031', 'Wed 2031-11-25'. */
export function toldDay(day: string, order: Manner['days'], withYear: boolean): string {
  const date = new Date(`${day}T12:00:00Z`);
  const weekday = WEEKDAYS[date.getUTCDay()]!;
  const [month, number] = [MONTHS[date.getUTCMonth()]!, date.getUTCDate()];
  const year = day.slice(0, 4);
  switch (order) {
    case 'day month':
      return `${weekday} ${number} ${month}${withYear ? ` ${year}` : ''}`;
    case 'month day':
      return `${weekday} ${month} ${number}${withYear ? `, ${year}` : ''}`;
    case 'year month day':
      return `${weekday} ${day}`;
  }
}

/** The first day of the week a day is in. */
export function weekOf(day: string, first: Manner['firstWeekday']): string {
  const from = { Sunday: 0, Monday: 1, Saturday: 6 }[first];
  const on = new Date(`${day}T12:00:00Z`).getUTCDay();
  return addDays(day, -((on - from + 7) % 7));
}

/** Warmth as a studio writes it, in °C. */
export const inCelsius = (value: number, unit: Manner['temperature']): number =>
  unit === '°C' ? value : ((value - 32) * 5) / 9;
