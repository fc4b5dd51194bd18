import type { Side } from '../face';
import { seededRandom, seedFromText } from '../math';

/**
 * The chance that A goes left: one in two, leaning two to one towards the side A has had less often in the
 * earlier draws of the same question. Never fixed blocks, which can be guessed and cost evidence.
 */
export function chanceOfALeft(earlierASides: readonly Side[]): number {
  const surplus = earlierASides.reduce((sum, side) => sum + (side === 'left' ? 1 : -1), 0);
  return leaning(surplus);
}

/** The same from how many more lefts than rights there were. */
export function leaning(surplus: number): number {
  return surplus === 0 ? 1 / 2 : surplus > 0 ? 1 / 3 : 2 / 3;
}

export type Draw = { readonly chance: number; readonly number: number; readonly aSide: Side };

/** The one draw of a trial, from its studio's and its own name: `${studioId}/${trialId}`. */
export function drawSides(seedText: string, earlierASides: readonly Side[]): Draw {
  const chance = chanceOfALeft(earlierASides);
  const number = seededRandom(seedFromText(seedText))();
  return { chance, number, aSide: number < chance ? 'left' : 'right' };
}
