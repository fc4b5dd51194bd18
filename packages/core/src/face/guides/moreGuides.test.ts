import {
  areaOf,
  checkLimits,
  inferLandmarks,
  intersectRegions,
  outlineOf,
  PLAIN_FEATURES,
  type Lid,
  uniteOutlines,
  type Features,
  type GuideName,
  type Landmarks,
  type Region,
} from '..';

const regionOf = (
  guide: GuideName,
  landmarks: Landmarks,
  features: Features = PLAIN_FEATURES,
  side: 'left' | 'both' = 'left',
): Region => uniteOutlines(outlineOf({ guide, side }, landmarks, features).flatMap((s) => s.region));
const FACES = [
  {},
  { faceLength: 165, cheekboneWidth: 142 },
  { faceLength: 200, cheekboneWidth: 126 },
  { foreheadHeight: 40, faceLength: 178 },
  { foreheadHeight: 68, faceLength: 186 },
].map((m) => inferLandmarks(m));

test('light on the bone is clear of a lifted blush on every face', () => {
  for (const face of FACES) {
    const [light, blush] = [regionOf('cheekboneLight', face), regionOf('blushLifted', face)];
    expect(areaOf(light)).toBeGreaterThan(20);
    expect(areaOf(intersectRegions(light, blush)) / areaOf(light)).toBeLessThan(0.15);
  }
});

test('the more hooded the eye, the further above the fold colour goes; an open lid keeps to it', () => {
  const top = (guide: GuideName, lid: Lid) =>
    Math.min(
      ...regionOf(guide, FACES[0]!, { ...PLAIN_FEATURES, lids: { left: lid, right: 'open' } })
        .flat()
        .map(([, y]) => y),
    );
  const above = (lid: Lid) => top('lid', lid) - top('openLid', lid);
  expect(above('open')).toBeGreaterThan(0.3);
  expect(above('partly hooded')).toBeGreaterThan(above('open') + 1);
  expect(above('hooded')).toBeGreaterThan(above('partly hooded') + 1);
  // Without a crease nothing covers it, and it is seen as far up as on a hooded eye.
  expect(above('without a crease')).toBeGreaterThan(above('partly hooded') + 1);
});

test('the hairline contour is narrower on a small forehead and broader on a high one', () => {
  const depth = (face: Landmarks) => areaOf(regionOf('foreheadContour', face));
  expect(depth(FACES[3]!)).toBeLessThan(depth(FACES[0]!));
  expect(depth(FACES[4]!)).toBeGreaterThan(depth(FACES[0]!));
});

test('the nose shade runs from the brow beside the bridge and keeps its limits; marks lie where they are named', () => {
  for (const face of FACES) {
    expect(checkLimits({ guide: 'noseFromCrease', side: 'both' }, face)).toEqual([]);
    const shade = regionOf('noseFromCrease', face).flat();
    expect(Math.min(...shade.map(([, y]) => y))).toBeLessThan(face.nasion[1]);
    expect(Math.max(...shade.map(([, y]) => y))).toBeGreaterThan(face.nasion[1] + 8);
    const [mark] = outlineOf({ guide: 'foreheadPoint', side: 'both' }, face);
    expect(mark!.side).toBe('centre');
    for (const [x, y] of mark!.region.flat()) expect(Math.hypot(x, y - face.glabella[1])).toBeLessThan(4);
    for (const [, y] of regionOf('browPoints', face).flat()) expect(y).toBeLessThan(face.brow_inner_left[1]);
    expect(areaOf(regionOf('lowerLashes', face))).toBeGreaterThan(0.5);
  }
});
