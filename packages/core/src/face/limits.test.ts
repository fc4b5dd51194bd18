import {
  areaOf,
  checkLimits,
  outlineOf,
  PLAIN_FEATURES,
  subtractRegion,
  TEMPLATE,
  withinLimits,
  type LayerKind,
  type Placement,
  type Point,
} from '.';

const box = (left: number, top: number, right: number, bottom: number): Point[] => [
  [left, top],
  [right, top],
  [right, bottom],
  [left, bottom],
];
const drawn = (outline: readonly Point[], side: 'left' | 'right' | 'both' = 'left'): Placement => ({
  outline: [...outline],
  featherMm: 2,
  side,
});
const limits = (placement: Placement, role: LayerKind): string[] =>
  checkLimits(placement, TEMPLATE, PLAIN_FEATURES, role).map(({ limit }) => limit);
const { nasion, subnasale } = TEMPLATE;
const wing = TEMPLATE.ala_left[0];

/** A shape about a middle: so wide that on a nose it lies out over both sides of the bridge. */
const about = (x: number, y: number, up: number): Point[] => box(x - 9, y - up, x + 9, y + up);

test.each([
  ['in the middle of the bridge', true, about(0, 14, 1)],
  ['just between the wings', true, about(wing - 0.1, 14, 1)],
  ['just beyond a wing', false, about(wing + 0.1, 14, 1)],
  ['just under the root', true, about(0, nasion[1] + 0.1, 10)],
  ['just above the root', false, about(0, nasion[1] - 0.1, 10)],
  ['just above the foot', true, about(0, subnasale[1] - 0.1, 20)],
  ['just under the foot', false, about(0, subnasale[1] + 0.1, 20)],
] as const)('a contour drawn with its middle %s is held to the bridge: %s', (_, held, outline) => {
  expect(limits(drawn([...outline]), 'contour').includes('bridge')).toBe(held);
});

test.each([
  ['over the side of the bridge', 'contour', box(-4, 10, 10, 20)],
  ['over both sides of it', 'contour', box(-10, 10, 10, 20)],
  ['inside the pupil line', 'contour', box(24, 30, 56, 44)],
  ['under the height of the mouth', 'contour', box(40, 46, 58, 70)],
  ['in the edge a smile shows', 'contour', box(28, 36, 44, 54)],
  ['in the triangle above the brows', 'contour', box(-8, -58, 40, -42)],
  ['in the orbit', 'blush', box(20, 0, 50, 24)],
] as const)('what is drawn %s is wiped back, and nothing else is', (_, role, outline) => {
  const placement = drawn([...outline]);
  expect(limits(placement, role)).not.toEqual([]);
  const mended = withinLimits(placement, TEMPLATE, PLAIN_FEATURES, role);
  expect(limits(mended, role)).toEqual([]);
  const region = (of: Placement) => outlineOf(of, TEMPLATE).flatMap((shape) => shape.region);
  const [before, after] = [region(placement), region(mended)];
  // What is left was there before; something is left, and something is gone.
  expect(areaOf(subtractRegion(after, before))).toBeLessThan(0.1);
  expect(areaOf(after)).toBeLessThan(areaOf(before) - 1);
  expect(areaOf(after)).toBeGreaterThan(1);
});

test.each([
  ['contour', box(50, 26, 54, 32)],
  ['contour', box(-2, 12, 2, 20)],
  ['blush', box(44, 34, 50, 40)],
] as const)('%s that lies within its limits is left as it was', (role, outline) => {
  const placement = drawn([...outline]);
  expect(limits(placement, role)).toEqual([]);
  expect(withinLimits(placement, TEMPLATE, PLAIN_FEATURES, role)).toEqual(placement);
});

test('on the client’s right it is the same the other way round', () => {
  for (const [role, outline] of [
    ['contour', box(24, 30, 56, 44)],
    ['contour', box(40, 46, 58, 70)],
    ['blush', box(20, 0, 50, 24)],
  ] as const) {
    const area = (side: 'left' | 'right'): number =>
      outlineOf(withinLimits(drawn([...outline], side), TEMPLATE, PLAIN_FEATURES, role), TEMPLATE)
        .map(({ region }) => areaOf(region))
        .reduce((sum, one) => sum + one, 0);
    expect(area('right')).toBeCloseTo(area('left'), 2);
  }
});
