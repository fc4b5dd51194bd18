import { createInstance } from 'i18next';
import type { Telling } from '@toile/core';
import indonesian from './id.json';

const CATALOGUE: Readonly<Record<string, string>> = indonesian;
const KNOWN = new Set(Object.keys(CATALOGUE));

const translator = createInstance({
  lng: 'id',
  resources: { id: { translation: CATALOGUE } },
  // The keys are sentences, with points and colons of their own.
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false },
  initAsync: false,
  showSupportNotice: false,
});
void translator.init();

/**
 * Indonesian. What the catalogue does not know is left to whoever asks, who has the English of it.
 */
export const INDONESIAN: Telling = {
  language: 'id',
  translate: (key, values, count) =>
    KNOWN.has(key) ? translator.t(key, { ...values, ...(count === undefined ? {} : { count }) }) : undefined,
};
