import fc from 'fast-check';
import {
  areaOf,
  inferLandmarks,
  intersectRegions,
  outlineOf,
  PLAIN_FEATURES,
  uniteOutlines,
  type GuideName,
} from '../face';
import { CELL_MM, coverOf, deepest, placementCover, shared, united } from './cover';

const FACE = inferLandmarks({});
const NAMES: readonly GuideName[] = [
  'zone.wholeFace',
  'zone.underEye',
  'zone.chin',
  'zone.apple',
  'cheekContour',
  'blushLifted',
  'zone.neck',
  'foreheadContour',
  'zone.foreheadCentre',
];
const CELL_MM2 = CELL_MM ** 2;

test('cells agree with areas worked out as outlines, for every place and every pair', () => {
  fc.assert(
    fc.property(fc.constantFrom(...NAMES), fc.constantFrom(...NAMES), (a, b) => {
      const region = (guide: GuideName) =>
        uniteOutlines(outlineOf({ guide, side: 'both' }, FACE).flatMap((s) => s.region));
      const [one, other] = [region(a), region(b)];
      const [coverA, coverB] = [coverOf([one]), coverOf([other])];
      // A row of cells all round may fall either way.
      const slack = (mm2: number): number => 60 + 0.08 * mm2;
      expect(Math.abs(coverA.count * CELL_MM2 - areaOf(one))).toBeLessThan(slack(areaOf(one)));
      expect(Math.abs(shared(coverA, coverB) * CELL_MM2 - areaOf(intersectRegions(one, other)))).toBeLessThan(
        slack(areaOf(intersectRegions(one, other))),
      );
      expect(united([coverA, coverB]).count).toBe(coverA.count + coverB.count - shared(coverA, coverB));
    }),
    { numRuns: 40, seed: 8 },
  );
});

test('a chin is not an eye, and left is not right', () => {
  const cover = (guide: GuideName, side: 'left' | 'right' | 'both') =>
    placementCover({ guide, side }, FACE, PLAIN_FEATURES);
  expect(shared(cover('zone.chin', 'both'), cover('zone.underEye', 'both'))).toBe(0);
  expect(shared(cover('zone.underEye', 'left'), cover('zone.underEye', 'right'))).toBe(0);
  expect(cover('zone.underEye', 'both').count).toBe(
    cover('zone.underEye', 'left').count + cover('zone.underEye', 'right').count,
  );
});

test('the deepest stack counts weights where they lie on each other only', () => {
  const cover = (guide: GuideName) => placementCover({ guide, side: 'both' }, FACE, PLAIN_FEATURES);
  const stack = deepest([
    { cover: cover('zone.wholeFace'), weight: 2 },
    { cover: cover('zone.chin'), weight: 3 },
    { cover: cover('zone.underEye'), weight: 1 },
  ]);
  expect(stack).toEqual({ total: 5, there: [0, 1] });
});
