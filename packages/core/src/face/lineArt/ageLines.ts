import { throughPoints } from '../curve';
import type { FaceModel } from '../faceModel';
import { sidesWhere, type Features } from '../features';
import { mirror, type Polyline } from '../point';
import { inked, type Ink } from './ink';

type LineName = Features['lines'][number];
type Drawn = {
  readonly part: string;
  readonly opacity: number;
  /** Canonical, on the client's left; drawn on the side that has it. */
  readonly lines: readonly Polyline[];
};

/** Drawn short of where they really end and never joined to brow or mouth: whole, they read as a scowl. */
const AGE_LINES: Readonly<Record<LineName, Drawn>> = {
  forehead: {
    part: 'forehead line',
    opacity: 0.3,
    lines: [
      [
        [0, -48.2],
        [10, -48],
        [26, -46],
      ],
      [
        [0, -40.7],
        [8, -40.5],
        [22, -39],
      ],
    ],
  },
  'between brows': {
    part: 'frown line',
    opacity: 0.26,
    lines: [
      [
        [3.9, -22],
        [3.7, -18.6],
        [4.2, -15.5],
      ],
    ],
  },
  'crow’s feet': {
    part: 'crow’s foot',
    opacity: 0.34,
    lines: [
      [
        [49.6, -4.2],
        [53.5, -7],
        [57.4, -8.6],
      ],
      [
        [50.2, -1],
        [54, -1.8],
        [58, -1.6],
      ],
      [
        [49.6, 2],
        [53, 3.2],
        [56.4, 5.2],
      ],
    ],
  },
  'under eye': {
    part: 'under-eye line',
    opacity: 0.26,
    lines: [
      [
        [20, 9.6],
        [26, 12.6],
        [33, 13],
        [39, 10.8],
      ],
    ],
  },
  smile: {
    part: 'smile line',
    opacity: 0.3,
    lines: [
      [
        [18.4, 40.4],
        [22.4, 44.6],
        [26, 50],
        [27.6, 55],
      ],
    ],
  },
  lip: {
    part: 'lip line',
    opacity: 0.28,
    lines: [
      [
        [9.2, 49.6],
        [9.9, 52.2],
        [10.4, 54.7],
      ],
      [
        [14, 51.4],
        [14.8, 54.2],
        [15.1, 56.9],
      ],
    ],
  },
};

/** Lines on the sides where the client has them, drawn lightly, so that placement can mind them. */
export function ageLinesInk(face: FaceModel): Ink[] {
  return (Object.keys(AGE_LINES) as LineName[]).flatMap((name) => {
    const { part, opacity, lines } = AGE_LINES[name];
    return sidesWhere(face.features, (side) => side.lines.includes(name)).flatMap((side) =>
      lines.map((line) => {
        const own = side === 'left' ? line : line.map(mirror);
        return inked(part, throughPoints(own, 1.5).map(face.warp.toFace), [0.02, 0.24, 0.24, 0.02], opacity);
      }),
    );
  });
}
