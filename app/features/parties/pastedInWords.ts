import type { PastedGuest } from '@toile/core';
import { hourInWords } from '../words/dates';
import { ROLE_WORDS } from './GuestDialog';

/** How a line of a pasted list was understood, to be looked over before it is taken. */
export function pastedInWords({ name, role, readyBy, faceMinutes, hairMinutes }: PastedGuest): string {
  return [
    name,
    ROLE_WORDS[role],
    readyBy === null ? '' : `by ${hourInWords(readyBy)}`,
    faceMinutes === null ? '' : faceMinutes === 0 ? 'no face' : `face ${faceMinutes} min`,
    hairMinutes === null ? '' : `hair ${hairMinutes} min`,
  ]
    .filter((word) => word !== '')
    .join(' · ');
}
