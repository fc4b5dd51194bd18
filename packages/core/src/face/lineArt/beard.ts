import { ribbon } from '../curve';
import type { FaceModel } from '../faceModel';
import { pointAt, type Point } from '../point';
import { inkPath, type Ink } from './ink';

/** Rows of the jaw: from and to along the outline, distance inwards in mm. */
const ROWS: readonly (readonly [from: number, to: number, insetMm: number])[] = [
  [0.34, 0.99, 0],
  [0.36, 0.99, 3],
  [0.4, 0.99, 6],
  [0.46, 0.99, 9],
  [0.54, 0.985, 12],
  [0.7, 0.98, 15],
];
/** Canonical line of the moustache, from under the nose to beside the mouth corner. */
const MOUSTACHE: readonly Point[] = [
  [2, 52.4],
  [8, 53],
  [15, 55.6],
  [22, 59],
  [27, 64.5],
  [28.6, 71],
];

/** Close-cropped beard and moustache as short strokes along jaw, chin and lip. */
export function beardInk(face: FaceModel): Ink[] {
  if (!face.features.beard) return [];
  const parts: string[] = [];
  const hair = (line: readonly Point[]): void => {
    parts.push(inkPath([ribbon(line, (t) => 0.2 * (1 - t) + 0.03)]));
  };
  for (const half of [face.left, face.right]) {
    for (const [from, to, insetMm] of ROWS) {
      for (let i = 0; i < 18; i++) {
        const p = pointAt(half.outline, from + ((to - from) * (i + 0.5 * ((insetMm / 3) % 2))) / 18);
        const root: Point = [Math.max(0.3, p[0] - 1.2 - insetMm * 0.75), p[1] - 1.4 - insetMm * 0.62];
        const points: Point[] = [root, [root[0] - 0.5, root[1] + 1.3], [root[0] - 0.8, root[1] + 2.6]];
        hair(points.map(half.toFace));
      }
    }
    const sign = half.side === 'left' ? 1 : -1;
    for (const drop of [0, 1.9]) {
      for (let i = 0; i < 13; i++) {
        const [x, y] = pointAt(MOUSTACHE, (i + (drop > 0 ? 0.5 : 0)) / 13);
        const points: Point[] = [
          [x, y - drop],
          [x + 0.7, y - drop + 1],
          [x + 1.1, y - drop + 2.2],
        ];
        hair(points.map(([a, b]) => face.warp.toFace([sign * a, b])));
      }
    }
  }
  return [{ part: 'beard', d: parts.join(''), fill: 'ink', opacity: 0.6 }];
}
