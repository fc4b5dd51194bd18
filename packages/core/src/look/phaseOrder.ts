import { PHASES, type Look, type LookStep, type Step } from './document';
import { groundsLids } from './ofSkin';
import { isStirredWithPowder, laidInPhase } from './sculpted';

type Laid = Pick<LookStep, 'phase' | 'role' | 'placements'> &
  Partial<Pick<LookStep, 'wants'> & Pick<Step, 'use'>>;

/** Phases in the order of the school; within a phase the look's own order holds. */
export function inOrder<T extends Laid>(steps: readonly T[], look: Pick<Look, 'schools'>): T[] {
  const rank = layingRank(look.schools);
  return steps
    .map((step, i) => ({ step, i }))
    .sort((a, b) => rank(a.step) - rank(b.step) || a.i - b.i)
    .map(({ step }) => step);
}

/**
 * Where a step comes in a school's order, to be compared: by its phase, but colour in powder when the face is
 * set, and what shadow lies upon before the eyes, also where these come before the base.
 */
export function layingRank(schools: Look['schools']): (step: Laid) => number {
  const order = phaseOrder(schools);
  const eyes = order.indexOf('eyes');
  const beforeEyes = PHASES.slice(0, PHASES.indexOf('brows'));
  return (step) => {
    const own = order.indexOf(laidInPhase(step)) + (isStirredWithPowder(step) ? 0.5 : 0);
    return own > eyes && beforeEyes.includes(step.phase) && groundsLids(step) ? eyes - 0.5 : own;
  };
}

/** The phases as a school lays them: eyes first moves brows and eyes before the base. */
export function phaseOrder(schools: Look['schools']): readonly LookStep['phase'][] {
  let order: readonly LookStep['phase'][] = PHASES;
  const move = (phases: readonly LookStep['phase'][], before: LookStep['phase']): void => {
    const rest = order.filter((p) => !phases.includes(p));
    const at = rest.indexOf(before);
    order = [...rest.slice(0, at), ...phases, ...rest.slice(at)];
  };
  if (schools.eyesOrFace === 'eyes first') move(['brows', 'eyes'], 'correct');
  if (schools.concealer === 'under base') move(['conceal'], 'base');
  if (schools.contour === 'under base') move(['sculpt'], 'base');
  return order;
}
