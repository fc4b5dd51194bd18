import {
  areaOf,
  checkLimits,
  offNarrowTemples,
  outlineOf,
  subtractRegion,
  uniteOutlines,
  withinLimits,
  type Placement,
  type Region,
} from '../face';
import type { ClientSnapshot, Step } from '../look';
import { msg } from '../messages';
import { NO_SIDE, type RefitChange } from './change';

/**
 * A step placed anew where its places leave the limits of this face as it is now, or lie where nothing
 * should; null when all may stay.
 */
export function rePlaced(step: Step, client: ClientSnapshot): RefitChange | null {
  const { landmarks, features } = client;
  if (step.role === 'care') return null;
  const kept = step.role === 'contour' ? offNarrowTemples(step.placements, features) : step.placements;
  const placements = kept.map((p) => withinLimits(p, landmarks, features, step.role));
  const moved = placements.some((p, i) => p !== kept[i]);
  const off = kept !== step.placements;
  if (!moved && !off) return null;
  const breach = kept.flatMap((p) => checkLimits(p, landmarks, features, step.role))[0];
  const why = [
    ...(moved
      ? [msg`It leaves its limits on the face as it is now.${breach ? ` ${breach.message}` : ''}`]
      : []),
    ...(off ? [msg`A narrow temple is narrowed further by a shadow there: left out.`] : []),
  ].join(' ');
  const [before, after] = [skinUnder(step.placements, client), skinUnder(placements, client)];
  const changed = areaOf(subtractRegion(before, after)) + areaOf(subtractRegion(after, before));
  return {
    id: `${step.id} place`,
    stepId: step.id,
    title: step.title,
    kind: 're-place',
    why,
    difference: msg`${(changed / 100).toFixed(1)} cm² placed otherwise`,
    before: NO_SIDE,
    after: NO_SIDE,
    part:
      placements.length > 0
        ? { of: 'step', stepId: step.id, set: { placements } }
        : { of: 'left out', stepId: step.id },
  };
}

const skinUnder = (placements: readonly Placement[], { landmarks, features }: ClientSnapshot): Region =>
  uniteOutlines(
    placements.flatMap((p) => outlineOf(p, landmarks, features).flatMap((shape) => shape.region)),
  );
