import { useState } from 'react';
import { answerInWords, CONSULT_QUESTIONS, msg } from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { useIntakes } from '../../data/hooks';
import { Body, Button, Column, Label, Line, Subheading } from '../../ui';
import { IntakeAnswers } from './IntakeAnswers';
import { IntakeDialog } from './IntakeDialog';

/** What was said in a first talk; asked at the table, or by a link whose answers wait to be taken over. */
export function FirstTalk({ client, mayEdit }: { readonly client: ClientAnswer; readonly mayEdit: boolean }) {
  const said = CONSULT_QUESTIONS.map(({ key, label }) => ({
    key,
    label,
    words: answerInWords(client.consult, key),
  })).filter(({ words }) => words !== '');
  const [asking, setAsking] = useState(false);
  const intakes = useIntakes(mayEdit ? client.id : '');
  const waiting = (intakes.data ?? []).filter(
    ({ answers, settled }) =>
      answers !== null && CONSULT_QUESTIONS.some(({ key }) => answers[key] !== undefined && !settled[key]),
  );
  const open = (intakes.data ?? []).find(({ state }) => state === 'open');
  if (said.length === 0 && !mayEdit) return null;
  return (
    <Column gap="$2" role="group" aria-label={msg`First talk`}>
      <Subheading>{msg`First talk`}</Subheading>
      {waiting.map((intake) => (
        <IntakeAnswers key={intake.id} client={client} intake={intake} />
      ))}
      {said.length === 0 && waiting.length === 0 ? (
        <Body color="$inkSoft">{msg`Not asked yet: what is usual, what is disliked, how long it must hold, what is to be minded.`}</Body>
      ) : null}
      {said.map(({ key, label, words }) => (
        <Column key={key} gap={0}>
          <Label>{label}</Label>
          <Body>{words}</Body>
        </Column>
      ))}
      {mayEdit ? (
        <Line>
          <Button href={`/clients/${client.id}/consult`}>{msg`Ask at the table`}</Button>
          <Button onPress={() => setAsking(true)}>{open ? msg`A link is out` : msg`Ask by a link`}</Button>
        </Line>
      ) : null}
      {asking ? <IntakeDialog client={client} open={open ?? null} onClose={() => setAsking(false)} /> : null}
    </Column>
  );
}
