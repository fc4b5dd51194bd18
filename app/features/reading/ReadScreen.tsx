import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { Pressable } from 'react-native';
import { driftBetween, isPlausibleSkin, SKIN_ZONE_NAMES, SKIN_ZONES, summariseReadings, type Lab, type SkinZone } from '@toile/core';
import { newId, type ClientAnswer, type ReadingAnswer, type SampleAnswer } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';
import { useClient, useRefresh } from '../../data/hooks';
import { Body, Button, Column, Field, Figure, Judged, Label, Line, Ready, Screen, Subheading, Swatch, useColours, useWide, View } from '../../ui';
import { landmarksFor, newestSkin } from '../clients/snapshot';
import { FaceStage } from '../face/FaceStage';
import { labInWords, stepsInWords } from '../words/colours';
import { adviceFor, keptZones, nextZone, READING_BOX, ZONE_SPOTS, type Samples } from './readingView';

/** A guided reading: zones on the face, several samples each, outliers set aside. */
export function ReadScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  if (client.data) return <Reading client={client.data} />;
  return (
    <Screen title="Read skin" onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>{() => null}</Ready>
    </Screen>
  );
}

function Reading({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const refresh = useRefresh();
  const wide = useWide();
  const draft = `reading.${client.id}`;
  const [samples, setSamples] = useState<Samples>(() => readDraft<Samples>(draft) ?? {});
  const [zone, setZone] = useState<SkinZone>(() => nextZone(samples) ?? 'forehead');
  const [typing, setTyping] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [readingId] = useState(newId);
  useEffect(() => writeDraft(draft, samples), [draft, samples]);

  const add = (lab: Lab): void => {
    setFailure(null);
    setSamples((all) => ({ ...all, [zone]: [...(all[zone] ?? []), lab] }));
  };
  const guarded = async (work: () => Promise<void>): Promise<void> => {
    setBusy(true);
    setFailure(null);
    try {
      await work();
    } catch (error) {
      setFailure(error instanceof CallError ? error.message : 'Something went wrong. Try again.');
    } finally {
      setBusy(false);
    }
  };
  const touch = (): Promise<void> => guarded(async () => add((await call<SampleAnswer>('sample', { body: { clientId: client.id, zone } })).lab));
  const keep = (): Promise<void> =>
    guarded(async () => {
      const body = { id: readingId, at: new Date().toISOString(), source: typing ? 'typed' : 'reader', zones: keptZones(samples) };
      await call<ReadingAnswer>('createReading', { params: { id: client.id }, body, idempotencyKey: `reading-${readingId}` });
      dropDraft(draft);
      await refresh();
      router.navigate(`/clients/${client.id}`);
    });
  const readCount = Object.keys(keptZones(samples)).length;

  return (
    <Screen
      title="Read skin"
      above={client.name}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      foot={
        <Line flexWrap="nowrap">
          {typing ? null : (
            <Button large grow kind={nextZone(samples) ? 'main' : 'quiet'} disabled={busy} onPress={() => void touch()}>
              Take a sample
            </Button>
          )}
          <Button large grow kind={nextZone(samples) && !typing ? 'quiet' : 'main'} disabled={busy || readCount === 0} onPress={() => void keep()}>
            {`Keep ${readCount} of 7 zones`}
          </Button>
        </Line>
      }
    >
      <View flexDirection={wide ? 'row' : 'column'} gap="$4">
        <View width={wide ? 400 : '100%'}>
          <ZoneFace client={client} samples={samples} zone={zone} onZone={setZone} />
        </View>
        <Column flex={wide ? 1 : undefined}>
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <ZonePanel
            zone={zone}
            samples={samples[zone] ?? []}
            before={newestSkin(client)[zone] ?? null}
            onClear={() => setSamples((all) => ({ ...all, [zone]: [] }))}
          />
          {nextZone(samples) && nextZone(samples) !== zone && (summariseReadings(samples[zone] ?? [])?.moreNeeded ?? 1) === 0 ? (
            <Button onPress={() => setZone(nextZone(samples)!)}>{`Next: ${SKIN_ZONE_NAMES[nextZone(samples)!]}`}</Button>
          ) : null}
          {typing ? <TypedLab onAdd={add} /> : null}
          <Button onPress={() => setTyping((on) => !on)}>{typing ? 'Use the shade reader' : 'Type CIELAB values'}</Button>
          <Label>The shade reader is a stand-in that ships with the app: its numbers are made up, with realistic noise and an occasional bad sample.</Label>
        </Column>
      </View>
    </Screen>
  );
}

function ZoneFace({
  client,
  samples,
  zone,
  onZone,
}: {
  readonly client: ClientAnswer;
  readonly samples: Samples;
  readonly zone: SkinZone;
  readonly onZone: (zone: SkinZone) => void;
}) {
  const c = useColours();
  const wide = useWide();
  const landmarks = landmarksFor(client.measurements);
  return (
    <Judged padding={0}>
      <FaceStage landmarks={landmarks} features={client.features} height={wide ? 560 : 350} label="Zones to read" framing={READING_BOX}>
        {(toPixels) =>
          SKIN_ZONES.map((name) => {
            const [x, y] = toPixels(ZONE_SPOTS[name]);
            const summary = summariseReadings(samples[name] ?? []);
            const steady = summary?.moreNeeded === 0;
            const on = name === zone;
            return (
              <Pressable
                key={name}
                role="radio"
                aria-checked={on}
                aria-label={`${SKIN_ZONE_NAMES[name]}: ${steady ? 'steady' : summary ? `${summary.keptCount} kept` : 'not read'}`}
                onPress={() => onZone(name)}
                style={{ position: 'absolute', left: x - 22, top: y - 22, width: 44, height: 44, alignItems: 'center', justifyContent: 'center' }}
              >
                <View
                  width={on ? 34 : 24}
                  height={on ? 34 : 24}
                  borderRadius={20 as never}
                  borderWidth={on ? 3 : 1.5}
                  borderColor={c.ink as never}
                  backgroundColor="$surface"
                  alignItems="center"
                  justifyContent="center"
                >
                  <Figure fontSize="$1" lineHeight="$1">
                    {steady ? '✓' : String(summary?.keptCount ?? 0)}
                  </Figure>
                </View>
              </Pressable>
            );
          })
        }
      </FaceStage>
    </Judged>
  );
}

function ZonePanel({
  zone,
  samples,
  before,
  onClear,
}: {
  readonly zone: SkinZone;
  readonly samples: readonly Lab[];
  readonly before: Lab | null;
  readonly onClear: () => void;
}) {
  const summary = summariseReadings(samples);
  const drift = before && summary ? driftBetween(before, summary.lab) : null;
  return (
    <Column gap="$2" aria-live="polite">
      <Line justifyContent="space-between">
        <Subheading fontSize="$4">{SKIN_ZONE_NAMES[zone]}</Subheading>
        <Swatch lab={summary?.lab ?? null} beside={before} size={44} label={before ? 'now, beside the last reading' : 'now'} />
      </Line>
      <Body fontWeight="700">{adviceFor(summary)}</Body>
      {summary ? <Figure>{`${labInWords(summary.lab)}, ± ${summary.uncertainty.toFixed(2)} from ${summary.keptCount}`}</Figure> : null}
      {drift ? <Body>{`Since the last reading: ${drift.deltaE.toFixed(1)} different, ${stepsInWords(drift.stepsDeeper)}.`}</Body> : null}
      {samples.map((lab, i) => {
        const dropped = summary?.dropped[i] ?? false;
        return (
          <Figure
            key={i}
            color={dropped ? '$madder' : '$inkSoft'}
            textDecorationLine={dropped ? 'line-through' : 'none'}
            aria-label={`sample ${i + 1}${dropped ? ', set aside' : ''}`}
          >
            {`${i + 1}.  ${labInWords(lab)}${dropped ? '   set aside' : ''}`}
          </Figure>
        );
      })}
      {samples.length > 0 ? <Button onPress={onClear}>Read this zone again</Button> : null}
    </Column>
  );
}

function TypedLab({ onAdd }: { readonly onAdd: (lab: Lab) => void }) {
  const [values, setValues] = useState(['', '', '']);
  const [error, setError] = useState<string | undefined>();
  const add = (): void => {
    const [L, a, b] = values.map((v) => (v.trim() === '' ? Number.NaN : Number(v.replace(',', '.'))));
    const lab: Lab = [L!, a!, b!];
    if (!lab.every(Number.isFinite)) return setError('Three numbers: L*, a* and b*');
    if (!isPlausibleSkin(lab)) return setError('No skin has this colour. L* is 12 to 90, a* and b* mostly 3 to 30');
    setError(undefined);
    setValues(['', '', '']);
    onAdd(lab);
  };
  return (
    <Column>
      <Line flexWrap="nowrap" alignItems="flex-start">
        {['L*', 'a*', 'b*'].map((name, i) => (
          <View key={name} flex={1} flexBasis={0} minWidth={0}>
            <Field
              label={name}
              keyboard="decimal"
              value={values[i]!}
              onChange={(text) => setValues((all) => all.map((v, k) => (k === i ? text : v)))}
              error={i === 0 ? error : undefined}
              onSubmit={add}
            />
          </View>
        ))}
      </Line>
      <Button onPress={add}>Add these values</Button>
    </Column>
  );
}
