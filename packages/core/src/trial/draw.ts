import type { Side } from '../face';
import { seededRandom, seedFromText } from '../math';
import type { TrialZone } from './measures';

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

/** One place's own draw: a fair coin, since places of one face do not balance a question. */
export type PlaceDraw = { readonly zone: TrialZone; readonly number: number; readonly aSide: Side };

/** A draw for each place by itself, out of one seed in the order of the places. */
export function drawPlaces(seedText: string, zones: readonly TrialZone[]): PlaceDraw[] {
  const random = seededRandom(seedFromText(seedText));
  return zones.map((zone) => {
    const number = random();
    return { zone, number, aSide: number < 1 / 2 ? 'left' : 'right' };
  });
}

/** Which sides were drawn: one for the whole face, or one for each place. */
export type SidesDrawn =
  { readonly aSide: Side } | { readonly places: readonly { readonly zone: string; readonly aSide: Side }[] };

/** The side A was drawn for at a place. Throws a RangeError for a place nothing was drawn for. */
export function aSideAt(drawn: SidesDrawn, zone: string): Side {
  if ('aSide' in drawn) return drawn.aSide;
  const place = drawn.places.find((one) => one.zone === zone);
  if (!place) throw new RangeError(`aSideAt: nothing was drawn for ${zone}`);
  return place.aSide;
}
