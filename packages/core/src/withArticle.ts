import { msg } from './messages';

/** A noun with its article, where the language has any: 'an adjuster', 'a base'. */
export const withArticle = (noun: string): string =>
  /^[aeiou]/i.test(noun) ? msg`an ${noun}` : msg`a ${noun}`;
