import { isPowder, isWet, type ProductSnapshot } from '../kit';
import type { LookStep, Step } from './document';

/** Colour and light of the face. */
export const SCULPTED: readonly LookStep['role'][] = ['blush', 'bronze', 'contour', 'highlight'];

/** What a step is mostly done with, by weight. */
export const mostOf = ({ use }: Pick<Step, 'use'>): ProductSnapshot | null =>
  use.reduce<Step['use'][number] | null>(
    (most, one) =>
      most && most.parts * most.product.mgPerMeasure >= one.parts * one.product.mgPerMeasure ? most : one,
    null,
  )?.product ?? null;

/**
 * Whether cream that is stirred with powder goes on among creams: the last of them, since cream drags on it.
 */
export const isStirredWithPowder = (step: Sculpting): boolean =>
  laidInPhase(step) === 'sculpt' && (step.use ?? []).some(({ product }) => isPowder(product));

type Sculpting = Pick<LookStep, 'phase' | 'role'> &
  Partial<Pick<LookStep, 'wants'>> &
  Partial<Pick<Step, 'use'>>;

/**
 * The phase a step is laid in: colour and light of the face in powder go on when it is set, in cream before,
 * whichever the look has them in; a base in powder sets what is cream, so that all of it lies beneath. What
 * it is done with decides, where there is nothing yet what is wanted.
 */
export function laidInPhase({ phase, role, wants, use = [] }: Sculpting): LookStep['phase'] {
  const isBase = role === 'base' && phase === 'base';
  if (!isBase && (!SCULPTED.includes(role) || (phase !== 'sculpt' && phase !== 'powder'))) return phase;
  const most = mostOf({ use });
  const textures = most ? [most.texture] : (wants?.textures ?? []);
  if (textures.length === 0) return phase;
  if (textures.every((texture) => isPowder({ texture }))) return isBase ? 'set' : 'powder';
  return !isBase && (most === null || isWet(most)) ? 'sculpt' : phase;
}
