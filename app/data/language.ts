import { use } from 'react';
import { languageFor, LANGUAGE_COOKIE, LANGUAGE_IDS, type Language } from '@toile/languages';
import { speak } from '@toile/languages/speak';

const YEAR_SECONDS = 365 * 86_400;

let chosen: Language | null = null;
/** The language of this device: chosen on it, else the first its browser asks for that is spoken here. */
export function chosenLanguage(): Language {
  if (chosen) return chosen;
  const kept = new RegExp(`(?:^|; )${LANGUAGE_COOKIE}=(\\w+)`).exec(globalThis.document?.cookie ?? '')?.[1];
  return (chosen =
    LANGUAGE_IDS.find((id) => id === kept) ?? languageFor(globalThis.navigator?.languages ?? []));
}

let spoken: Promise<void> | null = null;
/** Lets nothing be drawn before its words are here. English waits for nothing. */
export function useLanguage(): void {
  const language = chosenLanguage();
  if (language === 'en') return;
  spoken ??= speak(language).then(
    () => void (document.documentElement.lang = language),
    // Without a network before its words were ever fetched: English, rather than nothing.
    () => undefined,
  );
  use(spoken);
}

/** The cache of what was read, as the service worker names it: it holds sentences. */
const READ = 'toile-read';
/**
 * Keeps a choice and begins the page anew in it: what is drawn, held and computed has words everywhere. In a
 * cookie, so that the server knows it of a file and of a page behind a link too.
 */
export async function chooseLanguage(language: Language): Promise<void> {
  document.cookie = `${LANGUAGE_COOKIE}=${language}; path=/; max-age=${YEAR_SECONDS}; samesite=lax`;
  if ('caches' in globalThis) await caches.delete(READ);
  window.location.reload();
}
