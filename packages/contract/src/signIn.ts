import { object, string, type InferType } from 'yup';

export const signInSchema = object({
  email: string().trim().required('Write your email').email('This is not an email address').max(200),
  password: string().required('Write your password').max(200),
}).noUnknown('${unknown} is not known here');
export type SignIn = InferType<typeof signInSchema>;
