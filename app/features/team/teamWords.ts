import type { InviteAnswer, Role } from '@toile/contract';
import { messages, msg, term } from '@toile/core';
import { dayInWords } from '../words/dates';

/** What each role may do, for whoever gives it. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = messages({
  owner: 'Everything, the team and the studio’s ways too.',
  artist: 'Clients, charts, looks, kit and parties, with contact data.',
  assistant: 'Works charts at the chair and sees the kit; no contact data, changes nothing else.',
});

/** 'until 4 December' for a link that holds; otherwise how it ended. */
export function inviteInWords({ state, expiresAt, reset, madeBy }: InviteAnswer): string {
  const what = reset ? msg`New password` : msg`Invitation`;
  return msg`${what} by ${madeBy}, ${state === 'open' ? msg`until ${dayInWords(expiresAt)}` : term(state)}`;
}
