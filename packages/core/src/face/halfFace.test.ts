import fc from 'fast-check';
import { describePlacement } from './describePlacement';
import { drawnPlacement } from './freehand';
import { GUIDE_NAMES } from './guides';
import { halfCutTo, halfOf } from './halfFace';
import { inferLandmarks } from './inferLandmarks';
import { SIDES } from './landmarks';
import { outlineOf, placementArea, type Placement } from './outlineOf';

const faces = fc.record({
  faceLength: fc.double({ min: 165, max: 200, noNaN: true }),
  cheekbones: fc.double({ min: 122, max: 142, noNaN: true }),
  jawWidth: fc.double({ min: 95, max: 120, noNaN: true }),
});

test('of every guide on any face, the two halves together are the whole, and neither lies over the midline', () => {
  fc.assert(
    fc.property(fc.constantFrom(...GUIDE_NAMES), faces, (guide, facts) => {
      const landmarks = inferLandmarks(facts);
      const whole: Placement = { guide, side: 'both' };
      const area = (placement: Placement): number => placementArea(placement, landmarks);
      const [left, right] = [halfOf(whole, 'left')!, halfOf(whole, 'right')!];
      // The skin above the lip touches itself where its two edges meet: cut, that counts once.
      const exact = guide === 'zone.upperLipSkin' ? 0.015 : 0.002;
      expect(Math.abs(area(left) + area(right) - area(whole))).toBeLessThan(0.01 + exact * area(whole));
      // On an even face both are as large.
      expect(Math.abs(area(left) - area(right))).toBeLessThan(0.02 + 0.02 * area(whole));
      const xs = (placement: Placement): number[] =>
        outlineOf(placement, landmarks).flatMap(({ region }) => region.flat().map(([x]) => x));
      expect(Math.min(...xs(left))).toBeGreaterThan(-0.05);
      expect(Math.max(...xs(right))).toBeLessThan(0.05);
    }),
    { numRuns: 120 },
  );
});

test('what lies on one side only is nothing on the other, and says so; a stroke past the midline is cut there', () => {
  expect(halfOf({ guide: 'cheekContour', side: 'right' }, 'left')).toBeNull();
  expect(halfOf({ guide: 'cheekContour', side: 'right' }, 'right')).toEqual({
    guide: 'cheekContour',
    side: 'right',
  });
  const landmarks = inferLandmarks({});
  const outline: [number, number][] = [
    [-20, -55],
    [30, -55],
    [30, -45],
    [-20, -45],
  ];
  const stroke: [number, number, number][] = [
    [-20, -50, 5],
    [30, -50, 5],
  ];
  const across = drawnPlacement({ outline, stroke, featherMm: 2, mirrored: false }, landmarks);
  for (const side of SIDES) {
    const half = halfOf(across, side)!;
    expect(halfCutTo(half)).toBe(side);
    expect(placementArea(half, landmarks)).toBeGreaterThan(0.5);
    expect(describePlacement(half)).toBe(`drawn by hand, client’s ${side} half`);
  }
  expect(halfCutTo(across)).toBeNull();
});

test('a half is said in words, with what else was wiped off', () => {
  const half = halfOf({ guide: 'zone.wholeFace', side: 'both' }, 'left')!;
  expect(describePlacement(half)).toContain('client’s left half');
  expect(describePlacement(half)).not.toContain('wiped');
  const spot = {
    ...half,
    without: [
      ...half.without!,
      [
        [5, 5],
        [9, 5],
        [9, 9],
      ] as [number, number][],
    ],
  };
  expect(describePlacement(spot)).toContain('partly wiped off');
});
