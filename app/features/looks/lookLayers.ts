import { outlineOf, withinLimits, type Features, type Landmarks, type LookStep } from '@toile/core';
import type { PaintedLayer } from '../face/FaceLayers';

type Face = { readonly landmarks: Landmarks; readonly features: Features };

/** What a look's step paints on a face, kept within that face's limits; nothing for care. */
export function layerOn(step: LookStep, { landmarks, features }: Face): PaintedLayer[] {
  if (step.role === 'care') return [];
  const shapes = step.placements.flatMap((p) =>
    outlineOf(withinLimits(p, landmarks, features, step.role), landmarks, features),
  );
  return [{ id: step.id, kind: step.role, shapes, colour: null }];
}
