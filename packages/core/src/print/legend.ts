import { LAYER_LOOKS, pathOf, type LayerKind, type Point } from '../face';
import { patternIn } from './patternIn';
import { INK, type SheetOp, type SheetOptions } from './sheet';

/** From one line of the legend to the next, points: as it is read best, and the least. */
export const LEGEND_LINE = { usual: 15, least: 11.5 } as const;

/** Notch, pattern and word of every kind in use, one under the other: read without colour too. */
export function legendOps(
  kinds: readonly LayerKind[],
  x: number,
  y: number,
  height: number,
  options: SheetOptions,
): SheetOp[] {
  const line = Math.min(LEGEND_LINE.usual, height / kinds.length);
  return kinds.flatMap((kind, i): SheetOp[] => {
    const [cx, cy] = [x, y + i * line];
    const look = LAYER_LOOKS[kind];
    const box: Point[] = [
      [0, 0],
      [14, 0],
      [14, 7],
      [0, 7],
    ];
    const solid = !options.colour && (kind === 'liner' || kind === 'lash');
    const marks = pathOf(patternIn([box], look.pattern), 2);
    return [
      {
        op: 'group',
        frame: [cx, cy, 21, 10.5],
        scale: 1.5,
        origin: [0, 0],
        ops: [
          {
            op: 'path',
            d: pathOf([box], 1),
            fill: options.colour ? look.fallback : solid ? INK : null,
            opacity: options.colour ? 0.6 : 1,
            stroke: INK,
            strokeWidth: 0.3,
          },
          ...(marks === '' ? [] : [{ op: 'path' as const, d: marks, fill: INK, opacity: 0.8 }]),
        ],
      },
      {
        op: 'group',
        frame: [cx + 24, cy + 1, 11, 9],
        scale: 11 / 16,
        origin: [0, 0],
        ops: [{ op: 'path', d: look.notch, fill: INK, opacity: 1 }],
      },
      { op: 'text', x: cx + 38, y: cy + 8.5, size: 7.5, bold: false, fill: INK, text: look.name },
    ];
  });
}
