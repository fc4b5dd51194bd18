import { HAIRLINE } from '../../canonicalLines';
import { throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { mirror, type Point, type Polyline } from '../../point';
import { filled, inked, type Ink } from '../ink';
import { line, type HairInk } from './parts';

/** Short hair with a side parting, swept over the forehead's edge in waves. */
export function shortWaves(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const crown = throughPoints(
    line(
      '-70,-12 -74,-36 -73,-62 -66,-88 -54,-109 -38,-123 -20,-130 2,-133 24,-131 44,-121 60,-104 70,-82 75,-56 75,-32 70,-12',
    ),
    3,
  );
  const side = throughPoints(HAIRLINE, 3).filter(([x]) => x > 50);
  // From the temple on the client's left, a wave over the corner of the forehead, up to the parting and down
  // the other side.
  const front = throughPoints(
    line('52,-47 46,-57 34,-62 20,-61 6,-65 -8,-71 -20,-74 -30,-68 -38,-62 -46,-55 -52,-46'),
    2,
  );
  const outline: Point[] = [...crown, ...[...side].reverse(), ...front, ...side.map(mirror)];
  const wave = (points: Polyline, opacity = 0.5): Ink =>
    inked('strand', throughPoints(points, 2.5).map(carry), [0.03, 0.28, 0.2, 0.03], opacity);
  return {
    behind: [],
    front: [
      filled('hair', [outline.map(carry)], 'hair'),
      inked('hair outline', crown.map(carry), [0.1, 0.45, 0.5, 0.45, 0.5, 0.45, 0.1], 0.9),
      inked('hair edge', front.map(carry), [0.08, 0.3, 0.34, 0.2, 0.1], 0.7),
      wave(line('-22,-75 -18,-92 -8,-106 8,-112')),
      wave(line('-20,-76 -4,-84 16,-90 34,-84 48,-70 57,-50')),
      wave(line('-20,-80 0,-94 24,-101 46,-92 60,-70 66,-44')),
      wave(line('-18,-88 4,-106 30,-113 52,-101 66,-78 71,-50')),
      wave(line('-16,-76 -2,-79 14,-75 28,-74 40,-66')),
      wave(line('-26,-76 -38,-84 -50,-76 -58,-58 -62,-38')),
      wave(line('-26,-84 -42,-97 -57,-86 -66,-60 -69,-36')),
      wave(line('-24,-96 -40,-110 -56,-100')),
      wave(line('63,-38 67,-28 67.6,-16'), 0.4),
      wave(line('-63,-38 -67,-28 -67.6,-16'), 0.4),
    ],
  };
}
