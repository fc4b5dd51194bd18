import { COLLARBONE, EAR_FOLD, EAR_INNER, NECK, OUTLINE } from '../canonicalLines';
import { mirrored, throughPoints } from '../curve';
import type { FaceModel } from '../faceModel';
import { mirror, type Point, type Polyline } from '../point';
import { intersectRegions } from '../region';
import { filled, inked, type Ink } from './ink';

const both = (line: Polyline): readonly Polyline[] => [line, line.map(mirror)];

/** Neck, shoulders and collarbones: painted first, behind the face. */
export function neckInk(face: FaceModel): Ink[] {
  const carry = (line: Polyline, step = 2): Point[] => throughPoints(line, step).map(face.warp.toFace);
  const shadow = mirrored(
    [
      [46, 78],
      [44, 92],
      [43.2, 101],
      [30, 112],
      [14, 117.5],
      [0, 118.5],
    ].map(([x, y]): Point => [x!, y!]),
  );
  return [
    filled('neck', [face.neck], 'skin'),
    filled(
      'neck shadow',
      intersectRegions([throughPoints(shadow, 2, true).map(face.warp.toFace)], [face.neck]),
      'shade',
      0.45,
    ),
    ...both(NECK).map((line) =>
      inked('neck', carry(line), [0.15, 0.5, 0.55, 0.5, 0.45, 0.4, 0.35, 0.3, 0.25]),
    ),
    ...both(COLLARBONE).map((line) => inked('collarbone', carry(line), [0.05, 0.4, 0.3, 0.2, 0.02], 0.55)),
    ...both([
      [9, 184.5],
      [4.5, 188.6],
      [0, 189.6],
    ]).map((line) => inked('collarbone', carry(line, 1), [0.1, 0.35, 0.3], 0.5)),
    ...both([
      [34, 122],
      [27, 146],
      [17, 170],
      [13, 178],
    ]).map((line) => inked('neck tendon', carry(line), [0.02, 0.22, 0.25, 0.05], 0.3)),
  ];
}

export function earInk(face: FaceModel): Ink[] {
  return ([1, -1] as const).flatMap((sign): Ink[] => {
    const carry = (line: Polyline): Point[] =>
      throughPoints(line, 1).map(([x, y]) => face.warp.toFace([sign * x, y]));
    const ear = face.ears[sign === 1 ? 0 : 1];
    return [
      filled('ear', [ear], 'skin'),
      inked('ear', ear, [0.1, 0.5, 0.6, 0.5, 0.45, 0.4, 0.1]),
      inked('ear', carry(EAR_FOLD), [0.05, 0.3, 0.25, 0.12, 0.02], 0.6),
      inked('ear', carry(EAR_INNER), [0.03, 0.26, 0.22, 0.03], 0.5),
    ];
  });
}

/** The face itself: skin, then its outline, finest at the temple and heaviest under the jaw. */
export function faceInk(face: FaceModel): Ink[] {
  const side = (sign: 1 | -1): Point[] =>
    throughPoints(OUTLINE, 2).map(([x, y]) => face.warp.toFace([sign * x, y]));
  const [left, right] = [side(1), side(-1)];
  const whole = [...left, ...right.reverse().slice(1)];
  const half = [0.06, 0.22, 0.34, 0.4, 0.46, 0.52, 0.58, 0.62, 0.6, 0.52];
  return [
    filled('face', [face.outline], 'skin'),
    inked('face', whole, [...half, ...half.slice(0, -1).reverse()]),
  ];
}
