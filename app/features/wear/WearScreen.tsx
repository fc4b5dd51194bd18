import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import {
  chartOutlook,
  msg,
  outlookWords,
  touchUpLines,
  touchUpPlan,
  touchUpWhen,
  trialZoneWords,
  type Chart,
  type ZoneOutlook,
} from '@toile/core';
import {
  newId,
  newSecret,
  pathTo,
  tokenOf,
  WEAR_LINK_DAYS,
  wearCheckInputSchema,
  wearPath,
  type ChartWearAnswer,
} from '@toile/contract';
import { call } from '../../data/call';
import { useChart, useChartWear, useRefresh, useSession } from '../../data/hooks';
import { useSaving } from '../../data/useSaving';
import { Body, Button, Column, Field, Label, Line, Ready, Screen, Subheading } from '../../ui';
import { useMinded } from '../clients/useMinded';
import { LinkShown } from '../share/LinkShown';
import { capital } from '../words/capital';
import { instantInWords, todayText, withHours, zoneOfDays } from '../words/dates';
import { LookFields, NO_LOOK, saysSomething } from './LookFields';
import { checkWords, hoursOf, hoursWords, instantOf, inZone, weakestOf, wornSince } from './wearView';

/**
 * How a chart wears: what is likely, what was seen, and a look told in a minute; by the client too, on their
 * own phone.
 */
export function WearScreen({ id }: { readonly id: string }) {
  const chart = useChart(id);
  const wear = useChartWear(id);
  const router = useRouter();
  return (
    <Screen
      title={msg`How it wears`}
      above={chart.data ? `${chart.data.chart.client.name} · ${chart.data.chart.look.name}` : undefined}
      onBack={() => router.navigate(`/charts/${id}`)}
    >
      <Ready remote={chart}>
        {({ chart: newest }) => (
          <Ready remote={wear}>{(answer) => <Wear chart={newest} wear={answer} />}</Ready>
        )}
      </Ready>
    </Screen>
  );
}

type WearProps = { readonly chart: Chart; readonly wear: ChartWearAnswer };

function Wear({ chart, wear }: WearProps) {
  return (
    <Column gap="$5">
      <Outlook chart={chart} wear={wear} />
      <TellNow chart={chart} wear={wear} />
      <Told wear={wear} />
    </Column>
  );
}

function Outlook({ chart, wear }: WearProps) {
  const outlook = useMemo(() => chartOutlook(chart, wear.history), [chart, wear.history]);
  const weakest = weakestOf(outlook);
  return (
    <Column gap="$2" role="group" aria-label={msg`What is likely`}>
      <Subheading>{msg`To the end of this day, ${hoursOf(chart)} h`}</Subheading>
      {weakest ? (
        <Body fontWeight="700">{msg`The weakest: ${trialZoneWords(weakest.zone)}, ${outlookWords(weakest)}.`}</Body>
      ) : (
        <Body>{msg`Nothing of this chart stands on the skin.`}</Body>
      )}
      {outlook
        .filter((one) => one !== weakest)
        .map((one) => (
          <Label key={one.zone}>{`${capital(trialZoneWords(one.zone))} ${outlookWords(one)}.`}</Label>
        ))}
      {outlook.length > 0 ? <TouchUps chart={chart} outlook={outlook} /> : null}
    </Column>
  );
}

/** When touching up pays, with what, and as a small card for whoever wears it. */
function TouchUps({ chart, outlook }: { readonly chart: Chart; readonly outlook: readonly ZoneOutlook[] }) {
  const minded = useMinded(chart);
  const plan = useMemo(() => touchUpPlan(minded, outlook), [minded, outlook]);
  const print = (paper: 'a4' | 'letter'): void =>
    window.location.assign(pathTo('touchUpCard', { id: chart.id }, { paper }));
  return (
    <Column gap="$2">
      <Body>{withHours(touchUpWhen(plan))}</Body>
      {touchUpLines(plan).map((words) => (
        <Label key={words}>{withHours(words)}</Label>
      ))}
      {plan.visits.length > 0 ? (
        <Line>
          <Button onPress={() => print('a4')}>{msg`Card for the client, A4`}</Button>
          <Button onPress={() => print('letter')}>{msg`Letter`}</Button>
        </Line>
      ) : null}
    </Column>
  );
}

function TellNow({ chart, wear }: WearProps) {
  const refresh = useRefresh();
  const session = useSession();
  const { busy, failure, errors, save } = useSaving(
    msg`It was not kept. What you chose is still here; try again.`,
  );
  const zone = zoneOfDays();
  const [now] = useState(() => new Date());
  const [applied] = useState(() => wornSince(wear, now));
  const [day, setDay] = useState(() => todayText(applied ? new Date(applied) : now));
  const [put, setPut] = useState(() => (applied ? inZone(zone, new Date(applied), day) : ''));
  const [at, setAt] = useState(() => inZone(zone, now, todayText(now)));
  const [atDay, setAtDay] = useState(() => todayText(now));
  const [look, setLook] = useState(NO_LOOK);
  const [tried, setTried] = useState(false);
  const [link, setLink] = useState<string | null>(null);
  const appliedAt = instantOf(zone, day, put);
  const lookedAt = instantOf(zone, atDay, at);
  const params = { id: chart.id };
  const tell = async (): Promise<void> => {
    setTried(true);
    if (!appliedAt || !lookedAt || !saysSomething(look)) return;
    const told = await save(async () => {
      const body = { id: newId(), version: chart.version, appliedAt, at: lookedAt, ...look };
      await wearCheckInputSchema.validate(body, { abortEarly: false });
      const answer = await call('createWearCheck', { params, body });
      await refresh({ name: 'chartWear', params, answer });
      return true;
    });
    if (!told) return;
    setLook(NO_LOOK);
    setTried(false);
  };
  const make = (): Promise<unknown> =>
    save(async () => {
      const studioId = session.data?.studio.id;
      if (!studioId || !appliedAt) return;
      const secret = newSecret();
      const answer = await call('createWearLink', {
        params,
        body: { id: newId(), version: chart.version, appliedAt, secret },
      });
      setLink(`${window.location.origin}${wearPath(tokenOf(studioId, secret))}`);
      await refresh({ name: 'chartWear', params, answer });
    });
  const revoke = (linkId: string): Promise<unknown> =>
    save(async () => {
      const answer = await call('revokeWearLink', { params: { id: linkId }, body: {} });
      await refresh({ name: 'chartWear', params, answer });
    });
  const open = wear.links.filter(
    (one) => one.revokedAt === null && Date.parse(one.expiresAt) > now.getTime(),
  );
  return (
    <Column gap="$3" role="group" aria-label={msg`Tell how it looks`}>
      <Subheading>{msg`Tell how it looks`}</Subheading>
      <Line gap="$3">
        <Field label={msg`Put on, day`} keyboard="date" value={day} onChange={setDay} />
        <Field
          label={msg`Put on at`}
          keyboard="time"
          value={put}
          onChange={setPut}
          error={tried && !appliedAt ? msg`Say when it was put on` : errors.appliedAt}
        />
      </Line>
      <Line gap="$3">
        <Field label={msg`Looked at, day`} keyboard="date" value={atDay} onChange={setAtDay} />
        <Field
          label={msg`Looked at`}
          keyboard="time"
          value={at}
          onChange={setAt}
          error={tried && !lookedAt ? msg`Say when it was looked at` : errors.at}
        />
      </Line>
      <LookFields value={look} onChange={setLook} of="artist" />
      {tried && !saysSomething(look) ? (
        <Body role="alert" color="$madder">{msg`▲ Say how at least one place looks.`}</Body>
      ) : null}
      {failure ? <Body role="alert" color="$madder">{`▲ ${failure}`}</Body> : null}
      <Button kind="main" large disabled={busy} onPress={() => void tell()}>{msg`Keep this look`}</Button>
      <Subheading>{msg`Or let the client tell`}</Subheading>
      <Label>
        {msg`By a link for ${WEAR_LINK_DAYS} days, on their own phone, as often as they like. It shows who asks and what was told by it, nothing else.`}
      </Label>
      {appliedAt ? null : <Label>{msg`Say above when it was put on: hours are counted from there.`}</Label>}
      <Line>
        <Button disabled={busy || !appliedAt} onPress={() => void make()}>{msg`Make a link`}</Button>
      </Line>
      {link ? <LinkShown link={link} /> : null}
      {open.map((one) => (
        <Line key={one.id} flexWrap="nowrap" gap="$3">
          <Label flex={1}>{msg`A link by ${one.madeBy}, until ${instantInWords(one.expiresAt)}`}</Label>
          <Button disabled={busy} onPress={() => void revoke(one.id)}>{msg`Take back`}</Button>
        </Line>
      ))}
    </Column>
  );
}

function Told({ wear }: { readonly wear: ChartWearAnswer }) {
  if (wear.checks.length === 0) return null;
  return (
    <Column gap="$2" role="group" aria-label={msg`What was seen`}>
      <Subheading>{msg`What was seen`}</Subheading>
      {[...wear.checks]
        .sort((a, b) => b.at.localeCompare(a.at))
        .map((check) => (
          <Column key={check.id} gap={0} paddingVertical="$2" borderBottomWidth={1} borderBottomColor="$line">
            <Body>{msg`After ${hoursWords(check)}: ${checkWords(check)}`}</Body>
            <Label>{msg`${instantInWords(check.at)}, by ${check.judge === 'client' ? msg`the client` : check.by}`}</Label>
          </Column>
        ))}
    </Column>
  );
}
