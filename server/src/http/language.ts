import { AsyncLocalStorage } from 'node:async_hooks';
import type { RequestHandler } from 'express';
import { tellIn } from '@toile/core';
import { LANGUAGE_COOKIE, languageFor, type Language } from '@toile/languages';
import { INDONESIAN } from '@toile/languages/translator';

const asked = new AsyncLocalStorage<Language>();
tellIn(() => (asked.getStore() === 'id' ? INDONESIAN : null));

/** Runs work whose messages are told in a language, whatever other requests are told in meanwhile. */
export const inLanguage = <T>(language: Language, work: () => T): T => asked.run(language, work);

/** The language of the request that is being answered. */
export const languageAsked = (): Language => asked.getStore() ?? 'en';

const CHOSEN = new RegExp(`(?:^|;\\s*)${LANGUAGE_COOKIE}=(\\w+)`);

/** Every request is answered in the language its device has chosen, else in the one its browser asks for. */
export const answersInLanguage: RequestHandler = (req, res, next) => {
  res.vary('Cookie, Accept-Language');
  const [, chosen] = CHOSEN.exec(req.get('cookie') ?? '') ?? [];
  inLanguage(languageFor(chosen ? [chosen] : req.acceptsLanguages()), next);
};
