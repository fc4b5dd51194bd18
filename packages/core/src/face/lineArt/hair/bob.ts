import { mirrored, throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { mirror, type Polyline } from '../../point';
import { uniteOutlines } from '../../region';
import { filled, inked, type Ink } from '../ink';
import { line, type HairInk } from './parts';

/** Chin-long hair with a fringe that stops above the brows, so that they stay in sight. */
export function bob(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const bell = mirrored(
    line('0,-129 24,-126.5 48,-114 66,-92 76,-62 81,-28 83,10 83,46 80,74 72,84 58,86 50,82'),
  );
  const curtain = throughPoints(
    line(
      '0,-126 30,-121 54,-103 69,-72 76,-36 80,4 80,44 76,72 66,80 64.6,66 66.6,40 66.4,10 63.6,-16 59,-33 52,-40.5 39,-43.6 26,-42.6 13,-45 0,-43.2',
    ),
    3,
  );
  const fringe = (root: number, end: number, edge: number): Ink[] =>
    [1, -1].map((s) =>
      inked(
        'strand',
        throughPoints(
          [
            [s * root, -118],
            [s * (root + end) * 0.5, -86],
            [s * end, edge],
          ],
          3,
        ).map(carry),
        [0.03, 0.2, 0.22, 0.04],
        0.45,
      ),
    );
  const fall = (points: Polyline): Ink[] =>
    [points, points.map(mirror)].map((p) =>
      inked('strand', throughPoints(p, 3).map(carry), [0.03, 0.24, 0.24, 0.03], 0.45),
    );
  const edge = throughPoints(line('66,80 64.6,66 66.6,40 66.4,10 63.6,-16 59,-33 52,-40.5'), 3);
  const tips = throughPoints(mirrored(line('52,-40.5 39,-43.6 26,-42.6 13,-45 0,-43.2')), 2);
  return {
    behind: [
      filled('hair', [throughPoints(bell, 3, true).map(carry)], 'hair'),
      inked('hair outline', throughPoints(bell, 3).map(carry), [0.3, 0.5, 0.5, 0.5, 0.3], 0.9),
    ],
    front: [
      filled(
        'hair',
        uniteOutlines([curtain, curtain.map(mirror)]).map((p) => p.map(carry)),
        'hair',
      ),
      ...[edge, edge.map(mirror)].map((p) =>
        inked('hair edge', p.map(carry), [0.2, 0.36, 0.3, 0.3, 0.1], 0.8),
      ),
      inked('hair edge', tips.map(carry), [0.1, 0.3, 0.22, 0.3, 0.1], 0.7),
      ...fringe(3, 7, -46),
      ...fringe(6, 18, -46),
      ...fringe(9, 30, -45),
      ...fringe(13, 42, -43),
      ...fall(line('20,-120 46,-104 62,-72 69,-34 72,6 72,50')),
      ...fall(line('28,-120 54,-98 68,-64 74,-22 76,20 75,58')),
    ],
  };
}
