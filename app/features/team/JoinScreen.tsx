import { useState } from 'react';
import { takeInviteSchema, type OpenInviteAnswer, type SessionAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { call } from '../../data/call';
import { tokenOfAddress, useOpened } from '../../data/useOpened';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Heading, Label, Loading, View } from '../../ui';

/** What a link opens: an invitation to take up, or a new password to choose; once. */
export function JoinScreen({ onSignedIn }: { readonly onSignedIn: (session: SessionAnswer) => void }) {
  const [token] = useState(tokenOfAddress);
  const [name, setName] = useState('');
  const { shown: invite, ended } = useOpened<OpenInviteAnswer>(
    token,
    () => call('openInvite', { body: { token } }),
    (answer) => setName(answer.name),
  );
  const [password, setPassword] = useState('');
  const { busy, failure, errors, save } = useSaving();
  const take = async (): Promise<void> => {
    const session = await save(async () =>
      call('takeInvite', {
        body: await takeInviteSchema.validate({ token, name, password }, { abortEarly: false }),
      }),
    );
    if (session) onSignedIn(session);
  };
  return (
    <View flex={1} backgroundColor="$background" role="main" style={{ overflowY: 'auto' }}>
      <Column width="100%" maxWidth={480} alignSelf="center" padding="$4" gap="$4">
        <Heading fontSize="$7" lineHeight="$7" aria-level={1}>
          {invite
            ? invite.reset
              ? msg`A new password`
              : msg`Work with ${invite.studio}`
            : msg`An invitation`}
        </Heading>
        {ended ? <Body role="alert" color="$madder">{`▲ ${ended}`}</Body> : null}
        {!invite && !ended ? <Loading /> : null}
        {invite ? (
          <form
            onSubmit={(event) => {
              event.preventDefault();
              void take();
            }}
          >
            <Column gap="$3">
              <Label>{msg`You sign in as ${invite.email}.`}</Label>
              {invite.reset ? null : (
                <Field
                  label={msg`Your name`}
                  value={name}
                  onChange={setName}
                  error={errors.name}
                  autoComplete="name"
                />
              )}
              <Field
                label={msg`Password`}
                value={password}
                onChange={setPassword}
                error={errors.password}
                hint={msg`At least 12 letters. A few words are easy to keep.`}
                secret
                autoComplete="off"
                onSubmit={() => void take()}
              />
              {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
              <Button kind="main" large disabled={busy} onPress={() => void take()}>
                {invite.reset ? msg`Keep this password` : msg`Come in`}
              </Button>
            </Column>
          </form>
        ) : null}
      </Column>
    </View>
  );
}
