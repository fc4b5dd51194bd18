import { object, string, type InferType } from 'yup';
import { isZone } from '@toile/core';
import { mannerSchema } from './settings';

/** A password is long rather than odd: length is what makes it hard to guess. */
const LEAST_LETTERS = 12;
export const passwordField = () =>
  string()
    .required('Choose a password')
    .min(LEAST_LETTERS, `At least ${LEAST_LETTERS} letters: a few words are easy to keep`)
    .max(200, 'At most 200 letters');

/** The first start of an installation: the studio, and its owner’s account. */
export const setUpSchema = object({
  studio: string().trim().required('Name the studio').max(120, 'At most 120 letters'),
  zone: string()
    .trim()
    .required('Say which time zone')
    .test('zone', 'A time zone, as Europe/Lisbon', (value) => value === undefined || isZone(value)),
  manner: mannerSchema,
  name: string().trim().required('Write your name').max(120, 'At most 120 letters'),
  email: string().trim().required('Write your email').email('This is not an email address').max(200),
  password: passwordField(),
}).noUnknown('${unknown} is not known here');
export type SetUp = InferType<typeof setUpSchema>;

/** A new password for oneself. */
export const newPasswordSchema = object({
  current: string().required('Write the password you have now').max(200),
  next: passwordField(),
}).noUnknown('${unknown} is not known here');
export type NewPassword = InferType<typeof newPasswordSchema>;
