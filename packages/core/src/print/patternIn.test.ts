import fc from 'fast-check';
import {
  areaOf,
  intersectRegions,
  isInside,
  uniteOutlines,
  type PatternForm,
  type Point,
  type Polygon,
} from '../face';
import { signedArea } from '../face/point';
import { patternIn } from '.';

const box = (left: number, top: number, right: number, bottom: number): Polygon => [
  [left, top],
  [right, top],
  [right, bottom],
  [left, bottom],
];
const middleOf = (polygon: Polygon): Point => [
  polygon.reduce((sum, [x]) => sum + x, 0) / polygon.length,
  polygon.reduce((sum, [, y]) => sum + y, 0) / polygon.length,
];

/** Of a field away from the middle of the face, so that where a mark lies counts. */
const FIELD = box(37, -52, 137, 8);
const lines = (angle: number, gap: number, width: number): PatternForm => ({
  form: 'lines',
  angle,
  gap,
  width,
});

test('lines lie at their angle, one in the middle and the others by their gap, to every corner', () => {
  const spec = fc.record({
    angle: fc.integer({ min: -90, max: 90 }),
    gap: fc.double({ min: 2, max: 7, noNaN: true }),
    width: fc.double({ min: 0.3, max: 1, noNaN: true }),
    left: fc.integer({ min: -80, max: 80 }),
    top: fc.integer({ min: -90, max: 60 }),
    wide: fc.integer({ min: 4, max: 40 }),
    high: fc.integer({ min: 4, max: 40 }),
  });
  fc.assert(
    fc.property(spec, ({ angle, gap, width, left, top, wide, high }) => {
      const field = box(left, top, left + wide, top + high);
      const marks = patternIn([field], lines(angle, gap, width));
      const a = (angle * Math.PI) / 180;
      for (let i = 0; i <= 12; i++)
        for (let j = 0; j <= 12; j++) {
          const p: Point = [left + ((i + 0.5) / 13) * wide, top + ((j + 0.5) / 13) * high];
          // How far from the line through the middle, across it.
          const across = (p[1] - top - high / 2) * Math.cos(a) - (p[0] - left - wide / 2) * Math.sin(a);
          const off = Math.abs(across - gap * Math.round(across / gap)) - width / 2;
          if (Math.abs(off) < 0.02) continue;
          expect([p, marks.some((mark) => isInside(p, mark))]).toEqual([p, off < 0]);
        }
    }),
    { numRuns: 60, seed: 3 },
  );
});

test('crossed lines are both ways', () => {
  const cross = patternIn([FIELD], { form: 'cross', angle: 20, gap: 5, width: 0.5 });
  const [one, other] = [patternIn([FIELD], lines(20, 5, 0.5)), patternIn([FIELD], lines(110, 5, 0.5))];
  const both = areaOf(one) + areaOf(other) - areaOf(intersectRegions(one, other));
  expect(areaOf(intersectRegions(cross, one))).toBeCloseTo(areaOf(one), -1);
  expect(areaOf(intersectRegions(cross, other))).toBeCloseTo(areaOf(other), -1);
  expect(areaOf(uniteOutlines(cross))).toBeCloseTo(both, -1);
  // All run one way round: filled as one path, where they cross is filled as the rest.
  expect(new Set(cross.map((mark) => Math.sign(signedArea(mark)))).size).toBe(1);
});

test('dots are round, as far apart as their gap, every other row moved, over the whole of the field', () => {
  const gap = 4;
  const radius = 0.6;
  const dots = patternIn([FIELD], { form: 'dots', gap, radius });
  const whole = dots.filter((dot) => Math.abs(areaOf([dot]) - 2 * Math.SQRT2 * radius ** 2) < 0.01);
  // Of 100 by 60 mm: 25 columns and 15 rows, of which those at the edge may be cut.
  expect(dots).toHaveLength(25 * 15);
  expect(whole.length).toBeGreaterThan(25 * 15 - 45);
  for (const dot of whole) {
    const [x, y] = middleOf(dot);
    for (const [px, py] of dot) expect(Math.hypot(px - x, py - y)).toBeCloseTo(radius, 2);
    const row = (y + 52 - gap / 3) / gap;
    const column = (x - 37 - (Math.round(row) % 2 ? gap / 2 : gap / 4)) / gap;
    expect(Math.abs(row - Math.round(row))).toBeLessThan(0.01);
    expect(Math.abs(column - Math.round(column))).toBeLessThan(0.01);
  }
});

test('crosses stand as dots do, 1.6 mm high and wide', () => {
  const plus = patternIn([FIELD], { form: 'plus', gap: 5 });
  // Two bars of 1.6 by 0.3 mm that share their middle.
  expect(plus).toHaveLength(20 * 12);
  for (const one of plus.slice(21, 40)) expect(areaOf([one])).toBeCloseTo(2 * 1.6 * 0.3 - 0.3 ** 2, 2);
});

test('what is plain, empty or no outline has no marks; a hole stays empty', () => {
  const dots: PatternForm = { form: 'dots', gap: 4, radius: 0.6 };
  expect(patternIn([FIELD], { form: 'plain' })).toEqual([]);
  expect(patternIn([], dots)).toEqual([]);
  expect(patternIn([FIELD.slice(0, 2)], dots)).toEqual([]);
  const hole = [...box(60, -40, 100, -10)].reverse();
  const marks = patternIn([FIELD, hole], lines(30, 3, 0.5));
  expect(areaOf(intersectRegions(marks, [box(61, -39, 99, -11)]))).toBeLessThan(0.01);
  expect(areaOf(marks)).toBeCloseTo(((6000 - 1200) * 0.5) / 3, -2);
});
