import fc from 'fast-check';
import { ribbon, throughPoints } from './curve';
import {
  distanceToLine,
  ellipse,
  isInside,
  measureLine,
  normalsOf,
  pointAt,
  portion,
  resample,
  signedArea,
  type Point,
} from './point';
import { pathOf } from './lineArt';
import { zoneOutline, ZONE_NAMES, ZONES } from './zones';
import { inferLandmarks } from './inferLandmarks';
import { EIGHT_FACES } from './face.testing';

const coordinate = fc.double({ min: -90, max: 90, noNaN: true });
const place = fc.tuple(coordinate, coordinate);
const line: readonly Point[] = [
  [0, 0],
  [30, 0],
  [30, 40],
];

test('a curve goes through its points, open and closed', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(place, {
        minLength: 4,
        maxLength: 8,
        selector: ([x, y]) => `${Math.round(x / 5)} ${Math.round(y / 5)}`,
      }),
      fc.boolean(),
      (points, closed) => {
        const curve = throughPoints(points, 0.5, closed);
        for (const p of points)
          expect(Math.min(...curve.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1])))).toBeLessThan(1e-6);
      },
    ),
    { numRuns: 60, seed: 1 },
  );
});

test('lengths and places along a line', () => {
  expect(measureLine(line).lengthMm).toBe(70);
  expect(pointAt(line, 0)).toEqual([0, 0]);
  expect(pointAt(line, 0.5)).toEqual([30, 5]);
  expect(pointAt(line, 2)).toEqual([30, 40]);
  expect(resample(line, 10)).toHaveLength(8);
  expect(portion(line, 0.5, 1)[0]).toEqual([30, 5]);
  expect(() => measureLine([])).toThrow('no points');
});

test('normals stand across a line, to its left on screen', () => {
  expect(
    normalsOf([
      [0, 0],
      [10, 0],
    ])[0]!.map((v) => v + 0),
  ).toEqual([0, -1]);
});

test('distance to a line, inside and outside', () => {
  expect(distanceToLine([15, 7], line)).toBeCloseTo(7, 12);
  expect(distanceToLine([36, 48], line)).toBeCloseTo(10, 12);
  const circle = ellipse([5, 5], 10, 10, 0, 90);
  expect(isInside([5, 5], circle)).toBe(true);
  expect(isInside([16, 5], circle)).toBe(false);
  expect(Math.abs(signedArea(circle))).toBeCloseTo(Math.PI * 100, 0);
});

test('a stroke has the area of its length times its width, plus its round ends', () => {
  const stroke = ribbon(
    resample(
      [
        [0, 0],
        [50, 0],
      ],
      1,
    ),
    () => 3,
  );
  expect(Math.abs(signedArea(stroke))).toBeGreaterThan(300);
  expect(Math.abs(signedArea(stroke))).toBeLessThan(300 + Math.PI * 9);
});

/** The points of path data, read back. */
function pointsOf(d: string): Point[] {
  const numbers = d.match(/-?\d*\.?\d+/g)!.map(Number);
  const points: Point[] = [];
  let [x, y] = [0, 0];
  for (let i = 0; i < numbers.length; i += 2) {
    [x, y] = [x + numbers[i]!, y + numbers[i + 1]!];
    points.push([x, y]);
  }
  return points;
}

test('path data read back is the outline, to half its last digit, however long', () => {
  fc.assert(
    fc.property(
      fc.array(place, { minLength: 3, maxLength: 60 }),
      fc.constantFrom(1, 2),
      (polygon, decimals) => {
        const d = pathOf([polygon], decimals);
        fc.pre(d !== '');
        const back = pointsOf(d);
        for (const p of back) {
          const nearest = Math.min(
            ...polygon.map((q) => Math.max(Math.abs(p[0] - q[0]), Math.abs(p[1] - q[1]))),
          );
          expect(nearest).toBeLessThan(0.5 * 10 ** -decimals + 1e-6);
        }
      },
    ),
    { numRuns: 200, seed: 2 },
  );
});

test.each(ZONE_NAMES)('zone %s is a plain outline with room in it on every face', (zone) => {
  expect(ZONES[zone].curvature).toBeGreaterThanOrEqual(1);
  for (const measurements of Object.values(EIGHT_FACES)) {
    const landmarks = inferLandmarks(measurements);
    const [left, right] = [zoneOutline(zone, landmarks, 'left'), zoneOutline(zone, landmarks, 'right')];
    expect(Math.abs(signedArea(left))).toBeGreaterThan(20);
    if (ZONES[zone].paired) {
      expect(left.every(([x]) => x > -3)).toBe(true);
      expect(right.every(([x]) => x < 3)).toBe(true);
    } else expect(right).toEqual(left);
  }
});
