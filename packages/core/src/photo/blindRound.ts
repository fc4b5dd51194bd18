import { SIDES, type Side } from '../face';
import { seededRandom, seedFromText, shuffled } from '../math';
import type { TrialZone } from '../trial';

/**
 * One half of one photograph as it is shown: the other half hidden, the hour unsaid, as a left half or a
 * right one by lot.
 */
export type BlindCard = {
  readonly id: string;
  readonly photoId: string;
  /** The client's. */
  readonly side: Side;
  readonly mirrored: boolean;
};

/** So much of a round is shown a second time, the other way round. */
const SHOWN_TWICE = 1 / 3;
/** Under so many repeats nothing is said of the judge; under such a share alike the eye could not tell. */
export const ENOUGH_REPEATS = 5;
const ALIKE = 0.7;

/**
 * The halves of some photographs in an order by lot, each mirrored by lot, a third of them twice and never
 * one right after itself. The same seed gives the same round.
 */
export function blindRound(photoIds: readonly string[], seed: string): BlindCard[] {
  const random = seededRandom(seedFromText(seed));
  const once = shuffled(
    photoIds.flatMap((photoId) => SIDES.map((side) => ({ photoId, side }))),
    random,
  ).map(({ photoId, side }): BlindCard => ({
    id: `${photoId} ${side}`,
    photoId,
    side,
    mirrored: random() < 0.5,
  }));
  // The last has nothing after it that could come between.
  const repeats = shuffled(once.slice(0, -1), random).slice(0, Math.ceil(SHOWN_TWICE * once.length));
  return repeats.reduce<BlindCard[]>((round, card) => {
    const first = round.findIndex(({ id }) => id === card.id);
    const from = first + 2;
    const at = from + Math.floor(random() * (round.length - from + 1));
    return [
      ...round.slice(0, at),
      { ...card, id: `${card.id} again`, mirrored: !card.mirrored },
      ...round.slice(at),
    ];
  }, once);
}

export type BlindAnswers = Readonly<Record<string, Readonly<Partial<Record<TrialZone, number>>>>>;
export type BlindSeen = {
  readonly photoId: string;
  readonly zone: TrialZone;
  readonly side: Side;
  /** Where it was judged twice, as it was the first time: grades are whole. */
  readonly value: number;
};

/** What was seen, by photograph, zone and side, and how alike what was shown twice was judged. */
export function blindResult(
  round: readonly BlindCard[],
  answers: BlindAnswers,
): {
  readonly seen: readonly BlindSeen[];
  readonly repeats: { readonly alike: number; readonly of: number };
  /** Whether the eye could tell; null where too little was shown twice to say. */
  readonly reliable: boolean | null;
} {
  const told = new Map<string, number[]>();
  for (const { id, photoId, side } of round)
    for (const [zone, grade] of Object.entries(answers[id] ?? {})) {
      const key = JSON.stringify([photoId, zone, side]);
      told.set(key, [...(told.get(key) ?? []), grade]);
    }
  const seen = [...told].map(([key, grades]): BlindSeen => {
    const [photoId, zone, side] = JSON.parse(key) as [string, TrialZone, Side];
    return { photoId, zone, side, value: grades[0]! };
  });
  const twice = [...told.values()].filter((grades) => grades.length > 1);
  const alike = twice.filter((grades) => new Set(grades).size === 1).length;
  return {
    seen,
    repeats: { alike, of: twice.length },
    reliable: twice.length < ENOUGH_REPEATS ? null : alike / twice.length >= ALIKE,
  };
}
