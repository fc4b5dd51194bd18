import type { Point } from './point';

/** A box in mm: left, top, right, bottom. */
export type Box = readonly [left: number, top: number, right: number, bottom: number];

/** The smallest box round an outline. */
export function boxOf(polygon: readonly Point[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const point of polygon) {
    left = Math.min(left, point[0]);
    top = Math.min(top, point[1]);
    right = Math.max(right, point[0]);
    bottom = Math.max(bottom, point[1]);
  }
  return [left, top, right, bottom];
}

/** Places that only graze each other, by less than this, do not touch, mm. */
const GRAZE_MM = 2;

/** Whether any of some boxes lies over any of others by more than a graze. */
export function boxesTouch(some: readonly Box[], others: readonly Box[]): boolean {
  return some.some(([l, t, r, b]) =>
    others.some(
      ([l2, t2, r2, b2]) =>
        Math.min(r, r2) - Math.max(l, l2) > GRAZE_MM && Math.min(b, b2) - Math.max(t, t2) > GRAZE_MM,
    ),
  );
}
