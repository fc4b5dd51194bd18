import fc from 'fast-check';
import {
  cautionOf,
  checkLimits,
  contourFinder,
  effectsFor,
  faceModel,
  featuresOn,
  guides,
  HAIR_STYLES,
  inferLandmarks,
  isInHollow,
  lineArt,
  NOSES,
  offSides,
  outlineOf,
  PLAIN_FEATURES,
  sidesWhere,
  TEMPLATE,
  type Features,
  type Placement,
} from '.';
import { anyFace, EIGHT_FACES } from './face.testing';

const UNEVEN: Features = {
  ...PLAIN_FEATURES,
  brows: 'full',
  right: { brows: 'sparse', lines: ['crow’s feet'], narrowTemples: true, lipEdge: 'blurred' },
};

test('what is said once holds for both sides; the client’s right may differ', () => {
  expect(featuresOn('left', UNEVEN).brows).toBe('full');
  expect(featuresOn('right', UNEVEN)).toMatchObject({
    brows: 'sparse',
    lines: ['crow’s feet'],
    hair: PLAIN_FEATURES.hair,
  });
  expect(featuresOn('right', UNEVEN)).toBe(featuresOn('right', UNEVEN));
  expect(featuresOn('right', PLAIN_FEATURES)).toBe(PLAIN_FEATURES);
  expect(sidesWhere(UNEVEN, ({ narrowTemples }) => narrowTemples)).toEqual(['right']);
  expect(
    sidesWhere({ ...PLAIN_FEATURES, narrowTemples: true }, ({ narrowTemples }) => narrowTemples),
  ).toEqual(['left', 'right']);
});

test('a guide is taken off one side and stays on the other', () => {
  const forehead: Placement = { guide: 'foreheadContour', side: 'both' };
  const cheek: Placement = { guide: 'cheekContour', side: 'both' };
  expect(offSides([forehead, cheek], 'foreheadContour', ['right'])).toEqual([
    { guide: 'foreheadContour', side: 'left' },
    cheek,
  ]);
  expect(offSides([forehead], 'foreheadContour', ['left', 'right'])).toEqual([]);
  expect(offSides([{ ...forehead, side: 'left' }], 'foreheadContour', ['right'])).toEqual([
    { ...forehead, side: 'left' },
  ]);
  expect(offSides([{ ...forehead, side: 'right' }], 'foreheadContour', ['right'])).toEqual([]);
  expect(offSides([forehead], 'foreheadContour', [])).toEqual([forehead]);
});

test('a caution of one side names it', () => {
  const smaller = effectsFor('contour').find((e) => e.name === 'smaller forehead')!;
  expect(cautionOf(smaller, UNEVEN)).toMatch(/^Client’s right: The temples are narrow/);
  expect(cautionOf(smaller, { ...PLAIN_FEATURES, narrowTemples: true })).toMatch(/^The temples are narrow/);
  expect(cautionOf(smaller, PLAIN_FEATURES)).toBeNull();
});

test('lines and brows are drawn on the side that has them', () => {
  const art = lineArt(TEMPLATE, UNEVEN);
  const feet = art.lines.filter(({ part }) => part === 'crow’s foot');
  expect(feet).toHaveLength(3);
  for (const { d } of feet) expect(Number(/^M(-?[\d.]+)/.exec(d)![1])).toBeLessThan(0);
  const [left, right] = art.lines.filter(({ part }) => part === 'brow');
  expect(left!.opacity).not.toBe(right!.opacity);
  const edges = art.lines.filter(({ part }) => part === 'upper lip');
  expect(edges[1]!.opacity).toBeLessThan(edges[0]!.opacity / 2);
});

test('each nose and each hair is drawn as nothing else is', () => {
  const drawn = (features: Partial<Features>) => {
    const art = lineArt(TEMPLATE, { ...PLAIN_FEATURES, ...features });
    return [...art.ground, ...art.lines].map(({ d }) => d).join('');
  };
  expect(new Set(NOSES.map((nose) => drawn({ nose }))).size).toBe(NOSES.length);
  expect(new Set(HAIR_STYLES.map((hair) => drawn({ hair }))).size).toBe(HAIR_STYLES.length);
});

test('no hair hangs into the face under the brows', () => {
  for (const hair of HAIR_STYLES) {
    const art = lineArt(TEMPLATE, { ...PLAIN_FEATURES, hair });
    for (const { part, d } of art.lines.filter(({ fill }) => fill === 'hair')) {
      let [x, y] = [0, 0];
      for (const [, command, dx, dy] of d.matchAll(/([Ml]?)\s*(-?\d*\.?\d+)\s*(-?\d*\.?\d+)/g)) {
        [x, y] = command === 'M' ? [Number(dx), Number(dy)] : [x + Number(dx), y + Number(dy)];
        expect({ hair, part, inside: Math.abs(x) < 50 && y > -27 && y < 100 }).toEqual({
          hair,
          part,
          inside: false,
        });
      }
    }
  }
});

test('the hollow lies under the edge a smile shows, and the gap is what lies between', () => {
  for (const [name, measurements] of Object.entries(EIGHT_FACES)) {
    const face = faceModel(inferLandmarks(measurements));
    const { smileEdge, hollowLine, gap, gapMm } = contourFinder(face.left, face);
    expect(gap).toHaveLength(smileEdge.length + hollowLine.length);
    const [hx, hy] = hollowLine[30]!;
    const [edgeX] = smileEdge.reduce((best, p) => (Math.abs(p[1] - hy) < Math.abs(best[1] - hy) ? p : best));
    expect({ name, outside: hx > edgeX }).toEqual({ name, outside: true });
    expect(gapMm).toBeGreaterThan(5.9);
    expect(gapMm).toBeLessThan(18);
  }
  const { finder } = guides(TEMPLATE);
  expect(finder.left.gapMm).toBeCloseTo(finder.right.gapMm, 6);
});

test('on 200 random faces the guide’s contour keeps to the smile edge, and one 10 mm lower has gone into the hollow', () => {
  const share = (liftMm: number, measurements: object): number => {
    const landmarks = inferLandmarks(measurements);
    const face = faceModel(landmarks);
    const line = outlineOf(
      { guide: 'cheekContour', side: 'left', params: { liftMm } },
      landmarks,
    )[0]!.line!.map(face.left.fromFace);
    return line.filter((p) => isInHollow(p, contourFinder(face.left, face))).length / line.length;
  };
  fc.assert(
    fc.property(anyFace, (measurements) => {
      expect(share(0, measurements)).toBe(0);
      expect(share(-10, measurements)).toBeGreaterThan(0.5);
      expect(checkLimits({ guide: 'cheekContour', side: 'both' }, inferLandmarks(measurements))).toEqual([]);
    }),
    { numRuns: 200, seed: 7 },
  );
});
