import { useRouter } from 'expo-router';
import { useState } from 'react';
import { msg, term, trialNow, type TrialNow, type TrialTold } from '@toile/core';
import { newId, pathTo, type TrialAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Label, Line, Ready, Screen, Subheading } from '../../ui';
import { dayInWords, instantInWords } from '../words/dates';
import { DecidePart } from './DecidePart';
import { LooksPart } from './LooksPart';
import { Sides } from './Sides';
import { declaredWords, isOpen, STATE_WORDS } from './trialView';
import { useTrialLog } from './useTrialLog';

type Tell = (event: Extract<TrialTold, { kind: 'opened' | 'ended' | 'judged' }>) => Promise<boolean>;
/** Of something told just now. */
const justNow = (): { id: string; at: string } => ({ id: newId(), at: new Date().toISOString() });

/** One half-face trial, from the draw to the decision; sealed until it is judged. */
export function TrialScreen({ id }: { readonly id: string }) {
  const log = useTrialLog(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`Half-face trial`}
      above={
        log.answer.data ? `${log.answer.data.clientName} · ${dayInWords(log.answer.data.date)}` : undefined
      }
      widest={760}
      onBack={() => (router.canGoBack() ? router.back() : router.navigate('/trials'))}
    >
      <Ready remote={log.answer}>{(trial) => <Trial trial={trial} log={log} />}</Ready>
    </Screen>
  );
}

type TrialProps = { readonly trial: TrialAnswer; readonly log: ReturnType<typeof useTrialLog> };

function Trial({ trial, log }: TrialProps) {
  const refresh = useRefresh();
  const saving = useSaving(msg`It was not kept. Try again.`);
  const now = trialNow(trial, log.events);
  const tell: Tell = async (event) => {
    const told = await saving.save(async () => {
      const body = { event, intoChart: false };
      // A look that was just kept comes before the verdict, which lets no more in.
      await log.afterAllOfIt();
      const { trial: after } = await call('createTrialEvent', { params: { id: trial.id }, body });
      await refresh({ name: 'trial', params: { id: trial.id }, answer: after });
      return true;
    });
    return told === true;
  };
  const over = now.state === 'judged' || now.state === 'decided' || now.state === 'ended';
  return (
    <Column gap="$5">
      <Column gap="$2">
        <Subheading>{trial.question.text}</Subheading>
        <Body>{`${declaredWords(trial)}.`}</Body>
        <Label>{msg`Declared, locked and drawn by ${trial.drawn.by}, ${instantInWords(trial.drawn.at)}: ${STATE_WORDS[now.state]}.`}</Label>
        {trial.differs.map((says) => (
          <Body key={says} color="$weld">{`▲ ${says}`}</Body>
        ))}
      </Column>
      <Envelope trial={trial} now={now} tell={tell} busy={saving.busy} />
      {log.refused.map((why) => (
        <Body key={why} role="alert" color="$madder">{msg`▲ Not taken: ${why}`}</Body>
      ))}
      {log.unsentCount > 0 ? (
        <Line>
          <Label role="status">{msg`${log.unsentCount} kept here, not sent yet${log.failure ? `: ${log.failure}` : ''}`}</Label>
          <Button onPress={log.sendAgain}>{msg`Send now`}</Button>
        </Line>
      ) : null}
      {over ? <DecidePart trial={trial} now={now} /> : null}
      <LooksPart trial={trial} now={now} tell={log.tell} over={over} />
      {over ? null : <JudgePart trial={trial} now={now} tell={tell} busy={saving.busy} />}
      {saving.failure || saving.errors['event.kind'] ? (
        <Body role="alert" color="$madder">{`▲ ${saving.errors['event.kind'] ?? saving.failure}`}</Body>
      ) : null}
      {over ? (
        <Line>
          <Button
            onPress={() => window.location.assign(pathTo('exportTrial', { id: trial.id }))}
          >{msg`Save as a file`}</Button>
        </Line>
      ) : null}
    </Column>
  );
}

type PartProps = {
  readonly trial: TrialAnswer;
  readonly now: TrialNow;
  readonly tell: Tell;
  readonly busy: boolean;
};

/** Which side is which: sealed, opened to work at the chair, or open because it is over. */
function Envelope({ trial, now, tell, busy }: PartProps) {
  const router = useRouter();
  const chair = `/charts/${trial.chartId}/chair?variant=${trial.variant}` as const;
  const over = now.state !== 'drawn' && now.state !== 'worn';
  const open = isOpen(trial, now) ? trial : null;
  return (
    <Column
      gap="$2"
      padding="$4"
      borderWidth={open ? 1 : 3}
      borderStyle={open ? 'solid' : 'dashed'}
      borderColor="$ink"
      role="group"
      aria-label={msg`The draw`}
    >
      {open ? (
        <>
          <Sides trial={open} />
          {over ? null : (
            <Label>{msg`Whoever has seen this is no longer blind: let the client or somebody else judge.`}</Label>
          )}
        </>
      ) : (
        <>
          <Body fontWeight="700">{msg`Sealed`}</Body>
          <Label>{msg`Which side is which is told to whoever works both halves, and to everybody once it is judged.`}</Label>
        </>
      )}
      {over ? null : (
        <Line>
          {open ? (
            <Button
              kind="main"
              onPress={() => router.navigate(chair)}
            >{msg`To the chair, both halves`}</Button>
          ) : (
            <Button
              disabled={busy}
              onPress={() =>
                void tell({ ...justNow(), kind: 'opened' }).then((told) => told && router.navigate(chair))
              }
            >{msg`Open it and work both halves`}</Button>
          )}
        </Line>
      )}
    </Column>
  );
}

/** What may be guessed, with its words. */
const GUESSES = [
  ['left', 'Client’s left'],
  ['right', 'Client’s right'],
  [undefined, 'No guess'],
] as const;
/** Drawn place by place there is no one side to guess. */
const OPEN = [[undefined, 'Judge and open it']] as const;

/**
 * The verdict: what whoever judged thinks was where, then the envelope is opened for everybody. Or it is
 * ended.
 */
function JudgePart({ trial, now, tell, busy }: PartProps) {
  const [ending, setEnding] = useState(false);
  if (now.looks.length === 0) return null;
  const { a } = trial.question;
  const byPlace = trial.declared.design === 'places';
  return (
    <Column gap="$3" role="group" aria-label={msg`Judge it`}>
      <Subheading>{msg`Judge it`}</Subheading>
      <Label>
        {byPlace
          ? msg`The envelope is opened, and no look is added after.`
          : msg`First a guess, kept with it: on which side was ${a.words}? Then the envelope is opened, and no look is added after.`}
      </Label>
      <Line>
        {(byPlace ? OPEN : GUESSES).map(([guess, words]) => (
          <Button
            key={words}
            disabled={busy}
            kind={guess === undefined && !byPlace ? undefined : 'main'}
            onPress={() => void tell({ ...justNow(), kind: 'judged', ...(guess && { guess }) })}
          >
            {byPlace ? term(words) : msg`${term(words)}, and open`}
          </Button>
        ))}
      </Line>
      {ending ? (
        <Line>
          <Label flex={1}>{msg`It ends without a verdict. What was seen stays.`}</Label>
          {([msg`The client wanted to stop`, msg`It was taken off for other reasons`] as const).map((why) => (
            <Button key={why} disabled={busy} onPress={() => void tell({ ...justNow(), kind: 'ended', why })}>
              {why}
            </Button>
          ))}
        </Line>
      ) : (
        <Line>
          <Button onPress={() => setEnding(true)}>{msg`End it early`}</Button>
        </Line>
      )}
    </Column>
  );
}
