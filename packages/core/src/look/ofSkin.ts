import { isAtEyesOrLips, isBelowTheJaw, liesOver, type SkinPlace } from '../face';
import type { LookStep, Step } from './document';

const LIDS: readonly string[] = ['zone.mobileLid', 'zone.crease', 'lid', 'innerLid', 'outerLid', 'openLid'];

/** Whether a step primes the skin: a primer of lids or lips is none. */
export const primesSkin = (step: Pick<LookStep, 'wants' | 'placements'>): boolean =>
  step.wants.kinds.includes('primer') && !isAtEyesOrLips(step);

const isOnLids = (step: Pick<LookStep, 'placements'>): boolean =>
  isAtEyesOrLips(step) && step.placements.some((p) => 'guide' in p && LIDS.includes(p.guide));

/** Whether a step primes the lids. */
export const primesLids = (step: Pick<LookStep, 'wants' | 'placements'>): boolean =>
  step.wants.kinds.includes('primer') && isOnLids(step);

const GROUNDS: readonly LookStep['role'][] = ['care', 'correct', 'base', 'conceal', 'powder'];

/** Whether a step is laid on lids alone, for shadow to lie upon: their primer, concealer or powder. */
export const groundsLids = (step: Pick<LookStep, 'role' | 'placements'>): boolean =>
  GROUNDS.includes(step.role) && isOnLids(step);

/** Whether a step is a base of the face: one of lids, lips or neck alone is none. */
export const basesFace = (step: Pick<LookStep, 'role' | 'placements'>): boolean =>
  step.role === 'base' && !isAtEyesOrLips(step) && !isBelowTheJaw(step);

const COVERS: readonly string[] = ['medium', 'full', 'opaque'];
/** Whether a base of the face covers so much that nothing painted beneath it is seen. */
export const hidesBeneath = (step: Pick<Step, 'role' | 'placements' | 'use'>): boolean =>
  basesFace(step) && step.use.some(({ product }) => COVERS.includes(product.coverage));

/** Whether a step sets the skin with powder, and not only a lid. */
export const setsSkin = (step: Pick<LookStep, 'role' | 'placements'>): boolean =>
  step.role === 'powder' && !isAtEyesOrLips(step);

const FACE: readonly SkinPlace[] = ['forehead', 'nose', 'chin', 'cheeks'];
/** Whether a step sets the face, and not only what moves under the eyes or round the mouth. */
export const setsTheFace = (step: Pick<LookStep, 'role' | 'placements'>): boolean =>
  setsSkin(step) &&
  (step.placements.length === 0 ||
    step.placements.some((p) => !('guide' in p) || FACE.some((place) => liesOver(p.guide, place))));
