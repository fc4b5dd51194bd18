import { object, string, type InferType } from 'yup';
import { msg } from '@toile/core';
import { text } from './text';

export const signInSchema = object({
  email: text()
    .required(() => msg`Write your email`)
    .email(() => msg`This is not an email address`)
    .max(200, () => msg`At most 200 letters`),
  password: string()
    .required(() => msg`Write your password`)
    .max(200, () => msg`At most 200 letters`),
}).noUnknown('${unknown} is not known here');
export type SignIn = InferType<typeof signInSchema>;
