import { mirrored, throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { type Polyline } from '../../point';
import { uniteOutlines } from '../../region';
import { filled, inked, type Ink } from '../ink';
import { line, type HairInk } from './parts';

/** Where long hair is parted, in mm from the midline. */
const PARTING = -12;

export function long(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const fall = mirrored(
    line('0,-130 24,-127 48,-114 66,-92 77,-62 82,-28 84,10 86,48 91,86 94,120 90,150 82,172 66,178 52,170'),
  );
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
  const flow = (points: Polyline, w: number, opacity: number): Ink =>
    inked('strand', throughPoints(points, 3).map(carry), [0.03, w, w, 0.03], opacity);
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
        uniteOutlines(curtains.map(({ outer, inner }) => [...outer, ...[...inner].reverse()])).map((p) =>
          p.map(carry),
        ),
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
