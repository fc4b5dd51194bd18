import { OUTLINE } from '../../canonicalLines';
import { mirrored, throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { mirror, type Point, type Polyline } from '../../point';
import { subtractRegion } from '../../region';
import { filled, inked, type Ink } from '../ink';
import { line, type HairInk } from './parts';

export function covered(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const outer = throughPoints(
    mirrored(
      line(
        '0,-129 26,-126 50,-114 68,-92 77,-62 79,-26 76,14 70,52 62,84 60,108 66,132 78,156 60,176 30,188 0,192',
      ),
    ),
    3,
    true,
  );
  const opening = mirrored([
    ...throughPoints(line('0,-69 16,-68.4 34,-62.5 48,-51 57.5,-37 62.5,-20'), 2),
    ...throughPoints(OUTLINE, 2)
      .slice(6)
      .map(([x, y]): Point => [x * 0.985, y]),
  ]);
  const scarf = subtractRegion([outer], [opening]);
  const fold = (points: Polyline, w = 0.28): Ink[] =>
    [points, points.map(mirror)].map((p) =>
      inked('fold', throughPoints(p, 3).map(carry), [0.03, w, w, 0.03], 0.55),
    );
  return {
    behind: [],
    front: [
      filled(
        'scarf',
        scarf.map((p) => p.map(carry)),
        'cloth',
      ),
      ...scarf.map((p) => inked('scarf', [...p, p[0]!].map(carry), [0.4, 0.5, 0.4], 0.9, 'ink', 1)),
      ...fold(line('4,-124 32,-108 54,-82 68,-46 71,0 66,44 56,78')),
      ...fold(line('2,-100 28,-92 50,-68 63,-36 67,2 64,40')),
      ...fold(line('56,82 40,100 20,116 0,122'), 0.34),
      ...fold(line('60,104 44,124 22,140 0,146'), 0.34),
      ...fold(line('70,140 50,158 24,168 0,171'), 0.3),
    ],
  };
}
