import { CROWN, HAIRLINE } from '../../canonicalLines';
import { ribbon, throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { mirror, mix, normalsOf, pointAt, type Point, type Polyline } from '../../point';
import { filled, inkPath, type Ink } from '../ink';
import { cap, crownLine, downyEdge, line, type HairInk } from './parts';

const HALF_PLAIT_MM = 4.6;

/** Hair braided close to the head in rows and hanging in plaits behind the shoulders. */
export function braids(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const plaits = [
    '50,-30 56,20 60,66 64,100 64,140 60,172',
    '56,-30 63,20 68,66 72,104 73,140 71,176',
    '62,-30 70,20 76,64 80,100 82,136 82,172',
  ]
    .map((text) => throughPoints(line(text), 2))
    .flatMap((spine) => [spine, spine.map(mirror)]);
  return {
    behind: plaits.flatMap((spine): Ink[] => [
      filled('plait', [plaitOutline(spine).map(carry)], 'hair'),
      twist(spine, carry),
    ]),
    front: [
      filled('hair', [cap(0).map(carry)], 'hair'),
      rows(carry),
      downyEdge(face, 14),
      crownLine(face, 0),
    ],
  };
}

/** A plait bulges at each turn. */
function plaitOutline(spine: Polyline): Polyline {
  return ribbon(
    spine,
    (t) => HALF_PLAIT_MM * (0.84 + 0.16 * Math.cos(t * 110)) * Math.min(1, 8 * (1 - t) + 0.2),
  );
}

/** The turns of a plait and its edge, as one path. */
function twist(spine: Polyline, carry: (p: Point) => Point): Ink {
  const normals = normalsOf(spine);
  const turns: string[] = [];
  for (let i = 4; i < spine.length - 5; i += 5) {
    const side = Math.round(i / 5) % 2 === 0 ? 1 : -1;
    const [p, n] = [spine[i]!, normals[i]!];
    const from: Point = [p[0] + side * n[0] * HALF_PLAIT_MM * 0.9, p[1] - 2.6];
    const to: Point = [p[0] - side * n[0] * HALF_PLAIT_MM * 0.5, p[1] + 2.4];
    const bend: Point = [p[0] + side * n[0] * HALF_PLAIT_MM * 0.5, p[1] + 1.2];
    turns.push(inkPath([ribbon([from, bend, to].map(carry), (t) => 0.1 + 0.14 * Math.sin(Math.PI * t))]));
  }
  return { part: 'plait', d: turns.join(''), fill: 'ink', opacity: 0.6 };
}

/** Rows from the hairline to the crown: a parting on either side of short slanting turns. */
function rows(carry: (p: Point) => Point): Ink {
  const hairline = throughPoints(HAIRLINE, 2);
  const crown = throughPoints(CROWN, 2);
  const parts: string[] = [];
  for (const sign of [1, -1] as const) {
    for (let row = 0; row <= 6; row++) {
      const [root, end] = [pointAt(hairline, 0.06 + row * 0.145), pointAt(crown, 0.03 + row * 0.115)];
      const spine = throughPoints([root, [mix(root, end, 0.5)[0] + 1.5, mix(root, end, 0.5)[1]], end], 3).map(
        ([x, y]): Point => [sign * x, y],
      );
      parts.push(inkPath([ribbon(spine.map(carry), () => 0.2)]));
      for (let k = 1; k < spine.length - 1; k += 3) {
        const p = spine[k]!;
        const dash: Point[] = [
          [p[0] + sign * 1.6, p[1] + 1.4],
          [p[0] + sign * 3.4, p[1] + 0.2],
          [p[0] + sign * 4.8, p[1] - 1.6],
        ];
        parts.push(inkPath([ribbon(dash.map(carry), (t) => 0.05 + 0.14 * Math.sin(Math.PI * t))]));
      }
    }
  }
  return { part: 'rows', d: parts.join(''), fill: 'ink', opacity: 0.5 };
}
