/** A language whoever reads has chosen, other than that of the keys. */
export type Telling = {
  /** As BCP 47 names it. */
  readonly language: string;
  /**
   * By its English key, its values in the order of the key, and the number its plural form hangs on;
   * undefined where it is not known.
   */
  readonly translate: (key: string, values: readonly unknown[], count?: number) => string | undefined;
};

let telling: () => Telling | null = () => null;

/**
 * Says where the language of whoever reads is found: asked each time a message is told, since a server
 * answers many at once. Null is English, the language of the keys.
 */
export const tellIn = (now: () => Telling | null): void => {
  telling = now;
};

/** The language messages are told in now, as BCP 47 names it. */
export const languageNow = (): string => telling()?.language ?? 'en';

/** Whose numbers and months are written, as Intl takes it. */
export const localeNow = (): string => telling()?.language ?? 'en-GB';

/**
 * What is made of words and kept, to be found again by whoever reads another language: told in the language
 * of the keys, whoever asks.
 */
export function asKept<T>(make: () => T): T {
  const told = telling;
  telling = () => null;
  try {
    return make();
  } finally {
    telling = told;
  }
}

/** A number as it is written where somebody reads: 12,000 or 12.000. */
export const numberTold = (value: number): string => value.toLocaleString(localeNow());

/**
 * The key of a message: its English with its values numbered, as i18next writes them: 'Put {{0}} in {{1}}'.
 */
export const messageKey = (parts: readonly string[]): string =>
  parts.reduce((key, part, i) => (i === 0 ? part : `${key}{{${i - 1}}}${part}`), '');

const inEnglish = (parts: readonly string[], values: readonly unknown[]): string =>
  parts.reduce((text, part, i) => (i === 0 ? part : text + String(values[i - 1]) + part), '');

/**
 * A message to somebody, in their language: msg`Put ${shade} in ${place}`. Whoever translates it moves the
 * values as their language wants them; a message is a whole sentence wherever it can be.
 */
export function msg(parts: TemplateStringsArray, ...values: readonly (string | number)[]): string {
  return telling()?.translate(messageKey(parts), values) ?? inEnglish(parts, values);
}

/**
 * A message that hangs on a number, its form for one and its form for any other parted by a bar:
 * plural(n)`${n} step|${n} steps`. The other language has as many forms as it needs.
 */
export const plural =
  (count: number) =>
  (parts: TemplateStringsArray, ...values: readonly (string | number)[]): string => {
    const told = telling()?.translate(messageKey(parts), values, count);
    if (told !== undefined) return told;
    const bar = parts.findIndex((part) => part.includes('|'));
    const [before = '', after = ''] = parts[bar]?.split('|') ?? [];
    return count === 1
      ? inEnglish([...parts.slice(0, bar), before], values)
      : inEnglish([after, ...parts.slice(bar + 1)], values.slice(bar));
  };

/**
 * A word that is written down and shown as it is written: a kind, a zone, a finish. Where one word is two in
 * another language, `of` says which: a light cover is not a light skin. Its key is then 'light_skin', a
 * context as i18next writes it.
 */
export const term = (word: string, of?: string): string =>
  telling()?.translate(of === undefined ? word : `${word}_${of}`, []) ?? word;
