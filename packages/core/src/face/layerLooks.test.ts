import { LAYER_LOOKS, type PatternForm } from '.';

const LOOKS = Object.entries(LAYER_LOOKS);
/** What each form is drawn by, in mm but for the angle. */
const NEEDS: Readonly<Record<PatternForm['form'], readonly string[]>> = {
  lines: ['angle', 'gap', 'width'],
  cross: ['angle', 'gap', 'width'],
  dots: ['gap', 'radius'],
  plus: ['gap'],
  plain: [],
};

test.each(LOOKS)('%s has a pattern that can be drawn', (_, { pattern, fallback, notch, name }) => {
  const { form, ...numbers } = pattern;
  expect(Object.keys(numbers).sort()).toEqual(NEEDS[form]);
  const { angle = 0, ...lengths }: Record<string, number> = numbers;
  expect(angle % 180).toBe(angle);
  for (const mm of Object.values(lengths)) {
    expect(mm).toBeGreaterThan(0.1);
    expect(mm).toBeLessThan(6);
  }
  expect(fallback).toMatch(/^#[0-9a-f]{6}$/);
  expect(notch).toMatch(/^M.*Z$/);
  expect(name).not.toBe('');
});

test('no two patterns are one', () => {
  const told = LOOKS.map(([, { pattern }]) => pattern).filter(({ form }) => form !== 'plain');
  expect(new Set(told.map((pattern) => JSON.stringify(pattern))).size).toBe(told.length);
});
