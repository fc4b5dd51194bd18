import {
  areaOf,
  checkLimits,
  describePlacement,
  placeNames,
  placesSentence,
  faceModel,
  faceShape,
  GUIDE_NAMES,
  guideNamed,
  GUIDES,
  guides,
  inferLandmarks,
  intersectRegions,
  lineArt,
  outlineOf,
  placementArea,
  PLAIN_FEATURES,
  type Lid,
  subtractRegion,
  TEMPLATE,
  uniteOutlines,
  withinLimits,
  zoneArea,
  zoneOutline,
  ZONES,
  type GuideName,
  type Placement,
  type Region,
} from '.';
import { HAIR_STYLES } from './features';
import { EIGHT_FACES } from './face.testing';
import { isInside, mirror } from './point';

const LIMITED = [
  'cheekContour',
  'foreheadContour',
  'jawContour',
  'noseContour',
  'blushLifted',
  'blushFull',
] as const;

/** Area by counting cells, independent of the polygon arithmetic. */
function countedArea(region: Region, stepMm: number): number {
  let count = 0;
  for (let y = -140; y < 260; y += stepMm) {
    for (let x = -100; x < 100; x += stepMm) {
      const crossings = region.filter((polygon) => isInside([x + 0.013, y + 0.017], polygon)).length;
      if (crossings % 2) count++;
    }
  }
  return count * stepMm * stepMm;
}

test.each(Object.entries(EIGHT_FACES))('on the %s face every guide keeps every limit', (_, measurements) => {
  const landmarks = inferLandmarks(measurements);
  for (const guide of LIMITED) expect(checkLimits({ guide, side: 'both' }, landmarks)).toEqual([]);
});

test('every guide draws something on both sides, inside head and neck', () => {
  const landmarks = inferLandmarks(EIGHT_FACES.heart!);
  for (const guide of GUIDE_NAMES) {
    const shapes = outlineOf({ guide, side: 'both' }, landmarks);
    expect(shapes).toHaveLength(guideNamed(guide).central ? 1 : 2);
    for (const shape of shapes) expect(areaOf(shape.region)).toBeGreaterThan(3);
  }
});

test('a contour pulled forward breaks the pupil line, says so, and is brought back', () => {
  const long: Placement = { guide: 'cheekContour', side: 'both', params: { reach: 150 } };
  const breaches = checkLimits(long, TEMPLATE);
  expect(breaches.map((b) => b.limit)).toContain('pupil line');
  expect(breaches[0]!.message).toMatch(/^Client’s (left|right): .*mm over/);
  const mended = withinLimits(long, TEMPLATE);
  expect(checkLimits(mended, TEMPLATE)).toEqual([]);
});

test('a contour dropped too low is brought back and keeps its side', () => {
  const low: Placement = { guide: 'cheekContour', side: 'left', params: { liftMm: -12, reach: 130 } };
  expect(checkLimits(low, TEMPLATE).length).toBeGreaterThan(0);
  expect(checkLimits(low, TEMPLATE).every((b) => b.side === 'left')).toBe(true);
  expect(withinLimits(low, TEMPLATE)).toMatchObject({ guide: 'cheekContour', side: 'left' });
});

test('reach, lift and width do what they say', () => {
  const shape = (params: object) => outlineOf({ guide: 'cheekContour', side: 'left', params }, TEMPLATE)[0]!;
  const plain = shape({});
  expect(shape({ reach: 70 }).handles.reach![0]).toBeGreaterThan(plain.handles.reach![0]);
  expect(shape({ liftMm: 5 }).handles.liftMm![1]).toBeLessThan(plain.handles.liftMm![1]);
  expect(areaOf(shape({ width: 150 }).region)).toBeGreaterThan(areaOf(plain.region) * 1.2);
});

test('a long face gets a flatter cheek line than a round one', () => {
  const slope = (m: object): number => {
    const line = guides(inferLandmarks(m)).cheekLine.left;
    const [from, to] = [line[0]!, line[line.length - 1]!];
    return (to[1] - from[1]) / Math.abs(to[0] - from[0]);
  };
  expect(slope(EIGHT_FACES.long!)).toBeLessThan(slope(EIGHT_FACES.round!));
});

test.each(Object.keys(GUIDES))('%s mirrors exactly on a symmetric face', (guide) => {
  const [left, right] = outlineOf({ guide: guide as keyof typeof GUIDES, side: 'both' }, TEMPLATE);
  if (!right) return expect(left!.side).toBe('centre');
  expect(areaOf(left!.region)).toBeCloseTo(areaOf(right.region), 3);
  const mirrored = uniteOutlines(right.region.map((polygon) => polygon.map(mirror)));
  expect(areaOf(subtractRegion(left!.region, mirrored))).toBeLessThan(0.5);
});

test('areas agree with counting cells to two per cent', () => {
  const landmarks = inferLandmarks(EIGHT_FACES.triangle!);
  for (const zone of ['foreheadCentre', 'underEye', 'apple', 'chin', 'neck'] as const) {
    const counted = countedArea([zoneOutline(zone, landmarks)], 0.5) / 100;
    const sides = ZONES[zone].paired ? 2 : 1;
    expect(Math.abs(zoneArea(zone, landmarks) / ZONES[zone].curvature / sides / counted - 1)).toBeLessThan(
      0.02,
    );
  }
  const contour = outlineOf({ guide: 'cheekContour', side: 'left' }, landmarks)[0]!.region;
  expect(Math.abs(areaOf(contour) / countedArea(contour, 0.25) - 1)).toBeLessThan(0.02);
});

test.each([
  ['wholeFace', 193],
  ['foreheadCentre', 31],
  ['underEye', 3],
  ['apple', 5.9],
  ['mobileLid', 1.2],
  ['upperLip', 2.5],
  ['lowerLip', 3.8],
  ['neck', 74],
] as const)('the average %s measures about %d cm2 from the front', (zone, cm2) => {
  const front = zoneArea(zone, TEMPLATE) / ZONES[zone].curvature / (ZONES[zone].paired ? 2 : 1);
  expect(Math.abs(front / cm2 - 1)).toBeLessThan(0.06);
});

test('dose areas count both sides', () => {
  const both = placementArea({ guide: 'cheekContour', side: 'both' }, TEMPLATE);
  const one = placementArea({ guide: 'cheekContour', side: 'left' }, TEMPLATE);
  expect(both).toBeCloseTo(2 * one, 3);
});

test('outlines that mirror, touch or coincide survive the clipper', () => {
  const square: Region = [
    [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ],
  ];
  const backwards: Region = [[...square[0]!].reverse().map(mirror)];
  expect(areaOf(uniteOutlines([...square, ...backwards]))).toBeCloseTo(200, 6);
  expect(areaOf(uniteOutlines([...square, ...square]))).toBeCloseTo(100, 6);
  expect(areaOf(subtractRegion(square, square))).toBe(0);
  expect(
    areaOf(
      intersectRegions(square, [
        [
          [10, 0],
          [20, 0],
          [20, 10],
          [10, 10],
        ],
      ]),
    ),
  ).toBe(0);
});

test('face shapes are named with reasons, and doubt is said', () => {
  const name = (key: string): string => faceShape(inferLandmarks(EIGHT_FACES[key]!)).shape;
  expect([name('heart'), name('long'), name('triangle')]).toEqual(['heart', 'oblong', 'triangle']);
  const average = faceShape(TEMPLATE);
  expect(average.reasons).toHaveLength(2);
  expect(average.words).toBe(
    average.certainty >= 0.6 ? average.shape : `between ${average.shape} and ${average.second}`,
  );
});

test('placements are said aloud by the client’s side', () => {
  expect(describePlacement({ guide: 'cheekContour', side: 'left' })).toBe(
    'cheek contour, client’s left, from the ear towards the mouth corner, under the cheekbone',
  );
  expect(describePlacement({ guide: 'noseContour', side: 'both' })).toBe(
    'nose contour, two thin lines on top of the bridge, meeting under the tip',
  );
  expect(
    describePlacement({
      outline: [
        [0, 0],
        [1, 0],
        [1, 1],
      ],
      featherMm: 2,
      side: 'right',
    }),
  ).toBe('drawn by hand, client’s right');
});

test('places are named in a row, each once: in short, and as they lie on a face', () => {
  const both = (guide: GuideName) => ({ guide, side: 'both' as const });
  const places: readonly Placement[] = [
    both('zone.wholeFace'),
    both('zone.chin'),
    both('zone.chin'),
    { guide: 'zone.underEye', side: 'left' },
    { guide: 'zone.chin', side: 'right' },
    {
      outline: [
        [0, 0],
        [1, 0],
        [1, 1],
      ],
      featherMm: 2,
      side: 'right',
    },
  ];
  expect(placeNames(places)).toBe(
    'Whole face; chin; under eye, client’s left; drawn by hand, client’s right',
  );
  expect(placeNames(places.slice(1))).toBe('Chin; under eye, client’s left; drawn by hand, client’s right');
  // Only the neck would be said of a cream for face and neck.
  expect(placeNames([both('zone.wholeFace'), both('zone.neck')])).toBe('Whole face; neck');
  expect(placeNames([both('zone.wholeFace'), both('zone.wholeFace')])).toBe('');
  expect(placeNames([])).toBe('');
  const sentence = (...all: readonly Placement[]) => placesSentence(all, TEMPLATE, PLAIN_FEATURES);
  expect(sentence(both('zone.wholeFace'), both('zone.chin'), both('zone.chin'))).toBe(
    'Over the whole face; over the chin',
  );
  expect(sentence(both('cheekContour'))).toMatch(
    /^Cheek contour, both sides, from the ear .*, ends \d+ mm before the pupil line$/,
  );
  expect(sentence(places[5]!)).toBe('Drawn by hand, client’s right');
  expect(sentence()).toBe('');
});

test('a drawn outline goes through the warp and back unchanged on the canonical face', () => {
  const outline = [
    [30, 30],
    [40, 30],
    [40, 40],
    [30, 40],
  ] as const;
  const [left, right] = outlineOf({ outline, featherMm: 2, side: 'both' }, TEMPLATE);
  expect(areaOf(left!.region)).toBeCloseTo(100, 6);
  expect(right!.region[0]!.every(([x]) => x < 0)).toBe(true);
});

test('the crease sits lower on the hooded eye', () => {
  const face = faceModel(TEMPLATE, { ...PLAIN_FEATURES, lids: { left: 'hooded', right: 'open' } });
  const height = (side: 'left' | 'right'): number => Math.min(...face[side].crease.map(([, y]) => y));
  expect(height('left')).toBeGreaterThan(height('right') + 2);
});

test('a lid without a crease is drawn without one, and the other as it is', () => {
  const creases = (left: Lid, right: Lid): number => {
    const art = lineArt(TEMPLATE, { ...PLAIN_FEATURES, lids: { left, right } });
    return [...art.ground, ...art.lines].filter(({ part }) => part === 'crease' || part === 'fold shadow')
      .length;
  };
  const none = 'without a crease';
  expect([creases(none, none), creases(none, 'open'), creases('open', 'open')]).toEqual([0, 1, 2]);
  expect(creases('hooded', none)).toBe(creases('hooded', 'hooded') / 2);
});

test.each(HAIR_STYLES)('the drawing with hair %s is sound and under 70 kB', (hair) => {
  const art = lineArt(inferLandmarks(EIGHT_FACES.round!), { ...PLAIN_FEATURES, hair });
  const all = [...art.ground, ...art.lines];
  expect(all.map((ink) => ink.d).join('')).toMatch(/^[Mlz\d\s.,-]+$/);
  expect(all.reduce((sum, ink) => sum + ink.d.length, 0)).toBeLessThan(70_000);
});
