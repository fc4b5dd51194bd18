import { isAtEyesOrLips } from '../face';
import type { LookStep } from './document';

/** Whether a step primes the skin: a primer of lids or lips is none. */
export const primesSkin = (step: Pick<LookStep, 'wants' | 'placements'>): boolean =>
  step.wants.kinds.includes('primer') && !isAtEyesOrLips(step);

/** Whether a step sets the skin with powder, and not only a lid. */
export const setsSkin = (step: Pick<LookStep, 'role' | 'placements'>): boolean =>
  step.role === 'powder' && !isAtEyesOrLips(step);
