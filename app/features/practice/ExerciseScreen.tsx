import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  judge,
  msg,
  practiceNow,
  skillNamed,
  type AttemptJudged,
  type DrawnExercise,
  type Exercise,
  type Given,
  type Level,
} from '@toile/core';
import { newId } from '@toile/contract';
import { Body, Button, Column, Empty, Label, Line, Loading, Screen } from '../../ui';
import { askFitting, useWork } from '../../workers';
import { zoneOfDays } from '../words/dates';
import { DrawPad, type Drawn } from './DrawPad';
import { OrderPans, OrderSteps, PickBroken, PickCorrector, PickPumps } from './AnswerFields';
import { fadeWords, freshSeed, GRADE_WORDS } from './practiceView';
import { usePracticeLog } from './usePracticeLog';

/** One skill practised: a fresh face, what one did, the worst of it first, and again. */
export function ExerciseScreen({ skillId }: { readonly skillId: string }) {
  const router = useRouter();
  const skill = skillNamed(skillId);
  return (
    <Screen title={skill?.name ?? msg`Practice`} widest={760} onBack={() => router.navigate('/practice')}>
      {skill ? (
        <Work skillId={skillId} why={skill.why} />
      ) : (
        <Empty title={msg`No such skill`} words={msg`Choose one of the list.`} />
      )}
    </Screen>
  );
}

function Work({ skillId, why }: { readonly skillId: string; readonly why: string }) {
  const log = usePracticeLog();
  // Without a network practice begins with what is known here.
  if (!log.answer.data && !log.answer.error) return <Loading words={msg`A fresh face`} />;
  const level = practiceNow(log.events, zoneOfDays()).find((one) => one.skill === skillId)?.level ?? 0;
  return <Run skillId={skillId} why={why} level={level} tell={log.tell} />;
}

type RunProps = {
  readonly skillId: string;
  readonly why: string;
  readonly level: Level;
  readonly tell: ReturnType<typeof usePracticeLog>['tell'];
};

function Run({ skillId, why, level, tell }: RunProps) {
  // The level an exercise was begun with stays with it.
  const [{ seed, next, begun, ready }, setExercise] = useState(() => ({
    seed: freshSeed(),
    next: freshSeed(),
    begun: level,
    ready: null as Exercise | null,
  }));
  const asked = useMemo(
    () => (ready ? null : { skill: skillId, seed, level: begun }),
    [ready, skillId, seed, begun],
  );
  const { answer, error } = useWork(askFitting, 'exercise', asked);
  // One ahead: the next face is being made while this one is drawn.
  const ahead = useWork(
    askFitting,
    'exercise',
    useMemo(() => ({ skill: skillId, seed: next, level: begun }), [skillId, next, begun]),
  ).answer;
  const task = ready ?? (answer?.seed === seed ? answer : null);
  if (error) return <Body role="alert" color="$madder">{`▲ ${error}`}</Body>;
  if (!task) return <Loading words={msg`A fresh face`} />;
  return (
    <Attempt
      key={seed}
      task={task}
      why={why}
      onJudged={(judged) =>
        tell({
          id: newId(),
          at: new Date().toISOString(),
          kind: 'attempt',
          skill: skillId,
          seed,
          level: begun,
          score: judged.score,
          grade: judged.grade,
          miss: Math.min(10_000, judged.miss),
          first: judged.first.slice(0, 400),
        })
      }
      onNew={() =>
        setExercise({
          seed: next,
          next: freshSeed(),
          begun: level,
          ready: ahead?.seed === next && ahead.level === level ? ahead : null,
        })
      }
    />
  );
}

type AttemptProps = {
  readonly task: Exercise;
  readonly why: string;
  readonly onJudged: (judged: AttemptJudged) => void;
  readonly onNew: () => void;
};

function Attempt({ task, why, onJudged, onNew }: AttemptProps) {
  const [result, setResult] = useState<{
    readonly judged: AttemptJudged;
    readonly line: Drawn['line'];
    readonly counted: boolean;
  } | null>(null);
  const [watching, setWatching] = useState(false);
  // Where the guide was seen, what is drawn after is tracing: it is told, and counted nowhere.
  const [seen, setSeen] = useState(false);
  const [again, setAgain] = useState(0);
  const drawn = task.kind === 'line' || task.kind === 'patch';
  const [refused, setRefused] = useState(false);
  const give = (given: Given, line: Drawn['line'] = []): void => {
    const judged = judgedOr(task, given);
    setRefused(judged === null);
    if (!judged) return;
    setResult({ judged, line, counted: !seen });
    if (!seen) onJudged(judged);
    setSeen(true);
  };
  return (
    <Column gap="$3">
      <Body fontSize="$5" lineHeight="$5">
        {task.asks}
      </Body>
      {result ? null : (
        <Label>
          {watching && task.kind === 'line' ? `${why} ${fadeWords(task.guide.fade ?? [1, 1])}` : why}
        </Label>
      )}
      <Field key={again} task={task} result={result} watching={watching} onGive={give} />
      {refused ? (
        <Body role="alert" color="$madder">{msg`▲ Draw all the way round, back to where you began.`}</Body>
      ) : null}
      {result ? (
        <Column gap="$2" role="status" aria-label={msg`What it was`}>
          <Body fontWeight="700">{`${GRADE_WORDS[result.judged.grade]}. ${result.judged.first}`}</Body>
          {result.judged.well ? <Body>{`✓ ${result.judged.well}`}</Body> : null}
          {result.counted ? null : <Label>{msg`Not counted: the answer had been seen.`}</Label>}
          {drawn ? (
            <Label>{msg`Dashed and filled: the guide on this face. The line: yours. The ring: where it is farthest.`}</Label>
          ) : null}
        </Column>
      ) : null}
      <Line>
        {result ? (
          <>
            <Button kind="main" large onPress={onNew}>
              {drawn ? msg`A new face` : msg`Another`}
            </Button>
            <Button
              large
              onPress={() => {
                setResult(null);
                setWatching(false);
                setAgain(again + 1);
              }}
            >{msg`The same again`}</Button>
          </>
        ) : null}
        {drawn ? (
          <Button
            large
            onPress={() => {
              setWatching(!watching);
              setSeen(true);
            }}
          >
            {watching ? msg`Draw it yourself` : msg`Watch it drawn`}
          </Button>
        ) : null}
      </Line>
    </Column>
  );
}

/** Null for what is no answer: a stroke that goes round nothing. */
function judgedOr(task: Exercise, given: Given): AttemptJudged | null {
  try {
    return judge(task, given);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

type FieldProps = {
  readonly task: Exercise;
  readonly result: { readonly judged: AttemptJudged; readonly line: Drawn['line'] } | null;
  readonly watching: boolean;
  readonly onGive: (given: Given, line?: Drawn['line']) => void;
};

function Field({ task, result, watching, onGive }: FieldProps) {
  switch (task.kind) {
    case 'line':
    case 'patch':
      return <DrawOn task={task} result={result} watching={watching} onGive={onGive} />;
    case 'depth':
    case 'undertone':
      return (
        <OrderPans task={task} done={result !== null} onGive={(ids) => onGive({ kind: 'order', ids })} />
      );
    case 'corrector':
      return (
        <PickCorrector task={task} done={result !== null} onGive={(id) => onGive({ kind: 'choice', id })} />
      );
    case 'mix':
      return (
        <PickPumps task={task} done={result !== null} onGive={(ids) => onGive({ kind: 'picks', ids })} />
      );
    case 'broken':
      return (
        <PickBroken task={task} done={result !== null} onGive={(ids) => onGive({ kind: 'picks', ids })} />
      );
    case 'steps':
      return (
        <OrderSteps task={task} done={result !== null} onGive={(ids) => onGive({ kind: 'order', ids })} />
      );
  }
}

function DrawOn({ task, result, watching, onGive }: FieldProps & { readonly task: DrawnExercise }) {
  return (
    <DrawPad
      task={task}
      height={420}
      judged={
        result ? { line: result.line, at: result.judged.grade === 'sure' ? null : result.judged.at } : null
      }
      watching={watching}
      onDrawn={({ line, coarse, mmPerPixel, pressure }) =>
        onGive({ kind: 'line', drawn: line, coarse, mmPerPixel, pressure }, line)
      }
    />
  );
}
