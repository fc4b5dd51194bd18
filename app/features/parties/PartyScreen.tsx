import { useRouter } from 'expo-router';
import { useState } from 'react';
import type { PartyAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { useParty } from '../../data/hooks';
import { Body, Button, Column, Label, Line, Ready, Row, Screen, Subheading, TabPanel, Tabs } from '../../ui';
import { dayAndDistance } from '../words/dates';
import { visitDetail } from '../words/visits';
import { AgainDialog } from './AgainDialog';
import { BeforePanel } from './BeforePanel';
import { DayPanel } from './DayPanel';
import { HandsPanel } from './HandsPanel';
import { NowPanel } from './NowPanel';
import { PackPanel } from './PackPanel';
import { dayStands } from './nowView';
import { PeoplePanel } from './PeoplePanel';
import { usePartyPlan } from './usePartyPlan';

type Part = 'people' | 'hands' | 'before' | 'day' | 'pack' | 'now';

/** One party: who, by whom, and how its day goes. */
export function PartyScreen({ id }: { readonly id: string }) {
  const party = useParty(id);
  const router = useRouter();
  return (
    <Screen title={party.data?.name ?? msg`Party`} onBack={() => router.navigate('/parties')}>
      <Ready remote={party}>{(data) => <PartyParts party={data} />}</Ready>
    </Screen>
  );
}

function PartyParts({ party }: { readonly party: PartyAnswer }) {
  const work = usePartyPlan(party);
  const [again, setAgain] = useState(false);
  // On the day itself it opens where it goes on.
  const [part, setPart] = useState<Part>(() =>
    work.plan.timetable && dayStands(work.plan, party.date, new Date()).when === 'on the day'
      ? 'now'
      : 'people',
  );
  const tabs = [
    { id: 'people', words: msg`People`, mark: <Label>{String(work.plan.guests.length)}</Label> },
    { id: 'hands', words: msg`Hands`, label: msg`Hands and chairs` },
    { id: 'before', words: msg`Before` },
    { id: 'day', words: msg`Day`, label: msg`The day` },
    { id: 'pack', words: msg`Pack`, label: msg`Pack, and what is short` },
    { id: 'now', words: msg`Now`, label: msg`Now, and how it went` },
  ] as const;
  return (
    <Column gap="$3">
      <Column gap="$1">
        <Body>{`${dayAndDistance(party.date)}, ${party.place}`}</Body>
        {party.notes === '' ? null : <Label>{party.notes}</Label>}
      </Column>
      <Tabs label={msg`Parts of the party`} tabs={tabs} chosen={part} onChoose={setPart} />
      <TabPanel label={tabs.find((tab) => tab.id === part)!.words}>
        {part === 'people' ? <PeoplePanel work={work} /> : null}
        {part === 'hands' ? <HandsPanel work={work} /> : null}
        {part === 'before' ? (
          <>
            <BeforePanel work={work} />
            <VisitsPart party={party} />
            <Line>
              <Button onPress={() => setAgain(true)}>{msg`The same for another date`}</Button>
            </Line>
            {again ? <AgainDialog work={work} onClose={() => setAgain(false)} /> : null}
          </>
        ) : null}
        {part === 'day' ? <DayPanel work={work} /> : null}
        {part === 'pack' ? <PackPanel work={work} /> : null}
        {part === 'now' ? <NowPanel work={work} /> : null}
      </TabPanel>
    </Column>
  );
}

/** Visits booked for the party, each leading to its chart. */
function VisitsPart({ party }: { readonly party: PartyAnswer }) {
  if (party.visits.length === 0)
    return <Body>{msg`No visits are booked for this party. Book one on a client’s page.`}</Body>;
  return (
    <Column gap={0} role="group" aria-label={msg`Visits booked`}>
      <Subheading>{msg`Visits booked`}</Subheading>
      {party.visits.map((visit) => (
        <Row
          key={visit.id}
          title={visit.clientName}
          detail={visitDetail(visit)}
          fact={visit.chartId ? msg`chart ready` : msg`no chart yet`}
          href={visit.chartId ? `/charts/${visit.chartId}` : `/clients/${visit.clientId}`}
        />
      ))}
    </Column>
  );
}
