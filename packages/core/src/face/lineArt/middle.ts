import { ALA, BROW_HALF_WIDTHS, LOWER_LIP, MOUTH_LINE, NOSE_TIP, NOSTRIL, UPPER_LIP } from '../canonicalLines';
import { mirrored, ribbon, throughPoints } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import { mirror, normalsOf, pointAt, type Point, type Polyline } from '../point';
import type { Features } from '../features';
import { between, filled, inked, inkPath, type Ink } from './ink';

const BROW_WEIGHT = { full: 1, fine: 0.62, sparse: 0.75, tattooed: 0.85 } as const satisfies Record<Features['brows'], number>;
const BROW_TONE = { full: 0.34, fine: 0.34, sparse: 0.14, tattooed: 0.55 } as const satisfies Record<Features['brows'], number>;
const HAIRS = { full: 26, fine: 20, sparse: 12, tattooed: 6 } as const satisfies Record<Features['brows'], number>;

/** Brows: a soft wash that starts lightly, and single hairs leaning outwards. */
export function browsInk(face: FaceModel): Ink[] {
  return [face.left, face.right].flatMap((half): Ink[] => {
    const { brows } = face.features;
    const weight = BROW_WEIGHT[brows];
    const widths = BROW_HALF_WIDTHS.map((w) => w * weight);
    const wash = half.brow.map(half.toFace);
    return [
      inked('brow', wash, [0.2, ...widths.slice(1)], BROW_TONE[brows]),
      inked('brow', wash.slice(Math.round(wash.length * 0.22)), [0.2, ...widths.slice(3).map((w) => w * 0.62)], BROW_TONE[brows] * 0.9),
      browHairs(half, widths, HAIRS[brows]),
    ];
  });
}

function browHairs(half: HalfFace, widths: readonly number[], count: number): Ink {
  const normals = normalsOf(half.brow);
  const parts: string[] = [];
  for (let i = 0; i < count; i++) {
    const t = (i + 0.5) / count;
    const k = Math.round(t * (half.brow.length - 1));
    const spine = half.brow[k]!;
    const up = normals[k]!;
    const w = between(widths, t);
    // Fronts stand up, the middle leans, the tail lies down; each second hair comes from above.
    const lean = 1.2 + 4.6 * t;
    const fromBelow = t < 0.72 || i % 2 === 0;
    const root: Point = [spine[0] + up[0] * (fromBelow ? -w : w), spine[1] + up[1] * (fromBelow ? -w : w) * 0.9];
    const tip: Point = [root[0] + lean, root[1] + (fromBelow ? -1 : 1) * w * (1.9 - 1.2 * t)];
    const bend: Point = [(root[0] + tip[0]) / 2 - 0.3, (root[1] + tip[1]) / 2 - 0.2];
    parts.push(inkPath([ribbon([root, bend, tip].map(half.toFace), (s) => 0.22 * Math.sin(Math.PI * (0.15 + 0.8 * s)))], 2));
  }
  return { part: 'brow hairs', d: parts.join(''), fill: 'ink', opacity: 0.75 };
}

const WINGS = { straight: 1, rounded: 1.12, fine: 0.82, broad: 1.25 } as const satisfies Record<Features['nose'], number>;
const TIP_DROP = { straight: 0, rounded: 1.1, fine: -0.7, broad: 0.4 } as const satisfies Record<Features['nose'], number>;

/** The nose without an outline: wings, nostrils, tip and a breath of the bridge. */
export function noseInk(face: FaceModel): Ink[] {
  const { nose } = face.features;
  const weight = WINGS[nose];
  const drop = TIP_DROP[nose];
  return ([1, -1] as const).flatMap((sign): Ink[] => {
    const carry = (line: Polyline, dy = 0): Point[] => throughPoints(line, 0.7).map(([x, y]) => face.warp.toFace([sign * x, y + dy]));
    return [
      inked('nose wing', carry(ALA), [0.05, 0.2, 0.42 * weight, 0.5 * weight, 0.36, 0.1]),
      filled('nostril', [carry([...NOSTRIL, NOSTRIL[0]!])], 'ink', 0.8, 2),
      inked('nose tip', carry(NOSE_TIP, drop), [0.06, 0.34, 0.34, 0.3], 0.9),
      inked(
        'nose bridge',
        carry([
          [6.8, -13],
          [5.4, -4],
          [5.6, 5],
        ]),
        [0.02, 0.2, 0.02],
        0.4,
      ),
      inked(
        'nose side',
        carry([
          [8.2, 25.5],
          [7.4, 31],
          [6.6, 35.5],
        ]),
        [0.02, 0.16 * weight, 0.02],
        0.4,
      ),
    ];
  });
}

const lipLines = (): { upper: Point[]; middle: Point[]; lower: Point[] } => ({
  upper: mirrored([...throughPoints(UPPER_LIP, 0.8)].reverse()),
  middle: mirrored(throughPoints(MOUTH_LINE, 0.8)),
  lower: mirrored(throughPoints(LOWER_LIP, 0.8)),
});

/** The lips' own tint, part of the ground: placed colour goes over it. */
export function lipsInk(face: FaceModel): Ink[] {
  const { upper, middle, lower } = lipLines();
  const closing = [...middle].reverse();
  return [
    filled('upper lip', [[...upper, ...closing].map(face.warp.toFace)], 'lip', 0.95, 2),
    filled('lower lip', [[...lower, ...closing].map(face.warp.toFace)], 'lip', 0.6, 2),
  ];
}

/** The lines of the mouth, darkest between the lips, and a hint of the groove above and the chin below. */
export function mouthInk(face: FaceModel): Ink[] {
  const carry = (line: Polyline, step = 0.8): Point[] => throughPoints(line, step).map(face.warp.toFace);
  const { upper, middle, lower } = lipLines();
  const toFace = face.warp.toFace;
  return [
    inked('upper lip', upper.map(toFace), [0.08, 0.25, 0.3, 0.32, 0.34, 0.3, 0.34, 0.32, 0.3, 0.25, 0.08], 0.85),
    inked('lower lip', lower.map(toFace), [0.02, 0.1, 0.26, 0.34, 0.34, 0.26, 0.1, 0.02], 0.75),
    inked('mouth', middle.map(toFace), [0.3, 0.42, 0.36, 0.45, 0.5, 0.45, 0.36, 0.42, 0.3]),
    ...[1, -1].map((s) =>
      inked(
        'groove',
        carry([
          [s * 3.6, 47.5],
          [s * 3.5, 51],
          [s * 4.3, 54],
        ]),
        [0.02, 0.16, 0.05],
        0.35,
      ),
    ),
    inked(
      'chin crease',
      carry([
        [-9.5, 83.8],
        [-4, 82.4],
        [0, 82.2],
        [4, 82.4],
        [9.5, 83.8],
      ]),
      [0.02, 0.26, 0.3, 0.26, 0.02],
      0.5,
    ),
  ];
}

/** Lines where the client has them, drawn lightly, so that placement can mind them. */
export function linesInk(face: FaceModel): Ink[] {
  const both = (line: Polyline): readonly Polyline[] => [line, line.map(mirror)];
  const draw = (part: string, lines: readonly Polyline[], opacity: number): Ink[] =>
    lines.map((line) => inked(part, throughPoints(line, 1.5).map(face.warp.toFace), [0.02, 0.24, 0.26, 0.02], opacity));
  const has = (line: Features['lines'][number]): boolean => face.features.lines.includes(line);
  return [
    ...(has('forehead')
      ? draw(
          'forehead line',
          [
            [
              [-26, -46],
              [-10, -48],
              [10, -48],
              [26, -46],
            ],
            [
              [-22, -39],
              [-8, -40.5],
              [8, -40.5],
              [22, -39],
            ],
          ],
          0.34,
        )
      : []),
    ...(has('between brows')
      ? draw(
          'frown line',
          both([
            [4.2, -24],
            [3.8, -19],
            [4.6, -14.5],
          ]),
          0.34,
        )
      : []),
    ...(has('crow’s feet')
      ? draw(
          'crow’s foot',
          [
            ...both([
              [49, -3.5],
              [53.5, -6],
              [58, -7],
            ]),
            ...both([
              [49.5, -0.5],
              [54, -0.8],
              [58.5, 0],
            ]),
            ...both([
              [49, 2.4],
              [53, 4.2],
              [57, 7],
            ]),
          ],
          0.36,
        )
      : []),
    ...(has('under eye')
      ? draw(
          'under-eye line',
          both([
            [20, 10],
            [26, 13.2],
            [33, 13.6],
            [39, 11.4],
          ]),
          0.3,
        )
      : []),
    ...(has('smile')
      ? draw(
          'smile line',
          both([
            [18, 41],
            [22.5, 47],
            [26.6, 54],
            [28.6, 60],
          ]),
          0.4,
        )
      : []),
    ...(has('lip')
      ? draw(
          'lip line',
          [
            ...both([
              [10, 51.8],
              [10.4, 54.5],
            ]),
            ...both([
              [15, 54],
              [15, 56.8],
            ]),
          ],
          0.3,
        )
      : []),
  ];
}

/** Close-cropped beard as short strokes along jaw, chin and lip. */
export function beardInk(face: FaceModel): Ink[] {
  if (!face.features.beard) return [];
  const parts: string[] = [];
  const rows: readonly (readonly [number, number, number])[] = [
    [0.36, 0.99, 0],
    [0.4, 0.99, 4],
    [0.48, 0.99, 8],
    [0.56, 0.98, 12],
  ];
  for (const half of [face.left, face.right]) {
    for (const [from, to, inset] of rows) {
      for (let i = 0; i < 15; i++) {
        const p = pointAt(half.outline, from + ((to - from) * (i + 0.5 * ((inset / 4) % 2))) / 15);
        const root: Point = [Math.max(0.3, p[0] - 1.2 - inset * 0.75), p[1] - 1.4 - inset * 0.62];
        parts.push(
          inkPath(
            [
              ribbon(
                [root, [root[0] - 0.5, root[1] + 1.3], [root[0] - 0.8, root[1] + 2.5]].map((q) => half.toFace([q[0]!, q[1]!])),
                (t) => 0.16 * (1 - t) + 0.03,
              ),
            ],
            1,
          ),
        );
      }
    }
  }
  return [{ part: 'beard', d: parts.join(''), fill: 'ink', opacity: 0.55 }];
}
