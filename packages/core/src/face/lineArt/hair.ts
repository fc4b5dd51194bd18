import { CROWN, HAIRLINE, OUTLINE } from '../canonicalLines';
import { mirrored, ribbon, throughPoints } from '../curve';
import type { FaceModel } from '../faceModel';
import { ellipse, mirror, mix, pointAt, type Point, type Polygon, type Polyline } from '../point';
import { subtractRegion, uniteOutlines } from '../region';
import { filled, inked, inkPath, type Ink } from './ink';

/** Where long hair is parted, in mm from the midline. */
const PARTING = -12;

/** Hair in two parts: what hangs behind neck and face, and what lies on the head. */
export type HairInk = { readonly behind: readonly Ink[]; readonly front: readonly Ink[] };

export function hairInk(face: FaceModel): HairInk {
  switch (face.features.hair) {
    case 'tied back':
      return tiedBack(face);
    case 'long':
      return long(face);
    case 'curls':
      return curls(face);
    case 'cropped':
      return cropped(face);
    case 'covered':
      return covered(face);
  }
}

const line = (text: string): Polyline =>
  text.split(' ').map((pair): Point => {
    const [x, y] = pair.split(',').map(Number);
    return [x!, y!];
  });

/** The head of hair between hairline and crown, raised by `liftMm` all round. */
function cap(liftMm: number): Polygon {
  const crown = throughPoints(CROWN, 3).map(([x, y]): Point => [x * (1 + liftMm / 74), y - liftMm * Math.max(0, -y / 123)]);
  return [...mirrored([...crown].reverse()), ...mirrored([...throughPoints(HAIRLINE, 3)].reverse()).reverse()];
}

/** Strands between the hairline and a place on the crown, with a band of sheen left empty. */
function strands(face: FaceModel, count: number, target: (t: number, sign: 1 | -1) => Point, sheen: readonly [number, number] = [0.36, 0.62]): Ink {
  const hairline = throughPoints(HAIRLINE, 2);
  const parts: string[] = [];
  for (const sign of [1, -1] as const) {
    for (let i = 0; i < count; i++) {
      const t = (i + 0.5) / count;
      const root = pointAt(hairline, t * 0.9);
      const end = target(t, sign);
      const from: Point = [sign * root[0], root[1]];
      const bend: Point = [from[0] * 1.02 + (end[0] - from[0]) * 0.35, from[1] + (end[1] - from[1]) * 0.62];
      const strand = throughPoints([from, bend, end], 3);
      const near = strand.slice(0, Math.max(3, Math.round(strand.length * (sheen[0] - 0.08 * (i % 3)))));
      const far = strand.slice(Math.round(strand.length * (sheen[1] + 0.06 * (i % 2))));
      for (const stroke of [near, far]) {
        if (stroke.length < 3) continue;
        const reversed = stroke === far;
        parts.push(inkPath([ribbon(stroke.map(face.warp.toFace), (s) => 0.03 + 0.2 * (reversed ? s : 1 - s))]));
      }
    }
  }
  return { part: 'strands', d: parts.join(''), fill: 'ink', opacity: 0.5 };
}

function crownLine(face: FaceModel, liftMm: number, opacity = 0.9): Ink {
  const crown = throughPoints(CROWN, 3).map(([x, y]): Point => [x * (1 + liftMm / 74), y - liftMm * Math.max(0, -y / 123)]);
  return inked('hair outline', mirrored([...crown].reverse()).map(face.warp.toFace), [0.1, 0.4, 0.5, 0.45, 0.4, 0.45, 0.5, 0.4, 0.1], opacity);
}

/** Fine broken hairs along the hairline, so that no edge shows. */
function downyEdge(face: FaceModel, count: number): Ink {
  const hairline = throughPoints(HAIRLINE, 1);
  const parts: string[] = [];
  for (const sign of [1, -1] as const) {
    for (let i = 0; i < count; i++) {
      const p = pointAt(hairline, (i + 0.3) / count);
      const out: Point = [p[0] * 0.02, -1];
      const root: Point = [sign * (p[0] - 0.4), p[1] + 0.9];
      const tip: Point = [sign * (p[0] + 1.4 + out[0]), p[1] - 3.2];
      parts.push(inkPath([ribbon([root, mix(root, tip, 0.5), tip].map(face.warp.toFace), (t) => 0.05 + 0.1 * t)]));
    }
  }
  return { part: 'hairline', d: parts.join(''), fill: 'ink', opacity: 0.45 };
}

function tiedBack(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const bun = ellipse([0, -124], 21, 14, 0, 40);
  return {
    behind: [
      filled('knot', [bun.map(carry)], 'hair', 0.85),
      inked('knot', [...bun, bun[0]!].map(carry), [0.35, 0.45, 0.35]),
      ...[-0.5, 0, 0.45].map((k) =>
        inked(
          'knot',
          throughPoints(
            [
              [-16, -128 + 9 * k],
              [0, -133 + 12 * k],
              [16, -127 + 9 * k],
            ],
            2,
          ).map(carry),
          [0.02, 0.2, 0.02],
          0.6,
        ),
      ),
    ],
    front: [
      filled('hair', [cap(0).map(carry)], 'hair'),
      strands(face, 15, (t, sign) => [sign * (9 + 40 * t ** 1.5), -117 + 34 * t ** 2.2]),
      downyEdge(face, 22),
      crownLine(face, 0),
    ],
  };
}

function long(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const fall = mirrored(line('0,-130 24,-127 48,-114 66,-92 77,-62 82,-28 84,10 86,48 91,86 94,120 90,150 82,172 66,178 52,170'));
  // Parted a little to one side; each curtain is an outer and an inner edge that meet in a point.
  const edges = (sign: 1 | -1): { outer: Polyline; inner: Polyline } => ({
    outer: throughPoints(
      [
        [PARTING, -125.5],
        [sign * 32, -120],
        [sign * 56, -101],
        [sign * 70, -70],
        [sign * 76, -34],
        [sign * 78, 4],
        [sign * 76, 36],
        [sign * 71, 62],
      ],
      3,
    ),
    inner: throughPoints(
      [
        [PARTING, -79],
        [PARTING + sign * 7, -75.5],
        [sign * 36, -64.5],
        [sign * 54, -46],
        [sign * 63.5, -22],
        [sign * 66.8, 6],
        [sign * 67.6, 36],
        [sign * 71, 62],
      ],
      3,
    ),
  });
  const curtains = ([1, -1] as const).map(edges);
  const flow = (points: Polyline, w: number, opacity: number): Ink => inked('strand', throughPoints(points, 3).map(carry), [0.03, w, w, 0.03], opacity);
  const sides = [1, -1] as const;
  return {
    behind: [
      filled('hair', [throughPoints(fall, 3, true).map(carry)], 'hair', 0.9),
      inked('hair outline', throughPoints(fall, 3).map(carry), [0.3, 0.5, 0.5, 0.5, 0.3], 0.9),
      ...sides.flatMap((s) => [
        flow(
          [
            [s * 74, 70],
            [s * 79, 104],
            [s * 76, 140],
            [s * 70, 168],
          ],
          0.22,
          0.5,
        ),
        flow(
          [
            [s * 66, 76],
            [s * 68, 110],
            [s * 64, 145],
            [s * 58, 168],
          ],
          0.2,
          0.4,
        ),
        flow(
          [
            [s * 83, 60],
            [s * 87, 96],
            [s * 85, 132],
            [s * 78, 162],
          ],
          0.2,
          0.4,
        ),
      ]),
    ],
    front: [
      filled(
        'hair',
        uniteOutlines(curtains.map(({ outer, inner }) => [...outer, ...[...inner].reverse()])).map((p) => p.map(carry)),
        'hair',
      ),
      ...curtains.flatMap(({ outer, inner }) => [
        inked('hair outline', outer.map(carry), [0.35, 0.5, 0.45, 0.4, 0.2], 0.9),
        inked('hair edge', inner.map(carry), [0.05, 0.3, 0.36, 0.3, 0.2], 0.75),
      ]),
      flow(
        [
          [PARTING, -125],
          [PARTING + 0.6, -100],
          [PARTING, -79],
        ],
        0.32,
        0.8,
      ),
      ...sides.flatMap((s) => [
        flow(
          [
            [PARTING, -122],
            [s * 30, -112],
            [s * 54, -86],
            [s * 66, -50],
            [s * 71, -8],
            [s * 71, 34],
          ],
          0.24,
          0.5,
        ),
        flow(
          [
            [PARTING, -112],
            [s * 26, -101],
            [s * 47, -78],
            [s * 60, -48],
            [s * 68, -16],
          ],
          0.2,
          0.4,
        ),
        flow(
          [
            [PARTING, -100],
            [s * 22, -90],
            [s * 42, -70],
            [s * 56, -46],
          ],
          0.2,
          0.4,
        ),
        flow(
          [
            [PARTING, -88],
            [s * 16, -82],
            [s * 34, -68],
          ],
          0.2,
          0.4,
        ),
      ]),
    ],
  };
}

function curls(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const spine = throughPoints(line('0,-130 26,-127 49,-117 68,-99 80,-76 86,-50 87,-24 84,0 78,20'), 2);
  const lobes = [...Array(15).keys()].map((i) => ellipse(pointAt(spine, i / 14), 13.5, 12.5, 0, 22));
  const volume = uniteOutlines([...lobes, ...lobes.map((l) => l.map(mirror)), mirrored([...spine].reverse())]);
  const coils = [1, -1].flatMap((s) =>
    [
      [18, -118],
      [38, -108],
      [58, -92],
      [70, -70],
      [77, -44],
      [79, -18],
      [12, -100],
      [32, -94],
      [50, -78],
      [62, -56],
      [70, -30],
      [0, -112],
      [22, -84],
      [44, -66],
    ].map(([x, y], i) => inked('coil', coil([s * x!, y!], 4.2 + (i % 3)).map(carry), [0.04, 0.24, 0.05], 0.5, 'ink', 1)),
  );
  return {
    behind: [
      filled(
        'hair',
        volume.map((p) => p.map(carry)),
        'hair',
        0.95,
      ),
      ...volume.slice(0, 1).map((p) => inked('hair outline', [...p, p[0]!].map(carry), [0.4, 0.5, 0.4], 0.9, 'ink', 1)),
    ],
    front: [filled('hair', [cap(1).map(carry)], 'hair', 0.95), ...coils, downyEdge(face, 16)],
  };
}

/** One turn and a half of a spiral. */
function coil(centre: Point, radius: number): Point[] {
  return Array.from({ length: 15 }, (_, i) => {
    const a = (i / 14) * 3 * Math.PI;
    const r = radius * (0.25 + 0.75 * (i / 14));
    return [centre[0] + r * Math.cos(a), centre[1] + r * Math.sin(a) * 0.85];
  });
}

function cropped(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const parts: string[] = [];
  const hairline = throughPoints(HAIRLINE, 2);
  for (const sign of [1, -1] as const) {
    for (let row = 0; row < 5; row++) {
      for (let i = 0; i < 14; i++) {
        const p = pointAt(hairline, (i + (row % 2) * 0.5 + 0.2) / 14.6);
        const k = 1 + row * 0.085;
        const root: Point = [sign * p[0] * (1 + row * 0.02), p[1] * k - row * 4];
        if (root[1] < -116) continue;
        const tip: Point = [root[0] + sign * (1 + p[0] * 0.03), root[1] - 4.2];
        parts.push(inkPath([ribbon([root, mix(root, tip, 0.5), tip].map(carry), (t) => 0.24 * (1 - t) + 0.03)]));
      }
    }
  }
  return {
    behind: [],
    front: [filled('hair', [cap(-1).map(carry)], 'hair', 0.95), { part: 'crop', d: parts.join(''), fill: 'ink', opacity: 0.55 }, crownLine(face, -1)],
  };
}

function covered(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const outer = throughPoints(
    mirrored(line('0,-129 26,-126 50,-114 68,-92 77,-62 79,-26 76,14 70,52 62,84 60,108 66,132 78,156 60,176 30,188 0,192')),
    3,
    true,
  );
  const opening = mirrored([
    ...throughPoints(line('0,-69 16,-68.4 34,-62.5 48,-51 57.5,-37 62.5,-20'), 2),
    ...throughPoints(OUTLINE, 2)
      .slice(6)
      .map(([x, y]): Point => [x * 0.985, y]),
  ]);
  const scarf = subtractRegion([outer], [opening]);
  const fold = (points: Polyline, w = 0.28): Ink[] =>
    [points, points.map(mirror)].map((p) => inked('fold', throughPoints(p, 3).map(carry), [0.03, w, w, 0.03], 0.55));
  return {
    behind: [],
    front: [
      filled(
        'scarf',
        scarf.map((p) => p.map(carry)),
        'cloth',
      ),
      ...scarf.map((p) => inked('scarf', [...p, p[0]!].map(carry), [0.4, 0.5, 0.4], 0.9, 'ink', 1)),
      ...fold(line('4,-124 32,-108 54,-82 68,-46 71,0 66,44 56,78')),
      ...fold(line('2,-100 28,-92 50,-68 63,-36 67,2 64,40')),
      ...fold(line('56,82 40,100 20,116 0,122'), 0.34),
      ...fold(line('60,104 44,124 22,140 0,146'), 0.34),
      ...fold(line('70,140 50,158 24,168 0,171'), 0.3),
    ],
  };
}
