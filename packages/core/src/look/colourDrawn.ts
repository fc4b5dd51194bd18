import { shiftDepth, type Lab } from '../colour';
import { skinTarget, wantedColour } from '../shade';
import type { ClientSnapshot, Step } from './document';
import { colourOfUse } from './propose';

/** Steps from the skin at which a layer is usually laid, where neither a product nor a look says. */
const USUAL_STEPS: Partial<Record<Step['role'], number>> = {
  base: 0,
  conceal: 0,
  powder: 0,
  contour: 2,
  bronze: 1.2,
  highlight: -2,
};

/**
 * The colour a layer is drawn in on this client's face: of what is used; where nothing is, or nobody has read
 * it, what the step asks for on this skin; what has no colour of its own as the skin it lies on. Null where
 * all that is unknown.
 */
export function colourDrawn(
  step: Pick<Step, 'use' | 'role' | 'shade' | 'wants' | 'placements' | 'title'>,
  client: Pick<ClientSnapshot, 'skin' | 'features'>,
): Lab | null {
  const used = colourOfUse(step.use);
  if (used) return used;
  const asked = wantedColour(step, client);
  if (asked) return asked;
  const usual = USUAL_STEPS[step.role];
  const skin = skinTarget(client.skin);
  if (usual === undefined || skin === null) return null;
  return usual === 0 ? skin : shiftDepth(skin, usual);
}
