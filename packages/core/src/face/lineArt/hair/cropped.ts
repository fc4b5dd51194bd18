import { HAIRLINE } from '../../canonicalLines';
import { ribbon, throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { mix, pointAt, type Point } from '../../point';
import { filled, inkPath } from '../ink';
import { cap, crownLine, type HairInk } from './parts';

export function cropped(face: FaceModel): HairInk {
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
        parts.push(
          inkPath([ribbon([root, mix(root, tip, 0.5), tip].map(carry), (t) => 0.24 * (1 - t) + 0.03)]),
        );
      }
    }
  }
  return {
    behind: [],
    front: [
      filled('hair', [cap(-1).map(carry)], 'hair', 0.95),
      { part: 'crop', d: parts.join(''), fill: 'ink', opacity: 0.55 },
      crownLine(face, -1),
    ],
  };
}
