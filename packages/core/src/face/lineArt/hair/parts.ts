import { CROWN, HAIRLINE } from '../../canonicalLines';
import { mirrored, ribbon, throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { mix, pointAt, type Point, type Polygon, type Polyline } from '../../point';
import { inked, inkPath, type Ink } from '../ink';

/** Hair in two parts: what hangs behind neck and face, and what lies on the head. */
export type HairInk = { readonly behind: readonly Ink[]; readonly front: readonly Ink[] };

export const line = (text: string): Polyline =>
  text.split(' ').map((pair): Point => {
    const [x, y] = pair.split(',').map(Number);
    return [x!, y!];
  });

/** The head of hair between hairline and crown, raised by `liftMm` all round. */
export function cap(liftMm: number): Polygon {
  const crown = throughPoints(CROWN, 3).map(([x, y]): Point => [
    x * (1 + liftMm / 74),
    y - liftMm * Math.max(0, -y / 123),
  ]);
  return [
    ...mirrored([...crown].reverse()),
    ...mirrored([...throughPoints(HAIRLINE, 3)].reverse()).reverse(),
  ];
}

/** Strands between the hairline and a place on the crown, with a band of sheen left empty. */
export function strands(
  face: FaceModel,
  count: number,
  target: (t: number, sign: 1 | -1) => Point,
  sheen: readonly [number, number] = [0.36, 0.62],
): Ink {
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
        parts.push(
          inkPath([ribbon(stroke.map(face.warp.toFace), (s) => 0.03 + 0.2 * (reversed ? s : 1 - s))]),
        );
      }
    }
  }
  return { part: 'strands', d: parts.join(''), fill: 'ink', opacity: 0.5 };
}

export function crownLine(face: FaceModel, liftMm: number, opacity = 0.9): Ink {
  const crown = throughPoints(CROWN, 3).map(([x, y]): Point => [
    x * (1 + liftMm / 74),
    y - liftMm * Math.max(0, -y / 123),
  ]);
  return inked(
    'hair outline',
    mirrored([...crown].reverse()).map(face.warp.toFace),
    [0.1, 0.4, 0.5, 0.45, 0.4, 0.45, 0.5, 0.4, 0.1],
    opacity,
  );
}

/** Fine broken hairs along the hairline, so that no edge shows. */
export function downyEdge(face: FaceModel, count: number): Ink {
  const hairline = throughPoints(HAIRLINE, 1);
  const parts: string[] = [];
  for (const sign of [1, -1] as const) {
    for (let i = 0; i < count; i++) {
      const p = pointAt(hairline, (i + 0.3) / count);
      const out: Point = [p[0] * 0.02, -1];
      const root: Point = [sign * (p[0] - 0.4), p[1] + 0.9];
      const tip: Point = [sign * (p[0] + 1.4 + out[0]), p[1] - 3.2];
      parts.push(
        inkPath([ribbon([root, mix(root, tip, 0.5), tip].map(face.warp.toFace), (t) => 0.05 + 0.1 * t)]),
      );
    }
  }
  return { part: 'hairline', d: parts.join(''), fill: 'ink', opacity: 0.45 };
}
