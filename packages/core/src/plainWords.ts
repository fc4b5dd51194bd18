/** Letters that are no accent on another and are typed as one all the same. */
const LETTERS: Readonly<Record<string, string>> = {
  ø: 'o',
  ł: 'l',
  đ: 'd',
  ð: 'd',
  þ: 'th',
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ı: 'i',
  '’': "'",
  '‘': "'",
};

/** Words as they are typed in a hurry: lower case, no accents, plain letters and apostrophes. */
export const plainWords = (words: string): string =>
  words
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[øłđðþßæœı’‘]/g, (letter) => LETTERS[letter] ?? letter);
