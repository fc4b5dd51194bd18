import { deltaE2000, summariseReadings, type Lab } from '../colour';
import type { Side } from '../face';
import { msg } from '../messages';
import type { TrialZone } from './measures';
import type { TrialEvent } from './trial';

type Looked = Extract<TrialEvent, { kind: 'looked' }>;
type SeenColour = Looked['seen'][number];
/** Touches of the reader on each half of each zone. */
export type ColourSamples = Readonly<
  Partial<Record<TrialZone, Readonly<Partial<Record<Side, readonly Lab[]>>>>>
>;

/** A mean of fewer touches is not kept. */
export const LEAST_TOUCHES = 3;
/**
 * Under so much two means of so many touches may be the same skin, CIEDE2000: with the stand-in reader and no
 * change at all between them some 95 of 100 pairs lie under it, 92 to 98 by the depth of the skin.
 */
export const noShiftUnder = (touches: number): number => (touches >= 8 ? 0.9 : touches >= 5 ? 1.25 : 1.7);

/** The reading of a half a look is held against: the first that was taken there; null where none was. */
export function freshColour(
  looks: readonly Pick<Looked, 'lookedAt' | 'seen'>[],
  zone: TrialZone,
  side: Side,
): Lab | null {
  const first = [...looks]
    .sort((one, other) => Date.parse(one.lookedAt) - Date.parse(other.lookedAt))
    .flatMap(({ seen }) => seen.filter((one) => one.zone === zone && one.side === side && one.lab));
  return first[0]?.lab ?? null;
}

/**
 * What the reader saw of each half: its mean, and how far it is from the fresh one, CIEDE2000; 0 where this
 * is the first. Halves with too few touches are left out.
 */
export function colourSeen(
  samples: ColourSamples,
  looks: readonly Pick<Looked, 'lookedAt' | 'seen'>[],
): SeenColour[] {
  return (Object.keys(samples) as TrialZone[]).flatMap((zone) =>
    (['left', 'right'] as const).flatMap((side): SeenColour[] => {
      const touches = samples[zone]?.[side] ?? [];
      const read = summariseReadings(touches);
      if (!read || read.keptCount < LEAST_TOUCHES) return [];
      const fresh = freshColour(looks, zone, side);
      const value = fresh ? deltaE2000(fresh, read.lab) : 0;
      return [{ zone, side, measure: 'colour', value, lab: [...read.lab] }];
    }),
  );
}

/** How far a half has shifted, in words that know the reader's own noise. */
export function shiftInWords(deltaE: number, touches: number): string {
  const under = noShiftUnder(touches);
  return deltaE < under
    ? msg`no shift seen (under ${under} the reader itself may differ)`
    : msg`${deltaE.toFixed(1)} from fresh`;
}
