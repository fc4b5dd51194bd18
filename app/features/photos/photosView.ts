import { trialZoneWords, type TrialZone, type ZoneCast } from '@toile/core';
import { capital } from '../words/capital';

/** What was tapped of a photograph, in order; the last may be left out. */
export const PHOTO_TAPS = ['pupil_right', 'pupil_left', 'gnathion', 'bare'] as const;
export type PhotoTap = (typeof PHOTO_TAPS)[number];
export const PHOTO_TAP_WORDS: Readonly<Record<PhotoTap, string>> = {
  pupil_right: 'the middle of the client’s right pupil, on the left of a picture that is no mirror',
  pupil_left: 'the middle of the client’s left pupil',
  gnathion: 'the underside of the chin',
  bare: 'skin without make-up: an ear, a shoulder, the chest',
};

/** In words what a flash threw back in a zone, both sides together. */
export function castWords(casts: readonly ZoneCast[]): string {
  const told = casts.filter(({ burnt }) => !burnt);
  if (told.length === 0) return 'burnt out: take it again, further away';
  const deltaL = told.reduce((sum, one) => sum + one.deltaL, 0) / told.length;
  if (told.some(({ cast }) => cast === true)) return `white: ${deltaL.toFixed(1)} lighter than by day`;
  if (told.some(({ cast }) => cast === null)) return 'the pictures cannot tell';
  return deltaL < 0.5 ? 'nothing' : `${deltaL.toFixed(1)} lighter than by day: does not show`;
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
