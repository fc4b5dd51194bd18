import type { Features } from '../face';
import { msg } from '../messages';
import type { Consult } from './consult';

/**
 * Ages under which somebody is asked for and a light touch is given. Local rules may say otherwise, and come
 * first.
 */
export const MINOR_UNDER = 18;
export const CHILD_UNDER = 13;

/** 'perhaps': of a year alone it is not known whether the birthday has been. */
export type Minority = 'child' | 'minor' | 'perhaps' | null;

/**
 * Whether a client is a child or a minor on a day (YYYY-MM-DD), by what is noted of the face and by the year
 * of birth; null where neither says so. A child is so from the year in which they can be no older.
 */
export function minorityOn(
  day: string,
  { birthYear, features }: { readonly birthYear: number | null; readonly features: Pick<Features, 'age'> },
): Minority {
  const oldest = birthYear === null ? Infinity : Number(day.slice(0, 4)) - birthYear;
  if (features.age === 'child' || oldest < CHILD_UNDER) return 'child';
  return oldest < MINOR_UNDER ? 'minor' : oldest === MINOR_UNDER ? 'perhaps' : null;
}

/**
 * A face's features with the age that the year of birth tells: a child is one, whatever is noted of the face.
 */
export function featuresAtAge<F extends Pick<Features, 'age'>>(
  features: F,
  birthYear: number | null,
  day: string,
): F {
  const child = minorityOn(day, { birthYear, features }) === 'child';
  return child && features.age !== 'child' ? { ...features, age: 'child' } : features;
}

type Young = {
  readonly birthYear: number | null;
  readonly features: Pick<Features, 'age'>;
  readonly guardianConsent: string;
};

/** Whether somebody is to be asked before work: a minor, or perhaps one, for whom nobody has said yes yet. */
export function consentMissing(day: string, client: Young): Exclude<Minority, null> | null {
  return client.guardianConsent === '' ? minorityOn(day, client) : null;
}

/**
 * Why no photograph of a client may be taken or kept; null where it may. Somebody agreed, and of a minor a
 * guardian did: a child's own yes is not enough.
 */
export function photographRefused(
  day: string,
  client: Young & { readonly consult: Pick<Consult, 'photos'> },
): 'not asked' | 'refused' | 'no guardian' | null {
  const { photos } = client.consult;
  if (photos === undefined) return 'not asked';
  if (photos === 'none') return 'refused';
  const missing = consentMissing(day, client);
  return missing === 'child' || missing === 'minor' ? 'no guardian' : null;
}

/** What is minded of a minor before any work, in a sentence; null of whoever is of age. */
export function minorInWords(day: string, client: Young): string | null {
  const { birthYear, guardianConsent } = client;
  const minority = minorityOn(day, client);
  const born = birthYear === null ? '' : msg`, born in ${birthYear}`;
  switch (consentMissing(day, client)) {
    case 'perhaps':
      return msg`Born in ${birthYear ?? ''}, perhaps not of age yet: ask, and note a guardian’s consent where it is needed.`;
    case 'child':
    case 'minor':
      return msg`A minor${born}: a guardian’s consent is needed and not noted.`;
    case null:
      return guardianConsent === ''
        ? null
        : msg`A minor${minority === null ? '' : born}. Consent: ${guardianConsent}.`;
  }
}
