import { distanceToLine, isInside, type Polygon } from '../face/point';

/** A patch with a soft edge: full from half a feather inside its outline, none from half a feather outside. */
export type SoftPatch = { readonly outline: Polygon; readonly featherMm: number };

/**
 * How much of two soft patches lies over each other, on a grid: each place is covered by clamp(1/2 + signed
 * distance / feather); Dice = 2 sum min / sum both, IoU = sum min / sum max. Both none where nothing is covered.
 */
export function softOverlap(
  drawn: SoftPatch,
  wanted: SoftPatch,
  stepMm = 0.25,
): { readonly dice: number; readonly iou: number } {
  const reach = Math.max(drawn.featherMm, wanted.featherMm) / 2 + stepMm;
  const points = [...drawn.outline, ...wanted.outline];
  if (drawn.outline.length < 3 || wanted.outline.length < 3)
    throw new RangeError('softOverlap: an outline has at least three points');
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  let both = 0;
  let least = 0;
  let most = 0;
  for (let y = Math.min(...ys) - reach + stepMm / 2; y < Math.max(...ys) + reach; y += stepMm) {
    for (let x = Math.min(...xs) - reach + stepMm / 2; x < Math.max(...xs) + reach; x += stepMm) {
      const a = coverAt(x, y, drawn);
      const b = coverAt(x, y, wanted);
      both += a + b;
      least += Math.min(a, b);
      most += Math.max(a, b);
    }
  }
  return both > 0 ? { dice: (2 * least) / both, iou: least / most } : { dice: 0, iou: 0 };
}

function coverAt(x: number, y: number, { outline, featherMm }: SoftPatch): number {
  const inside = isInside([x, y], outline);
  if (featherMm <= 0) return inside ? 1 : 0;
  const away = distanceToLine([x, y], [...outline, outline[0]!]);
  return Math.min(1, Math.max(0, 0.5 + (inside ? away : -away) / featherMm));
}
