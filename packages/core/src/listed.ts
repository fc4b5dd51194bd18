/** What is named in a row, as it is said: 'a', 'a and b', 'a, b and c'. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
