import type { Mail } from '@toile/core';
import { readDraft, writeDraft, formDraft } from './drafts';

/** A letter that would be sent if mail left from here. */
export type Letter = { readonly id: string; readonly at: string; readonly mail: Mail };

/**
 * Kept with the forms of whoever is signed in: a link in a letter is nobody else's to read, and goes at
 * sign-out.
 */
const name = (): string => formDraft('letters');
/** Letters kept on a device; the oldest go. */
const MOST = 50;

/** The letters of whoever is signed in on this device, newest first. */
export const lettersHere = (): readonly Letter[] => readDraft<Letter[]>(name()) ?? [];

/** Puts a letter among those that would be sent; the same one twice is one. */
export function keepLetter(letter: Letter): void {
  writeDraft(
    name(),
    [letter, ...lettersHere().filter(({ mail }) => mail.text !== letter.mail.text)].slice(0, MOST),
  );
}

/** Takes a letter away: it was sent by hand, or is not wanted. */
export function dropLetter(id: string): void {
  writeDraft(
    name(),
    lettersHere().filter((letter) => letter.id !== id),
  );
}
