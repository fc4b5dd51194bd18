import type { GuideName } from './guides';
import type { Side } from './landmarks';
import type { Placement } from './outlineOf';

/**
 * Placements with a guide taken off some sides: gone where it was there only, kept on the other side where it
 * was on both.
 */
export function offSides(
  placements: readonly Placement[],
  guide: GuideName,
  sides: readonly Side[],
): Placement[] {
  return placements.flatMap((placement): Placement[] => {
    if (!('guide' in placement) || placement.guide !== guide) return [placement];
    if (placement.side !== 'both') return sides.includes(placement.side) ? [] : [placement];
    const [only] = sides;
    if (!only) return [placement];
    return sides.length === 1 ? [{ ...placement, side: only === 'left' ? 'right' : 'left' }] : [];
  });
}
