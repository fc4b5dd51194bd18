export type MailPerson = { readonly name: string; readonly email: string };
export type Mail = {
  readonly from: MailPerson;
  readonly to: MailPerson;
  readonly subject: string;
  readonly text: string;
};

/** A plain message (RFC 5322), to be opened and sent by whatever sends one's mail: none leaves from here. */
export function writeMail({ from, to, subject, text }: Mail): string {
  return [
    `From: ${encoded(from.name)}\r\n <${from.email}>`,
    `To: ${encoded(to.name)}\r\n <${to.email}>`,
    `Subject: ${encoded(subject)}`,
    'MIME-Version: 1.0',
    'Content-Type: text/plain; charset=utf-8',
    'Content-Transfer-Encoding: base64',
    '',
    base64(text.replace(/\r?\n/g, '\r\n')).replace(/.{76}(?=.)/g, '$&\r\n'),
    '',
  ].join('\r\n');
}

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
const base64 = (text: string): string =>
  btoa(Array.from(bytesOf(text), (byte) => String.fromCharCode(byte)).join(''));

/**
 * Bytes of one encoded word: with its wrapping it stays within the 75 letters that are allowed (RFC 2047, 2).
 */
const WORD_BYTES = 42;

/**
 * Words of a header as encoded words (RFC 2047), cut between letters, a line each: no letter can break it.
 */
function encoded(text: string): string {
  const parts: string[] = [''];
  for (const letter of text) {
    const longer = (parts.at(-1) ?? '') + letter;
    if (bytesOf(longer).length > WORD_BYTES) parts.push(letter);
    else parts[parts.length - 1] = longer;
  }
  return parts.map((part) => `=?utf-8?B?${base64(part)}?=`).join('\r\n ');
}
