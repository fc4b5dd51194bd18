/**
 * The languages the app and the server speak, each by its own name. English is the language of the messages'
 * keys.
 */
export const LANGUAGES = { en: 'English', id: 'Bahasa Indonesia' } as const;
export type Language = keyof typeof LANGUAGES;
export const LANGUAGE_IDS: readonly [Language, ...Language[]] = ['en', 'id'];

/** What a device has chosen, for the server to know. */
export const LANGUAGE_COOKIE = 'toile-language';

/**
 * The first language somebody reads that is spoken here; English where there is none. Tags as BCP 47 writes
 * them: 'id-ID'.
 */
export const languageFor = (tags: readonly string[]): Language =>
  tags
    .map((tag) => tag.toLowerCase().split('-')[0])
    // What Indonesian was called before 1989, which some systems still say.
    .map((tag) => (tag === 'in' ? 'id' : tag))
    .flatMap((tag) => LANGUAGE_IDS.find((id) => id === tag) ?? [])[0] ?? 'en';
