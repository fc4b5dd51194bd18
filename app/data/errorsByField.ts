import type { ValidationError } from 'yup';

/** The first thing wrong with each field, by its path: the one to mend first. */
export function errorsByField(error: ValidationError): Readonly<Record<string, string>> {
  return Object.fromEntries([...error.inner].reverse().map((e) => [e.path ?? '', e.message]));
}
