import { deltaE2000, type Lab } from '../colour';
import { shownOfStep, type Use } from '../look';
import type { Random } from '../math';
import { messagesIn } from '../messages';
import { practiceProduct } from './practiceProduct';

/** Pans of corrector to choose from. */
export const CORRECTORS: readonly { readonly id: string; readonly words: string; readonly lab: Lab }[] =
  messagesIn(
    ['words'],
    [
      { id: 'peach', words: 'peach', lab: [76, 18, 26] },
      { id: 'orange', words: 'orange', lab: [62, 32, 42] },
      { id: 'red', words: 'brick red', lab: [44, 36, 28] },
      { id: 'yellow', words: 'yellow', lab: [84, 4, 40] },
      { id: 'green', words: 'green', lab: [76, -16, 18] },
      { id: 'lilac', words: 'lilac', lab: [74, 14, -14] },
    ],
  );

const NOBODYS = '00000000-0000-7000-8000-000000000000';
/** A thin film, mg a cm2. */
const FILM = 0.3;
/** So much nearer is seen, CIEDE2000. */
const HELPS = 0.5;
const TRIES = 20;

/** A place under the eye and the cheek beside it. */
export type Shadow = { readonly under: Lab; readonly cheek: Lab };

/** How far the place under the eye is from the cheek when a corrector lies on it: predicted, CIEDE2000. */
export function corrected({ under, cheek }: Shadow, lab: Lab): number {
  const use: Use = {
    unitId: null,
    parts: 1,
    measure: 'dot',
    product: practiceProduct(NOBODYS, 'corrector', lab),
  };
  const shown = shownOfStep({ use: [use], doseMgPerCm2: FILM, passes: 1 }, under);
  return shown === null ? Infinity : deltaE2000(shown, cheek);
}

/** A shadow under the eye that some corrector brings nearer to its cheek than nothing does; null for none. */
export function shadowBeside(cheek: Lab, random: Random): Shadow | null {
  const [L, a, b] = cheek;
  for (let tries = 0; tries < TRIES; tries++) {
    const under: Lab = [L - 5 - 5 * random(), a - 3 * random(), b - 5 - 6 * random()];
    const shadow = { under, cheek };
    const bare = deltaE2000(under, cheek);
    if (CORRECTORS.some(({ lab }) => corrected(shadow, lab) < bare - HELPS)) return shadow;
  }
  return null;
}
