import { tellIn } from './msg';

/** A language in which nothing is called as in English. */
export const OTHER = { language: 'id', translate: (key: string): string => `«${key}»` };

/** What comes of something where whoever asks reads another language. */
export function inAnotherLanguage<T>(make: () => T): T {
  tellIn(() => OTHER);
  try {
    return make();
  } finally {
    tellIn(() => null);
  }
}
