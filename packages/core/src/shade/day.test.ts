import fc from 'fast-check';
import { CONDITIONS, dayOf, LONG_HOURS, OCCASION_LIGHTS, OCCASIONS, type DayAsked } from './day';

const asked = (more: Partial<DayAsked> = {}): DayAsked => ({
  kind: 'other',
  lights: ['daylight'],
  hoursToLast: 4,
  camera: false,
  ...more,
});

test.each([
  ['wedding', { tears: true, dancing: true, meals: true }],
  ['gala', { tears: false, dancing: true, meals: true }],
  ['party', { tears: false, dancing: true, meals: true }],
  ['portrait', { tears: false, dancing: false, meals: false }],
  ['trial', { tears: false, dancing: false, meals: false }],
  ['other', { tears: false, dancing: false, meals: false }],
] as const)('a %s is what is usual for it, until something is noted', (kind, usual) => {
  expect(dayOf(asked({ kind }))).toMatchObject({ ...usual, heat: false, humidity: false });
  expect(dayOf(asked({ kind, conditions: ['heat'] }))).toMatchObject({
    heat: true,
    tears: false,
    dancing: false,
    meals: false,
  });
  expect(dayOf(asked({ kind, conditions: [] })).words).toBe('');
});

test('long from eight hours, a meal counted from four', () => {
  expect([LONG_HOURS - 0.5, LONG_HOURS].map((hoursToLast) => dayOf(asked({ hoursToLast })).long)).toEqual([
    false,
    true,
  ]);
  expect([3.5, 4].map((hoursToLast) => dayOf(asked({ hoursToLast, conditions: ['meals'] })).meals)).toEqual([
    false,
    true,
  ]);
  expect(dayOf(asked({ hoursToLast: 9, conditions: ['tears', 'humidity'] })).words).toBe(
    '9 hours, tears, humid air',
  );
});

test('a flash is a camera; only warm light without daylight is dim', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...OCCASIONS),
      fc.subarray([...OCCASION_LIGHTS]),
      fc.boolean(),
      fc.subarray([...CONDITIONS]),
      (kind, lights, camera, conditions) => {
        const day = dayOf(asked({ kind, lights, camera, conditions }));
        expect(day.camera).toBe(camera || lights.includes('flash'));
        expect(day.dim).toBe(
          !lights.includes('daylight') && (lights.includes('candle') || lights.includes('indoor')),
        );
        expect(conditions.filter((c) => c !== 'meals').every((c) => day[c])).toBe(true);
      },
    ),
  );
});
