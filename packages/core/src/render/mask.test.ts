import fc from 'fast-check';
import { isInside, uniteOutlines, type PlacedShape, type Point, type Polygon } from '../face';
import { frameOf, maskOf, maskOfShape, type Frame, type Mask } from '.';

const frame = frameOf([-10, 5, 40, 30], 80);
/** Coverage at a pixel of the picture; none outside of the mask. */
const coverAt = (mask: Mask | null, x: number, y: number): number =>
  mask && x >= mask.x && x < mask.x + mask.width && y >= mask.y && y < mask.y + mask.height
    ? mask.cover[mask.width * (y - mask.y) + (x - mask.x)]!
    : 0;
const box = (left: number, top: number, right: number, bottom: number): Polygon => [
  [left, top],
  [right, top],
  [right, bottom],
  [left, bottom],
];

test('a frame has whole pixels, as high as its mm ask for', () => {
  expect(frame).toEqual({ width: 80, height: 60, leftMm: -10, topMm: 5, pixelsPerMm: 2 });
  expect(frameOf([0, 0, 30, 10.2], 100).height).toBe(34);
});

test('a pixel is covered by as much as lies in it, wherever the outline leaves the picture', () => {
  const corner = fc.tuple(
    fc.double({ min: -20, max: 40, noNaN: true }),
    fc.double({ min: -4, max: 44, noNaN: true }),
  );
  const SAMPLES = 8;
  fc.assert(
    fc.property(fc.array(corner, { minLength: 3, maxLength: 6 }), (corners) => {
      const region = uniteOutlines([corners]);
      const mask = maskOf(region, 0, frame);
      for (let y = 0; y < frame.height; y += 3)
        for (let x = 0; x < frame.width; x += 3) {
          let inside = 0;
          for (let i = 0; i < SAMPLES; i++)
            for (let j = 0; j < SAMPLES; j++) {
              const p: Point = [
                frame.leftMm + (x + (i + 0.5) / SAMPLES) / 2,
                frame.topMm + (y + (j + 0.5) / SAMPLES) / 2,
              ];
              // A hole lies in the outline it is cut from: inside of two is outside.
              if (region.filter((polygon) => isInside(p, polygon)).length % 2 === 1) inside++;
            }
          expect(Math.abs(coverAt(mask, x, y) - inside / SAMPLES ** 2)).toBeLessThan(0.17);
        }
    }),
    { numRuns: 60, seed: 8 },
  );
});

test('by halves and quarters of pixels it is exact, on either side of any edge of the picture', () => {
  const area = (...sides: [number, number, number, number]): number =>
    [...(maskOf([box(...sides)], 0, frame)?.cover ?? [])].reduce((sum, v) => sum + v, 0) / 4;
  expect(area(0, 10, 5.25, 12.5)).toBeCloseTo(5.25 * 2.5, 5);
  // Ten mm of each hang out: left, right, above, below.
  expect(area(-20, 10, -5, 15)).toBeCloseTo(25, 4);
  expect(area(25, 10, 40, 15)).toBeCloseTo(25, 4);
  expect(area(0, -5, 5, 10)).toBeCloseTo(25, 4);
  expect(area(0, 30, 5, 45)).toBeCloseTo(25, 4);
  expect(area(-90, -90, 90, 90)).toBeCloseTo(40 * 30, 2);
  for (const out of [box(-40, 10, -20, 15), box(40, 10, 50, 15), box(0, -9, 5, -3), box(0, 40, 5, 50)])
    expect(maskOf([out], 0, frame)).toBeNull();
});

test('an edge of so many mm is half covered where it was sharp, and as much is gained as is lost', () => {
  const wide = frameOf([0, 0, 100, 60], 200);
  const region = [box(30, -40, 70, 100)];
  for (const feather of [3, 6, 12]) {
    const mask = maskOf(region, feather, wide);
    const at = (mm: number): number => coverAt(mask, Math.floor(2 * (30 + mm)), 60);
    expect((at(-0.25) + at(0.25)) / 2).toBeCloseTo(0.5, 2);
    for (let mm = 0.25; mm < 12; mm += 0.5) expect(at(mm) + at(-mm)).toBeCloseTo(1, 4);
    // All of it within the edge's mm on either side, and plainly soft within half of them.
    expect(at(feather + 1)).toBeGreaterThan(0.999);
    expect(at(-feather - 1)).toBeLessThan(0.001);
    expect(at(-feather / 3)).toBeGreaterThan(0.08);
    expect(at(-feather / 3)).toBeLessThan(0.32);
    const row = Array.from({ length: 200 }, (_, x) => coverAt(mask, x, 60));
    expect(row.slice(0, 80)).toEqual([...row.slice(0, 80)].sort((a, b) => a - b));
    expect(row.reduce((sum, v) => sum + v, 0)).toBeCloseTo(80, 2);
  }
  // Up and down as left and right.
  const flat = maskOf([box(-40, 20, 140, 40)], 6, wide);
  const upright = maskOf([box(20, -40, 40, 140)], 6, wide);
  for (let i = 0; i < 110; i += 5) expect(coverAt(flat, 100, i)).toBeCloseTo(coverAt(upright, i, 60), 4);
});

describe('where a line fades', () => {
  const field: Frame = frameOf([0, 0, 40, 20], 160);
  const shape = (line: readonly Point[] | null, fade: readonly [number, number]): PlacedShape => ({
    side: 'left',
    region: [box(2, 2, 38, 18)],
    line,
    handles: {},
    featherMm: 0,
    fade,
  });
  const at = (mask: Mask | null, x: number, y: number): number =>
    coverAt(mask, Math.floor(4 * x), Math.floor(4 * y));
  const LINE: Point[] = [
    [5, 10],
    [35, 10],
  ];

  test('there is least at its end, as much between as it is along, and no more beyond', () => {
    const mask = maskOfShape(shape(LINE, [1, 0.2]), field);
    for (const y of [3, 10, 17])
      for (const [x, share] of [
        [3, 0],
        [5, 0],
        [12.5, 0.25],
        [20, 0.5],
        [27.5, 0.75],
        [35, 1],
        [37, 1],
      ] as const)
        expect(at(mask, x, y)).toBeCloseTo(1 - 0.8 * share, 1);
    const back = maskOfShape(shape([...LINE].reverse(), [0.4, 1]), field);
    expect(at(back, 35, 10)).toBeCloseTo(0.4, 1);
    expect(at(back, 5, 10)).toBeCloseTo(1, 1);
  });

  test('along a bent line it is by the nearest place of it, a point said twice changing nothing', () => {
    const bent: Point[] = [
      [5, 5],
      [25, 5],
      [25, 15],
      [35, 15],
    ];
    const twice: Point[] = [bent[0]!, bent[1]!, bent[1]!, bent[2]!, bent[3]!];
    const [once, again] = [maskOfShape(shape(bent, [0, 1]), field), maskOfShape(shape(twice, [0, 1]), field)];
    // Forty mm long: ten, then twenty-five, then thirty-five along.
    expect(at(once, 15, 4)).toBeCloseTo(0.25, 1);
    expect(at(once, 26, 10)).toBeCloseTo(0.625, 1);
    expect(at(once, 30, 16)).toBeCloseTo(0.875, 1);
    expect([...once!.cover]).toEqual([...again!.cover]);
  });

  test('without a line, with a point for one, or fading nowhere it is covered evenly', () => {
    for (const made of [shape(null, [1, 0.2]), shape([[5, 10]], [1, 0.2]), shape(LINE, [1, 1])]) {
      const mask = maskOfShape(made, field);
      expect([at(mask, 3, 10), at(mask, 37, 10)]).toEqual([1, 1]);
    }
    for (const fade of [
      [0.5, 1],
      [1, 0.5],
      [0.5, 0.5],
    ] as const)
      expect(at(maskOfShape(shape(LINE, fade), field), 20, 10)).toBeLessThan(0.8);
    expect(maskOfShape({ ...shape(LINE, [0, 1]), region: [box(90, 90, 95, 95)] }, field)).toBeNull();
  });
});
