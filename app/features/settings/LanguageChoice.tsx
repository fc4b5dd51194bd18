import { msg } from '@toile/core';
import { LANGUAGE_IDS, LANGUAGES } from '@toile/languages';
import { chooseLanguage, chosenLanguage } from '../../data/language';
import { Choice } from '../../ui';

/** Which language this device speaks; each is called by its own name, for whoever reads no other. */
export function LanguageChoice() {
  const chosen = chosenLanguage();
  return (
    <Choice
      label={msg`Language`}
      options={LANGUAGE_IDS}
      words={LANGUAGES}
      chosen={[chosen]}
      onChange={([language]) => language && language !== chosen && void chooseLanguage(language)}
    />
  );
}
