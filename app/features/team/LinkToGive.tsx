import { useState } from 'react';
import { writeMail } from '@toile/core';
import { Body, Button, Column, Field, Label, Line } from '../../ui';
import { saveFile } from '../files/saveFile';
import { inviteMail, type Invited } from './inviteMail';

/** A link that was just made, shown this once: to copy, or as the mail that would be sent. */
export function LinkToGive({ mail }: { readonly mail: Invited }) {
  const [told, setTold] = useState<'copied' | 'not copied' | 'saved' | null>(null);
  const copy = (): void => {
    navigator.clipboard?.writeText(mail.link).then(
      () => setTold('copied'),
      () => setTold('not copied'),
    );
  };
  const save = (): void => {
    saveFile('invitation.eml', 'message/rfc822', writeMail(inviteMail(mail)));
    setTold('saved');
  };
  return (
    <Column gap="$2" borderLeftWidth={2} borderLeftColor="$moss" paddingLeft="$3">
      <Field label="The link, shown this once" value={mail.link} onChange={() => undefined} />
      <Line>
        <Button onPress={copy}>{told === 'copied' ? '✓ Copied' : 'Copy the link'}</Button>
        <Button onPress={save}>{told === 'saved' ? '✓ Saved' : 'Save as a mail'}</Button>
      </Line>
      {told === 'not copied' ? (
        <Body role="alert" color="$madder">
          ▲ It could not be copied: mark the link and copy it by hand.
        </Body>
      ) : null}
      <Label>{`For ${mail.to.name} alone, once, within ${mail.days === 1 ? 'a day' : `${mail.days} days`}. No mail leaves from here: send it by your own.`}</Label>
    </Column>
  );
}
