import { useState } from 'react';
import { inviteInputSchema, newId, newSecret, ROLES, type Role, type SessionAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Dialog, Field, Label } from '../../ui';
import { LinkToGive } from '../share/LinkToGive';
import { invitedBy, inviteMail, type Invited } from './inviteMail';
import { ROLE_WORDS } from './teamWords';

/** Asks somebody into the studio: who, as what; then the link, once. */
export function InviteDialog({
  session,
  onClose,
}: {
  readonly session: SessionAnswer;
  readonly onClose: () => void;
}) {
  const refresh = useRefresh();
  const [form, setForm] = useState<{ email: string; name: string; role: Role }>({
    email: '',
    name: '',
    role: 'artist',
  });
  const [mail, setMail] = useState<Invited | null>(null);
  const { busy, failure, errors, save } = useSaving();
  const set = (change: Partial<typeof form>): void => setForm((f) => ({ ...f, ...change }));
  const invite = async (): Promise<void> => {
    await save(async () => {
      const secret = newSecret();
      const body = await inviteInputSchema.validate({ id: newId(), secret, ...form }, { abortEarly: false });
      await call('createInvite', { body });
      setMail(invitedBy(session, { name: body.name, email: body.email }, secret, false));
      await refresh();
    });
  };
  return (
    <Dialog title={msg`Invite somebody`} onClose={onClose}>
      {mail ? (
        <LinkToGive {...mail} mail={inviteMail(mail)} />
      ) : (
        <>
          <Field
            label={msg`Their name`}
            value={form.name}
            onChange={(name) => set({ name })}
            error={errors.name}
            autoFocus
          />
          <Field
            label={msg`Their email`}
            keyboard="email"
            value={form.email}
            onChange={(email) => set({ email })}
            error={errors.email}
          />
          <Choice
            label={msg`Role`}
            options={ROLES}
            chosen={[form.role]}
            onChange={([role]) => role && set({ role })}
          />
          <Label>{ROLE_WORDS[form.role]}</Label>
          {failure && !errors.email ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Button kind="main" disabled={busy} onPress={() => void invite()}>{msg`Make the link`}</Button>
        </>
      )}
    </Dialog>
  );
}
