import { INVITE_DAYS, joinPath, tokenOf, type SessionAnswer } from '@toile/contract';
import { msg, plural, type Mail } from '@toile/core';

export type Invited = {
  readonly studio: string;
  readonly from: string;
  readonly to: { readonly name: string; readonly email: string };
  readonly link: string;
  /** Days the link holds. */
  readonly days: number;
  readonly reset: boolean;
};

/** A link that was just made, with its secret, by whoever is signed in. */
export function invitedBy(
  { studio, email }: SessionAnswer,
  to: Invited['to'],
  secret: string,
  reset: boolean,
): Invited {
  return {
    studio: studio.name,
    from: email,
    to,
    link: `${window.location.origin}${joinPath(tokenOf(studio.id, secret))}`,
    days: INVITE_DAYS[reset ? 'reset' : 'invite'],
    reset,
  };
}

/** What would be sent to somebody who is asked in, or who is to choose a new password. */
export function inviteMail({ studio, from, to, link, days, reset }: Invited): Mail {
  return {
    from: { name: studio, email: from },
    to,
    subject: reset ? msg`A new password at ${studio}` : msg`Come and work with ${studio}`,
    text: [
      `${to.name},`,
      '',
      reset
        ? msg`choose a new password by this link. It can be used once.`
        : msg`${studio} asks you to work with them in Toile. Choose a password by this link; it can be used once.`,
      '',
      link,
      '',
      msg`It ends in ${plural(days)`a day|${days} days`}. Whoever has it can use it: do not pass it on.`,
    ].join('\n'),
  };
}
