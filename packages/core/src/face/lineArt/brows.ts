import { BROW_HALF_WIDTHS } from '../canonicalLines';
import { ribbon } from '../curve';
import type { FaceModel, HalfFace } from '../faceModel';
import { featuresOn, type Features } from '../features';
import { normalsOf, type Point } from '../point';
import { between, inked, inkPath, type Ink } from './ink';

const BROW_WEIGHT = { full: 1, fine: 0.62, sparse: 0.75, tattooed: 0.85 } as const satisfies Record<
  Features['brows'],
  number
>;
const BROW_TONE = { full: 0.34, fine: 0.34, sparse: 0.14, tattooed: 0.55 } as const satisfies Record<
  Features['brows'],
  number
>;
const HAIRS = { full: 26, fine: 20, sparse: 12, tattooed: 6 } as const satisfies Record<
  Features['brows'],
  number
>;

/** Brows: a soft wash that starts lightly, and single hairs leaning outwards. */
export function browsInk(face: FaceModel): Ink[] {
  return [face.left, face.right].flatMap((half): Ink[] => {
    const { brows } = featuresOn(half.side, face.features);
    const weight = BROW_WEIGHT[brows];
    const widths = BROW_HALF_WIDTHS.map((w) => w * weight);
    const wash = half.brow.map(half.toFace);
    return [
      inked('brow', wash, [0.2, ...widths.slice(1)], BROW_TONE[brows]),
      inked(
        'brow',
        wash.slice(Math.round(wash.length * 0.22)),
        [0.2, ...widths.slice(3).map((w) => w * 0.62)],
        BROW_TONE[brows] * 0.9,
      ),
      browHairs(half, widths, HAIRS[brows]),
    ];
  });
}

function browHairs(half: HalfFace, widths: readonly number[], count: number): Ink {
  const normals = normalsOf(half.brow);
  const parts: string[] = [];
  for (let i = 0; i < count; i++) {
    const t = (i + 0.5) / count;
    const k = Math.round(t * (half.brow.length - 1));
    const spine = half.brow[k]!;
    const up = normals[k]!;
    const w = between(widths, t);
    // Fronts stand up, the middle leans, the tail lies down; each second hair comes from above.
    const lean = 1.2 + 4.6 * t;
    const fromBelow = t < 0.72 || i % 2 === 0;
    const root: Point = [
      spine[0] + up[0] * (fromBelow ? -w : w),
      spine[1] + up[1] * (fromBelow ? -w : w) * 0.9,
    ];
    const tip: Point = [root[0] + lean, root[1] + (fromBelow ? -1 : 1) * w * (1.9 - 1.2 * t)];
    const bend: Point = [(root[0] + tip[0]) / 2 - 0.3, (root[1] + tip[1]) / 2 - 0.2];
    parts.push(
      inkPath(
        [ribbon([root, bend, tip].map(half.toFace), (s) => 0.22 * Math.sin(Math.PI * (0.15 + 0.8 * s)))],
        2,
      ),
    );
  }
  return { part: 'brow hairs', d: parts.join(''), fill: 'ink', opacity: 0.75 };
}
