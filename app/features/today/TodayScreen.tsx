import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import type { TodayAnswer, TodayParty, VisitAnswer } from '@toile/contract';
import { msg, term } from '@toile/core';
import { useSession, useToday } from '../../data/hooks';
import { useDayOnHand } from '../../data/offline';
import {
  Body,
  Button,
  Column,
  Judged,
  Label,
  Line,
  Ready,
  Row,
  Rule,
  Screen,
  Subheading,
  useWide,
  View,
} from '../../ui';
import { dayAndDistance, dayInWords, hourInWords, howFar, mannerNow } from '../words/dates';
import { byWeek, visitDetail } from '../words/visits';
import { fetchWork, fromWork } from '../frame/fromWork';
import { comingDays } from './comingDays';
import { FirstSteps } from './FirstSteps';
import { NextParty, PartyRow } from './NextParty';
import { SettingsAside } from '../settings/SettingsAside';

const DUE_MARKS = {
  barred: '▲',
  consent: '▲',
  'patch test': '▲',
  're-read': '◐',
  'run-up': '◇',
  expiring: '◔',
  expired: '▲',
} as const;

/** What is next, what is due, then the days to come. */
export function TodayScreen() {
  const today = useToday();
  const session = useSession();
  useDayOnHand(today.data);
  const read = today.data !== undefined;
  useEffect(() => (read ? fetchWork() : undefined), [read]);
  return (
    <Screen
      title={msg`Today`}
      above={session.data ? `${session.data.studio.name} · ${session.data.name}` : undefined}
      aside={<SettingsAside />}
    >
      <Ready remote={today}>{(data) => <TodayView today={data} />}</Ready>
    </Screen>
  );
}

function TodayView({ today }: { readonly today: TodayAnswer }) {
  const router = useRouter();
  const wide = useWide();
  const { next, days } = comingDays(today);
  const first = <FirstSteps booked={next !== null} onClients={() => router.navigate('/clients')} />;
  if (!next && today.due.length === 0) return first;
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$5">
      <Column flex={wide ? 1 : undefined} gap="$4">
        {next?.kind === 'visit' ? <NextVisit visit={next.visit} parties={next.parties} /> : null}
        {next?.kind === 'party' ? <NextParty party={next.party} /> : null}
        {next?.kind === 'visit' ? null : first}
        <Column gap="$1">
          <Subheading>{msg`Due`}</Subheading>
          {today.due.length === 0 ? <Body color="$moss">{msg`✓ Nothing is due.`}</Body> : null}
          {today.due.map((item) => (
            <Row
              key={item.words}
              title={`${DUE_MARKS[item.kind]}  ${item.words}`}
              href={
                item.chartId !== undefined
                  ? `/charts/${item.chartId}`
                  : item.partyId !== undefined
                    ? `/parties/${item.partyId}`
                    : item.clientId === null
                      ? '/kit'
                      : item.kind === 're-read'
                        ? `/clients/${item.clientId}/read`
                        : `/clients/${item.clientId}`
              }
            />
          ))}
        </Column>
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$3">
        {days.length > 0 ? <Subheading>{msg`Then`}</Subheading> : null}
        {byWeek(days, today.date, mannerNow().firstWeekday).map((week) => (
          <Column key={week.from} gap="$2" role="group" aria-label={week.words}>
            <Body fontWeight="700">{week.words}</Body>
            {week.days.map((day) => (
              <Column key={day.date} gap={0}>
                <Label>{dayAndDistance(day.date)}</Label>
                {day.parties.map((party) => (
                  <PartyRow key={party.id} party={party} />
                ))}
                {day.visits.map((visit) => (
                  <Row
                    key={visit.id}
                    title={visit.clientName}
                    detail={visitDetail(visit)}
                    fact={visit.chartId ? msg`chart ready` : msg`no chart yet`}
                    href={`/clients/${visit.clientId}`}
                  />
                ))}
              </Column>
            ))}
          </Column>
        ))}
      </Column>
    </View>
  );
}

// The drawing comes after the words.
const NextFace = fromWork((work) => work.NextFace, <Judged width={104} height={132} padding={0} />);

function NextVisit({
  visit,
  parties,
}: {
  readonly visit: VisitAnswer;
  /** Of the same day. */ readonly parties: readonly TodayParty[];
}) {
  const router = useRouter();
  return (
    <Column gap="$2" backgroundColor="$surface" padding="$4" borderTopWidth={3} borderTopColor="$ink">
      <Line flexWrap="nowrap" alignItems="flex-start" gap="$3">
        <NextFace id={visit.clientId} name={visit.clientName} />
        <Column flex={1} gap="$1">
          <Label>{msg`Next, ${howFar(visit.date)}`}</Label>
          <Subheading
            fontSize="$5"
            lineHeight="$5"
          >{`${hourInWords(visit.startsAt)}  ${visit.clientName}`}</Subheading>
          <Body color="$inkSoft">
            {[
              dayInWords(visit.date),
              term(visit.kind),
              visit.place,
              visit.readyBy ? msg`ready by ${hourInWords(visit.readyBy)}` : null,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Body>
        </Column>
      </Line>
      <Rule />
      {visit.chartId ? (
        <Button
          kind="main"
          large
          onPress={() => router.navigate(`/charts/${visit.chartId}/chair`)}
        >{msg`To the chair`}</Button>
      ) : (
        <Button
          kind="main"
          large
          onPress={() => router.navigate(`/clients/${visit.clientId}`)}
        >{msg`Open the client`}</Button>
      )}
      {parties.map((party) => (
        <PartyRow key={party.id} party={party} />
      ))}
    </Column>
  );
}
