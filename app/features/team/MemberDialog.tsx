import { useState } from 'react';
import {
  memberInputSchema,
  newId,
  newSecret,
  ROLES,
  type MemberAnswer,
  type SessionAnswer,
} from '@toile/contract';
import { msg } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Dialog, Field, Label, Rule } from '../../ui';
import { dayInWords } from '../words/dates';
import { invitedBy, inviteMail, type Invited } from './inviteMail';
import { LinkToGive } from '../share/LinkToGive';
import { ROLE_WORDS } from './teamWords';

type MemberDialogProps = {
  readonly member: MemberAnswer;
  readonly session: SessionAnswer;
  readonly onClose: () => void;
};

/** Somebody of the team: name, role, a new password by link, and whether they are let in. */
export function MemberDialog({ member, session, onClose }: MemberDialogProps) {
  const refresh = useRefresh();
  // What was not touched follows what somebody else saves meanwhile, and is not put over it.
  const [typed, setName] = useState<string | null>(null);
  const [chosen, setRole] = useState<MemberAnswer['role'] | null>(null);
  const [name, role] = [typed ?? member.name, chosen ?? member.role];
  const [sure, setSure] = useState(false);
  const [mail, setMail] = useState<Invited | null>(null);
  const { busy, failure, errors, save } = useSaving();
  const active = member.deactivatedAt === null;
  const keep = async (letIn: boolean): Promise<void> => {
    const kept = await save(async () => {
      const body = await memberInputSchema.validate({ name, role, active: letIn }, { abortEarly: false });
      return call('updateMember', { params: { id: member.id }, body, revision: member.revision });
    });
    await refresh();
    if (kept) onClose();
  };
  const newPassword = async (): Promise<void> => {
    await save(async () => {
      const secret = newSecret();
      await call('createReset', { params: { id: member.id }, body: { id: newId(), secret } });
      setMail(invitedBy(session, { name: member.name, email: member.email }, secret, true));
      await refresh();
    });
  };
  return (
    <Dialog title={member.name} onClose={onClose}>
      <Label>{member.email}</Label>
      {active ? null : (
        <Body color="$weld">{msg`▲ Let in no longer since ${dayInWords(member.deactivatedAt ?? '')}; named still on what was done.`}</Body>
      )}
      <Field label={msg`Name`} value={name} onChange={setName} error={errors.name} />
      <Choice
        label={msg`Role`}
        options={ROLES}
        chosen={[role]}
        onChange={([next]) => next && setRole(next)}
      />
      <Label>{ROLE_WORDS[role]}</Label>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" disabled={busy} onPress={() => void keep(active)}>{msg`Save`}</Button>
      {role !== member.role || name !== member.name ? (
        <Label>{msg`Saving signs them out; they come in again with what is new.`}</Label>
      ) : null}
      <Rule />
      {mail ? <LinkToGive {...mail} mail={inviteMail(mail)} /> : null}
      {active && !mail ? (
        <Button disabled={busy} onPress={() => void newPassword()}>{msg`A link for a new password`}</Button>
      ) : null}
      {active ? (
        <Column gap="$2">
          {sure ? (
            <>
              <Body>{msg`${member.name} is signed out everywhere at once and signs in no longer. What they did keeps their name.`}</Body>
              <Button disabled={busy} onPress={() => void keep(false)}>
                {msg`Let ${member.name} in no longer`}
              </Button>
            </>
          ) : member.self ? null : (
            <Button onPress={() => setSure(true)}>{msg`Let in no longer`}</Button>
          )}
        </Column>
      ) : (
        <Button disabled={busy} onPress={() => void keep(true)}>{msg`Let in again`}</Button>
      )}
    </Dialog>
  );
}
