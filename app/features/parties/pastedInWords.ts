import { msg, type PastedGuest } from '@toile/core';
import { hourInWords } from '../words/dates';
import { ROLE_WORDS } from './GuestDialog';

/** How a line of a pasted list was understood, to be looked over before it is taken. */
export function pastedInWords(guest: PastedGuest): string {
  const { name, role, readyBy, faceMinutes, hairMinutes, notes } = guest;
  return [
    name,
    ROLE_WORDS[role],
    readyBy === null ? '' : msg`ready by ${hourInWords(readyBy)}`,
    faceMinutes === null ? '' : faceMinutes === 0 ? msg`no face` : msg`face ${faceMinutes} min`,
    hairMinutes === null ? '' : msg`hair ${hairMinutes} min`,
    notes === '' ? '' : `“${notes}”`,
  ]
    .filter((word) => word !== '')
    .join(' · ');
}
