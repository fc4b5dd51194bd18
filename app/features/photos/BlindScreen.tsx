import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import {
  blindResult,
  blindRound,
  GRADE_WORDS,
  msg,
  TRIAL_JUDGES,
  trialNow,
  trialZoneWords,
  type BlindAnswers,
  type BlindCard,
  type Judge,
  type Landmarks,
} from '@toile/core';
import { newId, type TrialAnswer } from '@toile/contract';
import { useChart, useClient } from '../../data/hooks';
import { useDraft } from '../../data/useDraft';
import { Body, Button, Choice, Column, Empty, Label, Line, Loading, Ready, Screen } from '../../ui';
import { askPhoto } from '../../workers';
import { isGraded, MEASURE_ASKS } from '../trials/halfLook';
import { JUDGE_WORDS } from '../trials/trialView';
import { useTrialLog } from '../trials/useTrialLog';
import { capital } from '../words/capital';
import { blindWords, photosForTrial } from './blindView';
import { mayPhotograph, NoConsent } from './NoConsent';
import { usePhotos, type ShownPhoto } from './usePhotos';

/**
 * A trial judged from photographs: one half at a time, mirrored by lot, in an order by lot, the hours unsaid.
 */
export function BlindScreen({ id }: { readonly id: string }) {
  const log = useTrialLog(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`Judged from photographs`}
      above={log.answer.data?.clientName}
      widest={560}
      onBack={() => router.navigate(`/trials/${id}`)}
    >
      <Ready remote={log.answer}>{(trial) => <OfClient trial={trial} log={log} />}</Ready>
    </Screen>
  );
}

type OfTrial = { readonly trial: TrialAnswer; readonly log: ReturnType<typeof useTrialLog> };

function OfClient({ trial, log }: OfTrial) {
  const client = useClient(trial.clientId);
  const chart = useChart(trial.chartId);
  return (
    <Ready remote={client}>
      {(of) =>
        mayPhotograph(of) ? (
          <Ready remote={chart}>
            {({ chart: { client: drawn } }) => (
              <Photographed trial={trial} log={log} landmarks={drawn.landmarks} />
            )}
          </Ready>
        ) : (
          <NoConsent client={of} />
        )
      }
    </Ready>
  );
}

function Photographed({ trial, log, landmarks }: OfTrial & { readonly landmarks: Landmarks }) {
  const router = useRouter();
  const { photos } = usePhotos(trial.clientId, trial.chartId);
  const now = trialNow(trial, log.events);
  if (!photos) return <Loading />;
  const { measure } = trial.declared;
  const shown = photosForTrial(photos, measure, now.appliedAt);
  if (now.state !== 'worn' || !isGraded(measure))
    return (
      <Empty
        title={msg`Nothing to judge here`}
        words={
          isGraded(measure)
            ? msg`Both halves have to be on, and the trial not judged yet.`
            : msg`The colour is read with the reader, not judged by eye.`
        }
      />
    );
  if (shown.length === 0)
    return (
      <Empty
        title={msg`No photographs yet`}
        words={msg`Keep one or more that were taken since both halves were on${measure === 'flash' ? msg`, with the flash` : ''}: they stay on this device.`}
      >
        <Button
          kind="main"
          onPress={() => router.navigate(`/charts/${trial.chartId}/photos`)}
        >{msg`To the photographs`}</Button>
      </Empty>
    );
  return (
    <Round
      key={now.looks.length}
      trial={trial}
      log={log}
      landmarks={landmarks}
      photos={shown}
      seed={`${trial.id} ${now.looks.length}`}
    />
  );
}

type RoundProps = OfTrial & {
  readonly landmarks: Landmarks;
  readonly photos: readonly ShownPhoto[];
  readonly seed: string;
};

function Round({ trial, log, landmarks, photos, seed }: RoundProps) {
  const router = useRouter();
  const [round] = useState(() =>
    blindRound(
      photos.map(({ id }) => id),
      seed,
    ),
  );
  // A round is not begun anew because somebody called.
  const draft = useDraft<BlindAnswers>(`blind ${seed}`, () => ({}));
  const answers = draft.value;
  const [at, setAt] = useState(() => {
    const open = round.findIndex(({ id }) => answers[id] === undefined);
    return open < 0 ? round.length : open;
  });
  const [judge, setJudge] = useState<Judge>(trial.declared.by);
  const { measure, zones } = trial.declared;
  if (!isGraded(measure)) return null;
  const card = round[at];
  if (!card) {
    const result = blindResult(round, answers);
    const keep = (): void => {
      for (const photo of photos) {
        const seen = result.seen
          .filter(({ photoId }) => photoId === photo.id)
          .map(({ zone, side, value }) => ({ zone, side, value, measure }));
        if (seen.length > 0)
          log.tell({
            id: newId(),
            at: new Date().toISOString(),
            kind: 'looked',
            judge,
            lookedAt: photo.at,
            seen,
            touched: [],
            marks: [],
          });
      }
      draft.drop();
      router.navigate(`/trials/${trial.id}`);
    };
    return (
      <Column gap="$3">
        <Body role="status">{blindWords(result)}</Body>
        <Choice
          label={msg`Judged by`}
          options={TRIAL_JUDGES}
          words={JUDGE_WORDS}
          chosen={[judge]}
          onChange={([by]) => by && setJudge(by)}
        />
        <Line>
          <Button
            kind="main"
            large
            disabled={result.seen.length === 0}
            onPress={keep}
          >{msg`Keep what was seen`}</Button>
          <Button onPress={() => setAt(0)}>{msg`Go through it again`}</Button>
        </Line>
      </Column>
    );
  }
  const told = answers[card.id] ?? {};
  const words = Object.fromEntries(GRADE_WORDS[measure].map((grade, i) => [String(i), grade]));
  return (
    <Column gap="$3">
      <Label aria-live="polite">{msg`${at + 1} of ${round.length}. Which side, which hour and what lies there is not said.`}</Label>
      <Half key={card.id} card={card} photos={photos} landmarks={landmarks} />
      <Body fontWeight="700">{MEASURE_ASKS[measure]}</Body>
      {zones.map((zone) => (
        <Choice
          key={zone}
          label={capital(trialZoneWords(zone))}
          options={Object.keys(words)}
          words={words}
          chosen={told[zone] === undefined ? [] : [String(told[zone])]}
          onChange={([grade]) =>
            grade !== undefined &&
            draft.set({ ...answers, [card.id]: { ...answers[card.id], [zone]: Number(grade) } })
          }
        />
      ))}
      <Line>
        {at > 0 ? <Button onPress={() => setAt(at - 1)}>{msg`Back`}</Button> : null}
        <Button kind="main" large onPress={() => setAt(at + 1)}>
          {zones.every((zone) => told[zone] !== undefined)
            ? msg`Next`
            : msg`Next, what is left open is not judged`}
        </Button>
      </Line>
    </Column>
  );
}

/** One half, made where the page is not held up by it. */
function Half({
  card,
  photos,
  landmarks,
}: {
  readonly card: BlindCard;
  readonly photos: readonly ShownPhoto[];
  readonly landmarks: Landmarks;
}) {
  const [href, setHref] = useState<string | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const photo = photos.find(({ id }) => id === card.photoId);
  useEffect(() => {
    if (!photo) return;
    let made: string | null = null;
    let current = true;
    const { blob, taps } = photo;
    askPhoto('half', { blob, taps, landmarks, side: card.side, mirrored: card.mirrored }).then(
      (half) => {
        if (!current) return;
        made = URL.createObjectURL(half);
        setHref(made);
      },
      (error: unknown) => current && setFailure(error instanceof Error ? error.message : String(error)),
    );
    return () => {
      current = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [card, photo, landmarks]);
  if (failure) return <Body role="alert" color="$madder">{`▲ ${failure}`}</Body>;
  if (!href) return <Loading />;
  return (
    <img
      src={href}
      alt={msg`One half of a face`}
      style={{ width: '100%', maxHeight: 380, objectFit: 'contain' }}
    />
  );
}
