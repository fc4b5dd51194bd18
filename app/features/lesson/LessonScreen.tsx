import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  lessonFrom,
  msg,
  stepsCounted,
  stepsOfVariant,
  term,
  toolsAskedOf,
  type Chart,
  type Lesson,
  type LessonStep,
  type Tool,
} from '@toile/core';
import { may, pathTo } from '@toile/contract';
import { useChart, useSession } from '../../data/hooks';
import {
  Body,
  Button,
  Choice,
  Column,
  Label,
  Line,
  Ready,
  Screen,
  Stepper,
  Subheading,
  Switch,
  useWide,
  View,
} from '../../ui';
import { useMinded } from '../clients/useMinded';
import { LessonByLink } from './LessonByLink';
import type { Given } from './given';

/**
 * A lesson from a chart for the client's own hands: what to keep, seen as the client will see it, on paper or
 * by a link.
 */
export function LessonScreen({ id }: { readonly id: string }) {
  const chart = useChart(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`Lesson`}
      above={chart.data ? `${chart.data.chart.client.name} · ${chart.data.chart.look.name}` : undefined}
      widest={1100}
      onBack={() => router.navigate(`/charts/${id}`)}
    >
      <Ready remote={chart}>{({ chart: newest }) => <Compose newest={newest} />}</Ready>
    </Screen>
  );
}

function Compose({ newest }: { readonly newest: Chart }) {
  // A version saved meanwhile takes nothing away that was chosen.
  const [opened] = useState(newest);
  // What was noted of the client since is: nothing is handed over that they must not have.
  const chart = useMinded(opened);
  const session = useSession();
  const wide = useWide();
  const [minutes, setMinutes] = useState(20);
  const [keep, setKeep] = useState<readonly string[] | null>(null);
  const asked = useMemo(() => toolsAskedOf(stepsOfVariant(chart.steps, null)), [chart]);
  const [has, setHas] = useState<readonly Tool[]>(asked);
  // Who has them all was as good as not asked.
  const tools = has.length === asked.length ? null : has;
  const lesson = useMemo(
    () => lessonFrom(chart, { minutes, tools, ...(keep ? { keep } : {}) }),
    [chart, minutes, tools, keep],
  );
  const kept = lesson.steps.map(({ stepId }) => stepId);
  const toggle = (stepId: string): void =>
    setKeep(kept.includes(stepId) ? kept.filter((one) => one !== stepId) : [...kept, stepId]);
  const given = { chart, minutes, kept, tools };
  const edits = session.data !== undefined && may(session.data.role, 'edit');
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$5">
      <Column flex={wide ? 1 : undefined} gap="$3" role="group" aria-label={msg`What is kept`}>
        <Label>{msg`For the client’s own hands, at a mirror: fewer steps, in words anybody knows. Notes, health and contact are never in it.`}</Label>
        <Stepper
          label={msg`Minutes there are`}
          unit={msg`min`}
          value={minutes}
          minimum={5}
          maximum={60}
          step={5}
          onChange={(value) => {
            setMinutes(value);
            setKeep(null);
          }}
        />
        {asked.length > 0 ? (
          <Choice label={msg`Tools at home`} options={asked} chosen={has} several onChange={setHas} />
        ) : null}
        <Body>{msg`${stepsCounted(lesson)}, about ${lesson.minutes} minutes for hands that do it twice a week${keep ? '' : msg`, as proposed`}.`}</Body>
        {keep && lesson.minutes > minutes ? (
          <Body color="$weld">{msg`▲ That is more than the ${minutes} minutes there are.`}</Body>
        ) : null}
        {lesson.alone.map((says) => (
          <Body key={says} color="$weld">{`▲ ${says}`}</Body>
        ))}
        {lesson.steps.map((step) => (
          <Switch
            key={step.stepId}
            label={msg`${step.title}, ${step.minutes} min`}
            on
            onToggle={() => toggle(step.stepId)}
          />
        ))}
        {lesson.left.map((step) =>
          step.atHome ? (
            <Switch
              key={step.stepId}
              label={`${step.title}: ${step.why}`}
              on={false}
              onToggle={() => toggle(step.stepId)}
            />
          ) : (
            <Label key={step.stepId}>{`${step.title}: ${step.why}`}</Label>
          ),
        )}
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$5">
        <Seen lesson={lesson} />
        <OnPaper {...given} />
        <ToTakeHome {...given} />
        {edits ? <LessonByLink {...given} /> : null}
      </Column>
    </View>
  );
}

/** As the client will read it. */
function Seen({ lesson }: { readonly lesson: Lesson }) {
  return (
    <Column gap="$3" role="group" aria-label={msg`As the client reads it`}>
      <Subheading>{msg`As the client reads it`}</Subheading>
      <Column gap="$1">
        {lesson.things.map(({ number, name }) => (
          <Label key={number}>{`${number} · ${name}`}</Label>
        ))}
      </Column>
      <Body>{lesson.before}</Body>
      {lesson.steps.map((step, i) => (
        <OneStep key={step.stepId} step={step} number={i + 1} />
      ))}
      {lesson.minds.map((line) => (
        <Label key={line}>{line}</Label>
      ))}
    </Column>
  );
}

/** On most screens a millimetre is about so many px: near enough for a pea and a lentil to be told apart. */
const PX_PER_MM = 3.78;

function OneStep({ step, number }: { readonly step: LessonStep; readonly number: number }) {
  const px = step.sizeMm === null ? null : step.sizeMm * PX_PER_MM;
  return (
    <Column gap="$1" borderBottomWidth={1} borderBottomColor="$line" paddingBottom="$3">
      <Body fontWeight="700">{`${number}. ${step.title}`}</Body>
      {step.things.length > 0 ? (
        <Line flexWrap="nowrap" gap="$3">
          <Body>{`${step.things.join(msg` and `)}: ${step.amount ?? msg`as it is`}`}</Body>
          {px ? (
            <View width={px} height={px} borderRadius={px / 2} backgroundColor="$ink" aria-hidden />
          ) : null}
        </Line>
      ) : null}
      {step.where.map((place) => (
        <Body key={place}>{place}</Body>
      ))}
      <Label>{step.how}</Label>
      <Label>{`✓ ${step.check}`}</Label>
      {step.fault ? <Label>{`${step.fault.seen}? ${step.fault.cure}`}</Label> : null}
    </Column>
  );
}

const PAPERS = [
  ['a4', 'A4'],
  ['letter', 'Letter'],
] as const;

function OnPaper({ chart, minutes, kept, tools }: Given) {
  const print = (paper: 'a4' | 'letter', as: 'sheet' | 'card'): void =>
    window.location.assign(
      pathTo(
        'printLesson',
        { id: chart.id },
        {
          steps: kept.join(','),
          minutes: String(minutes),
          ...(tools ? { tools: tools.join(',') } : {}),
          as,
          paper,
        },
      ),
    );
  return (
    <Column gap="$2" role="group" aria-label={msg`On paper`}>
      <Subheading>{msg`On paper`}</Subheading>
      <Line>
        {PAPERS.map(([paper, words]) => (
          <Button key={paper} disabled={kept.length === 0} onPress={() => print(paper, 'sheet')}>
            {msg`PDF, ${term(words)}`}
          </Button>
        ))}
      </Line>
      <Line>
        {PAPERS.map(([paper, words]) => (
          <Button key={paper} disabled={kept.length === 0} onPress={() => print(paper, 'card')}>
            {msg`Card for the lid, ${term(words)}`}
          </Button>
        ))}
      </Line>
    </Column>
  );
}

/** What these steps lay, as pans in tins to be taken home. */
function ToTakeHome({ chart, kept }: Pick<Given, 'chart' | 'kept'>) {
  return (
    <Column gap="$2" role="group" aria-label={msg`To take home`}>
      <Subheading>{msg`To take home`}</Subheading>
      <Line>
        <Button href={`/charts/${chart.id}/compact`}>{msg`Its compacts`}</Button>
        {kept.length > 0 ? (
          <Button
            href={`/charts/${chart.id}/compact?steps=${kept.join(',')}`}
          >{msg`Put a compact together`}</Button>
        ) : null}
      </Line>
    </Column>
  );
}
