import { accessInWords, heedInWords, heedsOf, minorInWords, msg, term, type AccessNeed } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { todayText } from '../words/dates';

type Noted = Pick<
  ClientAnswer,
  'sensitivities' | 'features' | 'birthYear' | 'guardianConsent' | 'consult' | 'notes'
>;

/**
 * What is minded of a client before any work: what is noted, and what was said in the first talk, in their
 * words.
 */
export function cautionsNoted(client: Noted, today: string = todayText()): readonly string[] {
  const { sensitivities, features, consult, notes } = client;
  const cautions: (string | false)[] = [
    sensitivities.length > 0 &&
      msg`Sensitive to ${sensitivities.map((one) => term(one)).join(', ')}. Check every list, patch test 24 to 48 hours before; the maker’s directions decide.`,
    minorInWords(today, client) ?? false,
    ...heedsOf(consult, notes, today)
      // Once noted among the features it is said as such.
      .filter(({ kind }) => kind !== 'lash extensions' || features.lashes !== 'extensions')
      .map(heedInWords),
    consult.disliked !== undefined && msg`Never again, as said: “${consult.disliked}”.`,
    features.lashes === 'extensions' &&
      msg`Wears lash extensions: no mascara, curler, band or oil near them, nothing to be rubbed off.`,
    features.lenses && msg`Wears contact lenses: no fibres, no loose glitter, stop at any stinging.`,
    features.headTremor && msg`Head tremor: rest the hand, short strokes, breaks.`,
    ...needsOf(client).map(accessInWords),
  ];
  return cautions.filter((caution) => caution !== false);
}

/** What makes it easier, as said or as noted of the face; a tremor is said among the features. */
function needsOf({ consult, features }: Pick<Noted, 'consult' | 'features'>): readonly AccessNeed[] {
  const said = (consult.access ?? []).filter((need) => need !== 'tremor');
  return features.cannotRecline && !said.includes('cannot recline') ? ['cannot recline', ...said] : said;
}
