import fc from 'fast-check';
import {
  checkLimits,
  faceWarp,
  inferLandmarks,
  PLAIN_FEATURES,
  withinLimits,
  type Placement,
  type Point,
} from '.';
import { anyFace } from './face.testing';

const place = fc.tuple(
  fc.double({ min: -66, max: 66, noNaN: true }),
  fc.double({ min: -110, max: 105, noNaN: true }),
);
const gap = (p: Point, q: Point): number => Math.hypot(p[0] - q[0], p[1] - q[1]);
const LIMITED = [
  'cheekContour',
  'foreheadContour',
  'jawContour',
  'noseContour',
  'blushLifted',
  'blushFull',
  'blushNatural',
] as const;

/** A look carried here: a guide adjusted on some other face. */
const carried = fc.record({
  guide: fc.constantFrom('cheekContour' as const, 'blushLifted' as const, 'blushFull' as const),
  side: fc.constantFrom('both' as const, 'left' as const),
  params: fc.record({
    reach: fc.integer({ min: 60, max: 160 }),
    liftMm: fc.integer({ min: -8, max: 8 }),
    width: fc.integer({ min: 60, max: 180 }),
    start: fc.integer({ min: 0, max: 40 }),
  }),
});

test('500 random faces: no fold, the way back exact, every guide within its limits, any look carried there within them too', () => {
  fc.assert(
    fc.property(
      anyFace,
      fc.array(place, { minLength: 3, maxLength: 3 }),
      carried,
      (measurements, places, placement: Placement) => {
        const landmarks = inferLandmarks(measurements);
        const warp = faceWarp(landmarks);
        expect(warp.smallestJacobian()).toBeGreaterThan(0.3);
        for (const p of places) expect(gap(warp.toCanonical(warp.toFace(p)), p)).toBeLessThan(1e-6);
        for (const guide of LIMITED) expect(checkLimits({ guide, side: 'both' }, landmarks)).toEqual([]);
        expect(checkLimits(withinLimits(placement, landmarks), landmarks)).toEqual([]);
      },
    ),
    { numRuns: 500, seed: 3 },
  );
});

/** Blobs of a hand on the cheek, larger and smaller, over limits or not. */
const drawn = fc
  .record({
    x: fc.double({ min: 22, max: 58, noNaN: true }),
    y: fc.double({ min: 8, max: 62, noNaN: true }),
    r: fc.double({ min: 4, max: 14, noNaN: true }),
  })
  .map(({ x, y, r }): Placement => ({
    outline: Array.from({ length: 24 }, (_, i): Point => [
      x + r * Math.cos((i * Math.PI) / 12),
      y + 0.7 * r * Math.sin((i * Math.PI) / 12),
    ]),
    featherMm: 3,
    side: 'both',
  }));

test('a shape drawn by hand is wiped back inside the limits of its kind on any face', () => {
  fc.assert(
    fc.property(
      anyFace,
      drawn,
      fc.constantFrom('contour' as const, 'blush' as const),
      (measurements, placement, role) => {
        const landmarks = inferLandmarks(measurements);
        const mended = withinLimits(placement, landmarks, PLAIN_FEATURES, role);
        expect(checkLimits(mended, landmarks, PLAIN_FEATURES, role)).toEqual([]);
        expect(withinLimits(mended, landmarks, PLAIN_FEATURES, role)).toBe(mended);
      },
    ),
    { numRuns: 60, seed: 4 },
  );
});
