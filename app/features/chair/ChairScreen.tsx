import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView } from 'react-native';
import {
  isSettled,
  lastDryAt,
  nextAfter,
  progressOf,
  stepsOfVariant,
  waitsAt,
  withSensitivities,
  type Chart,
} from '@toile/core';
import { useClient, useKit } from '../../data/hooks';
import {
  BackIcon,
  Body,
  Button,
  Choice,
  Column,
  Figure,
  Label,
  Line,
  Loading,
  Ready,
  Screen,
  useColours,
  View,
} from '../../ui';
import { useThemeChoice } from '../settings/theme';
import { clockOf, indexOfPlace, placeInSteps, type PlaceInSteps } from './chairView';
import { ConflictPanel } from './ConflictPanel';
import { Deviations } from './Deviations';
import { Comfort, StepCautions, StepFace, StepWords } from './StepCard';
import { useChair, type ChairWork } from './useChair';
import { useChairKeys, useTimeUntil, useSwipe, useWakeLock } from './useChairControls';

/** The chair: one step filling the screen, worked with one hand, as planned or in one variant. */
export function ChairScreen({ id }: { readonly id: string }) {
  const chair = useChair(id);
  const router = useRouter();
  const { variant } = useLocalSearchParams<{ variant?: string }>();
  if (chair.answer.data && chair.ready) {
    const { chart } = chair.answer.data;
    const chosen = chart.variants.find((v) => v.id === variant)?.id ?? null;
    const worked: Chart = { ...chart, steps: stepsOfVariant(chart.steps, chosen) };
    return (
      <Work
        key={chosen}
        chair={chair}
        chart={worked}
        variant={chosen}
        onLeave={() => router.navigate(`/charts/${id}`)}
      />
    );
  }
  return (
    <Screen title="The chair" onBack={() => router.navigate(`/charts/${id}`)}>
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
  const client = useClient(chart.client.id);
  const { worn, doneCount, nextIndex, minutesLeft } = progressOf(chart, chair.events);
  const [at, setAt] = useState<PlaceInSteps>(() =>
    placeInSteps(worn.steps, nextAfter(worn, null, Date.now())?.index ?? chart.steps.length - 1),
  );
  const index = indexOfPlace(worn.steps, at);
  const [openedVersion] = useState(chart.version);
  const [open, setOpen] = useState(false);
  const now = useTimeUntil(lastDryAt(worn.steps));
  const step = worn.steps[index]!;
  const minutesIn = worn.steps
    .filter(isSettled)
    .reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, 0);
  const finished = doneCount === worn.steps.length;
  const running = waitsAt(worn.steps, now);
  const next = nextAfter(worn, null, now);
  const conflicts = chair.conflicts.filter((c) => worn.steps.some((s) => s.id === c.stepId));
  const noted = client.data?.sensitivities;
  const minded = useMemo(() => withSensitivities(chart, noted ?? []), [chart, noted]);
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

  return (
    <View flex={1} backgroundColor="$background" minHeight={0} role="main">
      <Line paddingHorizontal="$2" flexWrap="nowrap" minHeight={52}>
        <Button label="Leave the chair" onPress={onLeave}>
          <BackMark />
        </Button>
        <Column gap={0} flex={1}>
          <Body fontWeight="700">{`Step ${index + 1} of ${worn.steps.length}`}</Body>
          <Label numberOfLines={1}>{`${minutesLeft} min left · ${chart.client.name}`}</Label>
        </Column>
        <SendState chair={chair} />
        <DimRoom />
      </Line>
      <SendTrouble chair={chair} />
      {running.length > 0 ? (
        <Line paddingHorizontal="$4" gap="$4" role="timer">
          {running.map((w) => (
            <Figure
              key={w.stepId}
              fontSize="$4"
              color="$weld"
            >{`◷ ${w.title} ${clockOf(w.untilMinutes * 60 - now / 1000)}`}</Figure>
          ))}
        </Line>
      ) : null}
      <ScrollView style={{ flex: 1 }} {...swipe}>
        {chart.version !== openedVersion ? (
          <Body role="status" paddingHorizontal="$4" paddingTop="$3" color="$weld">
            {`▲ Version ${chart.version} was saved meanwhile and is the one worked now. What was ticked before stays with version ${openedVersion}.`}
          </Body>
        ) : null}
        {conflicts.map((conflict) => (
          <ConflictPanel
            key={`${conflict.one.id} ${conflict.other.id}`}
            conflict={conflict}
            step={worn.steps.find((s) => s.id === conflict.stepId)!}
            onKeep={(kept) => chair.settle(conflict, kept)}
          />
        ))}
        <StepCautions chart={minded} step={step} kit={kit.data} />
        {open ? (
          <Deviations
            key={step.id}
            chart={{ ...worn, client: minded.client }}
            step={step}
            kit={kit.data}
            onDeviate={(d, at) => (chair.deviate(at ?? step.id, d), setOpen(false))}
          />
        ) : (
          <StepFace chart={worn} step={step} />
        )}
        {next?.whileDrying && next.index === index ? (
          <Body
            paddingHorizontal="$4"
            paddingTop="$3"
            color="$weld"
          >{`◷ Worked now, while ${next.whileDrying.title.toLowerCase()} dries.`}</Body>
        ) : null}
        {next && next.waitMinutes > 0 && next.index === index ? (
          <Body
            paddingHorizontal="$4"
            paddingTop="$3"
            color="$weld"
          >{`◷ Still wet under this one: wait ${clockOf(next.waitMinutes * 60)}.`}</Body>
        ) : null}
        <StepWords step={step} kit={kit.data} />
        <Comfort step={step} minutesIn={minutesIn} />
        <WorkedAs chair={chair} variant={variant} />
      </ScrollView>
      <Column gap="$2" padding="$3" borderTopWidth={1} borderTopColor="$line">
        <Line flexWrap="nowrap">
          <Button label="Step before" onPress={() => go(index - 1)} disabled={index === 0}>
            ‹
          </Button>
          <Button grow onPress={() => setOpen((o) => !o)}>
            {open ? 'Close' : 'What I really did'}
          </Button>
          <Button label="Step after" onPress={() => go(index + 1)} disabled={index === worn.steps.length - 1}>
            ›
          </Button>
        </Line>
        {finished ? (
          <Button kind="main" large onPress={onLeave}>
            All done, close the chart
          </Button>
        ) : isSettled(step) ? (
          <Line flexWrap="nowrap">
            <Button large onPress={() => chair.tick(step.id, false)}>
              Not done yet
            </Button>
            <Button kind="main" large grow onPress={() => go(next?.index ?? nextIndex)}>
              To the open step
            </Button>
          </Line>
        ) : (
          <Button kind="main" large onPress={done}>
            Done
          </Button>
        )}
      </Column>
    </View>
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
        label="Worked"
        options={['', ...variants.map((v) => v.id)]}
        words={{ '': 'as planned', ...Object.fromEntries(variants.map((v) => [v.id, v.name])) }}
        chosen={[variant ?? '']}
        onChange={([v]) => router.setParams({ variant: v === '' ? undefined : v })}
      />
    </Column>
  );
}

/** Dark for a dim room, and back. */
function DimRoom() {
  const { theme, choose } = useThemeChoice();
  const dim = theme === 'dark';
  return (
    <Button
      label={dim ? 'Light for a bright room' : 'Dark for a dim room'}
      onPress={() => choose(dim ? 'light' : 'dark')}
    >
      {dim ? '☀' : '☾'}
    </Button>
  );
}

function BackMark() {
  const c = useColours();
  return <BackIcon color={c.ink} size={24} />;
}

/** How the sending goes, in a word or a button beside the step. */
function SendState({ chair }: { readonly chair: ChairWork }) {
  if (chair.failure) return <Button onPress={chair.sendAgain}>{`${chair.unsentCount} unsent, send`}</Button>;
  if (chair.refused.length > 0) return <Label color="$madder">{`▲ ${chair.refused.length} not taken`}</Label>;
  return <Label aria-live="polite">{chair.unsentCount > 0 ? 'sending' : '✓ all saved'}</Label>;
}

/** What is wrong with the sending, in a sentence over the whole width: beside the step there is no room for one. */
function SendTrouble({ chair }: { readonly chair: ChairWork }) {
  const words = [
    ...(chair.failure && chair.onPageOnlyCount > 0
      ? [`This device is full: ${chair.onPageOnlyCount} only on this page. Keep it open.`]
      : []),
    ...(chair.refused.length > 0 ? [`${chair.refused.length} not taken: ${chair.refused[0]}`] : []),
  ];
  return words.map((sentence) => (
    <Body key={sentence} role="alert" paddingHorizontal="$4" color="$madder">{`▲ ${sentence}`}</Body>
  ));
}
