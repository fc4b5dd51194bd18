import * as fc from 'fast-check';
import {
  contrastRatio,
  hexToSrgb,
  labToSrgb,
  over,
  relativeLuminance,
  skinByZone,
  type Lab,
} from '../colour';
import { lineArt } from './lineArt';
import { TEMPLATE } from './landmarks';
import {
  GUIDE_INKS,
  LINE_INKS,
  generalSkin,
  PATTERN_STRENGTH,
  patternInk,
  skinInks,
  skinSpots,
} from './skinDrawing';

// Every skin there is and some there is not: lightness 15 to 92, any undertone.
const skins = fc.tuple(
  fc.double({ min: 15, max: 92, noNaN: true }),
  fc.double({ min: -2, max: 26, noNaN: true }),
  fc.double({ min: -2, max: 34, noNaN: true }),
);
const toHex = (lab: Lab): string =>
  `#${labToSrgb(lab)
    .map((x) =>
      Math.round(x * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

test.each([
  // Published pairs: black on white, the same twice, and two greys of the WCAG's own understanding page.
  ['#000000', '#ffffff', 21],
  ['#777777', '#777777', 1],
  ['#777777', '#ffffff', 4.48],
  ['#767676', '#ffffff', 4.54],
  ['#ff0000', '#ffffff', 4.0],
] as const)('the contrast of %s and %s is %d', (a, b, ratio) => {
  expect(contrastRatio(hexToSrgb(a), hexToSrgb(b))).toBeCloseTo(ratio, 1);
  expect(contrastRatio(hexToSrgb(b), hexToSrgb(a))).toBeCloseTo(ratio, 1);
});

test('luminance runs from 0 for black to 1 for white', () => {
  expect(relativeLuminance([0, 0, 0])).toBe(0);
  expect(relativeLuminance([1, 1, 1])).toBeCloseTo(1, 10);
});

describe('on her own skin', () => {
  test('one flat skin: lines and guides keep 3:1 on any, fair to deep', () => {
    fc.assert(
      fc.property(skins, (lab) => {
        const inks = skinInks({ cheek: lab })!;
        const ground = labToSrgb(lab);
        expect(contrastRatio(hexToSrgb(inks.ink), ground)).toBeGreaterThanOrEqual(3);
        expect(contrastRatio(hexToSrgb(inks.chalk), ground)).toBeGreaterThanOrEqual(3);
      }),
      { numRuns: 3000 },
    );
  });

  // Over the depths a face can have, in steps of a third, all zones of a made-up face at once.
  test.each(Array.from({ length: 55 }, (_, i) => 18 + i * 1.35))(
    'all zones of a face of L* %d keep 3:1 with the lines and guides chosen for it',
    (L) => {
      const skin = skinByZone([L, 11, 15]);
      const inks = skinInks(skin)!;
      for (const lab of Object.values(skin))
        for (const ink of [inks.ink, inks.chalk])
          expect(contrastRatio(hexToSrgb(ink), labToSrgb(lab))).toBeGreaterThanOrEqual(3);
    },
  );

  test('fair skin is drawn in ink, deep skin in chalk', () => {
    expect(skinInks({ cheek: [72, 10, 16] })).toMatchObject({ ink: LINE_INKS[0], chalk: GUIDE_INKS[0] });
    expect(skinInks({ cheek: [28, 10, 12] })).toMatchObject({ ink: LINE_INKS[1], chalk: GUIDE_INKS[1] });
  });

  test('a pattern keeps 3:1 on its layer, whatever is laid on whatever skin', () => {
    fc.assert(
      fc.property(skins, skins, fc.constantFrom(0.06, 0.18, 0.62, 0.85), (skin, fill, strength) => {
        const [under, laid] = [toHex(skin), toHex(fill)];
        const ground = over(hexToSrgb(laid), hexToSrgb(under), strength);
        const drawn = over(hexToSrgb(patternInk(under, laid, strength)), ground, PATTERN_STRENGTH);
        expect(contrastRatio(drawn, ground)).toBeGreaterThanOrEqual(3);
      }),
      { numRuns: 3000 },
    );
  });

  test('nothing read, nothing to draw on; what was read of the face counts before neck and chest', () => {
    expect(skinInks({})).toBeNull();
    expect(generalSkin({})).toBeNull();
    expect(skinSpots({}, TEMPLATE)).toEqual([]);
    expect(generalSkin({ cheek: [60, 12, 16], chin: [50, 8, 12], neck: [80, 0, 0] })).toEqual([55, 10, 14]);
    expect(generalSkin({ neck: [64, 8, 16] })).toEqual([64, 8, 16]);
    expect(skinInks({ cheek: [60, 12, 16], neck: [70, 8, 16] })!.neck).toBe(toHex([70, 8, 16]));
  });

  test('each read zone lies where it is, paired ones on both sides, in its own colour', () => {
    const skin = skinByZone([50, 12, 18]);
    const spots = skinSpots(skin, TEMPLATE);
    expect(spots.map((s) => s.zone).sort()).toEqual(
      [
        'cheek',
        'cheek',
        'chin',
        'decollete',
        'forehead',
        'mouthSide',
        'mouthSide',
        'underEye',
        'underEye',
      ].sort(),
    );
    const [left, top, width, height] = lineArt(TEMPLATE).viewBox;
    for (const { zone, at, radii, colour } of spots) {
      expect(colour).toBe(toHex(skin[zone]));
      expect(Math.min(...radii)).toBeGreaterThan(4);
      expect(at[0] - radii[0]).toBeGreaterThan(left);
      expect(at[0] + radii[0]).toBeLessThan(left + width);
      expect(at[1]).toBeGreaterThan(top);
      expect(at[1]).toBeLessThan(top + height);
    }
    const cheeks = spots.filter((s) => s.zone === 'cheek').map((s) => s.at[0]);
    expect(Math.sign(cheeks[0]!)).toBe(-Math.sign(cheeks[1]!));
  });
});
