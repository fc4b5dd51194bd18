import { LOWER_LIP, MOUTH_LINE, UPPER_LIP } from '../canonicalLines';
import { mirrored, throughPoints } from '../curve';
import type { FaceModel } from '../faceModel';
import { featuresOn } from '../features';
import { SIDES } from '../landmarks';
import type { Point, Polyline } from '../point';
import { filled, inked, type Ink } from './ink';

/** Half-widths of the lips' edges, from a corner to the middle. */
const UPPER_EDGE = [0.08, 0.25, 0.3, 0.32, 0.34, 0.3];
const LOWER_EDGE = [0.02, 0.1, 0.26, 0.34, 0.34];

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
  // A blurred edge is drawn as it looks: half as strong on the side that has it.
  const edge = (part: string, line: readonly Point[], widths: readonly number[], opacity: number): Ink[] =>
    SIDES.map((side) => {
      const own = line.filter(([x]) => (side === 'left' ? x >= 0 : x <= 0));
      const seen = featuresOn(side, face.features).lipEdge === 'blurred' ? 0.4 : 1;
      return inked(part, (side === 'left' ? own : [...own].reverse()).map(toFace), widths, opacity * seen);
    });
  return [
    ...edge('upper lip', upper, UPPER_EDGE, 0.85),
    ...edge('lower lip', lower, LOWER_EDGE, 0.75),
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
