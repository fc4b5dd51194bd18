import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  ANSWERS,
  decisionWords,
  messages,
  msg,
  term,
  TRIAL_CHOICES,
  TRIAL_SCOPES,
  TRIAL_ZONES,
  trialWords,
  trialZoneWords,
  type TrialChoice,
  type TrialEvent,
  type TrialNow,
  type TrialScope,
} from '@toile/core';
import { may, newId, type TrialAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Field, Label, Line, Subheading, Switch } from '../../ui';
import { capital } from '../words/capital';
import { HalfBars } from './HalfBars';
import { isOpen, openNow } from './trialView';

type Props = { readonly trial: TrialAnswer; readonly now: TrialNow };
type Answer = (typeof ANSWERS)[number];
const SCOPE_WORDS: Readonly<Record<TrialScope, string>> = messages({
  client: 'for this client',
  skinType: 'for such skin',
  studio: 'for everybody',
});

/** What the trial showed, what the question's trials say, and the decision, which is always a person's. */
export function DecidePart({ trial, now }: Props) {
  const open = isOpen(trial, now) ? trial : null;
  const opened = openNow(now);
  const session = useSession();
  const edits = session.data !== undefined && may(session.data.role, 'edit');
  if (!open || !opened) return null;
  const decisions = trial.events.flatMap((event) => (event.kind === 'decided' ? [event] : []));
  return (
    <Column gap="$4">
      <Column gap="$2" role="group" aria-label={msg`What it showed`}>
        <Subheading>{msg`What it showed`}</Subheading>
        <Body>{trialWords(open, opened)}</Body>
        <HalfBars
          marks={opened.compared.zones.flatMap(({ zone, difference }) =>
            difference === null
              ? []
              : [
                  {
                    key: zone,
                    words: capital(trialZoneWords(TRIAL_ZONES.find((z) => z === zone) ?? 'nose')),
                    difference,
                    soft: false,
                  },
                ],
          )}
          a={trial.question.a.words}
          b={trial.question.b.words}
        />
        {now.guess && 'aSide' in open.draw ? (
          <Label>{msg`Guessed before it was opened: ${trial.question.a.words} on the client’s ${term(now.guess)}, which was ${now.guess === open.draw.aSide ? msg`right` : msg`wrong`}.`}</Label>
        ) : null}
      </Column>
      {trial.soFar ? (
        <Column gap="$1" role="group" aria-label={msg`This question so far`}>
          <Subheading>{msg`This question so far`}</Subheading>
          {trial.soFar.says.map((says) => (
            <Body key={says}>{says}</Body>
          ))}
        </Column>
      ) : null}
      {decisions.map((decision) => (
        <Body key={decision.id} fontWeight="700">
          {trial.soFar ? decisionWords(trial.question, decision, trial.soFar.verdict) : ''}
        </Body>
      ))}
      {edits ? <Decide key={decisions.length} trial={trial} again={decisions.length > 0} /> : null}
    </Column>
  );
}

function Decide({ trial, again }: { readonly trial: TrialAnswer; readonly again: boolean }) {
  const router = useRouter();
  const refresh = useRefresh();
  const { busy, failure, errors, save } = useSaving(
    msg`It was not kept. What you chose is still here; try again.`,
  );
  const [open, setOpen] = useState(!again);
  const [choice, setChoice] = useState<TrialChoice | null>(null);
  const [scope, setScope] = useState<TrialScope>('client');
  const [reason, setReason] = useState('');
  const [neck, setNeck] = useState<Answer>('not looked at');
  const [camera, setCamera] = useState<Answer>('not looked at');
  const [into, setInto] = useState(true);
  if (!open)
    return (
      <Line>
        <Button onPress={() => setOpen(true)}>{msg`Decide otherwise`}</Button>
      </Line>
    );
  const { a, b } = trial.question;
  const decide = async (): Promise<void> => {
    if (!choice) return;
    const answer = await save(async () => {
      const event = {
        id: newId(),
        at: new Date().toISOString(),
        kind: 'decided' as const,
        choice,
        scope,
        reason,
        neck,
        camera,
      } satisfies Omit<Extract<TrialEvent, { kind: 'decided' }>, 'by' | 'follows'>;
      const told = await call('createTrialEvent', {
        params: { id: trial.id },
        body: { event, intoChart: into && choice !== 'more' },
      });
      await refresh({ name: 'trial', params: { id: trial.id }, answer: told.trial });
      return told;
    });
    if (answer?.version) router.navigate(`/charts/${trial.chartId}`);
  };
  return (
    <Column gap="$3" role="group" aria-label={msg`Decide`}>
      <Subheading>{msg`Decide`}</Subheading>
      <Choice
        label={msg`From now on`}
        options={TRIAL_CHOICES}
        words={{ a: a.words, b: b.words, either: msg`either will do`, more: msg`more trials first` }}
        chosen={choice ? [choice] : []}
        onChange={([c]) => c && setChoice(c)}
      />
      <Choice
        label={msg`For whom`}
        options={TRIAL_SCOPES}
        words={SCOPE_WORDS}
        chosen={[scope]}
        onChange={([s]) => s && setScope(s)}
      />
      <Choice
        label={msg`It agreed with the neck`}
        options={ANSWERS}
        chosen={[neck]}
        onChange={([n]) => n && setNeck(n)}
      />
      <Choice
        label={msg`It stood the camera`}
        options={ANSWERS}
        chosen={[camera]}
        onChange={([n]) => n && setCamera(n)}
      />
      <Field
        label={msg`Why`}
        value={reason}
        onChange={setReason}
        error={errors['event.reason']}
        placeholder={msg`The client dislikes the feel of it`}
      />
      {choice === 'more' ? null : (
        <Switch label={msg`Put it into the chart’s next version`} on={into} onToggle={() => setInto(!into)} />
      )}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button
        kind="main"
        large
        disabled={busy || !choice}
        onPress={() => void decide()}
      >{msg`Keep the decision`}</Button>
    </Column>
  );
}
