import { createEmptyCard, fsrs, generatorParameters, Rating, type Card, type Grade as Rated } from 'ts-fsrs';
import type { Grade } from './score';

/** A skill as a card of spaced repetition. */
export type PracticeCard = Card;

const scheduler = fsrs(
  generatorParameters({
    enable_fuzz: false,
    enable_short_term: false,
    request_retention: 0.9,
    maximum_interval: 90,
  }),
);

const RATINGS: Readonly<Record<Grade, Rated>> = {
  again: Rating.Again,
  near: Rating.Hard,
  good: Rating.Good,
  sure: Rating.Easy,
};

/**
 * The card after the day's first attempt: when it is due again by FSRS-6. Its weights were learned on
 * remembered facts, not on hands. A null card is a skill never tried.
 */
export function practiceSchedule(card: PracticeCard | null, grade: Grade, now: Date): PracticeCard {
  return scheduler.next(card ?? createEmptyCard(now), now, RATINGS[grade]).card;
}
