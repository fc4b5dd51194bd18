import * as fc from 'fast-check';
import { clock, minuteOfDay } from './clock';

test.each([
  [0, '00:00'],
  [550, '09:10'],
  [1439, '23:59'],
  [1440, '00:00'],
  [1450, '00:10'],
  [-1, '23:59'],
  [-60, '23:00'],
  [-1441, '23:59'],
  [59.4, '00:59'],
  [59.6, '01:00'],
] as const)('minute %d is %s', (minute, told) => expect(clock(minute)).toBe(told));

test.each([
  ['00:00', 0],
  ['09:10', 550],
  ['19:05', 1145],
  ['20:00', 1200],
  ['23:59', 1439],
  ['24:00', null],
  ['23:60', null],
  ['9:10', null],
  ['109:10', null],
  ['09:100', null],
  ['09.10', null],
  ['ab:cd', null],
  ['', null],
] as const)('%j is minute %j', (told, minute) => expect(minuteOfDay(told)).toBe(minute));

test('every minute is told and read back', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => minuteOfDay(clock(minute)) === minute),
  );
});
