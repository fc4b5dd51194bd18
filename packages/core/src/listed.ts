import { msg } from './messages';

/** What is named in a row, as it is said: 'a', 'a and b', 'a, b and c'. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : msg`${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

/** The first few of many, and how many more: 'a, b, c and 12 more'. All of them where that says no less. */
export const listedFew = (names: readonly string[], most = 4): string =>
  names.length <= most + 1
    ? listed(names)
    : listed([...names.slice(0, most), msg`${names.length - most} more`]);
