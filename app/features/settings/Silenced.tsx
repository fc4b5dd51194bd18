import { msg, silenced } from '@toile/core';
import { may, newId } from '@toile/contract';
import { call } from '../../data/call';
import { useLearned, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line, Subheading } from '../../ui';
import { dayInWords } from '../words/dates';

/** Proposals that were silenced for good, each to be let speak again. */
export function Silenced() {
  const evidence = useLearned(null);
  const refresh = useRefresh();
  const session = useSession();
  const { busy, failure, save } = useSaving(msg`It was not kept. Try again.`);
  const all = evidence.data ? silenced(evidence.data.answers) : [];
  if (all.length === 0) return null;
  const edits = session.data !== undefined && may(session.data.role, 'edit');
  return (
    <Column gap="$2" role="group" aria-label={msg`Silenced proposals`}>
      <Subheading>{msg`Silenced proposals`}</Subheading>
      {all.map((one) => (
        <Line key={one.key} flexWrap="nowrap" gap="$3">
          <Label flex={1}>{msg`${one.words}: never, ${one.by}, ${dayInWords(one.at)}`}</Label>
          {edits ? (
            <Button
              disabled={busy}
              label={msg`Let it speak again: ${one.words}`}
              onPress={() =>
                void save(async () => {
                  const { key, words, failed, worn, strength } = one;
                  const answer = {
                    id: newId(),
                    key,
                    answer: 'again' as const,
                    words,
                    failed,
                    worn,
                    strength,
                  };
                  await call('answerLearned', { body: { answer } });
                  await refresh();
                })
              }
            >{msg`Let it speak again`}</Button>
          ) : null}
        </Line>
      ))}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
    </Column>
  );
}
