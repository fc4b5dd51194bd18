import { USUAL_MANNER, type Use } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import {
  dayInWords,
  hourInWords,
  instantInWords,
  tellDaysIn,
  tellInManner,
  withDays,
  withHours,
} from './dates';
import { amountInWords } from '../chart/chartView';
import { byWeek, visitDetail } from './visits';

afterEach(() => {
  tellInManner(null);
  tellDaysIn(null);
});
const NOW = new Date('2031-05-14T12:00:00Z');
const visit = (date: string, more: Partial<VisitAnswer> = {}): VisitAnswer =>
  ({
    id: date,
    date,
    startsAt: '09:20',
    readyBy: '13:05',
    kind: 'trial',
    place: 'Quay',
    state: 'booked',
    ...more,
  }) as VisitAnswer;

test('days in a sentence are written as the studio writes them; what only looks like one stays', () => {
  const year = new Date().getFullYear() + 3;
  expect(withDays(`day: ${year}-06-01 instead of ${year}-05-14; hours: 4`)).toBe(
    `day: ${dayInWords(`${year}-06-01`)} instead of ${dayInWords(`${year}-05-14`)}; hours: 4`,
  );
  expect(withDays('shade 2031-06-011')).toBe('shade 2031-06-011');
});

test('as usual: day, month, twenty-four hours', () => {
  tellDaysIn('UTC');
  expect(dayInWords('2031-05-16', NOW)).toBe('Fri 16 May');
  expect(dayInWords('2032-05-16', NOW)).toBe('Sun 16 May 2032');
  expect(hourInWords('13:05')).toBe('13:05');
  expect(hourInWords(560)).toBe('09:20');
  expect(withHours('late by 10:00')).toBe('late by 10:00');
  expect(instantInWords('2031-05-14T14:05:00Z', NOW)).toBe('Wed 14 May, 14:05');
});

test('in a studio’s manner every day and every hour is, and what is left out stays as usual', () => {
  tellDaysIn('UTC');
  tellInManner({ days: 'month day', clock: '12 hours' });
  expect(dayInWords('2032-05-16', NOW)).toBe('Sun May 16, 2032');
  expect(hourInWords('13:05')).toBe('1:05 pm');
  expect(withHours('Vera is to be ready at 00:30')).toBe('Vera is to be ready at 12:30 am');
  expect(instantInWords('2031-05-14T14:05:00Z', NOW)).toBe('Wed May 14, 2:05 pm');
  expect(visitDetail(visit('2031-05-14'))).toBe('9:20 am, ready by 1:05 pm · trial · Quay');
  tellInManner({ days: 'year month day' });
  expect(dayInWords('2031-05-16', NOW)).toBe('Fri 2031-05-16');
  expect(hourInWords('13:05')).toBe('13:05');
});

test('what is no hour is said as it stands', () => {
  tellInManner({ ...USUAL_MANNER, clock: '12 hours' });
  expect(hourInWords('')).toBe('');
  expect(hourInWords('25:00')).toBe('25:00');
});

test.each([
  ['Monday', ['This week', 'Next week', 'Week of Mon 26 May']],
  ['Sunday', ['This week', 'Next week', 'Week of Sun 25 May']],
  ['Saturday', ['This week', 'Next week', 'Week of Sat 24 May']],
] as const)('weeks from %s', (first, words) => {
  const weeks = byWeek(
    ['2031-05-15', '2031-05-16', '2031-05-22', '2031-05-27'].map((day) => visit(day)),
    '2031-05-14',
    first,
  );
  expect(weeks.map((week) => week.words.replace(/ 2031$/, ''))).toEqual(words);
  expect(weeks[0]!.days.map(({ date }) => date)).toEqual(['2031-05-15', '2031-05-16']);
});

test('the Sunday after is this week from Monday and next week from Sunday', () => {
  expect(byWeek([visit('2031-05-18')], '2031-05-14', 'Monday')[0]!.words).toBe('This week');
  expect(byWeek([visit('2031-05-18')], '2031-05-14', 'Sunday')[0]!.words).toBe('Next week');
});

describe('amounts', () => {
  const use = (texture: Use['product']['texture'], parts: number, mgPerMeasure: number): Use => ({
    unitId: null,
    parts,
    measure: 'pump',
    product: {
      id: '0190a000-0000-7000-8000-000000000001',
      maker: 'Ordway',
      line: 'Line',
      shade: 'S1',
      kind: 'base',
      lab: [64, 12, 19],
      coverage: 'medium',
      finish: 'natural',
      texture,
      family: 'silicone',
      ingredients: [],
      measure: 'pump',
      mgPerMeasure,
    },
  });
  test('as measures are counted, as usual', () => {
    expect(amountInWords([use('liquid', 2, 400)])).toBe('2 pumps');
  });
  test('by volume first where the studio goes by it: of what runs, finer where it is little', () => {
    tellInManner({ amounts: 'millilitres' });
    expect(amountInWords([use('liquid', 2, 400)])).toBe('0.80 ml, 2 pumps');
    expect(amountInWords([use('gel', 1, 99)])).toBe('0.099 ml, 1 pump');
    expect(amountInWords([use('cream', 1, 100)])).toBe('0.10 ml, 1 pump');
    for (const texture of ['pressed', 'loose', 'stick', 'pencil'] as const)
      expect(amountInWords([use(texture, 2, 400)])).toBe('2 pumps');
    expect(amountInWords([use('liquid', 1, 400), use('pressed', 1, 40)])).toBe('0.40 ml, 1 pump + 1 pump');
  });
});
