import { isKnownByName, SENSITIVITIES, sensitivitiesFromText, toBeMinded } from '@toile/core';

type Known = (typeof SENSITIVITIES)[number];

/** Of what is noted, the sensitivities known by name. */
export const knownByName = (sensitivities: readonly string[]): readonly Known[] =>
  SENSITIVITIES.filter((known) => sensitivities.includes(known));

/** Of what is noted, the rest as one line: 'almonds, tea tree'. */
export const inOwnWords = (sensitivities: readonly string[]): string =>
  sensitivities.filter((noted) => !SENSITIVITIES.some((known) => known === noted)).join(', ');

/**
 * Of words typed, those whose other names nobody here knows: only they themselves are looked for in lists.
 */
export const onlyAsWritten = (words: string): string[] =>
  toBeMinded(noted([], words)).filter((word) => !isKnownByName(word));

/** What is noted from names chosen and words typed, each once, nothing empty. */
export function noted(known: readonly Known[], words: string): string[] {
  return [...new Set([...known, ...sensitivitiesFromText(words)])];
}
