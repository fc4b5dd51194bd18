import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  basesFace,
  changedSteps,
  differsBesides,
  isLocal,
  messages,
  msg,
  questionOf,
  TRIAL_ASPECTS,
  TRIAL_JUDGES,
  TRIAL_MEASURE_NAMES,
  TRIAL_ZONES,
  trialNow,
  trialZoneWords,
  zonesCompared,
  type Chart,
  type Judge,
  type Kit,
  type TrialMeasure,
  type TrialZone,
} from '@toile/core';
import { may, newId, trialInputSchema, type TrialAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useChart, useChartTrials, useKit, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Choice, Column, Label, Ready, Row, Screen, Subheading } from '../../ui';
import { dayInWords, todayText } from '../words/dates';
import { Otherwise, Schools, StepChoice } from './Otherwise';
import {
  ASPECT_WORDS,
  chosen,
  HOURS,
  hoursFor,
  JUDGE_WORDS,
  MEASURE_WORDS,
  STATE_WORDS,
  stepsFor,
  type Choosing,
} from './trialView';

/**
 * The half-face trials of a chart, and a new one declared: what is compared, by what it is judged, then the
 * draw.
 */
export function DeclareScreen({ id }: { readonly id: string }) {
  const chart = useChart(id);
  const trials = useChartTrials(id);
  const kit = useKit();
  const session = useSession();
  const router = useRouter();
  const edits = session.data !== undefined && may(session.data.role, 'edit');
  return (
    <Screen
      title={msg`Half-face trial`}
      above={chart.data ? `${chart.data.chart.client.name} · ${chart.data.chart.look.name}` : undefined}
      widest={760}
      onBack={() => router.navigate(`/charts/${id}`)}
    >
      <Ready remote={chart}>
        {({ chart: newest }) => (
          <Column gap="$5">
            <Ready remote={trials}>{(list) => <Earlier trials={list} />}</Ready>
            {edits && kit.data ? <Declare newest={newest} kit={kit.data} /> : null}
          </Column>
        )}
      </Ready>
    </Screen>
  );
}

function Earlier({ trials }: { readonly trials: readonly TrialAnswer[] }) {
  const router = useRouter();
  if (trials.length === 0)
    return (
      <Label>{msg`One side of the face the one way, the other side the other, worn for hours, then judged without knowing which was which. The sides are drawn, so that nobody’s habit decides.`}</Label>
    );
  return (
    <Column gap={0} role="group" aria-label={msg`Trials of this chart`}>
      {trials.map((trial) => (
        <Row
          key={trial.id}
          title={trial.question.text}
          detail={`${dayInWords(trial.date)} · ${STATE_WORDS[trialNow(trial, trial.events).state]}`}
          onPress={() => router.navigate(`/trials/${trial.id}`)}
        />
      ))}
    </Column>
  );
}

const DESIGN_WORDS = messages({
  half: 'once, for the whole face',
  places: 'for each place by itself',
} as const);
const NOTHING: Choosing = {
  aspect: 'product',
  stepId: null,
  substitute: null,
  tool: null,
  technique: null,
  answers: null,
};

function Declare({ newest, kit }: { readonly newest: Chart; readonly kit: Kit }) {
  // A version saved meanwhile takes nothing away that was chosen.
  const [chart] = useState(newest);
  const router = useRouter();
  const refresh = useRefresh();
  const { busy, failure, errors, save } = useSaving(
    msg`It was not drawn. What you chose is still here; try again.`,
  );
  const [id] = useState(newId);
  const [choosing, setChoosing] = useState<Choosing>(() => ({
    ...NOTHING,
    stepId: stepsFor(chart, 'product').find(basesFace)?.id ?? null,
  }));
  const [measure, setMeasure] = useState<TrialMeasure>('shine');
  const [by, setBy] = useState<Judge>('client');
  const [zones, setZones] = useState<readonly TrialZone[] | null>(null);
  const [design, setDesign] = useState<'half' | 'places'>('half');
  const [hours, setHours] = useState<readonly number[]>(() => hoursFor(chart.occasion.hoursToLast));
  const what = useMemo(() => chosen(chart, choosing), [chart, choosing]);
  const changed = useMemo(() => (what ? changedSteps(chart, what.swap) : []), [chart, what]);
  const possible = useMemo(() => (what ? zonesCompared(chart, changed) : []), [chart, what, changed]);
  const judgedIn = TRIAL_ZONES.filter(
    (zone) => possible.includes(zone) && (zones === null || zones.includes(zone)),
  );
  const local = isLocal(changed);
  const differs = what ? differsBesides(changed, what.swap.aspect) : [];
  const choose = (change: Partial<Choosing>): void => setChoosing((c) => ({ ...c, ...change }));
  const draw = async (): Promise<void> => {
    if (!what) return;
    const made = await save(async () => {
      const body = {
        id,
        version: chart.version,
        date: todayText(),
        ask: what.ask,
        measure,
        by,
        zones: judgedIn,
        design: local && judgedIn.length > 1 ? design : 'half',
        hours: [...hours],
      };
      await trialInputSchema.validate(body, { abortEarly: false });
      await call('createTrial', { params: { id: chart.id }, body });
      await refresh();
      return true;
    });
    if (made) router.navigate(`/trials/${id}`);
  };
  return (
    <Column gap="$4" role="group" aria-label={msg`A new trial`}>
      <Subheading>{msg`A new trial`}</Subheading>
      <Choice
        label={msg`The halves differ in`}
        options={TRIAL_ASPECTS}
        words={ASPECT_WORDS}
        chosen={[choosing.aspect]}
        onChange={([aspect]) => aspect && choose({ aspect, substitute: null })}
      />
      {choosing.aspect === 'school' ? (
        <Schools chart={chart} value={choosing.answers} onChange={(answers) => choose({ answers })} />
      ) : (
        <StepChoice
          steps={stepsFor(chart, choosing.aspect)}
          value={choosing.stepId}
          onChange={(stepId) => choose({ stepId, substitute: null, tool: null, technique: null })}
        />
      )}
      <Otherwise chart={chart} kit={kit} choosing={choosing} onChange={choose} />
      <Choice
        label={msg`Judged by its`}
        options={TRIAL_MEASURE_NAMES}
        words={MEASURE_WORDS}
        chosen={[measure]}
        onChange={([m]) => {
          if (!m) return;
          setMeasure(m);
          // A reader is not what a client has at home.
          if (m === 'colour' && by === 'client') setBy('artist');
        }}
      />
      <Choice
        label={msg`Who judges`}
        options={TRIAL_JUDGES}
        words={JUDGE_WORDS}
        chosen={[by]}
        onChange={([judge]) => judge && setBy(judge)}
      />
      {possible.length > 0 ? (
        <Choice
          label={msg`Where`}
          options={possible}
          words={Object.fromEntries(possible.map((zone) => [zone, trialZoneWords(zone)]))}
          chosen={judgedIn}
          several
          onChange={setZones}
        />
      ) : null}
      {local && judgedIn.length > 1 ? (
        <Choice
          label={msg`Sides drawn`}
          options={['half', 'places'] as const}
          words={DESIGN_WORDS}
          chosen={[design]}
          onChange={([one]) => one && setDesign(one)}
        />
      ) : null}
      <Choice
        label={msg`Looked at after, hours`}
        options={HOURS.map(String)}
        chosen={hours.map(String)}
        several
        onChange={(chosenHours) => setHours(chosenHours.map(Number).sort((a, b) => a - b))}
      />
      {what ? (
        <Column gap="$2" role="note" aria-label={msg`What is asked`}>
          <Body fontWeight="700">{questionOf(chart, what.swap, measure).question.text}</Body>
          {differs.map((says) => (
            <Body key={says} color="$weld">{`▲ ${says}`}</Body>
          ))}
          {differs.length > 0 ? (
            <Label>{msg`A difference may then be due to either. It is drawn all the same if you like.`}</Label>
          ) : null}
        </Column>
      ) : (
        <Label>{msg`Choose above what the other half is done with.`}</Label>
      )}
      {Object.entries(errors).map(([path, message]) => (
        <Body key={path} role="alert" color="$madder">{`▲ ${message}`}</Body>
      ))}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button
        kind="main"
        large
        disabled={busy || !what || judgedIn.length === 0 || hours.length === 0}
        onPress={() => void draw()}
      >{msg`Draw the sides`}</Button>
      <Label>{msg`What is judged, by whom and where is locked with the draw. Both halves go into the chart as a variant, and the chair leads through them.`}</Label>
    </Column>
  );
}
