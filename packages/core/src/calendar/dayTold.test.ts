import fc from 'fast-check';
import { dayOrderOf, dayTold, isDay, monthTold } from '.';

test.each([
  ['2031-05-14', '2031-05-14'],
  ['2031/5/4', '2031-05-04'],
  ['2031.05.14', '2031-05-14'],
  ['2031-05-14 00:00:00', '2031-05-14'],
  ['2031-05-14T09:00:00Z', '2031-05-14'],
  ['14.5.2031', '2031-05-14'],
  ['3.2.2031', '2031-02-03'],
  ['14/05/2031', '2031-05-14'],
  ['05/14/2031', '2031-05-14'],
  ['14-05-31', '2031-05-14'],
  ['5/5/2031', '2031-05-05'],
  ['03/02/2031', null],
  ['31.2.2031', null],
  ['2031-02-30', null],
  ['14/05', null],
  ['14.05/2031', null],
  [' 14.5.2031\t', '2031-05-14'],
  [' 14/05/2031 ', '2031-05-14'],
  ['114.5.2031', null],
  ['14.5.20311', null],
  ['2031-05-1411', null],
  ['12031-05-14', null],
  ['2031-05-14, noon', null],
  ['May 2031', null],
  ['', null],
] as const)('%s by itself is %s', (told, day) => {
  // By itself: whatever order the file has, as far as one day says it.
  expect(dayTold(told, dayOrderOf([told]))).toBe(day);
});

test('one day of a file that can be read one way only says how the others are read', () => {
  expect(dayOrderOf(['03/02/2031', '14/05/2031'])).toBe('day first');
  expect(dayOrderOf(['03/02/2031', '05/14/2031', ''])).toBe('month first');
  expect(dayOrderOf(['03/02/2031', '2031-05-14'])).toBeNull();
  // Both ways in one file: neither is believed.
  expect(dayOrderOf(['14/05/2031', '05/14/2031'])).toBeNull();
  expect(dayOrderOf([])).toBeNull();
  expect(dayOrderOf(['14/05'])).toBeNull();
  expect(dayOrderOf([' 05/14/2031', '3/2/2031 '])).toBe('month first');
  expect(dayOrderOf(['05/14/2031', ' 14/05/2031'])).toBeNull();
});

test('a file written one way throughout is read that way, or asked about where it could be the other', () => {
  const days = fc.array(
    fc
      .date({ min: new Date('2020-01-01'), max: new Date('2039-12-31'), noInvalidDate: true })
      .map((d) => d.toISOString().slice(0, 10)),
    { minLength: 1, maxLength: 8 },
  );
  fc.assert(
    fc.property(days, fc.boolean(), (all, dayFirst) => {
      const written = all.map((day) => {
        const [y, m, d] = day.split('-');
        return dayFirst ? `${d}/${m}/${y}` : `${m}/${d}/${y}`;
      });
      const order = dayOrderOf(written);
      const telling = all.some((day) => Number(day.slice(8)) > 12);
      expect(order).toBe(telling ? (dayFirst ? 'day first' : 'month first') : null);
      written.forEach((told, i) => {
        const read = dayTold(told, order);
        if (telling) expect(read).toBe(all[i]);
        // Of 5/5 both are the same day; any other is left to whoever wrote it.
        else expect([null, all[i]]).toContain(read);
        expect(read === null || isDay(read)).toBe(true);
      });
    }),
    { seed: 4, numRuns: 300 },
  );
});

test.each([
  ['03/2031', '2031-03-01'],
  ['3.2031', '2031-03-01'],
  ['2031-03', '2031-03-01'],
  ['March 2031', '2031-03-01'],
  ['mar 31', '2031-03-01'],
  ['Sept. 2030', '2030-09-01'],
  ['may ’31', '2031-05-01'],
  ['12/2030', '2030-12-01'],
  [' 2031/4 ', '2031-04-01'],
  ['June2031', '2031-06-01'],
  ["jun, '31", '2031-06-01'],
  ['13/2030', null],
  ['2031-13', null],
  ['00/2030', null],
  ['103/2031', null],
  ['03/20311', null],
  ['12031-03', null],
  ['2031-031', null],
  ['1 mar 2031', null],
  ['mar 2031 or so', null],
  ['rem 2031', null],
  ['smar 2031', null],
  ['marc 2031', null],
  ['abc 2031', null],
  ['marble 2031', null],
  ['2031', null],
  ['03/31', null],
  ['', null],
] as const)('the month %s begins on %s', (told, day) => expect(monthTold(told)).toBe(day));

test('a month is told by its whole name or as it is usually cut short', () => {
  const names = 'january february march april may june july august september october november december'.split(
    ' ',
  );
  names.forEach((name, i) => {
    const first = `2031-${String(i + 1).padStart(2, '0')}-01`;
    for (const told of [name, name.slice(0, 3), `${name.slice(0, 3)}.`, name.toUpperCase()])
      expect([told, monthTold(`${told} 2031`)]).toEqual([told, first]);
    // Cut anywhere else, or longer, it is no month.
    for (const told of [`${name}s`, ...(name.length > 5 ? [name.slice(0, -1)] : [])])
      expect([told, monthTold(`${told} 2031`)]).toEqual([told, null]);
  });
  expect(monthTold('sept 2031')).toBe('2031-09-01');
});
