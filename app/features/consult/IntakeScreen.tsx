import { useState } from 'react';
import { msg, type Consult } from '@toile/core';
import { sendIntakeSchema, type OpenIntakeAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { tokenOfAddress, useOpened } from '../../data/useOpened';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Heading, Loading, View } from '../../ui';
import { dayInWords } from '../words/dates';
import { Questions } from './Questions';

/** What a client's own phone shows behind a link: who asks, what for, the questions; nothing that is kept. */
export function IntakeScreen() {
  const [token] = useState(tokenOfAddress);
  const { shown: asks, ended } = useOpened<OpenIntakeAnswer>(token, () =>
    call('openIntake', { body: { token } }),
  );
  const [answers, setAnswers] = useState<Consult>({});
  const [sent, setSent] = useState(false);
  const { busy, failure, errors, save } = useSaving(
    msg`It was not sent. What you wrote is still here; try again.`,
  );
  const send = async (): Promise<void> => {
    const done = await save(async () => {
      const body = await sendIntakeSchema.validate({ token, answers }, { abortEarly: false });
      await call('sendIntake', { body });
      return true;
    });
    if (done) setSent(true);
  };
  const byKey = Object.fromEntries(
    Object.entries(errors).map(([path, message]) => [
      path.replace(/^answers\./, '').split(/[.[]/)[0]!,
      message,
    ]),
  );
  return (
    <View flex={1} backgroundColor="$background" role="main" style={{ overflowY: 'auto' }}>
      <Column width="100%" maxWidth={560} alignSelf="center" padding="$4" gap="$4">
        <Heading fontSize="$7" lineHeight="$7" aria-level={1}>
          {sent ? msg`Thank you` : asks ? msg`Before you sit with ${asks.studio}` : msg`Some questions`}
        </Heading>
        {ended ? <Body role="alert" color="$madder">{`▲ ${ended}`}</Body> : null}
        {!asks && !ended ? <Loading /> : null}
        {sent ? (
          <Body role="status">{msg`Your answers are with the studio. This page shows nothing any more, and the link has ended.`}</Body>
        ) : null}
        {asks && !sent ? (
          <>
            <Body>
              {msg`${asks.studio} asks, so that what is chosen for your face suits you. Every answer may be left out. Whoever works with you reads them and takes over what helps; the link ends when you send, or on ${dayInWords(asks.expiresAt)}.`}
            </Body>
            <Questions answers={answers} onChange={setAnswers} errors={byKey} />
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Button
              kind="main"
              large
              disabled={busy || Object.keys(answers).length === 0}
              onPress={() => void send()}
            >{msg`Send my answers`}</Button>
          </>
        ) : null}
      </Column>
    </View>
  );
}
