import { messages, msg, plural, trialZoneWords, type TrialZone, type ZoneCast } from '@toile/core';
import { capital } from '../words/capital';

/** What was tapped of a photograph, in order; the last may be left out. */
export const PHOTO_TAPS = ['pupil_right', 'pupil_left', 'gnathion', 'bare'] as const;
export type PhotoTap = (typeof PHOTO_TAPS)[number];
export const PHOTO_TAP_WORDS: Readonly<Record<PhotoTap, string>> = messages({
  pupil_right: 'the middle of the client’s right pupil, on the left of a picture that is no mirror',
  pupil_left: 'the middle of the client’s left pupil',
  gnathion: 'the underside of the chin',
  bare: 'skin without make-up: an ear, a shoulder, the chest',
});

/** In words what a flash threw back in a zone, both sides together. */
export function castWords(casts: readonly ZoneCast[]): string {
  const told = casts.filter(({ burnt }) => !burnt);
  if (told.length === 0) return msg`burnt out: take it again, further away`;
  const deltaL = told.reduce((sum, one) => sum + one.deltaL, 0) / told.length;
  if (told.some(({ cast }) => cast === true)) return msg`white: ${deltaL.toFixed(1)} lighter than by day`;
  if (told.some(({ cast }) => cast === null)) return msg`the pictures cannot tell`;
  return deltaL < 0.5 ? msg`nothing` : msg`${deltaL.toFixed(1)} lighter than by day: does not show`;
}

/** Zone by zone, in the order of the face. */
export function castRows(
  casts: readonly ZoneCast[],
): { zone: TrialZone; title: string; words: string; white: boolean }[] {
  return [...new Set(casts.map(({ zone }) => zone))].map((zone) => {
    const here = casts.filter((one) => one.zone === zone);
    return {
      zone,
      title: capital(trialZoneWords(zone)),
      words: castWords(here),
      white: here.some(({ burnt, cast }) => !burnt && cast === true),
    };
  });
}

/** Where a photograph is kept. */
export type PhotoPlace = 'device' | 'studio';
type Placed = { readonly id: string; readonly at: string; readonly where: PhotoPlace };

/**
 * Photographs of this device and of the studio together, the newest first; one that is with the studio is
 * told once.
 */
export function besides<P extends Placed>(here: readonly P[], there: readonly P[]): P[] {
  const known = new Set(there.map(({ id }) => id));
  return [...there, ...here.filter(({ id }) => !known.has(id))].sort((one, other) =>
    other.at.localeCompare(one.at),
  );
}

export const missingWords = (count: number): string =>
  msg`${plural(count)`One photograph is|${count} photographs are`} with the studio and cannot be shown without it: try again with a network.`;

/** Where photographs stand and what becomes of them, before anything is added. */
export function keepingWords(studioKeeps: boolean): string {
  return studioKeeps
    ? msg`Kept with the studio, made smaller and without what the camera wrote about the place; gone when the client no longer agrees or is erased.`
    : msg`Kept on this device alone and never sent; gone when the client is erased or you sign out here.`;
}

const CHUNK = 0x8000;
/** Bytes in base64; in parts, since a call takes only so many arguments. */
export function asLetters(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += CHUNK)
    text += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return btoa(text);
}
