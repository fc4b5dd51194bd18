import { tellIn } from '@toile/core';
import type { Language } from './index';

/** Has every message told in a language from now on; its catalogue is fetched where it is needed alone. */
export async function speak(language: Language): Promise<void> {
  if (language === 'en') return tellIn(() => null);
  const { INDONESIAN } = await import('./translator');
  tellIn(() => INDONESIAN);
}
