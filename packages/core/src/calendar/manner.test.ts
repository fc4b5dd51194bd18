import fc from 'fast-check';
import { clock } from './clock';
import { addDays, daysBetween } from './day';
import {
  DAY_ORDERS,
  FIRST_WEEKDAYS,
  inCelsius,
  toldClock,
  toldDay,
  toldHours,
  USUAL_MANNER,
  weekOf,
} from './manner';

test.each([
  [0, '12:00 am'],
  [1, '12:01 am'],
  [59, '12:59 am'],
  [60, '1:00 am'],
  [719, '11:59 am'],
  [720, '12:00 pm'],
  [779, '12:59 pm'],
  [780, '1:00 pm'],
  [1439, '11:59 pm'],
  [1440, '12:00 am'],
  [-1, '11:59 pm'],
])('minute %d is %s', (minute, words) => {
  expect(toldClock(minute, '12 hours')).toBe(words);
  expect(toldClock(minute, '24 hours')).toBe(clock(minute));
});

test('every minute of a day has an hour of its own in either manner, and the platform tells it alike', () => {
  const all = Array.from({ length: 1440 }, (_, minute) => toldClock(minute, '12 hours'));
  expect(new Set(all).size).toBe(1440);
  for (let minute = 0; minute < 1440; minute += 7) {
    const told = new Date(Date.UTC(2031, 0, 1, 0, minute)).toLocaleTimeString('en-US', {
      hour: 'numeric',
      minute: '2-digit',
      timeZone: 'UTC',
    });
    expect(all[minute]!.toUpperCase()).toBe(told.replace(/\s/g, ' ').toUpperCase());
  }
});

test('hours are found in words, and nothing else is', () => {
  expect(toldHours('09:00 10:30,11:00', '12 hours')).toBe('9:00 am 10:30 am,11:00 am');
  expect(toldHours('2031-05-14T09:00', '12 hours')).toBe('2031-05-14T9:00 am');
  const words =
    'Vera has a ferry at 06:40 and both need chair 2 before 10:00; 1:30, 25:00, 2031-05-14T06:40:00 stay, 12:00 to 13:05.';
  expect(toldHours(words, '24 hours')).toBe(words);
  expect(toldHours(words, '12 hours')).toBe(
    'Vera has a ferry at 6:40 am and both need chair 2 before 10:00 am; 1:30, 25:00, 2031-05-14T06:40:00 stay, 12:00 pm to 1:05 pm.',
  );
});

test.each([
  ['day month', false, 'Fri 14 Nov'],
  ['day month', true, 'Fri 14 Nov 2031'],
  ['month day', false, 'Fri Nov 14'],
  ['month day', true, 'Fri Nov 14, 2031'],
  ['year month day', false, 'Fri 2031-11-14'],
] as const)('by %s, with its year %p: %s', (order, year, words) =>
  expect(toldDay('2031-11-14', order, year)).toBe(words),
);

const aDay = fc.integer({ min: 0, max: 40_000 }).map((n) => addDays('1990-01-01', n));

test('a day is told as the platform tells it, in every order', () => {
  fc.assert(
    fc.property(aDay, (day) => {
      const noon = new Date(`${day}T12:00:00Z`);
      const part = (options: Intl.DateTimeFormatOptions): string =>
        noon.toLocaleDateString('en-GB', { ...options, timeZone: 'UTC' });
      for (const order of DAY_ORDERS) {
        const told = toldDay(day, order, true);
        expect(told).toContain(part({ weekday: 'short' }));
        expect(told).toContain(day.slice(0, 4));
        if (order !== 'year month day') expect(told).toContain(part({ month: 'short' }));
      }
    }),
  );
});

test('a week begins on its first weekday, at most six days before any of its days', () => {
  fc.assert(
    fc.property(aDay, fc.constantFrom(...FIRST_WEEKDAYS), (day, first) => {
      const from = weekOf(day, first);
      const name = new Date(`${from}T12:00:00Z`).toLocaleDateString('en-GB', {
        weekday: 'long',
        timeZone: 'UTC',
      });
      const into = daysBetween(from, day);
      return name === first && into >= 0 && into < 7 && weekOf(from, first) === from;
    }),
  );
});

test.each([
  [32, 0],
  [50, 10],
  [86, 30],
  [-40, -40],
])('%d °F are %d °C', (fahrenheit, celsius) => {
  expect(inCelsius(fahrenheit, '°F')).toBeCloseTo(celsius, 9);
  expect(inCelsius(celsius, '°C')).toBe(celsius);
});

test('until a studio says otherwise it is told as most of them do', () => {
  const { days, clock: by, firstWeekday, amounts, temperature } = USUAL_MANNER;
  expect(toldClock(785, by)).toBe('13:05');
  expect(toldDay('2031-05-14', days, false)).toBe('Wed 14 May');
  expect([firstWeekday, amounts, temperature]).toEqual(['Monday', 'measures', '°C']);
});
