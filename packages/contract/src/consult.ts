import { ConsultSchema, msg, withoutConsent, type Consult } from '@toile/core';
import { documentPart } from './shapes';

/** What was said in a first talk; words on health only with the consent to keep them. */
export const consultField = () =>
  documentPart<Consult>(ConsultSchema, () => msg`What was said`).test(
    'consent',
    () => msg`needs consent`,
    function (value) {
      const without = value === undefined || value === null ? [] : withoutConsent(value);
      return without.length === 0
        ? true
        : this.createError({
            path: `${this.path}.${without[0]}`,
            message: msg`Words on health are kept only with consent: say yes to that first`,
          });
    },
  );
