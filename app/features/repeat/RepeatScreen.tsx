import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import {
  acceptedRefit,
  asWorn,
  documentHash,
  isDay,
  notAsked,
  stepsOfVariant,
  type Chart,
  type Occasion,
  type Refit,
} from '@toile/core';
import { newId, type ChartAnswer, type ClientAnswer, type KitAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useChart, useChartWear, useClient, useKit, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import {
  Body,
  Button,
  Column,
  Empty,
  Field,
  Judged,
  Label,
  Line,
  Loading,
  Ready,
  Screen,
  Subheading,
  useWide,
} from '../../ui';
import { askFitting } from '../../workers';
import { layersOf } from '../chart/layers';
import { snapshotOfClient } from '../clients/snapshot';
import { faceBox } from '../face/FaceStage';
import { FaceView } from '../face/FaceView';
import { stepsInWords } from '../words/colours';
import { LearnedPanel, useTaken } from '../learned/LearnedPanel';
import { lastTimeWords } from '../learned/learnedView';
import { OccasionCard } from '../occasion/OccasionCard';
import { comingVisit, occasionToRepeat } from '../occasion/occasionView';
import { dayInWords, howFar, todayText } from '../words/dates';
import { ChangeRow } from './ChangeRow';
import { isChoice, reasonFor, summaryOf } from './repeatView';

/** A chart repeated for a new date: what was worn, what must change, and why. */
export function RepeatScreen({ id }: { readonly id: string }) {
  const answer = useChart(id);
  const router = useRouter();
  return (
    <Ready remote={answer}>
      {(data) => <WithClient answer={data} onBack={() => router.navigate(`/charts/${id}`)} />}
    </Ready>
  );
}

function WithClient({ answer, onBack }: { readonly answer: ChartAnswer; readonly onBack: () => void }) {
  const client = useClient(answer.chart.client.id);
  const kit = useKit();
  if (client.data && kit.data)
    return <Repeat answer={answer} client={client.data} kit={kit.data} onBack={onBack} />;
  return (
    <Screen title="Repeat" onBack={onBack}>
      <Ready remote={client}>{() => <Ready remote={kit}>{() => null}</Ready>}</Ready>
    </Screen>
  );
}

type RepeatProps = {
  readonly answer: ChartAnswer;
  readonly client: ClientAnswer;
  readonly kit: KitAnswer;
  readonly onBack: () => void;
};

function Repeat({ answer, client, kit, onBack }: RepeatProps) {
  const router = useRouter();
  const refresh = useRefresh();
  const session = useSession();
  const coming = comingVisit(client.visits, todayText());
  const [occasion, setOccasion] = useState(() =>
    occasionToRepeat(answer.chart.occasion, coming, todayText()),
  );
  const { date } = occasion;
  const [reason, setReason] = useState<string | null>(null);
  const [touched, setRefused] = useState<ReadonlySet<string> | null>(null);
  const { busy, failure, save: keep } = useSaving();
  const [key] = useState(newId);
  const worn = useMemo(() => asWorn(answer.chart, answer.events), [answer]);
  const { refit, error } = useRefit(worn, client, kit, occasion, session.data?.name ?? '');
  // An order waits for a yes; the rest is taken until it is refused.
  const refused = useMemo(() => touched ?? notAsked(refit?.changes ?? []), [touched, refit]);

  // With what was tried of the evidence; every other choice begins it anew.
  const [triedOf, setTriedOf] = useState<{ readonly refit: Refit; readonly chart: Chart } | null>(null);
  const tried = triedOf && triedOf.refit === refit ? triedOf.chart : null;
  const { words, taken } = useTaken();
  const wear = useChartWear(answer.chart.id);
  const last = wear.data ? lastTimeWords(wear.data.checks) : null;
  const next = useMemo(
    () => tried ?? (refit ? acceptedRefit(refit.base, refit.changes, refused) : null),
    [tried, refit, refused],
  );

  const save = async (): Promise<void> => {
    if (!refit) return;
    await keep(async () => {
      const chart = tried ?? acceptedRefit(refit.base, refit.changes, refused);
      const body = { parent: answer.chart.version, reason: reason ?? reasonFor(refit, date), chart };
      const kept = await call('createVersion', {
        params: { id: chart.id },
        body,
        idempotencyKey: documentHash({ key, body }),
      });
      await refresh({ name: 'chart', params: { id: chart.id }, answer: kept });
      router.replace(`/charts/${chart.id}`);
    });
  };
  const toggle = (id: string): void => {
    setTriedOf(null);
    setRefused(new Set(refused.has(id) ? [...refused].filter((other) => other !== id) : [...refused, id]));
  };

  return (
    <Screen
      title="Repeat"
      above={`${client.name} · ${answer.chart.look.name}, ${dayInWords(answer.chart.occasion.date)}`}
      onBack={onBack}
      foot={
        refit ? (
          <Column gap="$2">
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Button kind="main" large disabled={busy} onPress={() => void save()}>
              {`Save version ${answer.chart.version + 1} for ${dayInWords(date)}`}
            </Button>
          </Column>
        ) : undefined
      }
    >
      <Column gap="$4">
        <OccasionCard value={occasion} onChange={setOccasion} />
        <LastRead client={client} />
        {error ? <Body role="alert" color="$madder">{`▲ ${error}`}</Body> : null}
        {refit ? (
          <>
            {last ? <Body color="$weld">{`▲ ${last}`}</Body> : null}
            {next ? (
              <LearnedPanel
                chart={next}
                kit={kit}
                onTry={(chart, offer) => {
                  setTriedOf({ refit, chart });
                  taken(offer);
                }}
              />
            ) : null}
            {tried && words ? <Body role="status">{`✓ ${words}`}</Body> : null}
            <Compared worn={worn} refit={refit} refused={refused} />
            <Changes
              refit={refit}
              refused={refused}
              onToggle={toggle}
              onAll={(take) => {
                setTriedOf(null);
                setRefused(new Set(take ? [] : refit.changes.filter(isChoice).map((c) => c.id)));
              }}
            />
            <Field label="Why this version" value={reason ?? reasonFor(refit, date)} onChange={setReason} />
          </>
        ) : error ? null : (
          <Loading words="Comparing with the newest reading and the kit" />
        )}
      </Column>
    </Screen>
  );
}

function useRefit(
  worn: Chart,
  client: ClientAnswer,
  kit: KitAnswer,
  occasion: Occasion,
  author: string,
): { refit: Refit | null; error: string | null } {
  const [state, setState] = useState<{ refit: Refit | null; error: string | null }>({
    refit: null,
    error: null,
  });
  useEffect(() => {
    if (!isDay(occasion.date)) return;
    let current = true;
    const stamp = {
      id: worn.id,
      version: worn.version + 1,
      author,
      at: new Date().toISOString(),
      reason: '',
    };
    askFitting('refit', { worn, client: snapshotOfClient(client), kit, occasion, stamp }).then(
      (refit) => current && setState({ refit, error: null }),
      (error: unknown) =>
        current && setState({ refit: null, error: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      current = false;
    };
  }, [worn, client, kit, occasion, author]);
  return state;
}

function LastRead({ client }: { readonly client: ClientAnswer }) {
  const router = useRouter();
  const read = client.readings[0];
  return (
    <Line justifyContent="space-between">
      <Body>{read ? `Skin last read ${howFar(read.at)}.` : 'The skin has not been read.'}</Body>
      <Button onPress={() => router.navigate(`/clients/${client.id}/read`)}>Read again</Button>
    </Line>
  );
}

function Compared({
  worn,
  refit,
  refused,
}: {
  readonly worn: Chart;
  readonly refit: Refit;
  readonly refused: ReadonlySet<string>;
}) {
  const wide = useWide();
  const next = acceptedRefit(refit.base, refit.changes, refused);
  const face = (chart: Chart, label: string) => (
    <Column flex={1} gap="$1" alignItems="center">
      <FaceView
        landmarks={chart.client.landmarks}
        features={chart.client.features}
        skin={chart.client.skin}
        layers={layersOf(chart.client, stepsOfVariant(chart.steps, null), null)}
        view={faceBox(chart.client.landmarks)}
        width="100%"
        height={wide ? 340 : 200}
        label={label}
      />
      <Label color="$ink">{label}</Label>
    </Column>
  );
  return (
    <Column gap="$2">
      <Judged flexDirection="row" padding="$2" gap="$2">
        {face(worn, `As worn, ${dayInWords(worn.occasion.date)}`)}
        {face(next, `For ${dayInWords(next.occasion.date)}`)}
      </Judged>
      {refit.drift ? (
        <Body fontWeight="700">{`The skin has moved ${refit.drift.deltaE.toFixed(1)} since: ${stepsInWords(refit.drift.stepsDeeper)}.`}</Body>
      ) : null}
    </Column>
  );
}

type ChangesProps = {
  readonly refit: Refit;
  readonly refused: ReadonlySet<string>;
  readonly onToggle: (id: string) => void;
  /** Takes every change, or none. */
  readonly onAll: (take: boolean) => void;
};

function Changes({ refit, refused, onToggle, onAll }: ChangesProps) {
  const told = refit.changes.filter((c) => c.kind !== 'keep');
  const [all, setAll] = useState(false);
  const shown = all ? refit.changes : told;
  const choices = refit.changes.filter(isChoice).length;
  return (
    <Column gap="$2">
      <Line justifyContent="space-between">
        <Subheading>{summaryOf(refit.changes)}</Subheading>
        <Button onPress={() => setAll((a) => !a)}>{all ? 'Only changes' : 'Show all'}</Button>
      </Line>
      {choices > 1 ? (
        <Line>
          <Button disabled={refused.size === 0} onPress={() => onAll(true)}>
            {`Take all ${choices}`}
          </Button>
          <Button disabled={refused.size === choices} onPress={() => onAll(false)}>
            Keep all as it was
          </Button>
        </Line>
      ) : null}
      {shown.length === 0 ? (
        <Empty
          title="Nothing has to change"
          words="Skin, face, kit and products still agree with what was worn."
        />
      ) : null}
      {shown.map((change) => (
        <ChangeRow
          key={change.id}
          change={change}
          taken={!refused.has(change.id)}
          onToggle={() => onToggle(change.id)}
        />
      ))}
    </Column>
  );
}
