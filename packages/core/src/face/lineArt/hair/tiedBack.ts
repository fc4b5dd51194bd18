import { throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { ellipse } from '../../point';
import { filled, inked } from '../ink';
import { cap, crownLine, downyEdge, strands, type HairInk } from './parts';

export function tiedBack(face: FaceModel): HairInk {
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
