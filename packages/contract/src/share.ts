import { boolean, number, object, string } from 'yup';
import { msg } from '@toile/core';
import { uuid } from './client';

/** How long a link may last, days. */
export const SHARE_DAYS = [1, 7, 30] as const;
export type ShareDays = (typeof SHARE_DAYS)[number];
/**
 * Letters of a link's secret: 24 random bytes, made by whoever shares, so that the studio's records never
 * hold it.
 */
const SECRET = /^[A-Za-z0-9_-]{32}$/;

export const secretField = () =>
  string()
    .required()
    .matches(SECRET, () => msg`is not a secret of 32 letters`);

export const shareInputSchema = object({
  id: uuid().required(),
  version: number()
    .integer()
    .min(1)
    .required(() => msg`Say which version is shown`),
  secret: secretField(),
  days: number()
    .oneOf([...SHARE_DAYS], () => msg`one of ${SHARE_DAYS.join(', ')}`)
    .required(),
  cautions: boolean().default(false),
}).noUnknown('${unknown} is not known here');
export type ShareInput = { id: string; version: number; secret: string; days: ShareDays; cautions: boolean };

/** A new secret for a link. */
export function newSecret(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(24));
  return btoa(String.fromCharCode(...bytes))
    .replace(/\+/g, '-')
    .replace(/\//g, '_');
}

/** Where a link leads, under the app's own address. */
export function sharePath(studioId: string, secret: string): string {
  return `/s/${studioId}.${secret}`;
}
