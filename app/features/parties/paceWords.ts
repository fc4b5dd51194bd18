import { isNobodyYet, learnMinutes, LEAST_TIMED, msg, type Learned, type Timed } from '@toile/core';

/** Under so many it is said to be rough. */
const ROUGH = 10;

/** What a studio's own visits say of one pair of hands; null where there are too few. */
export function learnedPace(timed: readonly Timed[], name: string): Learned | null {
  if (isNobodyYet(name)) return null;
  const learned = learnMinutes(timed)({ worker: name, look: '', kind: '' });
  return learned.visits < LEAST_TIMED ? null : learned;
}

/** A pace as it is kept: to the hundredth, within what a plan takes. */
export const paceOf = ({ factor }: Pick<Learned, 'factor'>): number =>
  Math.min(2, Math.max(0.5, Math.round(factor * 100) / 100));

/** 'as planned', '9 % more than planned'. */
export function paceWords(pace: number): string {
  const more = Math.round((pace - 1) * 100);
  return more === 0
    ? msg`as planned`
    : more > 0
      ? msg`${more} % more than planned`
      : msg`${-more} % less than planned`;
}

/** What was learned, and how much it rests on. */
export function learnedWords(learned: Learned): string {
  return msg`${learned.visits} visits were timed: ${learned.visits < ROUGH ? msg`roughly ` : ''}${paceWords(paceOf(learned))}.`;
}
