import {
  DRY_ZONES,
  drynessInWords,
  dryPatches,
  featuresOn,
  isDryAt,
  PLAIN_FEATURES,
  sidesWhere,
  type Features,
} from '.';

test.each(DRY_ZONES)('at the %s skin is dry where that is noted, or all over', (zone) => {
  const elsewhere = DRY_ZONES.filter((one) => one !== zone);
  expect(isDryAt({ dry: false }, zone)).toBe(false);
  expect(isDryAt({ dry: false, dryZones: elsewhere }, zone)).toBe(false);
  expect(isDryAt({ dry: false, dryZones: [zone] }, zone)).toBe(true);
  expect(isDryAt({ dry: true }, zone)).toBe(true);
  expect(isDryAt({ dry: true, dryZones: elsewhere }, zone)).toBe(true);
});

test.each([
  [{ dry: false }, [], null],
  [{ dry: false, dryZones: [] }, [], null],
  [{ dry: false, dryZones: ['chin'] }, ['chin'], 'dry chin'],
  [{ dry: false, dryZones: ['chin', 'cheeks'] }, ['chin', 'cheeks'], 'dry chin and cheeks'],
  [{ dry: true }, [], 'dry skin'],
  // All over it is nowhere in particular.
  [{ dry: true, dryZones: ['chin'] }, [], 'dry skin'],
] as [Pick<Features, 'dry' | 'dryZones'>, string[], string | null][])(
  '%j is dry at %j: %s',
  (noted, patches, words) => {
    expect(dryPatches(noted)).toEqual(patches);
    expect(drynessInWords(noted)).toBe(words);
  },
);

test('what is noted of the right holds there alone, all else on both sides', () => {
  const features: Features = {
    ...PLAIN_FEATURES,
    texture: 'textured',
    narrowTemples: true,
    right: { texture: 'smooth', lines: ['lip'] },
  };
  expect(featuresOn('left', features)).toBe(features);
  expect(featuresOn('right', features)).toMatchObject({
    texture: 'smooth',
    lines: ['lip'],
    narrowTemples: true,
  });
  expect(featuresOn('right', features)).toBe(featuresOn('right', features));
  expect(featuresOn('right', PLAIN_FEATURES)).toBe(PLAIN_FEATURES);
  expect(sidesWhere(features, ({ narrowTemples }) => narrowTemples)).toEqual(['left', 'right']);
  expect(sidesWhere(features, ({ texture }) => texture === 'textured')).toEqual(['left']);
  expect(sidesWhere(features, ({ lines }) => lines.includes('lip'))).toEqual(['right']);
  expect(sidesWhere(features, ({ beard }) => beard)).toEqual([]);
});
