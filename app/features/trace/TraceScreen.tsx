import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import {
  canonicalMeasure,
  faceShape,
  messages,
  msg,
  questionTrace,
  sideDifferences,
  sourcesOf,
  term,
  type Features,
  type Landmarks,
  type MeasurementName,
  type Source,
  type Taps,
} from '@toile/core';
import type { ClientAnswer } from '@toile/contract';
import { useDraft } from '../../data/useDraft';
import {
  Body,
  Button,
  Choice,
  Column,
  DraftNote,
  Judged,
  Label,
  Rule,
  Screen,
  Subheading,
  Switch,
  useWide,
  View,
} from '../../ui';
import { BegunClient, type Begun } from '../clients/BegunClient';
import { SaveFoot } from '../clients/SaveFoot';
import { landmarksFor } from '../clients/snapshot';
import { useSaveClient } from '../clients/useSaveClient';
import { FaceStage } from '../face/FaceStage';
import { FeaturesForm } from './FeaturesForm';
import { PhotoTaps } from './PhotoTaps';
import { StartFromFace } from './StartFromFace';
import { TapeGuide } from './TapeGuide';
import { SourceMarks, TapeOverlay } from './TapeOverlay';
import { drawable, measurementsFrom, typedFrom, type TypedMeasurements } from './traceView';
import { capital } from '../words/capital';

const WAYS = ['tape', 'photo', 'another face'] as const;
type Way = (typeof WAYS)[number];
const SOURCE_WORDS: Readonly<Record<Source, string>> = messages({
  measured: '■ measured',
  tapped: '● tapped',
  'from another face': '○ from another face',
  inferred: '· inferred',
});

/**
 * Traces a face by tape, by taps on a photo or from another face: the drawing follows as the numbers change.
 */
export function TraceScreen({ id }: { readonly id: string }) {
  return (
    <BegunClient id={id} title={msg`Trace`} draft="trace">
      {(begun) => <Trace {...begun} />}
    </BegunClient>
  );
}

/** What is traced, as far as it is; it waits on the device until it is saved. */
type Traced = {
  readonly typed: TypedMeasurements;
  readonly taps: Taps;
  readonly likeness: Landmarks | null;
  readonly features: Features;
};

function Trace({ client, newest, take }: Begun) {
  const router = useRouter();
  const wide = useWide();
  const draft = useDraft<Traced>(`trace ${client.id} ${client.revision}`, () => ({
    typed: typedFrom(client.measurements),
    taps: client.taps,
    likeness: client.likeness,
    features: client.features,
  }));
  const { typed, taps, likeness, features } = draft.value;
  const change = (part: Partial<Traced>): void => draft.set((before) => ({ ...before, ...part }));
  const from = (other: ClientAnswer): void => (draft.drop(), take(other));
  const saving = useSaveClient(client, from);
  const [way, setWay] = useState<Way>(Object.keys(client.taps).length > 0 ? 'photo' : 'tape');
  const [current, setCurrent] = useState<MeasurementName | null>('faceLength');
  const [marked, setMarked] = useState(false);
  const { measurements, errors } = measurementsFrom(typed);
  const questioned = Object.keys(errors).length > 0;
  const shown = useDeferredValue(typed);
  const trace = useMemo(() => ({ measurements: drawable(shown), taps, likeness }), [shown, taps, likeness]);
  const landmarks = useMemo(() => landmarksFor(trace), [trace]);
  const folded = useMemo(() => questionTrace(trace), [trace]);
  const sources = useMemo(() => sourcesOf(trace), [trace]);
  const shape = faceShape(landmarks);
  const tapCount = Object.keys(taps).length;

  const save = async (over?: ClientAnswer): Promise<void> => {
    const { saved } = await saving.save({ measurements, taps, likeness, features }, over);
    if (!saved) return;
    draft.drop();
    router.navigate(saved.readings.length === 0 ? `/clients/${client.id}/read` : `/clients/${client.id}`);
  };

  return (
    <Screen
      title={msg`Trace`}
      above={client.name}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      foot={
        <SaveFoot
          saving={saving}
          words={questioned || folded.length > 0 ? msg`Look at the marked numbers` : msg`Save the face`}
          blocked={questioned || folded.length > 0}
          onSave={(over) => void save(over)}
        />
      }
    >
      <View flexDirection={wide ? 'row' : 'column'} gap="$4">
        <View
          width={wide ? 360 : '100%'}
          style={wide || way !== 'photo' ? { position: 'sticky', top: 0, zIndex: 10 } : undefined}
          alignSelf="flex-start"
        >
          <Judged padding="$2" gap="$1">
            <FaceStage
              landmarks={landmarks}
              features={features}
              height={wide ? 440 : 230}
              label={msg`The face as traced, ${shape.words}`}
            >
              {(toPixels) =>
                marked ? (
                  <SourceMarks sources={sources} landmarks={landmarks} toPixels={toPixels} />
                ) : way === 'tape' && current ? (
                  <TapeOverlay name={current} landmarks={landmarks} toPixels={toPixels} />
                ) : null
              }
            </FaceStage>
            <Label color="$ink">{msg`${shape.words} · ${[msg`${Object.keys(measurements).length} measured`, ...(tapCount > 0 ? [msg`${tapCount} tapped`] : []), ...(likeness ? [msg`started from another face`] : [])].join(', ')}, the rest inferred`}</Label>
          </Judged>
        </View>
        <Column flex={wide ? 1 : undefined} gap="$4">
          <DraftNote taken={draft.taken} anew={() => (draft.anew(), from(newest))} />
          {folded.map((question) => (
            <Body key={question} role="alert" color="$madder">{`▲ ${question}`}</Body>
          ))}
          <Choice
            label={msg`How`}
            options={WAYS}
            words={{ tape: msg`by tape`, photo: msg`on a photo`, 'another face': msg`from another face` }}
            chosen={[way]}
            onChange={([w]) => w && setWay(w)}
          />
          {way === 'tape' ? (
            <TapeGuide
              typed={typed}
              errors={errors}
              landmarks={landmarks}
              onType={(name, text) => draft.set((all) => ({ ...all, typed: { ...all.typed, [name]: text } }))}
              current={current}
              onCurrent={setCurrent}
            />
          ) : null}
          {way === 'photo' ? (
            <PhotoTaps clientId={client.id} onTraced={(traced) => change({ taps: traced })} />
          ) : null}
          {way === 'photo' && tapCount > 0 ? (
            <Button onPress={() => change({ taps: {} })}>{msg`Take away all ${tapCount} taps`}</Button>
          ) : null}
          {way === 'another face' ? (
            <StartFromFace
              clientId={client.id}
              likeness={likeness}
              onStart={(face) => change({ likeness: face })}
            />
          ) : null}
          <Rule />
          <Column gap="$1">
            <Subheading>{msg`What the face says`}</Subheading>
            <Body>{msg`${capital(shape.words)}: ${shape.reasons.join('; ')}. Next nearest: ${term(shape.second)}.`}</Body>
            {sideDifferences(landmarks)
              .slice(0, 4)
              .map(({ words }) => (
                <Label key={words}>{words}</Label>
              ))}
            <Switch
              label={msg`Show where each place comes from`}
              on={marked}
              onToggle={() => setMarked((m) => !m)}
            />
            {marked ? (
              <Label>
                {[...new Set(Object.values(sources))].map((source) => SOURCE_WORDS[source]).join('   ')}
              </Label>
            ) : null}
          </Column>
          <Rule />
          <FeaturesForm features={features} onChange={(next) => change({ features: next })} />
          <Label>{msg`An average face is ${canonicalMeasure('faceLength').toFixed(0)} mm long and ${canonicalMeasure('cheekboneWidth')} mm across the cheekbones.`}</Label>
        </Column>
      </View>
    </Screen>
  );
}
