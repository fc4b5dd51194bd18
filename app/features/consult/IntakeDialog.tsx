import { useState } from 'react';
import {
  INTAKE_DAYS,
  intakePath,
  newId,
  newSecret,
  tokenOf,
  type ClientAnswer,
  type IntakeAnswer,
} from '@toile/contract';
import { msg } from '@toile/core';
import { call } from '../../data/call';
import { useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Dialog, Label } from '../../ui';
import { LinkToGive } from '../share/LinkToGive';
import { dayInWords } from '../words/dates';
import { intakeMail } from './intakeMail';

/** Makes a link for a client to answer by, or takes one back that is out. */
export function IntakeDialog({
  client,
  open,
  onClose,
}: {
  readonly client: ClientAnswer;
  readonly open: IntakeAnswer | null;
  readonly onClose: () => void;
}) {
  const refresh = useRefresh();
  const session = useSession();
  const [link, setLink] = useState<string | null>(null);
  const { busy, failure, save } = useSaving();
  const make = (): Promise<unknown> =>
    save(async () => {
      if (!session.data) return;
      const secret = newSecret();
      await call('createIntake', { params: { id: client.id }, body: { id: newId(), secret } });
      setLink(`${window.location.origin}${intakePath(tokenOf(session.data.studio.id, secret))}`);
      await refresh();
    });
  const takeBack = (): Promise<unknown> =>
    save(async () => {
      if (!open) return;
      await call('revokeIntake', { params: { id: open.id }, body: {} });
      await refresh();
      onClose();
    });
  return (
    <Dialog title={msg`Ask by a link`} onClose={onClose}>
      {link && session.data ? (
        <LinkToGive link={link} days={INTAKE_DAYS} mail={intakeMail(session.data, client, link)} />
      ) : open ? (
        <>
          <Body>{msg`A link made by ${open.madeBy} is out, until ${dayInWords(open.expiresAt)}. It was shown once; if it is lost, take it back and make another.`}</Body>
          <Button
            kind="stop"
            disabled={busy}
            onPress={() => void takeBack()}
          >{msg`Take the link back`}</Button>
        </>
      ) : (
        <>
          <Body>{msg`${client.name} answers on a phone of their own, once, within ${INTAKE_DAYS} days. The page shows nothing that is kept, and nothing is taken over before you have read it.`}</Body>
          <Button kind="main" disabled={busy} onPress={() => void make()}>{msg`Make the link`}</Button>
        </>
      )}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Label>{msg`It asks for consent to keep words on health, and for photographs.`}</Label>
    </Dialog>
  );
}
