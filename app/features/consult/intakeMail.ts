import { msg, type Mail } from '@toile/core';
import { INTAKE_DAYS, type ClientAnswer, type SessionAnswer } from '@toile/contract';

/** What would be sent to a client who is asked by a link. */
export function intakeMail(
  { studio, email }: Pick<SessionAnswer, 'studio' | 'email'>,
  client: Pick<ClientAnswer, 'name' | 'contact'>,
  link: string,
): Mail {
  return {
    from: { name: studio.name, email },
    to: { name: client.name, email: client.contact?.email ?? '' },
    subject: msg`A few questions from ${studio.name}`,
    text: [
      `${client.name},`,
      '',
      msg`so that what is chosen for your face suits you, please answer what you like of this:`,
      '',
      link,
      '',
      msg`It can be answered once and ends in ${INTAKE_DAYS} days. Whoever has it can use it: do not pass it on.`,
    ].join('\n'),
  };
}
