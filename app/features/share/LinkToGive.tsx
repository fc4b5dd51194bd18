import { useEffect, useState } from 'react';
import { msg, plural, writeMail, type Mail } from '@toile/core';
import { newId } from '@toile/contract';
import { keepLetter } from '../../data/letters';
import { Button, Column, CopyButton, Field, Label, Line } from '../../ui';
import { saveFile } from '../files/saveFile';

export type LinkGiven = {
  readonly link: string;
  /** Days the link holds. */
  readonly days: number;
  /** As it would be sent. */
  readonly mail: Mail;
};

/** A link that was just made, shown this once: to copy, or as the mail that would be sent. */
export function LinkToGive({ link, days, mail }: LinkGiven) {
  // Among the letters that would be sent, as soon as it is shown.
  useEffect(() => keepLetter({ id: newId(), at: new Date().toISOString(), mail }), [mail]);
  const [saved, setSaved] = useState(false);
  const save = (): void => {
    saveFile('link.eml', 'message/rfc822', writeMail(mail));
    setSaved(true);
  };
  return (
    <Column gap="$2" borderLeftWidth={2} borderLeftColor="$moss" paddingLeft="$3">
      <Field label={msg`The link, shown this once`} value={link} onChange={() => undefined} />
      <Line>
        <CopyButton text={link} words={msg`Copy the link`} />
        <Button onPress={save}>{saved ? msg`✓ Saved` : msg`Save as a mail`}</Button>
      </Line>
      <Label>{msg`For ${mail.to.name} alone, once, within ${plural(days)`a day|${days} days`}. No mail leaves from here: send it by your own.`}</Label>
    </Column>
  );
}
