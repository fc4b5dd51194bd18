import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView } from 'react-native';
import {
  isSettled,
  lastDryAt,
  lastToldAt,
  minutesSat,
  msg,
  nextAfter,
  progressOf,
  waitsAt,
  workedIn,
  type Chart,
} from '@toile/core';
import { useKit } from '../../data/hooks';
import { Body, Button, Choice, Column, Line, Loading, Ready, Screen, useRoomy, View } from '../../ui';
import { useMinded } from '../clients/useMinded';
import { clockOf, indexOfPlace, placeInSteps, type PlaceInSteps } from './chairView';
import { instantInWords } from '../words/dates';
import { ChairHead } from './ChairHead';
import { ChairSteps } from './ChairSteps';
import { ConflictPanel } from './ConflictPanel';
import { Deviations } from './Deviations';
import { BeforeTheWork, Comfort, StepCautions, StepFace, StepWords } from './StepCard';
import { useChair, type ChairWork } from './useChair';
import { DRY_TOLD_MS, useChairKeys, useDried, useSwipe, useTimeUntil, useWakeLock } from './useChairControls';

/** The chair: one step filling the screen, worked with one hand, as planned or in one variant. */
export function ChairScreen({ id }: { readonly id: string }) {
  const chair = useChair(id);
  const router = useRouter();
  const { variant, from } = useLocalSearchParams<{ variant?: string; from?: string }>();
  // Back where one came from: leaving adds no page.
  const leave = (): void =>
    from === 'chart' && router.canGoBack() ? router.back() : router.replace(`/charts/${id}`);
  if (chair.answer.data && chair.ready) {
    const { chart } = chair.answer.data;
    const chosen = chart.variants.find((v) => v.id === variant)?.id ?? null;
    return (
      <Work
        key={`${chosen} ${chair.choice.goOnWith} ${chair.choice.left}`}
        chair={chair}
        chart={workedIn(chart, chosen)}
        variant={chosen}
        onLeave={leave}
      />
    );
  }
  return (
    <Screen title={msg`The chair`} onBack={leave}>
      <Ready remote={chair.answer}>{() => <Loading />}</Ready>
    </Screen>
  );
}

type WorkProps = {
  readonly chair: ChairWork;
  readonly chart: Chart;
  readonly variant: string | null;
  readonly onLeave: () => void;
};

function Work({ chair, chart, variant, onLeave }: WorkProps) {
  const kit = useKit();
  const { worn, doneCount, nextIndex, minutesLeft } = progressOf(chart, chair.events);
  const [at, setAt] = useState<PlaceInSteps>(() =>
    placeInSteps(worn.steps, nextAfter(worn, null, Date.now())?.index ?? chart.steps.length - 1),
  );
  const index = indexOfPlace(worn.steps, at);
  const [openedVersion] = useState(chart.version);
  const [open, setOpen] = useState(false);
  const [faceRoom, setFaceRoom] = useState(0);
  const roomy = useRoomy();
  const now = useTimeUntil(lastDryAt(worn.steps) + DRY_TOLD_MS);
  const dried = useDried(worn.steps, now);
  const step = worn.steps[index]!;
  const minutesIn = minutesSat(worn.steps);
  const finished = doneCount === worn.steps.length;
  const running = waitsAt(worn.steps, now);
  const next = nextAfter(worn, null, now);
  const conflicts = chair.conflicts.filter((c) => worn.steps.some((s) => s.id === c.stepId));
  const minded = useMinded(chart);
  useWakeLock();

  const go = (to: number): void => {
    setOpen(false);
    setAt(placeInSteps(worn.steps, Math.max(0, Math.min(worn.steps.length - 1, to))));
  };
  const done = (): void => {
    if (isSettled(step)) return go(index + 1);
    chair.tick(step.id, true);
    go(nextAfter(worn, step, now)?.index ?? index);
  };
  useChairKeys({ done, back: () => go(index - 1), on: () => go(index + 1) });
  const swipe = useSwipe((by) => go(index + by));

  const told = (
    <>
      {chart.version !== openedVersion ? (
        <Body role="status" paddingHorizontal="$4" paddingTop="$3" color="$weld">
          {msg`▲ Version ${chart.version} was saved meanwhile and is the one worked now. Steps that are the same in it stay ticked, what was changed is open.`}
        </Body>
      ) : null}
      {index === 0 || chair.choice.goOnWith !== null ? <WorkedBefore chair={chair} chart={chart} /> : null}
      {conflicts.map((conflict) => (
        <ConflictPanel
          key={`${conflict.one.id} ${conflict.other.id}`}
          conflict={conflict}
          step={worn.steps.find((s) => s.id === conflict.stepId)!}
          onKeep={(kept) => chair.settle(conflict, kept)}
        />
      ))}
      {index === 0 ? <BeforeTheWork clientId={chart.client.id} /> : null}
      <StepCautions chart={minded} step={step} kit={kit.data} />
    </>
  );
  const deviations = open ? (
    <Deviations
      key={step.id}
      chart={{ ...worn, client: minded.client }}
      step={step}
      kit={kit.data}
      onDeviate={(d, at) => (chair.deviate(at ?? step.id, d), setOpen(false))}
    />
  ) : null;
  const words = (
    <>
      {next?.whileDrying && next.index === index ? (
        <Body
          paddingHorizontal="$4"
          paddingTop="$3"
          color="$weld"
        >{msg`◷ Worked now, while ${next.whileDrying.title.toLowerCase()} dries.`}</Body>
      ) : null}
      {next && next.waitMinutes > 0 && next.index === index ? (
        <Body
          paddingHorizontal="$4"
          paddingTop="$3"
          color="$weld"
        >{msg`◷ Still wet under this one: wait ${clockOf(next.waitMinutes * 60)}.`}</Body>
      ) : null}
      <StepWords step={step} kit={kit.data} client={chart.client} />
      <Comfort step={step} client={worn.client} minutesIn={minutesIn} />
      <WorkedAs chair={chair} variant={variant} />
    </>
  );
  const foot = (
    <Column gap="$2" padding="$3" borderTopWidth={1} borderTopColor="$line">
      <Line flexWrap="nowrap">
        <Button label={msg`Step before`} onPress={() => go(index - 1)} disabled={index === 0}>
          ‹
        </Button>
        <Button grow onPress={() => setOpen((o) => !o)}>
          {open ? msg`Close` : msg`What I really did`}
        </Button>
        <Button
          label={msg`Step after`}
          onPress={() => go(index + 1)}
          disabled={index === worn.steps.length - 1}
        >
          ›
        </Button>
      </Line>
      {finished ? (
        <>
          <Button kind="main" large onPress={onLeave}>{msg`All done, close the chart`}</Button>
          <Button onPress={chair.putOnAgain}>{msg`Put it on again, from the first step`}</Button>
        </>
      ) : isSettled(step) ? (
        <Line flexWrap="nowrap">
          <Button large onPress={() => chair.tick(step.id, false)}>{msg`Not done yet`}</Button>
          <Button
            kind="main"
            large
            grow
            onPress={() => go(next?.index ?? nextIndex)}
          >{msg`To the open step`}</Button>
        </Line>
      ) : (
        <Button kind="main" large onPress={done}>{msg`Done`}</Button>
      )}
    </Column>
  );
  return (
    <View flex={1} backgroundColor="$background" minHeight={0} role="main">
      <ChairHead
        chair={chair}
        title={msg`Step ${index + 1} of ${worn.steps.length}`}
        detail={msg`${minutesLeft} min left · ${chart.client.name}`}
        running={running}
        dried={dried}
        now={now}
        onLeave={onLeave}
      />
      {roomy ? (
        <View flex={1} minHeight={0} flexDirection="row" borderTopWidth={1} borderTopColor="$line">
          <ScrollView style={{ width: 300, flexGrow: 0, flexShrink: 0 }}>
            <ChairSteps steps={worn.steps} at={index} onGo={go} />
          </ScrollView>
          <View
            flex={1}
            minWidth={0}
            onLayout={(event) => setFaceRoom(Math.round(event.nativeEvent.layout.height))}
          >
            {faceRoom > 0 ? <StepFace chart={worn} step={step} height={faceRoom} /> : null}
          </View>
          <View width={420} minHeight={0}>
            <ScrollView style={{ flex: 1 }}>
              {told}
              {deviations ?? words}
            </ScrollView>
            {foot}
          </View>
        </View>
      ) : (
        <>
          <ScrollView style={{ flex: 1 }} {...swipe}>
            {told}
            {deviations ?? <StepFace chart={worn} step={step} height={290} />}
            {words}
          </ScrollView>
          {foot}
        </>
      )}
    </View>
  );
}

/**
 * Where nothing was told yet of this sitting: when the chart was worked last, and the way back to that; where
 * that is gone on with, that it is.
 */
function WorkedBefore({ chair, chart }: { readonly chair: ChairWork; readonly chart: Chart }) {
  const [first] = chair.events;
  if (chair.choice.goOnWith !== null && first)
    return (
      <Body role="status" paddingHorizontal="$4" paddingVertical="$3">
        {msg`What is told now is of ${instantInWords(first.at)}.`}
      </Body>
    );
  if (chair.before === null) return null;
  const { doneCount, worn } = progressOf(chart, chair.before);
  const when = instantInWords(new Date(lastToldAt(chair.before)).toISOString());
  return (
    <Column gap="$2" paddingHorizontal="$4" paddingVertical="$3">
      <Body role="status">
        {msg`A new sitting. This chart was worked ${when}: ${doneCount} of ${worn.steps.length} steps.`}
      </Body>
      <Button onPress={chair.goOnWithBefore}>{msg`Go on with that one`}</Button>
    </Column>
  );
}

/** Which of the chart's variants is worked, where it has any. */
function WorkedAs({ chair, variant }: { readonly chair: ChairWork; readonly variant: string | null }) {
  const router = useRouter();
  const variants = chair.answer.data?.chart.variants ?? [];
  if (variants.length === 0) return null;
  return (
    <Column paddingHorizontal="$4" paddingBottom="$4">
      <Choice
        label={msg`Worked`}
        options={['', ...variants.map((v) => v.id)]}
        words={{ '': msg`as planned`, ...Object.fromEntries(variants.map((v) => [v.id, v.name])) }}
        chosen={[variant ?? '']}
        onChange={([v]) => router.setParams({ variant: v === '' ? undefined : v })}
      />
    </Column>
  );
}
