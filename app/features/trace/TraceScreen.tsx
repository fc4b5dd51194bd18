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
import { useClient } from '../../data/hooks';
import { Choice, Column, Field, Judged, Label, Ready, Rule, Screen, Subheading, useWide, View } from '../../ui';
import { SaveFoot } from '../clients/SaveFoot';
import { landmarksFor } from '../clients/snapshot';
import { useSaveClient } from '../clients/useSaveClient';
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
  const saving = useSaveClient(client);
  const wide = useWide();
  const [typed, setTyped] = useState<TypedMeasurements>(() => typedFrom(client.measurements));
  const [features, setFeatures] = useState<Features>(client.features);
  const { measurements, errors } = measurementsFrom(typed);
  const questioned = Object.keys(errors).length > 0;
  const shown = useDeferredValue(typed);
  const landmarks = useMemo(() => landmarksFor(drawable(shown)), [shown]);
  const shape = faceShape(landmarks);

  const save = async (over?: ClientAnswer): Promise<void> => {
    const { saved } = await saving.save({ measurements, features }, over);
    if (saved) router.navigate(saved.readings.length === 0 ? `/clients/${client.id}/read` : `/clients/${client.id}`);
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
        <SaveFoot saving={saving} words={questioned ? 'Look at the marked numbers' : 'Save the face'} blocked={questioned} onSave={(over) => void save(over)} />
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
