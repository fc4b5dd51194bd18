import { answerInWords, CONSULT_QUESTIONS, msg, plural, type ConsultKey } from '@toile/core';
import type { ClientAnswer, IntakeAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { dropIfRefused } from '../../data/photos';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line } from '../../ui';
import { knownInWords } from './knownInWords';

/** What a client answered by link, each answer to be taken over or set aside by hand. */
export function IntakeAnswers({
  client,
  intake,
}: {
  readonly client: ClientAnswer;
  readonly intake: IntakeAnswer;
}) {
  const refresh = useRefresh();
  const { busy, failure, save } = useSaving();
  const answers = intake.answers ?? {};
  const settle = (keys: readonly ConsultKey[], taken: boolean): Promise<unknown> =>
    save(async () => {
      try {
        for (const key of keys) {
          await call('settleIntake', { params: { id: intake.id }, body: { key, taken } });
          if (taken && key === 'photos') await dropIfRefused(client.id, answers.photos);
        }
      } finally {
        await refresh();
      }
    });
  const open = CONSULT_QUESTIONS.filter(({ key }) => answers[key] !== undefined && !intake.settled[key]);
  // What would go over something that is noted is decided one by one.
  const fresh = open.filter(({ key }) => !knownInWords(client, key)).map(({ key }) => key);
  return (
    <Column gap="$2" borderLeftWidth={3} borderLeftColor="$woad" paddingLeft="$3">
      <Body fontWeight="700">{msg`${plural(open.length)`${open.length} answer waits|${open.length} answers wait`} to be read`}</Body>
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      {open.map(({ key, label, health }) => {
        const known = knownInWords(client, key);
        return (
          <Column key={key} gap="$1" borderTopWidth={1} borderTopColor="$line" paddingTop="$2">
            <Label>{health ? msg`${label} · kept by consent` : label}</Label>
            <Body>{answerInWords(answers, key)}</Body>
            {known ? <Label>{msg`Noted so far: ${known}`}</Label> : null}
            <Line>
              <Button
                label={msg`Take over: ${label}`}
                disabled={busy}
                onPress={() => void settle([key], true)}
              >{msg`Take over`}</Button>
              <Button
                label={msg`Set aside: ${label}`}
                disabled={busy}
                onPress={() => void settle([key], false)}
              >{msg`Set aside`}</Button>
            </Line>
          </Column>
        );
      })}
      {fresh.length > 1 ? (
        <Button disabled={busy} onPress={() => void settle(fresh, true)}>
          {fresh.length === open.length
            ? msg`Take over all ${fresh.length}`
            : msg`Take over the ${fresh.length} of which nothing is noted yet`}
        </Button>
      ) : null}
    </Column>
  );
}
