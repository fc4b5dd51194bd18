import { string } from 'yup';
import { msg } from '@toile/core';

/**
 * A Yup field for a text, without the spaces round it. Yup's own `trim` breaks on what is no text; this says
 * so beside the field. In a file of its own: the door has texts, and none of what checks documents.
 */
export const text = () =>
  string()
    .transform((value: unknown) => (typeof value === 'string' ? value.trim() : value))
    .typeError(() => msg`This is not a text`);
