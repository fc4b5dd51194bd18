import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { ScrollView } from 'react-native';
import { causeNamed, colourOfUse, productsInWords, type Chart, type Kit, type Step } from '@toile/core';
import { useKit } from '../../data/hooks';
import { BackIcon, Body, Button, Column, Figure, Heading, Judged, Label, Line, Ready, Screen, Swatch, useColours, View } from '../../ui';
import { amountInWords, stepsShown } from '../chart/chartView';
import { layersOf } from '../chart/layers';
import { FaceStage } from '../face/FaceStage';
import { Notch } from '../face/Notch';
import { clockOf, comfortCues, isSettled, placeInKit, progressOf } from './chairView';
import { zoomFor } from '../chart/zoom';
import { Deviations } from './Deviations';
import { useChair, type ChairWork } from './useChair';

/** The chair: one step filling the screen, worked with one hand. */
export function ChairScreen({ id }: { readonly id: string }) {
  const chair = useChair(id);
  const router = useRouter();
  if (chair.answer.data) return <Work chair={chair} chart={plannedOnly(chair.answer.data.chart)} onLeave={() => router.navigate(`/charts/${id}`)} />;
  return (
    <Screen title="The chair" onBack={() => router.navigate(`/charts/${id}`)}>
      <Ready remote={chair.answer}>{() => null}</Ready>
    </Screen>
  );
}

/** Without the steps of variants: those are for another hour. */
const plannedOnly = (chart: Chart): Chart => ({ ...chart, steps: stepsShown(chart, null) });

type Wait = { readonly stepId: string; readonly title: string; readonly until: number };

function Work({ chair, chart, onLeave }: { readonly chair: ChairWork; readonly chart: Chart; readonly onLeave: () => void }) {
  const kit = useKit();
  const { worn, doneCount, nextIndex, minutesLeft } = progressOf(chart, chair.events);
  const [index, setIndex] = useState(() => Math.min(nextIndex, chart.steps.length - 1));
  const [waits, setWaits] = useState<readonly Wait[]>([]);
  const [open, setOpen] = useState(false);
  const now = useSecondsWhile(waits.length > 0);
  const step = worn.steps[index]!;
  const minutesIn = worn.steps.filter(isSettled).reduce((sum, s) => sum + s.handsOnMinutes + s.waitMinutes, 0);
  const finished = doneCount === worn.steps.length;
  useWakeLock();

  const go = (to: number): void => {
    setOpen(false);
    setIndex(Math.max(0, Math.min(worn.steps.length - 1, to)));
  };
  const done = (): void => {
    if (isSettled(step)) return go(index + 1);
    chair.tick(step.id, true);
    if (step.waitMinutes > 0) setWaits((all) => [...all, { stepId: step.id, title: step.title, until: Date.now() + step.waitMinutes * 60_000 }]);
    go(index + 1);
  };
  useChairKeys({ done, back: () => go(index - 1), on: () => go(index + 1) });

  const running = waits.filter((w) => w.until > now);
  return (
    <View flex={1} backgroundColor="$background" minHeight={0} role="main">
      <Line paddingHorizontal="$2" flexWrap="nowrap" minHeight={52}>
        <Button label="Leave the chair" onPress={onLeave}>
          <BackMark />
        </Button>
        <Column gap={0} flex={1}>
          <Body fontWeight="700">{`Step ${index + 1} of ${worn.steps.length}`}</Body>
          <Label>{`${chart.client.name} · ${minutesLeft} min left`}</Label>
        </Column>
        <SendState chair={chair} />
      </Line>
      {running.length > 0 ? (
        <Line paddingHorizontal="$4" gap="$4" role="timer">
          {running.map((w) => (
            <Figure key={w.stepId} fontSize="$4" color="$weld">{`◷ ${w.title} ${clockOf((w.until - now) / 1000)}`}</Figure>
          ))}
        </Line>
      ) : null}
      <ScrollView style={{ flex: 1 }}>
        {open ? (
          <Deviations key={step.id} chart={worn} step={step} kit={kit.data} onDeviate={(d, at) => (chair.deviate(at ?? step.id, d), setOpen(false))} />
        ) : (
          <StepFace chart={worn} step={step} />
        )}
        <StepWords step={step} kit={kit.data} />
        <Comfort step={step} minutesIn={minutesIn} />
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
            <Button kind="main" large grow onPress={() => go(nextIndex)}>
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

/** What the client is asked to do, and when a break is due. */
function Comfort({ step, minutesIn }: { readonly step: Step; readonly minutesIn: number }) {
  const cues = comfortCues(step, minutesIn);
  if (cues.length === 0) return null;
  return (
    <Column paddingHorizontal="$4" paddingBottom="$3" gap="$1" role="note" aria-label="For the client">
      {cues.map((cue) => (
        <Body key={cue} fontSize="$4" lineHeight="$4">{`☞ ${cue}`}</Body>
      ))}
    </Column>
  );
}

function BackMark() {
  const c = useColours();
  return <BackIcon color={c.ink} size={24} />;
}

function SendState({ chair }: { readonly chair: ChairWork }) {
  if (chair.refused.length > 0) return <Label role="alert" color="$madder">{`▲ ${chair.refused.length} not taken: ${chair.refused[0]}`}</Label>;
  if (chair.failure) return <Button onPress={chair.sendAgain}>{`${chair.unsentCount} unsent, send`}</Button>;
  return <Label aria-live="polite">{chair.unsentCount > 0 ? 'sending' : '✓ all saved'}</Label>;
}

function StepFace({ chart, step }: { readonly chart: Chart; readonly step: Step }) {
  const { landmarks, features } = chart.client;
  const layers = layersOf(chart.client, [step], step.id);
  return (
    <Judged padding={0}>
      <FaceStage landmarks={landmarks} features={features} layers={layers} height={290} framing={zoomFor(step, chart.client)} label={`Where: ${step.title}`} />
    </Judged>
  );
}

function StepWords({ step, kit }: { readonly step: Step; readonly kit: Kit | undefined }) {
  const place = placeInKit(step, kit);
  const lab = colourOfUse(step.use);
  return (
    <Column padding="$4" gap="$3">
      <Line flexWrap="nowrap" alignItems="flex-start">
        <Notch kind={step.role} size={26} />
        <Heading flex={1} fontSize="$6" lineHeight="$6">{`${isSettled(step) ? '✓ ' : ''}${step.title}`}</Heading>
      </Line>
      {step.use.length > 0 ? (
        <Line flexWrap="nowrap" alignItems="flex-start" gap="$3">
          {lab ? <Swatch lab={lab} size={64} /> : null}
          <Column gap={0} flex={1}>
            <Body fontSize="$5" lineHeight="$5">
              {productsInWords(step.use)}
            </Body>
            <Figure fontSize="$5" lineHeight="$5" fontWeight="700">
              {amountInWords(step.use)}
            </Figure>
            {place ? <Label fontSize="$3">{place}</Label> : null}
          </Column>
        </Line>
      ) : null}
      <Body fontSize="$4" lineHeight="$4">
        {[step.tool === 'none' ? null : step.tool, step.technique, `${step.handsOnMinutes} min`].filter(Boolean).join(' · ')}
      </Body>
      {step.note ? (
        <Body fontSize="$4" lineHeight="$4">
          {step.note}
        </Body>
      ) : null}
      {isSettled(step) && step.done ? <Label>{`Done by ${step.done.by}`}</Label> : null}
      {step.done?.deviations.map((d, i) => (
        <Body key={i} color="$weld">{`▲ ${deviationInWords(d)}`}</Body>
      ))}
    </Column>
  );
}

function deviationInWords(d: NonNullable<Step['done']>['deviations'][number]): string {
  const note = d.note ? `: ${d.note}` : '';
  switch (d.kind) {
    case 'amount':
      return `Really used ${d.measures}${note}`;
    case 'other product':
      return `Really used ${productsInWords(d.use ?? [])}${note}`;
    case 'skipped':
      return `Skipped${note}`;
    case 'note':
      return `Noted${note}`;
    case 'fault': {
      const known = d.fault ? causeNamed(d.fault.seen, d.fault.cause) : null;
      return known ? `Seen: ${known.fault.seen}, likely ${known.cause.words}. Next time ${known.cause.next}${note}` : `Seen${note}`;
    }
  }
}

/** Seconds going by, only while something waits. */
function useSecondsWhile(on: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!on) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [on]);
  return now;
}

/** Keeps the screen awake where the device allows it. */
function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    navigator.wakeLock?.request('screen').then(
      (held) => (gone ? void held.release() : (lock = held)),
      () => undefined,
    );
    return () => {
      gone = true;
      void lock?.release();
    };
  }, []);
}

/** Space or a pedal's page-down is done; arrows look about. */
function useChairKeys(keys: { readonly done: () => void; readonly back: () => void; readonly on: () => void }): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|BUTTON)$/.test(event.target.tagName)) return;
      if (event.key === ' ' || event.key === 'PageDown') keys.done();
      else if (event.key === 'ArrowLeft' || event.key === 'PageUp') keys.back();
      else if (event.key === 'ArrowRight') keys.on();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
