import {
  areaOf,
  checkLimits,
  effectOf,
  EFFECTS,
  effectsFor,
  faceModel,
  GUIDE_PARAMETERS,
  guideNamed,
  GUIDES,
  inferLandmarks,
  insetBox,
  INSETS,
  intersectRegions,
  LAYER_KINDS,
  lineArt,
  mirroredOutline,
  outlineOf,
  PLAIN_FEATURES,
  speakPlacement,
  usualPlacements,
  symmetryOf,
  TEMPLATE,
  distanceToGuide,
  type GuideParameter,
  type LayerKind,
  type Placement,
  type Point,
} from '.';
import { inAnotherLanguage } from '../messages/messages.testing';
import { faded } from './guides';
import { EIGHT_FACES } from './face.testing';
import { HAIR_STYLES } from './features';
import { withEyesClosed } from './faceModel';

const square = (x: number, y: number, half: number): Point[] => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];
const drawn = (outline: readonly Point[], side: 'left' | 'right' | 'both' = 'both'): Placement => ({
  outline,
  featherMm: 2,
  side,
});
const total = (placement: Placement, landmarks = TEMPLATE): number =>
  outlineOf(placement, landmarks).reduce((sum, s) => sum + areaOf(s.region), 0);

test.each(Object.keys(GUIDES) as (keyof typeof GUIDES)[])(
  'every parameter of %s does something, and has a handle that moves with it or a place of its own',
  (guide) => {
    for (const name of guideNamed(guide).adjustable as readonly GuideParameter[]) {
      const spec = GUIDE_PARAMETERS[name];
      const at = (value: number) =>
        outlineOf({ guide, side: 'left', params: { [name]: value } }, TEMPLATE)[0]!;
      const [low, high] = [at(spec.initial - 4 * spec.step), at(spec.initial + 4 * spec.step)];
      expect(JSON.stringify([low.region, low.fade])).not.toBe(JSON.stringify([high.region, high.fade]));
      expect({ name, handle: high.handles[name] }).toEqual({
        name,
        handle: [expect.any(Number), expect.any(Number)],
      });
    }
  },
);

test('a fade of nothing is even, a full one the guide’s own, a double one loses twice', () => {
  expect(faded([1, 0.35], 0)).toEqual([1, 1]);
  expect(faded([1, 0.35], 100)[1]).toBeCloseTo(0.35, 12);
  expect(faded([0.6, 1], 200)[0]).toBeCloseTo(0.2, 12);
  expect(faded([1, 0.35], 200)[1]).toBe(0);
});

test('every kind can be placed, and every effect keeps the limits of every face', () => {
  for (const kind of LAYER_KINDS) {
    if (kind !== 'base')
      expect(
        effectsFor(kind).length + Object.values(GUIDES).filter((g) => g.kind === kind).length,
      ).toBeGreaterThan(0);
  }
  for (const measurements of Object.values(EIGHT_FACES)) {
    const landmarks = inferLandmarks(measurements);
    for (const { name, placements } of EFFECTS)
      for (const placement of placements)
        expect({ name, breaches: checkLimits(placement, landmarks) }).toEqual({ name, breaches: [] });
  }
});

test('effects warn where the face speaks against them', () => {
  const mind = (kind: 'blush' | 'conceal', name: string, features: object) =>
    effectsFor(kind)
      .find((e) => e.name === name)!
      .mind({ ...PLAIN_FEATURES, ...features });
  expect(mind('blush', 'fuller', { age: 'mature' })).toContain('lift');
  expect(mind('blush', 'fuller', {})).toBeNull();
  expect(mind('conceal', 'lift', { lines: ['crow’s feet'] })).toContain('comma');
  expect(effectOf('lip', [{ guide: 'lips', side: 'both' }])?.name).toBe('natural');
  expect(effectOf('lip', [{ guide: 'lips', side: 'left' }])).toBeNull();
  expect(
    effectOf('blush', [{ side: 'both', guide: 'blushLifted', params: { width: 100, liftMm: 1 } }])?.name,
  ).toBe('lift');
  for (const effect of EFFECTS) expect(effectOf(effect.kind, effect.placements)).toBe(effect);
});

test('lips go over the line in the middle and stay on it at the corners', () => {
  const box = (params: object) => {
    const points = outlineOf({ guide: 'lips', side: 'both', params }, TEMPLATE)[0]!.region.flat();
    return {
      top: Math.min(...points.map(([, y]) => y)),
      left: Math.min(...points.map(([x]) => x)),
      bottom: Math.max(...points.map(([, y]) => y)),
    };
  };
  const [plain, over] = [box({}), box({ upperMm: 1, lowerMm: 1 })];
  expect(plain.top - over.top).toBeGreaterThan(0.7);
  expect(over.bottom - plain.bottom).toBeCloseTo(1, 1);
  expect(over.left).toBeCloseTo(plain.left, 3);
});

test('the liner starts nearer the nose when asked and never falls at its end', () => {
  const end = (params: object) => outlineOf({ guide: 'liner', side: 'left', params }, TEMPLATE)[0]!.line!;
  expect(end({ start: -40 })[0]![0]).toBeLessThan(end({})[0]![0] - 6);
  const line = end({ liftMm: -12 });
  expect(line[line.length - 1]![1]).toBeLessThan(line[line.length - 3]![1]);
});

test('hooded lids get their socket above the fold', () => {
  const top = (lids: 'open' | 'hooded') =>
    Math.min(
      ...outlineOf({ guide: 'socket', side: 'left' }, TEMPLATE, {
        ...PLAIN_FEATURES,
        lids: { left: lids, right: 'open' },
      })[0]!.line!.map(([, y]) => y),
    );
  const fold = Math.min(
    ...faceModel(TEMPLATE, { ...PLAIN_FEATURES, lids: { left: 'hooded', right: 'open' } }).left.crease.map(
      ([, y]) => y,
    ),
  );
  expect(top('hooded')).toBeLessThan(fold - 3);
});

test('with the eyes closed the lid is larger and its lashes lie lower; the rest stays', () => {
  const area = (eyes: 'open' | 'closed') =>
    outlineOf({ guide: 'lid', side: 'left' }, TEMPLATE, PLAIN_FEATURES, eyes)[0]!;
  expect(areaOf(area('closed').region)).toBeGreaterThan(areaOf(area('open').region) * 1.5);
  expect(withEyesClosed(faceModel(TEMPLATE)).left.upperLid[10]![1]).toBeGreaterThan(
    faceModel(TEMPLATE).left.upperLid[10]![1],
  );
  expect(outlineOf({ guide: 'blushFull', side: 'left' }, TEMPLATE, PLAIN_FEATURES, 'closed')).toEqual(
    outlineOf({ guide: 'blushFull', side: 'left' }, TEMPLATE),
  );
  const parts = (eyes: 'open' | 'closed') =>
    lineArt(TEMPLATE, PLAIN_FEATURES, eyes).lines.map((ink) => ink.part);
  expect(parts('closed')).not.toContain('iris');
  expect(parts('open')).toContain('iris');
});

test('insets hold what they show', () => {
  const landmarks = inferLandmarks(EIGHT_FACES.long!);
  for (const inset of INSETS) {
    const [x, y, w, h] = insetBox(inset, landmarks);
    const name = inset === 'lips' ? 'mouth_corner_left' : inset === 'left eye' ? 'pupil_left' : 'pupil_right';
    expect(landmarks[name][0]).toBeGreaterThan(x + 4);
    expect(landmarks[name][0]).toBeLessThan(x + w - 4);
    expect(landmarks[name][1]).toBeGreaterThan(y);
    expect(landmarks[name][1]).toBeLessThan(y + h);
  }
});

test.each(HAIR_STYLES)('with %s hair and every line the drawing stays under 60 kB of path data', (hair) => {
  const features = {
    ...PLAIN_FEATURES,
    hair,
    beard: true,
    lines: ['forehead', 'between brows', 'crow’s feet', 'under eye', 'smile', 'lip'] as const,
  };
  for (const measurements of Object.values(EIGHT_FACES)) {
    const art = lineArt(inferLandmarks(measurements), { ...features, lines: [...features.lines] });
    expect([...art.ground, ...art.lines].reduce((sum, ink) => sum + ink.d.length, 0)).toBeLessThan(60_000);
  }
});

test('what is wiped off is gone, on the side where it was wiped only', () => {
  const cheek: Placement = { guide: 'blushFull', side: 'both' };
  const [left, right] = outlineOf(cheek, TEMPLATE).map((s) => areaOf(s.region));
  const wiped = outlineOf({ ...cheek, without: [square(44, 34, 6)] }, TEMPLATE).map((s) => areaOf(s.region));
  expect(left! - wiped[0]!).toBeGreaterThan(40);
  expect(wiped[1]).toBeCloseTo(right!, 6);
  const both = total({ ...cheek, without: [square(44, 34, 6), mirroredOutline(square(44, 34, 6))] });
  expect(both).toBeCloseTo(2 * wiped[0]!, 1);
});

test('a drawn shape lies on the side it says, mirrored exactly on a symmetric face, and comes back from another face', () => {
  const one = outlineOf(drawn(square(40, 30, 5), 'right'), TEMPLATE)[0]!;
  expect(one.side).toBe('right');
  expect(Math.max(...one.region.flat().map(([x]) => x))).toBeLessThan(0);
  expect(total(drawn(square(40, 30, 5)))).toBeCloseTo(2 * total(drawn(square(40, 30, 5), 'left')), 6);
  const carried = outlineOf(drawn(square(40, 30, 5), 'left'), inferLandmarks(EIGHT_FACES.round!))[0]!;
  expect(areaOf(carried.region)).toBeGreaterThan(80);
});

test('two touching mirrored shapes across the midline stay one region', () => {
  const [left, right] = outlineOf(drawn(square(5, 90, 5)), TEMPLATE);
  expect(areaOf(intersectRegions(left!.region, right!.region))).toBeLessThan(0.01);
  expect(areaOf(left!.region)).toBeCloseTo(100, 1);
});

test('a hand-drawn contour is held to the limits of where it lies', () => {
  const breach = (outline: readonly Point[]) =>
    checkLimits(drawn(outline, 'left'), TEMPLATE, PLAIN_FEATURES, 'contour').map((b) => b.limit);
  expect(breach(square(36, 40, 6))).toContain('pupil line');
  expect(breach(square(52, 62, 4))).toContain('mouth height');
  expect(breach(square(8, 14, 4))).toEqual(['bridge']);
  expect(breach(square(0, -50, 8))).toEqual(['free triangle']);
  expect(breach(square(52, 30, 4))).toEqual([]);
  expect(checkLimits(drawn(square(8, 14, 4)), TEMPLATE, PLAIN_FEATURES, 'blush').map((b) => b.limit)).toEqual(
    [],
  );
});

test('left against right: nothing on a symmetric face, the shift when one side is moved', () => {
  const face = faceModel(TEMPLATE);
  const region = (params: object, side: 'left' | 'right') =>
    outlineOf({ guide: 'blushLifted', side, params }, TEMPLATE)[0]!.region;
  expect(symmetryOf(region({}, 'left'), region({}, 'right'), face)!.meanMm).toBeLessThan(0.05);
  const moved = symmetryOf(region({}, 'left'), region({ liftMm: 5 }, 'right'), face)!;
  expect(moved.meanMm).toBeGreaterThan(1.5);
  expect(moved.largestMm).toBeGreaterThanOrEqual(moved.meanMm);
  expect(symmetryOf([], region({}, 'right'), face)).toBeNull();
});

test('distance to the guide is that of the stroke’s centreline', () => {
  const line = outlineOf({ guide: 'cheekContour', side: 'left' }, TEMPLATE)[0]!.line!;
  const along = (down: number): Placement => ({
    ...drawn(square(50, 30, 3), 'left'),
    stroke: line.filter((_, i) => i % 5 === 0).map(([x, y]): [number, number, number] => [x, y + down, 3]),
  });
  expect(distanceToGuide(along(0), 'contour', TEMPLATE)!).toBeLessThan(0.1);
  expect(distanceToGuide(along(8), 'contour', TEMPLATE)!).toBeGreaterThan(3);
  expect(distanceToGuide({ guide: 'cheekContour', side: 'both' }, 'contour', TEMPLATE)).toBeNull();
});

test('a new layer goes where it looks natural where there is such a place, in whatever language', () => {
  const natural = (kind: LayerKind) => effectsFor(kind).find(({ name }) => name === 'natural');
  const usual = LAYER_KINDS.map((kind) => usualPlacements(kind));
  LAYER_KINDS.forEach((kind, i) =>
    expect(usual[i]).toEqual((natural(kind) ?? effectsFor(kind)[0])?.placements ?? []),
  );
  expect(LAYER_KINDS.filter(natural).length).toBeGreaterThan(5);
  expect(inAnotherLanguage(() => LAYER_KINDS.map((kind) => usualPlacements(kind)))).toEqual(usual);
});

test('a placement is said so that it can be repeated unseen', () => {
  const contour = speakPlacement({ guide: 'cheekContour', side: 'left', params: { liftMm: 2 } }, TEMPLATE);
  expect(contour).toMatch(
    /^cheek contour, client’s left, from the ear towards the mouth corner, under the cheekbone, ends \d+ mm before the pupil line, lift 2 mm, \d+\.\d cm²$/,
  );
  expect(speakPlacement(drawn(square(37, 34, 6), 'right'), TEMPLATE)).toMatch(
    /^drawn by hand, client’s right, mostly on the apple of the cheek, \d/,
  );
  expect(speakPlacement({ guide: 'lips', side: 'both', without: [square(0, 60, 1)] }, TEMPLATE)).toContain(
    'partly wiped off',
  );
});
