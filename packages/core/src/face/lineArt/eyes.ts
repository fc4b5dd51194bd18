import { irisRadius, type FaceModel, type HalfFace } from '../faceModel';
import { ribbon } from '../curve';
import { ellipse, normalsOf, portion, type Point, type Polyline } from '../point';
import { intersectRegions, type Region } from '../region';
import { filled, inked, inkPath, type Ink } from './ink';

/** Both open eyes with lids, iris, lashes and crease. */
export function eyesInk(face: FaceModel): Ink[] {
  return [face.left, face.right].flatMap((half) => eye(face, half));
}

function eye(face: FaceModel, half: HalfFace): Ink[] {
  const out = (line: Polyline): Point[] => line.map(half.toFace);
  const opening: Region = [[...out(half.upperLid), ...out(half.lowerLid).slice(1)]];
  const pupil = half.at('pupil');
  const radius = irisRadius(half.at('eye_outer')[0] - half.at('eye_inner')[0]);
  const centre: Point = half.toFace([pupil[0], pupil[1] + 0.05]);
  const disc = (r: number, dx = 0, dy = 0): Region =>
    intersectRegions([ellipse([centre[0] + dx, centre[1] + dy], r, r, 0, 36)], opening);
  return [
    filled('eye', opening, 'eyeWhite', 1, 2),
    filled('eye shadow', intersectRegions([ribbon(out(half.upperLid), () => 1.7)], opening), 'shade', 0.5, 2),
    filled('iris', disc(radius), 'iris', 1, 2),
    filled(
      'iris rim',
      intersectRegions(
        [ribbon(closed(ellipse(centre, radius - 0.25, radius - 0.25, 0, 36)), () => 0.28)],
        opening,
      ),
      'ink',
      0.7,
      2,
    ),
    filled('pupil', disc(radius * 0.42), 'pupil', 1, 2),
    filled('catchlight', disc(radius * 0.2, -radius * 0.32, -radius * 0.38), 'catchlight', 1, 2),
    inked('lower lid', out(half.lowerLid), [0.3, 0.22, 0.14, 0.12, 0.12, 0.12, 0.08], 0.75),
    inked('upper lid', out(half.upperLid), [0.12, 0.3, 0.55, 0.72, 0.78, 0.74, 0.62, 0.2]),
    ...crease(face, half),
    lashes(half),
  ];
}

/**
 * Both eyes closed: the lid down to its lashes, the crease above, lashes lying downwards. Takes the face as
 * `withEyesClosed` gives it.
 */
export function closedEyesInk(face: FaceModel): Ink[] {
  return [face.left, face.right].flatMap((half): Ink[] => {
    const line = (points: Polyline): Point[] => points.map(half.toFace);
    return [
      inked('lid fold', line(half.crease), [0.04, 0.2, 0.26, 0.22, 0.16, 0.03], 0.7),
      inked('lash line', line(half.upperLid), [0.15, 0.4, 0.62, 0.72, 0.66, 0.3]),
      lashesDown(half),
    ];
  });
}

function lashesDown(half: HalfFace): Ink {
  const roots = portion(half.upperLid, 0.12, 0.98, 1);
  const strokes = Array.from({ length: 11 }, (_, i): Region => {
    const root = roots[Math.round((i / 10) * (roots.length - 1))]!;
    const t = i / 10;
    const length = 2.2 + 1.6 * t;
    const tip: Point = [root[0] + 3.4 * (t - 0.3), root[1] + length];
    const bend: Point = [(root[0] + tip[0]) / 2 - 0.2, (root[1] + tip[1]) / 2 + 0.3];
    return [ribbon([root, bend, tip].map(half.toFace), (s) => 0.2 * (1 - s) + 0.02)];
  });
  return { part: 'lashes', d: strokes.map((s) => inkPath(s, 2)).join(''), fill: 'ink', opacity: 0.85 };
}

const closed = (polygon: readonly Point[]): Polyline => [...polygon, polygon[0]!];

/** Open lids carry a fine crease; hooded ones a heavier outer fold with a soft shadow above it; some none. */
function crease(face: FaceModel, half: HalfFace): Ink[] {
  const line = half.crease.map(half.toFace);
  const hooding = face.features.lids[half.side];
  if (hooding === 'without a crease') return [];
  if (hooding === 'open') return [inked('crease', line, [0.04, 0.2, 0.26, 0.22, 0.16, 0.03], 0.8)];
  const fold = inked(
    'crease',
    line,
    hooding === 'hooded' ? [0.04, 0.25, 0.4, 0.5, 0.5, 0.1] : [0.04, 0.22, 0.32, 0.34, 0.3, 0.06],
    0.9,
  );
  const raised = half.crease.map(([x, y]): Point => half.toFace([x, y - 1.6]));
  return [inked('fold shadow', raised, [0, 0.8, 1.3, 1.7, 1.4, 0], 0.35, 'shade'), fold];
}

/** Lashes as one path: short and few, longer outwards. */
function lashes(half: HalfFace): Ink {
  const strokes: Region[] = [];
  const normals = normalsOf(portion(half.upperLid, 0.3, 1, 1));
  const roots = portion(half.upperLid, 0.3, 1, 1);
  for (let i = 0; i <= 9; i++) {
    const k = Math.round((i / 9) * (roots.length - 1));
    const root = roots[k]!;
    const normal = normals[k]!;
    const length = 1.3 + 2 * (i / 9);
    const tip: Point = [
      root[0] + normal[0] * length + 0.5 + 1.1 * (i / 9),
      root[1] - Math.abs(normal[1]) * length,
    ];
    const bend: Point = [(root[0] + tip[0]) / 2 + 0.5, (root[1] + tip[1]) / 2 + 0.35];
    strokes.push([ribbon([root, bend, tip].map(half.toFace), (t) => 0.2 * (1 - t) + 0.02)]);
  }
  return { part: 'lashes', d: strokes.map((s) => inkPath(s, 2)).join(''), fill: 'ink', opacity: 0.85 };
}
