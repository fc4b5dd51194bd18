import { ENOUGH_REPEATS, msg, type blindResult, type TrialMeasure } from '@toile/core';
import type { Photo } from '../../data/photos';

/** The photographs a trial can be judged by: taken since both halves were on, in the light that is judged. */
export function photosForTrial<P extends Pick<Photo, 'at' | 'light'>>(
  photos: readonly P[],
  measure: TrialMeasure,
  appliedAt: string | null,
): P[] {
  if (appliedAt === null) return [];
  const light = measure === 'camera' ? null : measure === 'flash' ? 'flash' : 'daylight';
  return photos.filter(
    (photo) => Date.parse(photo.at) >= Date.parse(appliedAt) && (light === null || photo.light === light),
  );
}

/** How far a round's judgement can be relied on, in words. */
export function blindWords({
  seen,
  repeats,
  reliable,
}: Pick<ReturnType<typeof blindResult>, 'seen' | 'repeats' | 'reliable'>): string {
  if (seen.length === 0) return msg`Nothing was judged: go through it again.`;
  if (reliable === null)
    return msg`Shown twice and judged twice: ${repeats.of}, ${repeats.alike} of them alike. Under ${ENOUGH_REPEATS} nothing is said of how well the eye could tell.`;
  const alike = msg`Of ${repeats.of} judged twice, ${repeats.alike} were judged alike`;
  return reliable ? `${alike}.` : msg`▲ ${alike}: the eye could not tell them apart reliably.`;
}
