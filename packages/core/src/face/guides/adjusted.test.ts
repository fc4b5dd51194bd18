import fc from 'fast-check';
import {
  areaOf,
  boxOf,
  faceModel,
  GUIDE_PARAMETERS,
  GUIDES,
  inferLandmarks,
  intersectRegions,
  LIDS,
  outlineOf,
  PLAIN_FEATURES,
  TEMPLATE,
  type Features,
  type GuideParameter,
  type PlacedShape,
  type Point,
  type Region,
} from '..';
import { EIGHT_FACES } from '../face.testing';

type Drawn = keyof typeof GUIDES;
const NAMES = Object.keys(GUIDES) as Drawn[];
const shapeOf = (
  guide: Drawn,
  params: Partial<Record<GuideParameter, number>> = {},
  landmarks = TEMPLATE,
): PlacedShape => outlineOf({ guide, side: 'left', params }, landmarks)[0]!;
const handleOf = (guide: Drawn, name: GuideParameter, value: number): Point =>
  shapeOf(guide, { [name]: value }).handles[name]!;
/** Guides that can be adjusted so. */
const withParameter = (name: GuideParameter): Drawn[] =>
  NAMES.filter((guide) => (GUIDES[guide].adjustable as readonly string[]).includes(name));
const middleOf = (region: Region): Point => {
  let [area, x, y] = [0, 0, 0];
  for (const polygon of region)
    polygon.forEach(([x1, y1], i) => {
      const [x2, y2] = polygon[(i + 1) % polygon.length]!;
      const k = x1 * y2 - x2 * y1;
      area += k;
      x += (x1 + x2) * k;
      y += (y1 + y2) * k;
    });
  return [x / (3 * area), y / (3 * area)];
};

/**
 * Where each guide lies on the average face: its middle and its box, mm from between the pupils; its area,
 * mm2.
 */
const WHERE: readonly (readonly [
  Drawn,
  number,
  number,
  number,
  readonly [number, number, number, number],
])[] = [
  ['cheekContour', 55.4, 22.2, 384, [39, -3, 66, 50]],
  ['blushLifted', 47.0, 18.3, 241, [38, 4, 56, 32]],
  ['blushFull', 37.0, 34.0, 540, [22, 22, 52, 46]],
  ['blushNatural', 41.4, 29.8, 505, [25, 20, 58, 40]],
  ['cheekboneLight', 58.5, 0.5, 70, [52, -6, 64, 6]],
  ['foreheadContour', 45.3, -47.1, 499, [22, -70, 65, -18]],
  ['noseFromCrease', 6.9, -3.8, 69, [3, -17, 13, 15]],
  ['noseContour', 0.0, 19.7, 146, [-5, -1, 5, 40]],
  ['jawContour', 40.1, 87.2, 280, [21, 52, 60, 103]],
  ['tipContour', 0.0, 41.0, 27, [-6, 39, 6, 43]],
  ['jawCornerContour', 46.6, 70.3, 270, [38, 58, 57, 84]],
  ['jawEdgeContour', 34.7, 88.1, 272, [11, 64, 55, 109]],
  ['underLipContour', 0.0, 77.4, 36, [-10, 75, 10, 79]],
  ['bronzeSweep', 57.4, 16.2, 971, [42, -31, 66, 74]],
  ['bronzeHairline', 46.5, -48.8, 278, [24, -69, 64, -24]],
  ['bronzeBridge', 0.0, 22.2, 539, [-35, 12, 35, 32]],
  ['foreheadLight', 0.0, -21.5, 926, [-46, -39, 46, 33]],
  ['bowLight', 0.0, 53.7, 29, [-9, 52, 9, 56]],
  ['chinLight', 0.0, 95.0, 146, [-9, 90, 9, 101]],
  ['bridgeLight', 0.0, 14.2, 95, [-2, -4, 2, 32]],
  ['browBoneLight', 43.9, -19.5, 57, [33, -22, 54, -16]],
  ['innerCornerLight', 15.1, 2.2, 21.2, [13, -1, 17, 5]],
  ['correctUnderEye', 25.7, 9.1, 99, [15, 6, 38, 12]],
  ['correctNoseWing', 17.4, 38.0, 68, [14, 32, 21, 44]],
  ['correctMouthCorner', 27.5, 69.1, 69, [23, 63, 32, 75]],
  ['underEyeLight', 26.6, 15.5, 289, [17, 6, 40, 25]],
  ['innerComma', 20.0, 12.6, 74, [15, 4, 27, 24]],
  ['outerWedge', 50.7, 2.1, 55, [44, -4, 57, 8]],
  ['tZonePowder', 0.0, 4.5, 2314, [-27, -43, 27, 103]],
  ['smilePowder', 25.2, 53.3, 146, [16, 39, 33, 68]],
  ['brow', 31.4, -23.1, 192, [12, -27, 57, -18]],
  ['lid', 32.2, -5.7, 106, [17, -9, 45, 2]],
  ['innerLid', 27.4, -6.1, 65, [17, -9, 37, 2]],
  ['outerLid', 40.0, -5.6, 59, [34, -10, 45, -1]],
  ['lidCentre', 30.8, -7.0, 34, [25, -9, 36, -4]],
  ['socket', 33.3, -9.1, 77, [20, -12, 47, -4]],
  ['openLid', 32.2, -6.0, 121, [17, -10, 45, 2]],
  ['lowerLashes', 31.4, 5.1, 6.6, [18, 1, 44, 8]],
  ['lowerLine', 37.3, 4.5, 23, [26, 0, 45, 7]],
  ['liner', 38.1, -3.9, 32, [27, -6, 49, -1]],
  ['tightLine', 30.9, -3.3, 15.9, [18, -5, 44, 1]],
  ['lashes', 32.1, -4.3, 39, [15, -10, 47, 2]],
  ['lips', 0.0, 65.2, 639, [-25, 55, 25, 75]],
  ['lipCentre', 0.0, 65.9, 180, [-8, 59, 8, 73]],
  ['lowerLipOnly', 0.0, 69.0, 327, [-25, 65, 25, 75]],
  ['lipLine', 0.0, 65.0, 149, [-26, 55, 26, 75]],
  ['foreheadPoint', 0.0, -20.0, 14.7, [-2, -22, 2, -18]],
  ['browPoints', 35.4, -28.3, 13.2, [17, -31, 54, -25]],
  ['outerDots', 53.6, -8.6, 14.7, [48, -17, 59, -1]],
  ['underDots', 36.5, 8.5, 9.8, [29, 5, 44, 11]],
  ['mouthSpot', 24.0, 57.6, 3.0, [23, 57, 25, 59]],
];

test.each(WHERE)('%s lies where it always lay', (guide, x, y, mm2, box) => {
  const { region } = shapeOf(guide);
  const [mx, my] = middleOf(region);
  expect(Math.hypot(mx - x, my - y)).toBeLessThan(0.35);
  expect(Math.abs(areaOf(region) / mm2 - 1)).toBeLessThan(0.03);
  boxOf(region.flat()).forEach((edge, i) => expect(Math.abs(edge - box[i]!)).toBeLessThan(0.8));
});

test('of every guide it is known where it lies', () => expect(WHERE.map(([guide]) => guide)).toEqual(NAMES));

test('nothing but lash and water line is laid into an open eye, however it is adjusted, on anybody', () => {
  const lash: readonly string[] = ['liner', 'tightLine', 'lashes', 'lowerLashes'];
  const lids = fc.constantFrom(...LIDS);
  const anybody = fc.record({
    guide: fc.constantFrom(...NAMES.filter((guide) => !lash.includes(guide))),
    measured: fc.constantFrom(...Object.values(EIGHT_FACES)),
    lids,
    ends: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }),
  });
  fc.assert(
    fc.property(anybody, ({ guide, measured, lids: lid, ends }) => {
      const landmarks = inferLandmarks(measured);
      const features: Features = { ...PLAIN_FEATURES, lids: { left: lid, right: lid } };
      const params = Object.fromEntries(
        GUIDES[guide].adjustable.map((name, i) => {
          const { minimum, maximum } = GUIDE_PARAMETERS[name];
          return [name, minimum + ends[i % 4]! * (maximum - minimum)];
        }),
      );
      const { left, right } = faceModel(landmarks, features);
      for (const shape of outlineOf({ guide, side: 'both', params }, landmarks, features))
        for (const half of [left, right]) {
          const eye = [...half.upperLid, ...half.lowerLid].map(half.toFace);
          const inIt = areaOf(intersectRegions(shape.region, [eye]));
          expect([guide, params, inIt < 3]).toEqual([guide, params, true]);
        }
    }),
    { numRuns: 400, seed: 21, endOnFailure: true },
  );
});

describe('lifted by mm', () => {
  const free: readonly Drawn[] = [
    'blushFull',
    'blushNatural',
    'cheekboneLight',
    'tipContour',
    'jawCornerContour',
    'bronzeSweep',
    'bronzeBridge',
    'foreheadLight',
    'chinLight',
    'browBoneLight',
    'outerWedge',
    'foreheadPoint',
    'browPoints',
    'mouthSpot',
  ];
  const lids: readonly Drawn[] = ['lid', 'outerLid', 'openLid', 'socket'];

  test.each(free)('%s goes up or down by them, straight', (guide) => {
    const [x, y] = handleOf(guide, 'liftMm', 0);
    for (const mm of [-12, -3.5, 4, 12]) {
      const [mx, my] = handleOf(guide, 'liftMm', mm);
      expect([mx, my]).toEqual([expect.closeTo(x, 6), expect.closeTo(y - mm, 6)]);
      // And not its handle alone.
      const [, middle] = middleOf(shapeOf(guide, { liftMm: mm }).region);
      const [, was] = middleOf(shapeOf(guide).region);
      expect((was - middle) / mm).toBeGreaterThan(0.3);
    }
  });

  test.each(lids)('%s goes up by them, and down no further than its lashes', (guide) => {
    const [x, y] = handleOf(guide, 'liftMm', 0);
    expect(handleOf(guide, 'liftMm', 5)).toEqual([expect.closeTo(x, 6), expect.closeTo(y - 5, 6)]);
    const down = [0, -1, -2, -4, -6, -12].map((mm) => handleOf(guide, 'liftMm', mm)[1]);
    expect(down).toEqual([...down].sort((a, b) => a - b));
    expect(down.at(-1)! - y).toBeLessThan(7);
    expect(handleOf(guide, 'liftMm', -12)).toEqual(handleOf(guide, 'liftMm', -10));
    if (guide === 'socket') return;
    const areas = [-12, -6, -3, 0, 3, 6].map((liftMm) => areaOf(shapeOf(guide, { liftMm }).region));
    expect(areas).toEqual([...areas].sort((a, b) => a - b));
  });

  test('a contour, a lifted blush and a liner turn up with it', () => {
    for (const guide of ['cheekContour', 'blushLifted', 'liner'] as const) {
      const ys = [-6, 0, 6].map((mm) => handleOf(guide, 'liftMm', mm)[1]);
      expect(ys).toEqual([...ys].sort((a, b) => b - a));
      expect(ys[0]! - ys[2]!).toBeGreaterThan(4);
    }
  });
});

describe('by mm of their own', () => {
  test('lips go over their line, or inside it, by them', () => {
    for (const guide of ['lips', 'lipLine'] as const) {
      const [[x, upper], lower] = [handleOf(guide, 'upperMm', 0), handleOf(guide, 'lowerMm', 0)];
      for (const mm of [-1.5, -0.5, 1, 2]) {
        const up = handleOf(guide, 'upperMm', mm);
        expect(up[0]).toBeCloseTo(x, 6);
        // Measured off the middle, where the bow falls: nearly all of it.
        expect((upper - up[1]) / mm).toBeGreaterThan(0.8);
        expect((upper - up[1]) / mm).toBeLessThanOrEqual(1);
        expect((handleOf(guide, 'lowerMm', mm)[1] - lower[1]) / mm).toBeCloseTo(1, 1);
      }
      expect(handleOf(guide, 'lowerMm', 0)).toEqual(lower);
    }
    // Only its own line.
    expect(shapeOf('lips', { upperMm: 2 }).handles.lowerMm).toEqual(shapeOf('lips').handles.lowerMm);
  });

  test('a brow begins, rises and ends by them', () => {
    const front = [-4, -2, 0, 2, 4].map((mm) => handleOf('brow', 'frontMm', mm)[0]);
    front.slice(1).forEach((x, i) => {
      expect(x - front[i]!).toBeGreaterThan(1.6);
      expect(x - front[i]!).toBeLessThan(2.6);
    });
    const arch = [-2, -1, 0, 2, 4].map((mm) => handleOf('brow', 'archMm', mm)[1]);
    expect(arch[2]! - arch[4]!).toBeCloseTo(4, 0);
    expect(arch).toEqual([...arch].sort((a, b) => b - a));
    const tail = [-8, -4, 0, 3, 6].map((mm) => handleOf('brow', 'tailMm', mm));
    const apart = (i: number, j: number): number =>
      Math.hypot(tail[j]![0] - tail[i]![0], tail[j]![1] - tail[i]![1]);
    for (const [i, j, mm] of [
      [0, 1, 4],
      [1, 2, 4],
      [2, 3, 3],
      [3, 4, 3],
    ] as const)
      expect(Math.abs(apart(i, j) / mm - 1)).toBeLessThan(0.12);
    // It goes on the way it went, a little flatter.
    const slope = (i: number, j: number): number => (tail[j]![1] - tail[i]![1]) / (tail[j]![0] - tail[i]![0]);
    expect(slope(2, 4)).toBeGreaterThan(0.7 * slope(1, 2));
    expect(slope(2, 4)).toBeLessThan(slope(1, 2));
  });

  test('lashes are as long as they are said to be, half of it seen from the front', () => {
    for (const name of ['innerMm', 'middleMm', 'outerMm'] as const) {
      const [short, long] = [handleOf('lashes', name, 6), handleOf('lashes', name, 14)];
      expect(short[1] - long[1]).toBeGreaterThan(0.3 * 8);
      expect(short[1] - long[1]).toBeLessThan(0.52 * 8);
    }
    const top = (params: Partial<Record<GuideParameter, number>>): number =>
      boxOf(shapeOf('lashes', params).region.flat())[1];
    expect(top({ middleMm: 14, innerMm: 14, outerMm: 14 })).toBeLessThan(top({}) - 1);
  });
});

describe('wider, further and later', () => {
  test.each(withParameter('width'))('%s grows with its width', (guide) => {
    const areas = [40, 70, 100, 150, 200].map((width) => areaOf(shapeOf(guide, { width }).region));
    expect(areas).toEqual([...areas].sort((a, b) => a - b));
    expect(areas[4]! / areas[2]!).toBeGreaterThan(1.4);
    expect(areas[4]! / areas[2]!).toBeLessThan(4.3);
    const [narrow, usual, wide] = [40, 100, 200].map((width) => handleOf(guide, 'width', width));
    const off = (p: Point | undefined): number => Math.hypot(p![0] - usual![0], p![1] - usual![1]);
    expect(off(narrow)).toBeGreaterThan(0.1);
    expect(off(wide)).toBeGreaterThan(0.1);
  });

  test.each(withParameter('reach'))('%s goes further with its reach, never back', (guide) => {
    const handles = [30, 50, 65, 80, 100, 130, 160].map((reach) => handleOf(guide, 'reach', reach));
    const from = handles[0]!;
    const far = handles.map(([x, y]) => Math.hypot(x - from[0], y - from[1]));
    if (guide !== 'underEyeLight') expect(far.at(-1)!).toBeGreaterThan(2);
    for (let i = 1; i < far.length; i++) expect(far[i]!).toBeGreaterThanOrEqual(far[i - 1]! - 0.01);
    const areas = [30, 65, 100, 130, 160].map((reach) => areaOf(shapeOf(guide, { reach }).region));
    for (let i = 1; i < areas.length; i++) expect(areas[i]!).toBeGreaterThanOrEqual(areas[i - 1]! * 0.93);
  });

  test.each(withParameter('start'))('%s begins later with its start', (guide) => {
    const areas = [0, 20, 40, 60].map((start) => areaOf(shapeOf(guide, { start }).region));
    for (let i = 1; i < areas.length; i++) expect(areas[i]!).toBeLessThan(areas[i - 1]!);
    const [own, late] = [handleOf(guide, 'start', 0), handleOf(guide, 'start', 60)];
    expect(Math.hypot(late[0] - own[0], late[1] - own[1])).toBeGreaterThan(8);
  });

  test.each(withParameter('fade'))('%s thins as much more as its fade is, and its shape stays', (guide) => {
    const at = (fade: number): PlacedShape => shapeOf(guide, { fade });
    const weaker = at(100).fade[0] < at(100).fade[1] ? 0 : 1;
    const [even, own, half] = [at(0).fade, at(100).fade, at(50).fade];
    expect(even[0]).toBe(even[1]);
    expect(half[weaker]).toBeCloseTo((even[weaker] + own[weaker]) / 2, 9);
    expect(at(200).fade[weaker]).toBeCloseTo(Math.max(0, 2 * own[weaker] - even[weaker]), 9);
    expect(at(200).fade[1 - weaker]).toBe(own[1 - weaker]);
    for (const fade of [0, 50, 200]) expect(at(fade).region).toEqual(at(100).region);
  });
});

/** How far a place is from the nearest edge of a shape, mm. */
const fromEdge = ([x, y]: Point, { region }: PlacedShape): number =>
  Math.min(
    ...region.flatMap((polygon) =>
      polygon.map(([x1, y1], i) => {
        const [x2, y2] = polygon[(i + 1) % polygon.length]!;
        const long = (x2 - x1) ** 2 + (y2 - y1) ** 2 || 1;
        const t = Math.min(1, Math.max(0, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / long));
        return Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1));
      }),
    ),
  );

test.each(withParameter('width'))('the handle of %s’s width goes with its edge', (guide) => {
  const off = [40, 70, 100, 150, 200].map((width) => {
    const shape = shapeOf(guide, { width });
    return fromEdge(shape.handles.width!, shape);
  });
  const usual = off[2]!;
  // On its edge, or beside it where a finger would cover it; wide ones are cut by the face.
  expect(usual).toBeLessThan(9.1);
  for (const mm of off.slice(0, 2)) expect(Math.abs(mm - usual)).toBeLessThan(1.7);
  for (const mm of off.slice(3)) expect(Math.abs(mm - usual)).toBeLessThan(usual < 0.3 ? 1.7 : 4.5);
});
