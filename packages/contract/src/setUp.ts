import { object, string, type InferType } from 'yup';
import { isZone, msg } from '@toile/core';
import { mannerSchema } from './settings';
import { text } from './text';

/** A password is long rather than odd: length is what makes it hard to guess. */
const LEAST_LETTERS = 12;
export const passwordField = () =>
  string()
    .required(() => msg`Choose a password`)
    .min(LEAST_LETTERS, () => msg`At least ${LEAST_LETTERS} letters: a few words are easy to keep`)
    .max(200, () => msg`At most 200 letters`);

/** The first start of an installation: the studio, and its owner’s account. */
export const setUpSchema = object({
  studio: text()
    .required(() => msg`Name the studio`)
    .max(120, () => msg`At most 120 letters`),
  zone: text()
    .required(() => msg`Say which time zone`)
    .test(
      'zone',
      () => msg`A time zone, as Europe/Lisbon`,
      (value) => value === undefined || isZone(value),
    ),
  manner: mannerSchema,
  name: text()
    .required(() => msg`Write your name`)
    .max(120, () => msg`At most 120 letters`),
  email: text()
    .required(() => msg`Write your email`)
    .email(() => msg`This is not an email address`)
    .max(200, () => msg`At most 200 letters`),
  password: passwordField(),
}).noUnknown('${unknown} is not known here');
export type SetUp = InferType<typeof setUpSchema>;

/** A new password for oneself. */
export const newPasswordSchema = object({
  current: string()
    .required(() => msg`Write the password you have now`)
    .max(200, () => msg`At most 200 letters`),
  next: passwordField(),
}).noUnknown('${unknown} is not known here');
export type NewPassword = InferType<typeof newPasswordSchema>;
