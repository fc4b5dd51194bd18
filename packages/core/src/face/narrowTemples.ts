import { sidesWhere, type Features } from './features';
import type { Side } from './landmarks';
import { offSides } from './offSides';
import type { Placement } from './outlineOf';

/** Where a shadow narrows a temple: along the hairline, and on the temple itself. */
const AT_TEMPLES = ['foreheadContour', 'zone.temple'] as const;

/** The client's sides whose temple is narrow. */
export const narrowTemples = (features: Features): readonly Side[] =>
  sidesWhere(features, (side) => side.narrowTemples);

/**
 * What is left of a shadow's placements where temples are narrow: the placements themselves where nothing is
 * taken off, in the same order; none where all of it lay there.
 */
export function offNarrowTemples(placements: readonly Placement[], features: Features): readonly Placement[] {
  const narrow = narrowTemples(features);
  const left = AT_TEMPLES.reduce<readonly Placement[]>(
    (rest, guide) => offSides(rest, guide, narrow),
    placements,
  );
  const same = left.length === placements.length && left.every((p, i) => p === placements[i]);
  return same ? placements : left;
}
