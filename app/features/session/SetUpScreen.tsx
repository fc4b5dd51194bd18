import { useState } from 'react';
import { msg, USUAL_MANNER, type Manner } from '@toile/core';
import { setUpSchema, type SessionAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Heading, Label, View } from '../../ui';
import { MannerFields } from '../settings/StudioManner';
import { zoneOfDays } from '../words/dates';

/** The first page of an installation nobody has set up: the studio and the owner’s account, once. */
export function SetUpScreen({ onSignedIn }: { readonly onSignedIn: (session: SessionAnswer) => void }) {
  const [form, setForm] = useState({ studio: '', zone: zoneOfDays(), name: '', email: '', password: '' });
  const [manner, setManner] = useState<Manner>(USUAL_MANNER);
  const [otherwise, setOtherwise] = useState(false);
  const { busy, failure, errors, save } = useSaving();
  const set = (field: keyof typeof form) => (text: string) => setForm((f) => ({ ...f, [field]: text }));
  const submit = async (): Promise<void> => {
    const session = await save(async () =>
      call('setUp', { body: await setUpSchema.validate({ ...form, manner }, { abortEarly: false }) }),
    );
    if (session) onSignedIn(session);
  };
  return (
    <View flex={1} backgroundColor="$background" role="main" style={{ overflowY: 'auto' }}>
      <Column width="100%" maxWidth={480} alignSelf="center" padding="$4" gap="$4">
        <Column gap="$1">
          <Heading fontSize="$7" lineHeight="$7" aria-level={1}>{msg`Set up your studio`}</Heading>
          <Label>{msg`Nobody works here yet. What you write now makes the studio and your own account; looks to begin with come along.`}</Label>
        </Column>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void submit();
          }}
        >
          <Column gap="$3">
            <Field
              label={msg`Name of the studio`}
              value={form.studio}
              onChange={set('studio')}
              error={errors.studio}
            />
            <Field
              label={msg`Time zone`}
              value={form.zone}
              onChange={set('zone')}
              error={errors.zone}
              hint={msg`Its days are the studio’s days, wherever you travel.`}
            />
            {otherwise ? (
              <MannerFields value={manner} onChange={setManner} />
            ) : (
              <Column gap="$2">
                <Label>{msg`Days as Fri 14 Nov, hours as 14:05, weeks from Monday, pumps first, °C. It can be changed later, in Settings.`}</Label>
                <Button onPress={() => setOtherwise(true)}>{msg`Tell them otherwise`}</Button>
              </Column>
            )}
            <Field
              label={msg`Your name`}
              value={form.name}
              onChange={set('name')}
              error={errors.name}
              autoComplete="name"
            />
            <Field
              label={msg`Email`}
              value={form.email}
              onChange={set('email')}
              error={errors.email}
              keyboard="email"
              autoComplete="username"
            />
            <Field
              label={msg`Password`}
              value={form.password}
              onChange={set('password')}
              error={errors.password}
              hint={msg`At least 12 letters. A few words are easy to keep.`}
              secret
              onSubmit={() => void submit()}
            />
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Button kind="main" large disabled={busy} onPress={() => void submit()}>
              {busy ? msg`Setting up` : msg`Set up and go in`}
            </Button>
          </Column>
        </form>
      </Column>
    </View>
  );
}
