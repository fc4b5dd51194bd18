import { answerInWords, msg, term, type ConsultKey } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';

/** What is noted of a client already where an answer would go; empty for nothing. */
export function knownInWords(
  {
    consult,
    features,
    guardianConsent,
    sensitivities,
  }: Pick<ClientAnswer, 'consult' | 'features' | 'guardianConsent' | 'sensitivities'>,
  key: ConsultKey,
): string {
  switch (key) {
    case 'lenses':
    case 'dry':
      return features[key] ? msg`yes` : '';
    case 'oily':
      return features.oily.join(', ');
    case 'dryZones':
      return (features.dryZones ?? []).join(', ');
    case 'guardian':
      return guardianConsent;
    case 'sensitivities':
      return sensitivities.map((one) => term(one)).join(', ');
    default:
      return answerInWords(consult, key);
  }
}
