import { useState } from 'react';
import { ValidationError } from 'yup';
import { signInSchema, type SessionAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { errorsByField } from '../../data/errorsByField';
import { call, CallError } from '../../data/call';
import { Body, Button, Column, Field, Heading, Label, View } from '../../ui';
import { LanguageChoice } from '../settings/LanguageChoice';

/** The door: email, password, and what to do when they do not fit. */
export function SignInScreen({
  led,
  onSignedIn,
}: {
  readonly led: boolean;
  readonly onSignedIn: (session: SessionAnswer) => void;
}) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);

  const submit = async (): Promise<void> => {
    setBusy(true);
    try {
      const body = await signInSchema.validate({ email, password }, { abortEarly: false });
      onSignedIn(await call('signIn', { body }));
    } catch (error) {
      if (error instanceof ValidationError) setErrors(errorsByField(error));
      else
        setErrors({
          form: error instanceof CallError ? error.message : msg`Something went wrong. Try again.`,
        });
      setBusy(false);
    }
  };

  return (
    <View
      flex={1}
      backgroundColor="$background"
      alignItems="center"
      justifyContent="center"
      padding="$4"
      role="main"
    >
      <Column width="100%" maxWidth={380} gap="$4">
        <Column gap="$1" alignItems="center">
          <img src="/icons/icon.svg" alt="" width={96} height={96} />
          <Heading fontSize="$8" lineHeight="$8" aria-level={1}>{msg`Toile`}</Heading>
          <Label textAlign="center">{msg`Cut a look once. Fit it to any face. Repeat it as worn.`}</Label>
        </Column>
        {led ? (
          <Body role="status">{msg`You were signed out meanwhile. Sign in to go on where you were.`}</Body>
        ) : null}
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void submit();
          }}
        >
          <Column gap="$4">
            <Field
              label={msg`Email`}
              value={email}
              onChange={setEmail}
              keyboard="email"
              autoComplete="username"
              error={errors.email}
              onSubmit={() => void submit()}
            />
            <Field
              label={msg`Password`}
              value={password}
              onChange={setPassword}
              secret
              autoComplete="current-password"
              error={errors.password}
              onSubmit={() => void submit()}
            />
            {errors.form ? <Body role="alert" color="$madder">{`▲ ${errors.form}`}</Body> : null}
            <Button kind="main" large onPress={() => void submit()} disabled={busy}>
              {busy ? msg`Signing in` : msg`Sign in`}
            </Button>
          </Column>
        </form>
        <LanguageChoice />
      </Column>
    </View>
  );
}
