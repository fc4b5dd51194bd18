import { boxOf } from '../face/box';
import type { Polygon } from '../face/point';

/**
 * A patch with a soft edge: full from half a feather inside its outline, none from half a feather outside.
 */
export type SoftPatch = { readonly outline: Polygon; readonly featherMm: number };

/**
 * How much of two soft patches lies over each other, on a grid: each place is covered by clamp(1/2 + signed
 * distance / feather); Dice = 2 sum min / sum both, IoU = sum min / sum max. Both none where nothing is
 * covered.
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
  const [left, top, right, bottom] = boxOf(points);
  const [own, asked] = [coverOf(drawn), coverOf(wanted)];
  let both = 0;
  let least = 0;
  let most = 0;
  for (let y = top - reach + stepMm / 2; y < bottom + reach; y += stepMm) {
    for (let x = left - reach + stepMm / 2; x < right + reach; x += stepMm) {
      const a = own(x, y);
      const b = asked(x, y);
      both += a + b;
      least += Math.min(a, b);
      most += Math.max(a, b);
    }
  }
  return both > 0 ? { dice: (2 * least) / both, iou: least / most } : { dice: 0, iou: 0 };
}

/**
 * Covered by how much at a point, by the distance to the outline's sides kept flat: this is asked thousands
 * of times a patch. Farther than half a feather from all of it nothing is.
 */
function coverOf({ outline, featherMm }: SoftPatch): (x: number, y: number) => number {
  const n = outline.length;
  const sides = Float64Array.from({ length: 4 * n }, (_, i) => {
    const [from, to] = [outline[i >> 2]!, outline[((i >> 2) + 1) % n]!];
    return [from[0], from[1], to[0] - from[0], to[1] - from[1]][i & 3]!;
  });
  const half = Math.max(0, featherMm) / 2;
  const [left, top, right, bottom] = boxOf(outline);
  return (x, y) => {
    if (x < left - half || x > right + half || y < top - half || y > bottom + half) return 0;
    let inside = false;
    let nearest = Infinity;
    for (let i = 0; i < 4 * n; i += 4) {
      const dx = x - sides[i]!;
      const dy = y - sides[i + 1]!;
      const vx = sides[i + 2]!;
      const vy = sides[i + 3]!;
      // Even-odd, as isInside.
      if (dy < 0 !== dy < vy && dx < (vx * dy) / vy) inside = !inside;
      const t = (dx * vx + dy * vy) / (vx * vx + vy * vy || 1);
      const along = t < 0 ? 0 : t > 1 ? 1 : t;
      const px = dx - along * vx;
      const py = dy - along * vy;
      const square = px * px + py * py;
      if (square < nearest) nearest = square;
    }
    if (featherMm <= 0) return inside ? 1 : 0;
    const away = Math.sqrt(nearest);
    return Math.min(1, Math.max(0, 0.5 + (inside ? away : -away) / featherMm));
  };
}
