import { clamp } from '../../math';
import { messagesIn } from '../../messages';
import type { FaceModel, HalfFace } from '../faceModel';
import { measureLine, portion, type Point, type Polyline } from '../point';
import { stroke } from './cheek';
import { faded, type GuideDefinition, type GuideParams, type GuideShape } from './definition';

/** The brow's own line with its front, arch and tail moved by millimetres. */
function shapedBrow(half: HalfFace, { frontMm, archMm, tailMm, liftMm }: GuideParams): Polyline {
  const { lengthMm, at } = measureLine(half.brow);
  const front = Math.max(0, frontMm) / lengthMm;
  const back = Math.min(0, tailMm) / lengthMm;
  const kept = portion(half.brow, 0.06 + front, clamp(1 + back, 0.4, 1), 1);
  const first = kept[0]!;
  const last = kept[kept.length - 1]!;
  const before = at(0.9);
  const way = Math.hypot(last[0] - before[0], last[1] - before[1]) || 1;
  const longer: Point[] =
    tailMm > 0
      ? [
          [
            last[0] + ((last[0] - before[0]) / way) * tailMm,
            last[1] + ((last[1] - before[1]) / way) * tailMm * 0.8,
          ],
        ]
      : [];
  const nearer: Point[] = frontMm < 0 ? [[first[0] + frontMm, first[1] + 0.2]] : [];
  const arch = half.at('brow_arch')[0];
  const raised = (x: number): number => archMm * Math.exp(-(((x - arch) / 11) ** 2));
  return [...nearer, ...kept, ...longer].map(([x, y]): Point => [x, y - raised(x) - liftMm]);
}

/** The brow, from behind its front to the tail, lightest at the front. */
function browFill(half: HalfFace, face: FaceModel, params: GuideParams): GuideShape {
  const spine = portion(shapedBrow(half, params), 0, clamp(params.reach / 100, 0.3, 1), 1);
  const k = params.width / 100;
  const shape = stroke(
    half,
    face,
    spine,
    (t) => k * Math.max(0.2, 2.7 * Math.sin(Math.PI * (0.28 + 0.7 * t)) ** 0.9),
    faded([0.4, 1], params.fade),
    0.8,
  );
  const arch = spine.reduce((best, p) => (p[1] < best[1] ? p : best));
  return {
    ...shape,
    handles: {
      ...shape.handles,
      frontMm: spine[0]!,
      archMm: [arch[0], arch[1] - 4],
      tailMm: spine[spine.length - 1]!,
    },
  };
}

export const BROW_GUIDES = messagesIn(['label', 'where'], {
  brow: {
    kind: 'brow',
    label: 'Brow',
    where: 'along the brow, lightest at the front',
    central: false,
    adjustable: ['frontMm', 'archMm', 'tailMm', 'width', 'fade'],
    build: browFill,
  },
} as const satisfies Record<string, GuideDefinition>);
