import { instantAt, minuteAt } from '.';

test.each([
  ['Europe/Lisbon', '2027-06-12', 585, '2027-06-12T08:45:00.000Z'],
  // The night the clocks go forward in Lisbon: nine o'clock the day before and that day.
  ['Europe/Lisbon', '2027-03-27', 540, '2027-03-27T09:00:00.000Z'],
  ['Europe/Lisbon', '2027-03-28', 540, '2027-03-28T08:00:00.000Z'],
  // 01:30 does not come that night: an hour later.
  ['Europe/Lisbon', '2027-03-28', 90, '2027-03-28T01:30:00.000Z'],
  // 01:30 comes twice in October: the first.
  ['Europe/Lisbon', '2027-10-31', 90, '2027-10-31T00:30:00.000Z'],
  ['Asia/Kolkata', '2027-06-12', 0, '2027-06-11T18:30:00.000Z'],
  ['Pacific/Auckland', '2027-01-01', 60, '2026-12-31T12:00:00.000Z'],
  // Past midnight is the next day.
  ['UTC', '2027-06-12', 1500, '2027-06-13T01:00:00.000Z'],
  // Half an hour of summer time.
  ['Australia/Lord_Howe', '2027-07-01', 600, '2027-06-30T23:30:00.000Z'],
])('%s %s minute %d', (zone, day, minute, instant) =>
  expect(instantAt(zone, day, minute).toISOString()).toBe(instant),
);

test('what is no date or zone is refused', () => {
  expect(() => instantAt('Europe/Lisbon', 'tomorrow', 0)).toThrow(RangeError);
  expect(() => instantAt('Europe/Atlantis', '2027-06-12', 0)).toThrow(RangeError);
});

test.each([
  ['Europe/Lisbon', '2027-06-12', '2027-06-12T08:45:59.999Z', 585],
  ['Europe/Lisbon', '2027-06-12', '2027-06-12T08:46:00.000Z', 586],
  ['Europe/Lisbon', '2027-06-12', '2027-06-11T22:59:00.000Z', -1],
  ['Europe/Lisbon', '2027-06-12', '2027-06-12T23:10:00.000Z', 1450],
  ['Asia/Kolkata', '2027-06-12', '2027-06-11T18:30:00.000Z', 0],
  ['Asia/Kolkata', '2027-06-12', '2027-06-11T18:30:30.000Z', 0],
])('a clock of %s reads, since %s began, at %s: %d', (zone, day, instant, minute) =>
  expect(minuteAt(zone, day, new Date(instant))).toBe(minute),
);
