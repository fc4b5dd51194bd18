import { useRouter } from 'expo-router';
import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import {
  colourOfUse,
  LIGHTS,
  msg,
  paintedSteps,
  skinTarget,
  type Chart,
  type LightName,
  type Step,
} from '@toile/core';
import type { ChartAnswer } from '@toile/contract';
import { useChart } from '../../data/hooks';
import {
  Body,
  Button,
  Choice,
  Column,
  Empty,
  Judged,
  Label,
  Line,
  Loading,
  Ready,
  Screen,
  Subheading,
  Swatch,
  Switch,
  useWide,
  View,
} from '../../ui';
import { askPaint, useWork } from '../../workers';
import { FaceView } from '../face/FaceView';
import { faceBox } from '../face/faceBox';
import { Notch } from '../face/Notch';
import { readChartDraft } from '../chart/chartDraft';
import { CAMERAS, flashWarnings, lightOf, LIGHT_WORDS, type CameraName } from './lightView';

/** The chart's face painted by the layer model, under the light it will be seen in. */
export function LightScreen({ id }: { readonly id: string }) {
  const answer = useChart(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`Under light`}
      above={answer.data ? `${answer.data.chart.client.name} · ${answer.data.chart.look.name}` : undefined}
      onBack={() => router.navigate(`/charts/${id}`)}
    >
      <Ready remote={answer}>{(data) => <UnderLight answer={data} />}</Ready>
    </Screen>
  );
}

function UnderLight({ answer }: { readonly answer: ChartAnswer }) {
  const chart = useMemo(() => readChartDraft(answer.chart.id)?.work.chart ?? answer.chart, [answer.chart]);
  if (!skinTarget(chart.client.skin))
    return (
      <Empty
        title={msg`Nothing to paint on`}
        words={msg`This chart was made without a skin reading. Read the skin and repeat it.`}
      />
    );
  return <Painted chart={chart} />;
}

const WIDTH_PX = 600;

function Painted({ chart }: { readonly chart: Chart }) {
  const wide = useWide();
  const [light, setLight] = useState<LightName>(() => lightOf(chart.occasion));
  const [camera, setCamera] = useState<CameraName>('eye');
  const [before, setBefore] = useState(false);
  const [hidden, setHidden] = useState<readonly string[]>([]);
  const [variant, setVariant] = useState<string | null>(null);
  const { client } = chart;
  const steps = useMemo(() => paintedSteps(chart, variant), [chart, variant]);
  const shown = useMemo(
    () => (before ? [] : steps.filter((s) => !hidden.includes(s.id))),
    [steps, hidden, before],
  );
  const view = useMemo(() => faceBox(client.landmarks), [client.landmarks]);
  const request = useMemo(
    () => ({ client, steps: shown, view, width: WIDTH_PX, light, eaten: CAMERAS[camera].eaten }),
    [client, shown, view, light, camera],
  );
  const { answer, busy, error } = useWork(askPaint, 'paint', request);
  const picture = usePictureUrl(answer);
  const warnings = useMemo(() => flashWarnings(chart, shown), [chart, shown]);
  useKeys(setLight);
  const toggle = useCallback(
    (id: string) => setHidden((list) => (list.includes(id) ? list.filter((x) => x !== id) : [...list, id])),
    [],
  );
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$4" alignItems="flex-start">
      <Column
        flex={wide ? 1 : undefined}
        width={wide ? undefined : '100%'}
        gap="$2"
        style={wide ? { position: 'sticky', top: -16 } : undefined}
      >
        <Judged padding={0} position="relative">
          <FaceView
            landmarks={client.landmarks}
            features={client.features}
            view={view}
            picture={picture ? { href: picture, box: view } : null}
            width="100%"
            height={wide ? 600 : 400}
            label={`${client.name} ${before ? msg`before` : msg`painted`}, ${LIGHT_WORDS[light]}${busy ? msg`, being painted` : ''}`}
          />
          {picture ? null : (
            <View position="absolute" left={0} right={0} top={0}>
              <Loading words={msg`Painting`} />
            </View>
          )}
        </Judged>
        {error ? <Body role="alert" color="$madder">{`▲ ${error}`}</Body> : null}
        <Line justifyContent="space-between" alignItems="flex-end">
          <Choice
            label={msg`Light`}
            options={LIGHTS}
            words={LIGHT_WORDS}
            chosen={[light]}
            onChange={([l]) => l && setLight(l)}
          />
          <Button
            label={before ? msg`Show the make-up` : msg`Show the face before`}
            onPress={() => setBefore((b) => !b)}
          >
            {before ? msg`After` : msg`Before`}
          </Button>
        </Line>
        <Choice
          label={msg`Seen by`}
          options={Object.keys(CAMERAS) as CameraName[]}
          words={{ eye: 'eye', near: 'camera', far: msg`far camera` }}
          chosen={[camera]}
          onChange={([k]) => k && setCamera(k)}
        />
      </Column>
      <Column width={wide ? 380 : '100%'} gap="$3">
        {warnings.map((w) => (
          <Body key={w} color="$weld">{`▲ ${w}`}</Body>
        ))}
        {chart.variants.length > 0 ? (
          <Choice
            label={msg`Variant`}
            options={['as planned', ...chart.variants.map((v) => v.id)]}
            words={Object.fromEntries(chart.variants.map((v) => [v.id, v.name]))}
            chosen={[variant ?? 'as planned']}
            onChange={([v]) => setVariant(v === undefined || v === 'as planned' ? null : v)}
          />
        ) : null}
        <Column gap={0}>
          <Line justifyContent="space-between">
            <Subheading>{msg`Layers`}</Subheading>
            <Button onPress={() => setHidden(hidden.length > 0 ? [] : steps.map((s) => s.id))}>
              {hidden.length > 0 ? msg`All on` : msg`All off`}
            </Button>
          </Line>
          {steps.map((step) => (
            <LayerSwitch key={step.id} step={step} on={!hidden.includes(step.id)} onToggle={toggle} />
          ))}
        </Column>
        <Label>{msg`A model: flat diffuse layers from one colour reading each, seen by an eye that has settled to the light. No gloss, pores, shimmer or dry-down. Lamp, LED and flash are of low confidence; a flash photo in a dark room is the test.`}</Label>
      </Column>
    </View>
  );
}

const LayerSwitch = memo(function LayerSwitch({
  step,
  on,
  onToggle,
}: {
  readonly step: Step;
  readonly on: boolean;
  readonly onToggle: (id: string) => void;
}) {
  return (
    <Switch label={step.title} on={on} onToggle={() => onToggle(step.id)}>
      {step.role === 'care' ? null : <Notch kind={step.role} size={16} />}
      <Swatch lab={colourOfUse(step.use)} size={28} label={msg`product colour`} />
    </Switch>
  );
});

/** An address for a picture made here, given back when the next one comes. */
function usePictureUrl(blob: Blob | null): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    if (!blob) return;
    const made = URL.createObjectURL(blob);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the address lives and dies with this effect
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [blob]);
  return url;
}

/** Keys 1 to 4 choose the light. */
function useKeys(setLight: (light: LightName) => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const light = LIGHTS[Number(event.key) - 1];
      if (!light || event.ctrlKey || event.metaKey || event.altKey) return;
      event.stopImmediatePropagation();
      setLight(light);
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [setLight]);
}
