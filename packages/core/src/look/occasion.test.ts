import fc from 'fast-check';
import { canonicalJson, documentHash, readChart, writeChart } from '../formats';
import { CONDITIONS, dayOf, OCCASIONS } from '../shade';
import { client, KIT, LOOK, STAMP } from './look.testing';
import {
  fitLook,
  hoursToHold,
  isAsked,
  nextVersion,
  occasionDifference,
  occasionInWords,
  usualOccasion,
  withOccasion,
  type Chart,
  type Step,
  type Occasion,
} from '.';

const clock = fc
  .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
  .map(([h, m]) => `${String(h).padStart(2, '0')}:${String(m).padStart(2, '0')}`);

test('the hours to hold are the hours on a clock, over midnight too, never too few', () => {
  fc.assert(
    fc.property(clock, clock, (begins, ends) => {
      const hours = hoursToHold(begins, ends);
      // A second way: two days of a calendar.
      const from = Date.parse(`2031-05-14T${begins}:00Z`);
      const to = Date.parse(`2031-05-${ends > begins ? '14' : '15'}T${ends}:00Z`);
      if (begins === ends) return expect(hours).toBeNull();
      const real = (to - from) / 3_600_000;
      expect(hours! - real).toBeGreaterThanOrEqual(0);
      expect(hours! - real).toBeLessThan(0.5);
      expect(Number.isInteger(hours! * 2)).toBe(true);
    }),
  );
});

test.each([
  ['11:30', '23:30', 12],
  ['11:30', '23:29', 12],
  ['11:30', '23:31', 12.5],
  ['16:00', '02:00', 10],
  ['23:59', '00:00', 0.5],
  [undefined, '10:00', null],
  ['10:00', undefined, null],
] as const)('from %s to %s: %s', (begins, ends, hours) => expect(hoursToHold(begins, ends)).toBe(hours));

test('what is usual is said to be that, judges like an occasion that leaves its conditions out, and is in bounds', () => {
  for (const kind of OCCASIONS) {
    const usual = usualOccasion(kind, '2031-05-14');
    expect(isAsked(usual)).toBe(false);
    const { conditions: _left, ...silent } = usual;
    expect(dayOf(usual)).toEqual(dayOf(silent));
    expect(usual.hoursToLast).toBeGreaterThan(0);
  }
});

test('an occasion is told in one line, and what nobody said is not told', () => {
  const full: Occasion = {
    kind: 'wedding',
    date: '2031-05-14',
    lights: ['daylight', 'candle'],
    hoursToLast: 12,
    camera: true,
    conditions: ['rain', 'wind', 'tears'],
    begins: '11:30',
    ends: '23:30',
    outfit: [{ name: 'sage silk', lab: [70, -9, 12] }],
    metal: 'gold',
    theme: 'By the water',
  };
  expect(occasionInWords(full)).toBe(
    '12 hours, 11:30 to 23:30; by daylight and candle; photographed; rain, wind and tears; wearing sage silk; gold jewellery; By the water',
  );
  expect(
    occasionInWords({ kind: 'other', date: '2031-05-14', lights: [], hoursToLast: 1, camera: false }),
  ).toBe('1 hour');
});

test('wind and rain reach what is judged: streaming eyes print, and only what was said counts', () => {
  for (const condition of CONDITIONS) {
    const day = dayOf({ ...usualOccasion('other', '2031-05-14'), conditions: [condition] });
    expect(day.wet).toBe(condition !== 'meals');
    expect(day.wind).toBe(condition === 'wind');
    expect(day.rain).toBe(condition === 'rain');
  }
  expect(dayOf({ ...usualOccasion('wedding', '2031-05-14'), conditions: [] }).wet).toBe(false);
});

test('every part that differs is a line, in either direction, and nothing else is', () => {
  const a = usualOccasion('wedding', '2031-05-14');
  const b: Occasion = {
    ...a,
    date: '2031-05-15',
    hoursToLast: 4,
    lights: ['candle'],
    camera: false,
    conditions: ['heat'],
    begins: '10:00',
    ends: '14:00',
    outfit: [{ name: 'red', lab: [40, 50, 30] }],
    metal: 'silver',
    theme: 'red',
    place: 'Quayside Room',
  };
  expect(occasionDifference(a, b)).toHaveLength(11);
  expect(occasionDifference(b, a)).toHaveLength(11);
  expect(occasionDifference(a, b)).toContain('hours: 4 instead of 10');
  expect(occasionDifference(a, { ...a, lights: [...a.lights].reverse(), asked: true })).toEqual([]);
  const { conditions: _left, ...silent } = a;
  expect(occasionDifference(a, silent)).toEqual([]);
});

const plainSteps = ({ steps }: Chart, more: Partial<Step['wants']>): Step[] =>
  steps.map((step) => ({ ...step, wants: { ...step.wants, ...more } }));

describe('the two forms of a chart', () => {
  const made = fitLook(LOOK, client(), KIT, usualOccasion('wedding', '2031-05-14'), STAMP).chart;
  const { asked: _asked, ...plain } = made.occasion;
  const first: Chart = { ...made, format: 'toile.chart/1', occasion: plain };

  test('what is made anew is of the second; the first is read as it was written, hash and all', () => {
    expect(made.format).toBe('toile.chart/2');
    const text = writeChart(first);
    const read = readChart(text);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(read.document.format).toBe('toile.chart/1');
    expect(read.document.hash).toBe(documentHash(first));
    expect(canonicalJson(read.document)).toBe(canonicalJson(JSON.parse(text)));
  });

  test.each([
    ['asked', { asked: true }],
    ['begins', { begins: '10:00' }],
    ['outfit', { outfit: [] }],
    ['conditions', { conditions: ['rain' as const] }],
  ])('the first form does not know %s, and says where', (what, more) => {
    const occasion = { ...plain, ...more };
    const read = readChart(writeChart({ ...first, occasion }));
    expect(read.ok ? [] : read.problems.map((p) => p.path)[0]).toContain(`/occasion/${what}`);
    expect(readChart(writeChart({ ...first, format: 'toile.chart/2', occasion })).ok).toBe(true);
  });

  test.each([{ coverages: ['full' as const] }, { families: ['water' as const] }])(
    'the first form knows no wish of %j, and says where',
    (more) => {
      const steps = plainSteps(first, more);
      const read = readChart(writeChart({ ...first, steps }));
      expect(read.ok ? [] : read.problems.map((p) => p.path)[0]).toContain(
        `/steps/0/wants/${Object.keys(more)[0]}`,
      );
      expect(readChart(writeChart({ ...first, format: 'toile.chart/2', steps })).ok).toBe(true);
    },
  );

  test.each(['24:00', '9:30', '10:60', 'noon'])('%s is no time', (begins) => {
    const read = readChart(writeChart({ ...made, occasion: { ...made.occasion, begins } }));
    expect(read.ok ? [] : read.problems.map((p) => p.path)).toEqual(['/occasion/begins']);
  });

  test('a next version, and a change of its occasion, are of the second form', () => {
    expect(nextVersion(first, first, STAMP).format).toBe('toile.chart/2');
    const rainy = withOccasion(first, { ...plain, conditions: ['rain'], asked: true });
    expect(readChart(writeChart(rainy)).ok).toBe(true);
    expect(rainy.steps).toBe(first.steps);
  });
});
