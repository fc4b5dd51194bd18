import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import {
  acceptedRefit,
  documentHash,
  isDay,
  msg,
  notAsked,
  type Chart,
  type Occasion,
  type Refit,
} from '@toile/core';
import { newId, type ChartAnswer, type ClientAnswer, type KitAnswer } from '@toile/contract';
import { call } from '../../data/call';
import { useChart, useChartWear, useClient, useKit, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Line, Loading, Ready, Screen } from '../../ui';
import { askFitting } from '../../workers';
import { DislikesMet } from '../clients/DislikesMet';
import { snapshotOfClient } from '../clients/snapshot';
import { LearnedPanel, useTaken } from '../learned/LearnedPanel';
import { lastTimeWords } from '../learned/learnedView';
import { OccasionCard } from '../occasion/OccasionCard';
import { comingVisit, occasionToRepeat } from '../occasion/occasionView';
import { dayInWords, howFar, todayText } from '../words/dates';
import { Changes } from './Changes';
import { useWorn } from './useWorn';
import { Compared } from './Compared';
import { isChoice, reasonFor } from './repeatView';

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
  const worn = useWorn(answer);
  if (client.data && kit.data && worn)
    return <Repeat answer={answer} worn={worn} client={client.data} kit={kit.data} onBack={onBack} />;
  return (
    <Screen title={msg`Repeat`} onBack={onBack}>
      <Ready remote={client}>{() => <Ready remote={kit}>{() => <Loading />}</Ready>}</Ready>
    </Screen>
  );
}

type RepeatProps = {
  readonly answer: ChartAnswer;
  readonly worn: Chart;
  readonly client: ClientAnswer;
  readonly kit: KitAnswer;
  readonly onBack: () => void;
};

function Repeat({ answer, worn, client, kit, onBack }: RepeatProps) {
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
    if (!refit || !next) return;
    await keep(async () => {
      const chart = next;
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
      title={msg`Repeat`}
      above={`${client.name} · ${answer.chart.look.name}, ${dayInWords(answer.chart.occasion.date)}`}
      onBack={onBack}
      foot={
        refit ? (
          <Column gap="$2">
            {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
            <Button kind="main" large disabled={busy} onPress={() => void save()}>
              {msg`Save version ${answer.chart.version + 1} for ${dayInWords(date)}`}
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
            <DislikesMet chart={next ?? refit.chart} disliked={client.consult.disliked} />
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
            {next ? <Compared worn={worn} next={next} drift={refit.drift} /> : null}
            <Changes
              refit={refit}
              refused={refused}
              onToggle={toggle}
              onAll={(take) => {
                setTriedOf(null);
                setRefused(new Set(take ? [] : refit.changes.filter(isChoice).map((c) => c.id)));
              }}
            />
            <Field
              label={msg`Why this version`}
              value={reason ?? reasonFor(refit, date)}
              onChange={setReason}
            />
          </>
        ) : error ? null : (
          <Loading words={msg`Comparing with the newest reading and the kit`} />
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
      <Body>{read ? msg`Skin last read ${howFar(read.at)}.` : msg`The skin has not been read.`}</Body>
      <Button onPress={() => router.navigate(`/clients/${client.id}/read`)}>{msg`Read again`}</Button>
    </Line>
  );
}
