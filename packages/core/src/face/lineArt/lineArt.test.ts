import * as fc from 'fast-check';
import { anyFace } from '../face.testing';
import {
  BROWS,
  EYE_SHAPES,
  HAIR_STYLES,
  inferLandmarks,
  lineArt,
  LINES,
  LIDS,
  NOSES,
  PLAIN_FEATURES,
  TEMPLATE,
  type Features,
  type Landmarks,
} from '..';
import type { Ink, InkFill } from './ink';

type Extent = readonly [left: number, top: number, right: number, bottom: number];

/** The places a path goes through, in mm, read as an SVG reader does. */
function placesOf({ d }: Ink): [number, number][] {
  const places: [number, number][] = [];
  for (const outline of d.split('M').slice(1)) {
    const numbers = (outline.match(/-?(?:\d+\.?\d*|\.\d+)/g) ?? []).map(Number);
    let [x, y] = [0, 0];
    for (let i = 0; i + 1 < numbers.length; i += 2) {
      // The first is where it begins, the others are so far from the one before.
      [x, y] = i === 0 ? [numbers[0]!, numbers[1]!] : [x + numbers[i]!, y + numbers[i + 1]!];
      places.push([x, y]);
    }
  }
  return places;
}
function extentOf(inks: readonly Ink[]): Extent {
  const places = inks.flatMap(placesOf);
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}
const drawn = (features: Partial<Features> = {}, face: Landmarks = TEMPLATE): readonly Ink[] => {
  const { ground, lines } = lineArt(face, { ...PLAIN_FEATURES, ...features });
  return [...ground, ...lines];
};
const EVERY: readonly Partial<Features>[] = [
  ...HAIR_STYLES.map((hair) => ({ hair })),
  ...NOSES.map((nose) => ({ nose })),
  ...EYE_SHAPES.map((eyes) => ({ eyes })),
  ...BROWS.map((brows) => ({ brows })),
  ...LIDS.map((lid) => ({ lids: { left: lid, right: lid } })),
  ...LINES.map((line) => ({ lines: [line] })),
  { beard: true },
  { lipEdge: 'blurred' },
  { lashes: 'extensions' },
];
const FILLS: readonly InkFill[] = [
  'ink',
  'skin',
  'shade',
  'hair',
  'sheen',
  'cloth',
  'lip',
  'eyeWhite',
  'iris',
  'pupil',
  'catchlight',
];
/** What a path's outlines hold, mm2. */
const areaIn = (ink: Ink): number =>
  ink.d
    .split('M')
    .slice(1)
    .map((outline) => placesOf({ ...ink, d: `M${outline}` }))
    .reduce((sum, places) => {
      const twice = places.reduce((part, [x, y], i) => {
        const [x2, y2] = places[(i + 1) % places.length]!;
        return part + x * y2 - x2 * y;
      }, 0);
      return sum + Math.abs(twice) / 2;
    }, 0);
const HAIR_PARTS = /hair|strand|knot|plait|rows|coil|crop|scarf|fold/;

test.each(EVERY)(
  'with %j every line goes through real places, as wide and strong as can be seen',
  (features) => {
    for (const ink of drawn(features)) {
      expect([ink.part, ink.d]).toEqual([ink.part, expect.stringMatching(/^(M[^A-Za-z]+l[^A-Za-z]+z)+$/)]);
      expect(ink.part).not.toBe('');
      expect(ink.opacity).toBeGreaterThan(0);
      expect(ink.opacity).toBeLessThanOrEqual(1);
      expect(placesOf(ink).length).toBeGreaterThan(2);
      expect(FILLS).toContain(ink.fill);
      expect([ink.part, areaIn(ink) > 0.03]).toEqual([ink.part, true]);
    }
  },
);

test('so it is on any face', () => {
  fc.assert(
    fc.property(anyFace, fc.constantFrom(...EVERY), (measured, features) => {
      for (const { part, d } of drawn(features, inferLandmarks(measured)))
        expect([part, /NaN|Infinity|undefined/.test(d)]).toEqual([part, false]);
    }),
    { numRuns: 25 },
  );
});

test.each(EVERY.filter((one) => !('hair' in one)))(
  'with %j one half of the face is the other turned over',
  (features) => {
    const boxes = drawn(features)
      .filter(({ part }) => !HAIR_PARTS.test(part))
      .map((ink) => ({ ink, box: extentOf([ink]) }))
      // Light falls from one side.
      .filter(({ ink }) => ink.part !== 'catchlight');
    for (const { ink, box } of boxes) {
      const [left, top, right, bottom] = box;
      const turned: Extent = [-right, top, -left, bottom];
      const apart = Math.min(
        ...boxes
          .filter((other) => other.ink.part === ink.part && other.ink.fill === ink.fill)
          .map((other) => Math.max(...other.box.map((v, i) => Math.abs(v - turned[i]!)))),
      );
      expect([ink.part, apart < 0.35]).toEqual([ink.part, true]);
    }
  },
);

/** Where each part lies on the plain face, of those on both sides the client's left: mm. */
const PARTS: Readonly<Record<string, readonly Extent[]>> = {
  knot: [
    [-21, -138, 21, -110],
    [-21, -138, 21, -110],
    [-16, -139, 16, -131],
    [-16, -133, 16, -127],
    [-16, -128, 16, -123],
  ],
  neck: [
    [-206, 66, 206, 280],
    [42, 66, 206, 195],
  ],
  'neck shadow': [[-46, 72, 46, 119]],
  collarbone: [
    [11, 177, 78, 182],
    [0, 184, 9, 190],
  ],
  'neck tendon': [[13, 122, 34, 178]],
  ear: [
    [64, -17, 79, 35],
    [64, -18, 80, 35],
    [68, -12, 77, 23],
    [67, -6, 73, 15],
  ],
  face: [
    [-66, -72, 66, 108],
    [-66, -27, 66, 109],
  ],
  'upper lip': [
    [-26, 55, 26, 65],
    [0, 55, 25, 64],
  ],
  'lower lip': [
    [-26, 63, 26, 75],
    [0, 65, 25, 75],
  ],
  eye: [[16, -5, 45, 6]],
  'eye shadow': [[16, -5, 45, 4]],
  iris: [[25, -5, 37, 6]],
  'iris rim': [[25, -5, 37, 6]],
  pupil: [[29, -2, 34, 2]],
  catchlight: [[28, -3, 31, -1]],
  'lower lid': [[16, -1, 45, 6]],
  'upper lid': [[16, -6, 45, 3]],
  crease: [[19, -9, 48, -2]],
  lashes: [[23, -7, 48, 0]],
  'nose wing': [[12, 31, 17, 42]],
  nostril: [[5, 41, 11, 42]],
  'nose tip': [[0, 43, 5, 46]],
  'nose bridge': [[5, -13, 7, 5]],
  'nose side': [[7, 26, 8, 36]],
  mouth: [[-26, 63, 26, 65]],
  groove: [[3, 48, 4, 54]],
  'chin crease': [[-9, 82, 10, 84]],
  brow: [
    [11, -28, 57, -19],
    [21, -26, 57, -19],
  ],
  'brow hairs': [[12, -26, 62, -18]],
  hair: [[-72, -123, 72, -9]],
  strands: [[-64, -117, 64, -23]],
  hairline: [[-68, -75, 68, -12]],
  'hair outline': [[-73, -123, 73, -9]],
};

test.each(Object.entries(PARTS))('%s lies where a plain face has it', (part, extents) => {
  const own = drawn()
    .filter((ink) => ink.part === part)
    .map((ink) => extentOf([ink]))
    .filter(([left, , right]) => left + right > -0.5);
  expect(own).toHaveLength(extents.length);
  own.forEach((extent, i) =>
    extent.forEach((mm, edge) => {
      expect(Math.abs(mm - extents[i]![edge]!)).toBeLessThan(0.6);
    }),
  );
});

/** How far all of the hair reaches, before and behind the head: mm. */
const HAIR: Readonly<Record<Features['hair'], Extent>> = {
  'tied back': [-73, -139, 73, -9],
  long: [-95, -130, 95, 178],
  bob: [-84, -129, 84, 87],
  'short waves': [-75, -133, 76, -10],
  braids: [-87, -123, 87, 177],
  curls: [-101, -143, 101, 33],
  cropped: [-73, -122, 73, -9],
  covered: [-79, -129, 80, 192],
};

test.each(HAIR_STYLES)('hair: %s reaches as far as such hair does', (hair) => {
  const extent = extentOf(drawn({ hair }).filter(({ part }) => HAIR_PARTS.test(part)));
  extent.forEach((mm, edge) => expect(Math.abs(mm - HAIR[hair][edge]!)).toBeLessThan(1.5));
});

test.each(LINES)('lines of the kind %s are drawn on the sides that have them, over a mm of each', (line) => {
  const plain = new Set(drawn().map(({ d }) => d));
  const added = (features: Partial<Features>): Extent[] =>
    drawn(features)
      .filter(({ d }) => !plain.has(d))
      .map((ink) => extentOf([ink]));
  const both = added({ lines: [line] });
  const right = added({ lines: [], right: { lines: [line] } });
  expect(both.length).toBe(2 * right.length);
  expect(right.length).toBeGreaterThan(0);
  for (const [left, top, to, bottom] of both) expect(Math.hypot(to - left, bottom - top)).toBeGreaterThan(4);
  for (const [left, , to] of right) expect((left + to) / 2).toBeLessThan(0);
});

test.each(LIDS)('a lid that is %s has its crease, and its shadow where a fold hangs over it', (lid) => {
  const parts = drawn({ lids: { left: lid, right: lid } }).map(({ part }) => part);
  const has = (part: string): number => parts.filter((one) => one === part).length;
  expect(has('crease')).toBe(lid === 'without a crease' ? 0 : 2);
  expect(has('fold shadow')).toBe(lid === 'open' || lid === 'without a crease' ? 0 : 2);
});
