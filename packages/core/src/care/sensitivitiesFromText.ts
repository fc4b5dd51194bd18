/** Commas, semicolons, lines and bullets divide; the comma of a name ('1,2-hexanediol') does not. */
const BETWEEN = /,(?!\d+(?:,\d+)*-\p{L})|[;\n\u2022]/u;
/** The end of a sentence; after fewer letters it is a word cut short: 'vit. E', 'C.I. Red'. */
const SENTENCE_ENDS = /(\p{L}{4})\.\s+(?=\p{Lu})/gu;
/** What goes before a thing and is none of it. */
const LEADING = /^(?:and|also|plus|or)\s+(?=\S)|^[&+\u2013\u2014-]\s*/iu;

/** What somebody is sensitive to, as it is typed in a line or a few: each part once, none empty. */
export const sensitivitiesFromText = (text: string): string[] => [
  ...new Set(
    text
      .replace(SENTENCE_ENDS, '$1;')
      .split(BETWEEN)
      .map((part) =>
        part
          .trim()
          .replace(LEADING, '')
          .replace(/[.!]+$/, '')
          .trim(),
      )
      .filter((part) => part !== ''),
  ),
];
