import { guideNamed } from './guides';
import { SIDES, type Side } from './landmarks';
import type { Placement } from './outlineOf';
import type { Point, Polygon } from './point';

/** The canonical face from above the hair to below the decollete, and beyond the ears on either side, mm. */
const FROM_Y = -160;
const TO_Y = 300;
const OUT_X = 150;
/** The midline bends with a face: a point every so many mm lets its edge follow. */
const STEP_MM = 5;

/** One half of the canonical face, cut at its midline; the client's left lies where x is positive. */
export function halfOutline(side: Side): Polygon {
  const out = side === 'left' ? OUT_X : -OUT_X;
  const midline = Array.from({ length: (TO_Y - FROM_Y) / STEP_MM + 1 }, (_, i): Point => [
    0,
    FROM_Y + i * STEP_MM,
  ]);
  return [...midline, [out, TO_Y], [out, FROM_Y]];
}

const OTHER: Readonly<Record<Side, Side>> = { left: 'right', right: 'left' };

/** What of a placement lies on one half of the face; null for what lies on the other only. */
export function halfOf(placement: Placement, side: Side): Placement | null {
  if (crossesMidline(placement))
    return { ...placement, without: [...(placement.without ?? []), [...halfOutline(OTHER[side])]] };
  return placement.side === OTHER[side] ? null : { ...placement, side };
}

/** The side a placement was cut to; null for one that is not cut at the midline. */
export function halfCutTo({ without = [] }: Placement): Side | null {
  return SIDES.find((side) => without.some((outline) => isSame(outline, halfOutline(OTHER[side])))) ?? null;
}

/**
 * A central guide does, and a stroke drawn past it; kept outlines lie on the client's left, where x is
 * positive.
 */
const crossesMidline = (placement: Placement): boolean =>
  'guide' in placement ? guideNamed(placement.guide).central : placement.outline.some(([x]) => x < 0);

const isSame = (one: readonly Point[], other: readonly Point[]): boolean =>
  one.length === other.length && one.every(([x, y], i) => x === other[i]![0] && y === other[i]![1]);
