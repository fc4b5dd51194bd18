import { heedInWords, heedsOf } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';

type Noted = Pick<ClientAnswer, 'sensitivities' | 'features' | 'guardianConsent' | 'consult' | 'notes'>;

/** What is minded of a client before any work: what is noted, and what was said in the first talk, in their words. */
export function cautionsNoted({
  sensitivities,
  features,
  guardianConsent,
  consult,
  notes,
}: Noted): readonly string[] {
  const cautions: (string | false)[] = [
    sensitivities.length > 0 &&
      `Sensitive to ${sensitivities.join(', ')}. Check every list, patch test 24 to 48 hours before; the maker’s directions decide.`,
    ...heedsOf(consult, notes)
      // Once noted among the features it is said as such.
      .filter(({ kind }) => kind !== 'lash extensions' || features.lashes !== 'extensions')
      .map(heedInWords),
    consult.disliked !== undefined && `Never again, as said: “${consult.disliked}”.`,
    features.lashes === 'extensions' &&
      'Wears lash extensions: no mascara, curler, band or oil near them, nothing to be rubbed off.',
    features.lenses && 'Wears contact lenses: no fibres, no loose glitter, stop at any stinging.',
    features.headTremor && 'Head tremor: rest the hand, short strokes, breaks.',
    guardianConsent !== ''
      ? `A minor. Consent: ${guardianConsent}.`
      : features.age === 'child' && 'A minor: a guardian’s consent is needed and not noted.',
  ];
  return cautions.filter((caution) => caution !== false);
}
