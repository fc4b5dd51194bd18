import { swapStep, type Chart, type SeenHalf, type Step } from '@toile/core';
import { NO_HALVES, seenOf, withGrade } from './halfLook';
import { chosen, declaredWords, gradeWords, hoursFor, letterAt, lookRows, type Choosing } from './trialView';

const step = (id: string, more: Partial<Step> = {}): Step => ({
  id,
  phase: 'base',
  role: 'base',
  title: `Step ${id}`,
  shade: null,
  wants: { kinds: ['base'] },
  placements: [],
  doseMgPerCm2: 0.6,
  passes: 1,
  tool: 'damp sponge',
  technique: 'press',
  handsOnMinutes: 5,
  waitMinutes: 0,
  note: '',
  use: [],
  ...more,
});
const chart = {
  steps: [step('a'), step('b', { role: 'lip', phase: 'lips' })],
  variants: [],
} as unknown as Chart;
const CHOOSING: Choosing = {
  aspect: 'tool',
  stepId: 'a',
  substitute: null,
  tool: null,
  technique: null,
  answers: null,
};

test('what is to be compared is asked for once all of it is chosen, and only as it is', () => {
  expect(chosen(chart, CHOOSING)).toBeNull();
  expect(chosen(chart, { ...CHOOSING, tool: 'damp sponge' })).toBeNull();
  expect(chosen(chart, { ...CHOOSING, tool: 'finger' })).toEqual({
    swap: swapStep(chart, 'a', { tool: 'finger' }),
    ask: { aspect: 'tool', stepId: 'a', tool: 'finger' },
  });
  expect(chosen(chart, { ...CHOOSING, aspect: 'technique', technique: 'buff' })?.ask).toEqual({
    aspect: 'technique',
    stepId: 'a',
    technique: 'buff',
  });
  expect(chosen(chart, { ...CHOOSING, aspect: 'step' })?.ask).toEqual({ aspect: 'step', stepId: 'a' });
  expect(chosen(chart, { ...CHOOSING, aspect: 'step', stepId: null })).toBeNull();
  expect(chosen(chart, { ...CHOOSING, aspect: 'product' })).toBeNull();
  expect(chosen(chart, { ...CHOOSING, aspect: 'school' })).toBeNull();
});

test('what is locked is said whole', () => {
  const declared = {
    measure: 'shine',
    by: 'client',
    zones: ['forehead', 'nose'],
    hours: [2, 4, 8],
    margin: 0.5,
  } as const;
  expect(
    declaredWords({ declared: { ...declared, zones: [...declared.zones], hours: [...declared.hours] } }),
  ).toBe('Shine: forehead and nose, judged by the client after 2, 4 and 8 h');
});

test.each([
  [1, [2]],
  [5, [2, 4]],
  [8, [2, 4, 6, 8]],
  [14, [2, 4, 6, 8]],
])('a day of %d h is looked at after %j', (lasts, hours) => expect(hoursFor(lasts)).toEqual(hours));

test('what counts comes first, hour by hour, both halves in words; what was not looked at is said', () => {
  const seen = (
    hour: number,
    side: 'left' | 'right',
    value: number,
    more: Partial<SeenHalf> = {},
  ): SeenHalf => ({
    hour,
    zone: 'nose',
    side,
    measure: 'shine',
    by: 'client',
    value,
    ...more,
  });
  const declared = {
    measure: 'shine' as const,
    by: 'client' as const,
    zones: ['nose' as const],
    hours: [2],
    margin: 0.5,
  };
  const rows = lookRows(
    { declared },
    {
      seen: [
        seen(4, 'left', 1),
        seen(2, 'left', 0, { by: 'artist' }),
        seen(2, 'right', 3),
        seen(2, 'left', 0),
        seen(2, 'left', 2, { zone: 'chin' }),
        seen(2, 'left', 1, { measure: 'creasing' }),
      ],
      seenLater: [seen(9, 'right', 2)],
    },
  );
  expect(
    rows.map(({ hour, zone, by, left, right, counts, late }) => [
      hour,
      zone,
      by,
      left,
      right,
      counts,
      ...(late ? ['late'] : []),
    ]),
  ).toEqual([
    [2, 'nose', 'client', 'none', 'wet', true],
    [4, 'nose', 'client', 'a little', 'not looked at', true],
    [2, 'chin', 'client', 'clearly', 'not looked at', false],
    [2, 'nose', 'artist', 'none', 'not looked at', false],
    [2, 'nose', 'client', 'a first line', 'not looked at', false],
    [9, 'nose', 'client', 'not looked at', 'clearly', false, 'late'],
  ]);
  expect(gradeWords('colour', 2.44)).toBe('2.4');
});

test('a look is told as far as it was said, zone by zone, the later touch counting', () => {
  let look = withGrade(NO_HALVES, 'nose', 'left', 0);
  look = withGrade(look, 'nose', 'right', 2);
  look = withGrade(look, 'nose', 'left', 1);
  look = withGrade(look, 'chin', 'right', 3);
  expect(seenOf(look, ['chin', 'nose'])).toEqual([
    { zone: 'chin', side: 'right', value: 3 },
    { zone: 'nose', side: 'left', value: 1 },
    { zone: 'nose', side: 'right', value: 2 },
  ]);
  expect(seenOf(look, ['forehead'])).toEqual([]);
});

test('what lies on a side of a place has its letter, drawn for the face or for each place', () => {
  const drawn = { seed: 's', at: '2031-05-14T08:00:00Z', by: 'Ada' };
  const whole = { draw: { ...drawn, chance: 0.5, number: 0.7, aSide: 'right' as const } };
  expect([letterAt(whole, 'left', 'nose'), letterAt(whole, 'right', 'chin')]).toEqual(['B', 'A']);
  const places = [
    { zone: 'nose' as const, number: 0.1, aSide: 'left' as const },
    { zone: 'chin' as const, number: 0.9, aSide: 'right' as const },
  ];
  const own = { draw: { ...drawn, places } };
  expect([letterAt(own, 'left', 'nose'), letterAt(own, 'left', 'chin')]).toEqual(['A', 'B']);
  const declared = {
    measure: 'shine' as const,
    by: 'client' as const,
    zones: ['nose' as const],
    hours: [4],
    margin: 0.5,
  };
  expect(declaredWords({ declared: { ...declared, design: 'places' } })).toMatch(
    /after 4 h; each place has a draw of its own$/,
  );
});
