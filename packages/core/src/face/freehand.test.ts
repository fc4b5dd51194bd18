import fc from 'fast-check';
import {
  areaOf,
  checkLimits,
  distanceToGuide,
  drawnPlacement,
  inferLandmarks,
  intersectRegions,
  isWipedAway,
  nudged,
  outlineOf,
  PLAIN_FEATURES,
  snapToGuide,
  TEMPLATE,
  wipe,
  type Placement,
  type Point,
  type StrokePoint,
} from '.';
import { ribbon } from './curve';
import { anyFace, EIGHT_FACES } from './face.testing';

const line = (from: Point, to: Point, radius = 3): StrokePoint[] =>
  Array.from({ length: 25 }, (_, i) => [
    from[0] + ((to[0] - from[0]) * i) / 24,
    from[1] + ((to[1] - from[1]) * i) / 24,
    radius,
  ]);
const outlined = (stroke: readonly StrokePoint[]): Point[] => [
  ...ribbon(
    stroke.map(([x, y]): Point => [x, y]),
    () => stroke[0]![2],
  ),
];
const drawn = (stroke: readonly StrokePoint[], landmarks = TEMPLATE, mirrored = false) =>
  drawnPlacement({ outline: outlined(stroke), stroke, featherMm: 2, mirrored }, landmarks);

test('a stroke comes back where it was drawn, to two hundredths of a mm, on any face', () => {
  fc.assert(
    fc.property(
      anyFace,
      fc.double({ min: 30, max: 55, noNaN: true }),
      fc.double({ min: 0, max: 45, noNaN: true }),
      (measurements, x, y) => {
        const landmarks = inferLandmarks(measurements);
        const stroke = line([x, y], [x - 14, y + 9]);
        const outline = outlined(stroke);
        const back = outlineOf(drawn(stroke, landmarks), landmarks)[0]!;
        const lost = areaOf([outline]) - areaOf(intersectRegions([outline], back.region));
        expect(Math.abs(lost)).toBeLessThan(areaOf([outline]) * 0.02);
        expect(
          Math.abs(back.line![0]![0] - stroke[0]![0]) + Math.abs(back.line![0]![1] - stroke[0]![1]),
        ).toBeLessThan(0.04);
      },
    ),
    { numRuns: 40, seed: 6 },
  );
});

test('a stroke lies on the side it was drawn on; mirrored it lies on both', () => {
  const right = drawn(line([-50, 20], [-36, 30]));
  expect(right.side).toBe('right');
  expect(
    outlineOf(right, TEMPLATE)[0]!
      .region.flat()
      .every(([x]) => x < 0),
  ).toBe(true);
  const both = drawn(line([-50, 20], [-36, 30]), TEMPLATE, true);
  const [left, other] = outlineOf(both, TEMPLATE);
  expect(areaOf(left!.region)).toBeCloseTo(areaOf(other!.region), 6);
  expect(left!.region.flat().every(([x]) => x > 0)).toBe(true);
});

test('on another face the stroke keeps its place on the cheek', () => {
  const stroke = drawn(line([55, 22], [42, 30]));
  const long = inferLandmarks(EIGHT_FACES.long!);
  const shape = outlineOf(stroke, long)[0]!;
  expect(areaOf(shape.region)).toBeGreaterThan(50);
  expect(checkLimits(stroke, long, PLAIN_FEATURES, 'contour').map((b) => b.limit)).not.toContain('face edge');
});

test('the eraser wipes what it touches and nothing else, on one side or both', () => {
  const cheek: Placement = { guide: 'blushFull', side: 'both' };
  const lips: Placement = { guide: 'lips', side: 'both' };
  const rubber = outlined(line([30, 34], [45, 34], 4));
  const [wiped, untouched] = wipe([cheek, lips], rubber, false, TEMPLATE);
  expect(untouched).toBe(lips);
  expect(wiped!.without).toHaveLength(1);
  const areas = (p: Placement) => outlineOf(p, TEMPLATE).map((s) => areaOf(s.region));
  expect(areas(wiped!)[0]!).toBeLessThan(areas(cheek)[0]! - 60);
  expect(areas(wiped!)[1]!).toBeCloseTo(areas(cheek)[1]!, 6);
  const [both] = wipe([cheek], rubber, true, TEMPLATE);
  expect(areas(both!)[1]!).toBeLessThan(areas(cheek)[1]! - 60);
  const all = wipe(
    [{ guide: 'mouthSpot', side: 'left' }],
    outlined(line([18, 57], [30, 57], 6)),
    false,
    TEMPLATE,
  );
  expect(isWipedAway(all[0]!, TEMPLATE)).toBe(true);
  expect(isWipedAway(cheek, TEMPLATE)).toBe(false);
});

test('nudging moves outline and centreline together', () => {
  const stroke = drawn(line([50, 20], [40, 28]));
  const moved = nudged(stroke, 1, -2);
  expect(moved.outline[0]![0] - stroke.outline[0]![0]).toBeCloseTo(1, 6);
  expect(moved.stroke![3]![1] - stroke.stroke![3]![1]).toBeCloseTo(-2, 6);
  expect(moved.side).toBe(stroke.side);
});

test('a stroke near a guide follows it, one far away stays', () => {
  const guide = outlineOf({ guide: 'cheekContour', side: 'left' }, TEMPLATE)[0]!.line!;
  const near = guide.filter((_, i) => i % 4 === 0).map(([x, y]): StrokePoint => [x + 1.5, y + 2, 3]);
  const snapped = snapToGuide(near, 'contour', TEMPLATE);
  expect(distanceToGuide(drawn(snapped), 'contour', TEMPLATE)!).toBeLessThan(0.3);
  const far = near.map(([x, y, r]): StrokePoint => [x - 14, y + 12, r]);
  expect(snapToGuide(far, 'contour', TEMPLATE)).toBe(far);
});

test('a touch is not a stroke', () =>
  expect(() =>
    drawnPlacement({ outline: [[1, 1]], stroke: [[1, 1, 1]], featherMm: 1, mirrored: false }, TEMPLATE),
  ).toThrow('draw a little further'));
