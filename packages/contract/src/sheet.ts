import { number, object, string } from 'yup';
import type { SheetFor } from '@toile/core';
import { msg } from '@toile/core';
import { uuid } from './client';
import { secretField, SHARE_DAYS, type ShareDays } from './share';

const WHOM = /^(whole|(hands|person):.{1,60})$/;
/** Whom a call sheet is for, as it stands in an address: whole, hands:<id>, person:<id>. */
export function sheetForText(whom: SheetFor): string {
  return whom.kind === 'whole' ? 'whole' : `${whom.kind}:${whom.id}`;
}
/** The same read back; null for what is none. */
export function readSheetFor(text: string): SheetFor | null {
  if (!WHOM.test(text)) return null;
  if (text === 'whole') return { kind: 'whole' };
  const at = text.indexOf(':');
  return { kind: text.slice(0, at) === 'hands' ? 'hands' : 'person', id: text.slice(at + 1) };
}

/** A link to one call sheet. */
export const sheetLinkInputSchema = object({
  id: uuid().required(),
  whom: string()
    .required(() => msg`Say whom it is for`)
    .matches(WHOM, 'whole, hands:… or person:…'),
  secret: secretField(),
  days: number()
    .oneOf([...SHARE_DAYS], () => msg`one of ${SHARE_DAYS.join(', ')}`)
    .required(),
}).noUnknown('${unknown} is not known here');
export type SheetLinkInput = { id: string; whom: string; secret: string; days: ShareDays };

export type SheetLinkAnswer = {
  readonly id: string;
  readonly whom: string;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
};

/** Where a link to a call sheet leads, under the app's own address. */
export const sheetPath = (studioId: string, secret: string): string => `/p/${studioId}.${secret}`;
