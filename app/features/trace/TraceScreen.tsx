import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import {
  AGES,
  ASKED_MEASUREMENTS,
  BROWS,
  canonicalMeasure,
  EYE_SHAPES,
  faceShape,
  HAIR_STYLES,
  HAIR_TONES,
  LIDS,
  LINES,
  measure,
  MEASUREMENTS,
  NOSES,
  OILY_ZONES,
  type Features,
  type MeasurementName,
} from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { useClient, useRefresh } from '../../data/hooks';
import { Body, Button, Choice, Column, Field, Judged, Label, Line, Ready, Rule, Screen, Subheading, useWide, View } from '../../ui';
import { clientBody } from '../clients/clientBody';
import { landmarksFor } from '../clients/snapshot';
import { faceBox } from '../face/FaceStage';
import { FaceView } from '../face/FaceView';
import { drawable, measurementsFrom, typedFrom, type TypedMeasurements } from './traceView';

const SMALL_MEASUREMENTS = ['lidShowLeft', 'lidShowRight', 'upperLip', 'lowerLip', 'eyeWidth', 'eyeOpening'] as const satisfies readonly MeasurementName[];

/** Traces a face from a few measurements: the drawing follows as the numbers change. */
export function TraceScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  if (client.data) return <Trace key={client.data.revision} client={client.data} />;
  return (
    <Screen title="Trace" onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>{() => null}</Ready>
    </Screen>
  );
}

function Trace({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const refresh = useRefresh();
  const wide = useWide();
  const [typed, setTyped] = useState<TypedMeasurements>(() => typedFrom(client.measurements));
  const [features, setFeatures] = useState<Features>(client.features);
  const [failure, setFailure] = useState<{ words: string; theirs: ClientAnswer | null } | null>(null);
  const [busy, setBusy] = useState(false);
  const { measurements, errors } = measurementsFrom(typed);
  const shown = useDeferredValue(typed);
  const landmarks = useMemo(() => landmarksFor(drawable(shown)), [shown]);
  const shape = faceShape(landmarks);

  const save = async (revision: number): Promise<void> => {
    setBusy(true);
    setFailure(null);
    try {
      const answer = await call<ClientAnswer>('updateClient', { params: { id: client.id }, body: { ...clientBody(client), measurements, features }, revision });
      await refresh({ name: 'client', params: { id: client.id }, answer });
      router.navigate(answer.readings.length === 0 ? `/clients/${client.id}/read` : `/clients/${client.id}`);
    } catch (error) {
      const stale = error instanceof CallError && error.problem?.code === 'stale';
      setFailure({
        words: error instanceof CallError ? error.message : 'Something went wrong. Try again.',
        theirs: stale ? (error.problem?.current as ClientAnswer) : null,
      });
    } finally {
      setBusy(false);
    }
  };

  const field = (name: MeasurementName) => (
    <View key={name} width={wide ? '47%' : '100%'}>
      <Field
        label={MEASUREMENTS[name].label}
        unit="mm"
        keyboard="decimal"
        value={typed[name] ?? ''}
        placeholder={`about ${measure(name, landmarks).toFixed(0)}`}
        hint={MEASUREMENTS[name].how}
        error={errors[name]}
        onChange={(text) => setTyped((all) => ({ ...all, [name]: text }))}
      />
    </View>
  );
  const one = <K extends 'eyes' | 'brows' | 'nose' | 'hair' | 'hairTone' | 'age'>(key: K, label: string, options: readonly Features[K][]) => (
    <Choice label={label} options={options} chosen={[features[key]]} onChange={([value]) => value && setFeatures((f) => ({ ...f, [key]: value }))} />
  );
  const lids = (side: 'left' | 'right') => (
    <Choice
      label={`Lids, client’s ${side}`}
      options={LIDS}
      chosen={[features.lids[side]]}
      onChange={([value]) => value && setFeatures((f) => ({ ...f, lids: { ...f.lids, [side]: value } }))}
    />
  );
  const noted: readonly (readonly [keyof Features & ('dry' | 'narrowTemples' | 'lenses' | 'headTremor' | 'beard'), string])[] = [
    ['dry', 'dry skin'],
    ['narrowTemples', 'narrow temples'],
    ['lenses', 'contact lenses'],
    ['headTremor', 'head tremor'],
    ['beard', 'beard'],
  ];

  return (
    <Screen
      title="Trace"
      above={client.name}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      foot={
        failure?.theirs ? (
          <Column gap="$2">
            <Body color="$weld">{`▲ ${failure.words}`}</Body>
            <Line flexWrap="nowrap">
              <Button grow onPress={() => void refresh({ name: 'client', params: { id: client.id }, answer: failure.theirs })}>
                Take theirs
              </Button>
              <Button grow kind="main" onPress={() => void save(failure.theirs!.revision)}>
                Save mine over it
              </Button>
            </Line>
          </Column>
        ) : (
          <Column gap="$2">
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure.words}`}</Body> : null}
            <Button kind="main" large disabled={busy || Object.keys(errors).length > 0} onPress={() => void save(client.revision)}>
              {Object.keys(errors).length > 0 ? 'Look at the marked numbers' : 'Save the face'}
            </Button>
          </Column>
        )
      }
    >
      <View flexDirection={wide ? 'row' : 'column'} gap="$4">
        <View width={wide ? 360 : '100%'} style={{ position: 'sticky', top: 0, zIndex: 10 }} alignSelf="flex-start">
          <Judged padding="$2" alignItems="center">
            <FaceView
              view={faceBox(landmarks)}
              landmarks={landmarks}
              features={features}
              width="100%"
              height={wide ? 440 : 230}
              label={`The face as traced, ${shape.words}`}
            />
            <Label color="$ink">{`${shape.words} · ${Object.keys(measurements).length} measured, the rest inferred`}</Label>
          </Judged>
        </View>
        <Column flex={wide ? 1 : undefined} gap="$4">
          <Subheading>Twelve measurements</Subheading>
          <View flexDirection="row" flexWrap="wrap" gap="$3">
            {ASKED_MEASUREMENTS.map(field)}
          </View>
          <Rule />
          <Subheading>When eye or lip drawing matters</Subheading>
          <View flexDirection="row" flexWrap="wrap" gap="$3">
            {SMALL_MEASUREMENTS.map(field)}
          </View>
          <Rule />
          <Subheading>Features</Subheading>
          {lids('left')}
          {lids('right')}
          {one('eyes', 'Eyes', EYE_SHAPES)}
          {one('brows', 'Brows', BROWS)}
          {one('nose', 'Nose', NOSES)}
          {one('hair', 'Hair', HAIR_STYLES)}
          {one('hairTone', 'Hair tone', HAIR_TONES)}
          {one('age', 'Age', AGES)}
          <Choice label="Lines" several options={LINES} chosen={features.lines} onChange={(lines) => setFeatures((f) => ({ ...f, lines }))} />
          <Choice label="Oily" several options={OILY_ZONES} chosen={features.oily} onChange={(oily) => setFeatures((f) => ({ ...f, oily }))} />
          <Choice
            label="Also"
            several
            options={noted.map(([, words]) => words)}
            chosen={noted.filter(([key]) => features[key]).map(([, words]) => words)}
            onChange={(chosen) => setFeatures((f) => ({ ...f, ...Object.fromEntries(noted.map(([key, words]) => [key, chosen.includes(words)])) }))}
          />
          <Label>{`An average face is ${canonicalMeasure('faceLength').toFixed(0)} mm long and ${canonicalMeasure('cheekboneWidth')} mm across the cheekbones.`}</Label>
        </Column>
      </View>
    </Screen>
  );
}
