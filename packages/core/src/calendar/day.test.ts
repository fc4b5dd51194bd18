import fc from 'fast-check';
import { Value } from '@sinclair/typebox/value';
import { DateSchema } from '../schema';
import { addDays, addMonths, dayIn, daysBetween, isDay, isZone } from '.';

const days = fc
  .date({ min: new Date('1950-01-01'), max: new Date('2150-01-01'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10));

test.each([
  ['2028-02-29', true],
  ['2027-02-29', false],
  ['2027-02-31', false],
  ['2000-02-29', true],
  ['1900-02-29', false],
  ['2027-13-01', false],
  ['2027-00-10', false],
  ['2027-04-31', false],
  ['2027-4-3', false],
  ['2027-04-03T00:00', false],
  ['', false],
])('%s is a day: %s', (text, real) => expect(isDay(text)).toBe(real));

test.each([
  ['2028-02-28', 2, '2028-03-01'],
  ['2027-02-28', 1, '2027-03-01'],
  ['2027-01-01', -1, '2026-12-31'],
  // The days clocks change in Europe and in Chile.
  ['2027-03-27', 1, '2027-03-28'],
  ['2027-09-04', 1, '2027-09-05'],
])('%s and %d days', (from, more, to) => expect(addDays(from, more)).toBe(to));

test.each([
  ['2027-01-31', 1, '2027-02-28'],
  ['2028-01-31', 1, '2028-02-29'],
  ['2027-10-31', 6, '2028-04-30'],
  ['2027-03-31', -1, '2027-02-28'],
  ['2027-05-14', 12, '2028-05-14'],
  ['2027-11-30', 3, '2028-02-29'],
  ['2027-12-15', 1, '2028-01-15'],
])('%s and %d months', (from, more, to) => expect(addMonths(from, more)).toBe(to));

test('days are counted there and back, and every day is a real one', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: -4000, max: 4000 }), (from, more) => {
      const to = addDays(from, more);
      expect(isDay(to)).toBe(true);
      expect(daysBetween(from, to)).toBe(more);
      expect(addDays(to, -more)).toBe(from);
    }),
  );
});

test('months move the month by as many, whatever the day', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: -60, max: 60 }), (from, more) => {
      const month = (day: string): number => Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7));
      expect(month(addMonths(from, more)) - month(from)).toBe(more);
    }),
  );
});

test.each([
  ['2026-11-26T22:30:00Z', 'Pacific/Auckland', '2026-11-27'],
  ['2026-11-26T22:30:00Z', 'America/Lima', '2026-11-26'],
  ['2026-11-27T02:30:00Z', 'America/Los_Angeles', '2026-11-26'],
  ['2026-11-27T02:30:00Z', 'UTC', '2026-11-27'],
  // Summer time: an hour before midnight UTC is the next day in Lisbon in July, not in January.
  ['2026-07-14T23:30:00Z', 'Europe/Lisbon', '2026-07-15'],
  ['2026-01-14T23:30:00Z', 'Europe/Lisbon', '2026-01-14'],
  ['2026-11-26T18:29:59Z', 'Asia/Kolkata', '2026-11-26'],
  ['2026-11-26T18:30:00Z', 'Asia/Kolkata', '2026-11-27'],
])('%s in %s is %s', (instant, zone, day) => expect(dayIn(zone, new Date(instant))).toBe(day));

test('a zone is one that is known', () => {
  expect(['UTC', 'Europe/Lisbon', 'Asia/Kolkata'].map(isZone)).toEqual([true, true, true]);
  expect(['', 'Europe/Atlantis', 'half past'].map(isZone)).toEqual([false, false, false]);
});

test('a year before the thousandth has four digits too', () =>
  expect(dayIn('UTC', new Date('0999-05-01T12:00:00Z'))).toBe('0999-05-01'));

test('what is no date is refused by its text', () => {
  expect(() => addDays('tomorrow', 1)).toThrow('expected a date as YYYY-MM-DD, got "tomorrow"');
  for (const text of ['2027-5-1', '2027-05-01T00:00', 'on 2027-05-01', ''])
    expect(() => addMonths(text, 1)).toThrow(RangeError);
});

test('the schema of documents takes the same days', () => {
  const two = fc.integer({ min: 0, max: 40 }).map((n) => String(n).padStart(2, '0'));
  const years = fc.integer({ min: 1000, max: 2999 });
  fc.assert(
    fc.property(years, two, two, (year, month, day) => {
      const text = `${year}-${month}-${day}`;
      expect(Value.Check(DateSchema, text)).toBe(isDay(text));
    }),
    { numRuns: 3000 },
  );
  for (let year = 1600; year < 2500; year++)
    expect(Value.Check(DateSchema, `${year}-02-29`)).toBe(isDay(`${year}-02-29`));
});
