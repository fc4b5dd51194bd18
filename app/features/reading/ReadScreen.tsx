import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { isPlausibleSkin, msg, readCgats, SKIN_ZONE_NAMES, type Lab, type SkinZone } from '@toile/core';
import { newId, type ClientAnswer, type SampleRequest } from '@toile/contract';
import { call, CallError } from '../../data/call';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';
import { useClient, useRefresh } from '../../data/hooks';
import { useStillHere } from '../../data/useStillHere';
import {
  Body,
  Button,
  Choice,
  Column,
  FileButton,
  Label,
  LabField,
  Line,
  Ready,
  Screen,
  useWide,
  View,
} from '../../ui';
import { newestSkin } from '../clients/snapshot';
import { AddPlace } from './AddPlace';
import { FirstReading } from './FirstReading';
import { ReaderDialog } from './ReaderDialog';
import {
  EMPTY_SESSION,
  heldName,
  howMeasured,
  keptZones,
  nextZone,
  samplesOf,
  summaryIn,
  withFile,
  withSamples,
  CERTAINTIES,
  type Certainty,
  type Held,
  type Session,
} from './readingView';
import { useReader } from './useReader';
import { ZoneFace } from './ZoneFace';
import { ZonePanel } from './ZonePanel';

/** A guided reading: zones on the face, several samples each, outliers set aside. */
export function ReadScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  if (client.data) return <Reading client={client.data} />;
  return (
    <Screen title={msg`Read skin`} onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>{() => null}</Ready>
    </Screen>
  );
}

const skinOnly = (lab: Lab): string | null =>
  isPlausibleSkin(lab) ? null : msg`No skin has this colour. L* is 12 to 90, a* and b* mostly 3 to 30`;

function Reading({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const refresh = useRefresh();
  const wide = useWide();
  const reader = useReader();
  const stillHere = useStillHere();
  const draft = `reading.${client.id}`;
  const [session, setSession] = useState<Session>(() => ({ ...EMPTY_SESSION, ...readDraft<Session>(draft) }));
  const [held, setHeld] = useState<Held>(() => nextZone(session) ?? 'forehead');
  const [open, setOpen] = useState<'typing' | 'place' | 'reader' | null>(null);
  const [source, setSource] = useState<'reader' | 'typed' | 'import'>('reader');
  const [said, setSaid] = useState<{ readonly words: string; readonly wrong: boolean } | null>(null);
  const [busy, setBusy] = useState(false);
  const [readingId] = useState(newId);
  // What the running reader sees between two renders.
  const now = useRef({ session, held });
  useEffect(() => {
    now.current = { session, held };
  }, [session, held]);
  useEffect(() => writeDraft(draft, session), [draft, session]);

  const place = typeof held === 'number' ? (session.extras[held]?.beside ?? 'cheek') : held;
  const samples = samplesOf(session, held);
  const steady = summaryIn(session, samples)?.moreNeeded === 0;
  const request = (at: Held): SampleRequest => {
    if (typeof at !== 'number') return { clientId: client.id, zone: at };
    return { clientId: client.id, zone: session.extras[at]?.beside ?? 'cheek', spot: true };
  };
  const add = (lab: Lab, from: typeof source): void => {
    setSaid(null);
    setSource(from);
    const next = withSamples(now.current.session, now.current.held, [
      ...samplesOf(now.current.session, now.current.held),
      lab,
    ]);
    now.current = { ...now.current, session: next };
    setSession(next);
  };
  const touch = async (): Promise<void> => {
    const lab = await reader.touch(request(held));
    if (lab) add(lab, 'reader');
  };
  const start = (): void => {
    const at = steady ? (nextZone(session) ?? held) : held;
    setHeld(at);
    now.current = { session, held: at };
    reader.start(
      () =>
        (summaryIn(now.current.session, samplesOf(now.current.session, at))?.moreNeeded ?? 1) > 0 &&
        now.current.held === at
          ? request(at)
          : null,
      (lab) => add(lab, 'reader'),
    );
  };
  const keep = async (): Promise<void> => {
    setBusy(true);
    setSaid(null);
    try {
      const extras = session.extras.filter((e) => e.samples.length > 0);
      const body = {
        id: readingId,
        at: new Date().toISOString(),
        source,
        zones: keptZones(session.zones),
        extras,
      };
      await call('createReading', {
        params: { id: client.id },
        body,
        idempotencyKey: `reading-${readingId}`,
      });
      dropDraft(draft);
      await refresh();
      // Whoever went on meanwhile is not led away from there.
      if (stillHere.current) router.navigate(`/clients/${client.id}`);
    } catch (error) {
      setSaid({
        words: error instanceof CallError ? error.message : msg`Something went wrong. Try again.`,
        wrong: true,
      });
    } finally {
      setBusy(false);
    }
  };
  const takeFile = async (file: File): Promise<void> => {
    const read = readCgats(await file.text());
    if (!read.ok)
      return setSaid({
        words: msg`${file.name}: ${read.problems
          .slice(0, 4)
          .map((p) => msg`line ${p.line}: ${p.message}`)
          .join(' ')} Nothing was taken in.`,
        wrong: true,
      });
    const taken = withFile(session, read.samples, held);
    setSession(taken.session);
    setSource('import');
    setSaid({ words: [taken.words, ...howMeasured(read)].join(' '), wrong: false });
  };
  const addPlace = (name: string, beside: SkinZone): void => {
    setSession((s) => ({ ...s, extras: [...s.extras, { name, beside, samples: [] }] }));
    setHeld(session.extras.length);
    setOpen(null);
  };
  const readCount = Object.keys(keptZones(session.zones)).length;
  const next = nextZone(session);
  const finished = next === null;
  const failure = reader.failure ? { words: reader.failure, wrong: true } : said;
  const startName = heldName(session, steady && next ? next : held);
  return (
    <Screen
      title={msg`Read skin`}
      above={client.name}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      foot={
        <Line flexWrap="nowrap">
          {open === 'typing' ? null : !reader.connected ? (
            <Button
              large
              grow
              kind={finished ? 'quiet' : 'main'}
              onPress={() => setOpen('reader')}
            >{msg`Connect the reader`}</Button>
          ) : reader.running ? (
            <Button large grow kind="main" onPress={reader.stop}>{msg`Stop`}</Button>
          ) : (
            <Button large grow kind={finished ? 'quiet' : 'main'} onPress={start}>
              {msg`Start: ${startName}`}
            </Button>
          )}
          <Button
            large
            grow
            kind={finished || open === 'typing' ? 'main' : 'quiet'}
            disabled={busy || readCount === 0}
            onPress={() => void keep()}
          >
            {msg`Keep ${readCount} of 7 zones`}
          </Button>
        </Line>
      }
    >
      <View flexDirection={wide ? 'row' : 'column'} gap="$4">
        <View width={wide ? 400 : '100%'}>
          <ZoneFace client={client} session={session} held={held} onHold={setHeld} />
        </View>
        <Column flex={wide ? 1 : undefined}>
          {client.readings.length === 0 ? <FirstReading /> : null}
          {failure ? (
            <Body
              role={failure.wrong ? 'alert' : 'status'}
              color={failure.wrong ? '$madder' : '$moss'}
            >{`${failure.wrong ? '▲' : '✓'} ${failure.words}`}</Body>
          ) : null}
          <ZonePanel
            name={heldName(session, held)}
            held={held}
            session={session}
            samples={samples}
            before={typeof held === 'number' ? null : (newestSkin(client)[held] ?? null)}
            onClear={() => setSession((s) => withSamples(s, held, []))}
            onDrop={
              typeof held === 'number'
                ? () => {
                    setSession((s) => ({ ...s, extras: s.extras.filter((_, i) => i !== held) }));
                    setHeld(place);
                  }
                : undefined
            }
          />
          {next && next !== held && steady ? (
            <Button onPress={() => setHeld(next)}>{msg`Next: ${SKIN_ZONE_NAMES[next]}`}</Button>
          ) : null}
          {open === 'typing' ? (
            <LabField
              label={msg`Typed from another instrument, under D65`}
              button={msg`Add these values`}
              check={skinOnly}
              onLab={(lab) => add(lab, 'typed')}
            />
          ) : null}
          {open === 'place' ? (
            <AddPlace beside={place} onAdd={addPlace} onClose={() => setOpen(null)} />
          ) : null}
          <Line>
            {reader.connected && open !== 'typing' ? (
              <Button
                disabled={reader.busy || reader.running}
                onPress={() => void touch()}
              >{msg`Take a sample`}</Button>
            ) : null}
            <Button
              onPress={() => setOpen(open === 'place' ? null : 'place')}
            >{msg`Add a spot or place`}</Button>
            <Button onPress={() => setOpen(open === 'typing' ? null : 'typing')}>
              {open === 'typing' ? msg`Use the shade reader` : msg`Type CIELAB values`}
            </Button>
            <FileButton
              label={msg`Reading file`}
              accept=".txt,.cgats,.cgt,text/plain"
              onFile={(file) => void takeFile(file)}
            >{msg`From a file`}</FileButton>
            {reader.connected ? <Button onPress={() => setOpen('reader')}>{msg`Reader`}</Button> : null}
          </Line>
          <Choice
            label={msg`How sure`}
            options={Object.keys(CERTAINTIES) as Certainty[]}
            words={{ usual: msg`usual, ± 0.5`, strict: msg`strict, ± 0.35` }}
            chosen={[session.certainty]}
            onChange={([certainty]) => certainty && setSession((s) => ({ ...s, certainty }))}
          />
          <Label>{msg`The shade reader is a stand-in that ships with the app. Files: CGATS.17 text with CIELAB, XYZ or spectra.`}</Label>
        </Column>
      </View>
      {open === 'reader' ? <ReaderDialog reader={reader} onClose={() => setOpen(null)} /> : null}
    </Screen>
  );
}
