import { mirrored, throughPoints } from '../../curve';
import type { FaceModel } from '../../faceModel';
import { ellipse, mirror, pointAt, type Point } from '../../point';
import { uniteOutlines } from '../../region';
import { filled, inked } from '../ink';
import { cap, downyEdge, line, type HairInk } from './parts';

export function curls(face: FaceModel): HairInk {
  const carry = face.warp.toFace;
  const spine = throughPoints(line('0,-130 26,-127 49,-117 68,-99 80,-76 86,-50 87,-24 84,0 78,20'), 2);
  const lobes = [...Array(15).keys()].map((i) => ellipse(pointAt(spine, i / 14), 13.5, 12.5, 0, 22));
  const volume = uniteOutlines([
    ...lobes,
    ...lobes.map((l) => l.map(mirror)),
    mirrored([...spine].reverse()),
  ]);
  const coils = [1, -1].flatMap((s) =>
    [
      [18, -118],
      [38, -108],
      [58, -92],
      [70, -70],
      [77, -44],
      [79, -18],
      [12, -100],
      [32, -94],
      [50, -78],
      [62, -56],
      [70, -30],
      [0, -112],
      [22, -84],
      [44, -66],
    ].map(([x, y], i) =>
      inked('coil', coil([s * x!, y!], 4.2 + (i % 3)).map(carry), [0.04, 0.24, 0.05], 0.5, 'ink', 1),
    ),
  );
  return {
    behind: [
      filled(
        'hair',
        volume.map((p) => p.map(carry)),
        'hair',
      ),
      ...volume
        .slice(0, 1)
        .map((p) => inked('hair outline', [...p, p[0]!].map(carry), [0.4, 0.5, 0.4], 0.9, 'ink', 1)),
    ],
    front: [filled('hair', [cap(1).map(carry)], 'hair'), ...coils, downyEdge(face, 16)],
  };
}

/** One turn and a half of a spiral. */
function coil(centre: Point, radius: number): Point[] {
  return Array.from({ length: 15 }, (_, i) => {
    const a = (i / 14) * 3 * Math.PI;
    const r = radius * (0.25 + 0.75 * (i / 14));
    return [centre[0] + r * Math.cos(a), centre[1] + r * Math.sin(a) * 0.85];
  });
}
