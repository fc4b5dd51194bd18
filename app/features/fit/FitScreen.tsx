import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { adaptationInWords, blankChart, msg, term, type Chart, type FittedLook } from '@toile/core';
import { newId, type ClientAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { dropDraft, readDraft, writeDraft } from '../../data/drafts';
import {
  useClient,
  useKit,
  useLook,
  useLooks,
  useRefresh,
  useSession,
  useStudioSettings,
} from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import {
  Body,
  Button,
  Column,
  Empty,
  Field,
  Label,
  Line,
  Loading,
  Ready,
  Row,
  Screen,
  Subheading,
  useRoomy,
} from '../../ui';
import { askFitting } from '../../workers';
import { ChartEditor } from '../chart/ChartEditor';
import { DislikesMet } from '../clients/DislikesMet';
import { newestSkin, snapshotOfClient } from '../clients/snapshot';
import { productsToRead, readInWords } from '../kit/toRead';
import { LearnedPanel, useTaken } from '../learned/LearnedPanel';
import { OccasionCard } from '../occasion/OccasionCard';
import { comingVisit, occasionErrors, occasionOfVisit, withHoursSaid } from '../occasion/occasionView';
import { dayInWords, todayText } from '../words/dates';

/** Chooses a look and a date, and fits it to the client. */
export function FitScreen({ id }: { readonly id: string }) {
  const client = useClient(id);
  const router = useRouter();
  if (client.data && Object.keys(newestSkin(client.data)).length === 0) {
    return (
      <Screen
        title={msg`Fit a look`}
        above={client.data.name}
        onBack={() => router.navigate(`/clients/${id}`)}
      >
        <Empty
          title={msg`Read the skin first`}
          words={msg`Shades are chosen from a reading: seven zones, five touches each.`}
        >
          <Button
            kind="main"
            onPress={() => router.navigate(`/clients/${id}/read`)}
          >{msg`Read the skin`}</Button>
        </Empty>
      </Screen>
    );
  }
  if (client.data) return <Fit client={client.data} />;
  return (
    <Screen title={msg`Fit a look`} onBack={() => router.navigate(`/clients/${id}`)}>
      <Ready remote={client}>{() => null}</Ready>
    </Screen>
  );
}

type Draft = {
  readonly chart: Chart;
  readonly notes: readonly string[];
  readonly visitId: string | null;
  readonly reason: string;
};

function Fit({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const name = `fit.${client.id}`;
  const [draft, setDraft] = useState<Draft | null>(() => readDraft<Draft>(name));
  useEffect(() => (draft ? writeDraft(name, draft) : dropDraft(name)), [name, draft]);
  if (draft) return <Fitted client={client} draft={draft} onChange={setDraft} />;
  return (
    <Screen
      title={msg`Fit a look`}
      above={client.name}
      onBack={() => router.navigate(`/clients/${client.id}`)}
      widest={720}
    >
      <Choose client={client} onFitted={setDraft} />
    </Screen>
  );
}

/**
 * What stands above a fitted chart: gaps of the kit and places that were moved. What was fitted to her is
 * shown with the chart.
 */
function notesBeside({ notes, adaptations, chart }: FittedLook): readonly string[] {
  const told = new Set(
    adaptations.flatMap((a) => [
      adaptationInWords(a, chart.steps.find((s) => s.id === a.stepId)?.title ?? a.was?.title),
      adaptationInWords(a, undefined),
    ]),
  );
  return notes.filter((note) => !told.has(note));
}

function Choose({
  client,
  onFitted,
}: {
  readonly client: ClientAnswer;
  readonly onFitted: (draft: Draft) => void;
}) {
  const looks = useLooks();
  const kit = useKit();
  const session = useSession();
  const settings = useStudioSettings();
  const coming = comingVisit(client.visits, todayText());
  const [occasion, setOccasion] = useState(() =>
    withHoursSaid(occasionOfVisit(coming, todayText()), client.consult.hours),
  );
  const [lookId, setLookId] = useState<string | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const look = useLook(lookId);
  const chosen = look.data?.look;
  const snapshot = useMemo(() => snapshotOfClient(client), [client]);

  useEffect(() => {
    if (!chosen || !kit.data || !session.data || (!settings.data && !settings.error)) return;
    let current = true;
    const stamp = { id: newId(), author: session.data.name, at: new Date().toISOString(), reason: '' };
    askFitting('fit', {
      look: chosen,
      client: snapshot,
      kit: kit.data,
      occasion,
      stamp,
      schools: settings.data?.settings.schools ?? {},
    }).then(
      (fitted: FittedLook) =>
        current &&
        onFitted({
          chart: fitted.chart,
          notes: notesBeside(fitted),
          visitId: coming?.date === occasion.date ? coming.id : null,
          reason: '',
        }),
      (error: unknown) => {
        if (!current) return;
        setFailure(error instanceof Error ? error.message : String(error));
        setLookId(null);
      },
    );
    return () => {
      current = false;
    };
    // Fitting starts when a look has been chosen and everything it needs is here, once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chosen, kit.data, session.data, settings.data, settings.error]);

  const fromNothing = (): void => {
    if (!session.data) return;
    const stamp = { id: newId(), author: session.data.name, at: new Date().toISOString(), reason: '' };
    onFitted({
      chart: blankChart(snapshot, occasion, stamp, newId(), settings.data?.settings.schools),
      notes: [],
      visitId: coming?.date === occasion.date ? coming.id : null,
      reason: '',
    });
  };

  if (lookId)
    return look.error ? (
      <Ready remote={look}>{() => null}</Ready>
    ) : (
      <Loading words={msg`Matching the kit and placing the look on this face`} />
    );
  return (
    <Column gap="$4">
      <OccasionCard value={occasion} onChange={setOccasion} />
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Column gap="$1">
        <Subheading>{msg`Which look`}</Subheading>
        <Ready remote={looks}>
          {(list) =>
            list
              .filter((l) => !l.retired)
              .map((l) => (
                <Row
                  key={l.id}
                  title={l.name}
                  detail={l.description}
                  fact={msg`${l.minutes} min`}
                  onPress={() => (occasionErrors(occasion).date ? undefined : setLookId(l.id))}
                />
              ))
          }
        </Ready>
        <Row
          title={msg`From nothing`}
          detail={msg`An empty chart: layers added one by one, placed and matched as you go.`}
          onPress={() => (occasionErrors(occasion).date ? undefined : fromNothing())}
        />
      </Column>
    </Column>
  );
}

function Fitted({
  client,
  draft,
  onChange,
}: {
  readonly client: ClientAnswer;
  readonly draft: Draft;
  readonly onChange: (draft: Draft | null) => void;
}) {
  const router = useRouter();
  const roomy = useRoomy();
  const refresh = useRefresh();
  const kit = useKit();
  const {
    busy,
    failure,
    save: keep,
  } = useSaving(msg`Something went wrong. The chart is kept here; try again.`);
  const { chart } = draft;
  const { words, taken } = useTaken();
  const unread = kit.data ? productsToRead(kit.data).length : 0;
  const save = async (): Promise<void> => {
    await keep(async () => {
      const answer = await call('createChart', {
        body: { chart: { ...chart, reason: draft.reason }, visitId: draft.visitId },
        idempotencyKey: `chart-${chart.id}`,
      });
      dropDraft(`fit.${client.id}`);
      await refresh({ name: 'chart', params: { id: chart.id }, answer });
      router.replace(`/charts/${chart.id}`);
    });
  };
  return (
    <Screen
      fill={roomy}
      title={client.name}
      above={msg`${chart.look.name} · ${term(chart.occasion.kind)}, ${dayInWords(chart.occasion.date)} · not saved yet`}
      onBack={() => onChange(null)}
      foot={
        <Column gap="$2">
          {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
          <Line flexWrap="nowrap">
            <Button large onPress={() => onChange(null)}>{msg`Another look`}</Button>
            <Button
              kind="main"
              large
              grow
              disabled={busy}
              onPress={() => void save()}
            >{msg`Save version 1`}</Button>
          </Line>
        </Column>
      }
    >
      <ChartEditor
        chart={chart}
        kit={kit.data}
        editable
        onChange={(next) => onChange({ ...draft, chart: next })}
        above={
          <Column gap="$2">
            {kit.data ? (
              <LearnedPanel
                chart={chart}
                kit={kit.data}
                onTry={(next, offer) => {
                  onChange({ ...draft, chart: next });
                  taken(offer);
                }}
              />
            ) : null}
            {words ? <Body role="status">{`✓ ${words}`}</Body> : null}
            {client.consult.wished ? (
              <Label>{msg`Wished for, as said: “${client.consult.wished}”.`}</Label>
            ) : null}
            <DislikesMet chart={chart} disliked={client.consult.disliked} />
            {draft.notes.map((note) => (
              <Body key={note} color="$weld">{`▲ ${note}`}</Body>
            ))}
            {unread > 0 ? <Button href="/kit/colours">{readInWords(unread)}</Button> : null}
            <Field
              label={msg`Why this version`}
              value={draft.reason}
              onChange={(reason) => onChange({ ...draft, reason })}
              placeholder={msg`Trial`}
            />
            <Label>{msg`Colours are predicted by a model from single readings: judge on the skin.`}</Label>
          </Column>
        }
      />
    </Screen>
  );
}
