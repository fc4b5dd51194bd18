import { useRouter } from 'expo-router';
import { useState } from 'react';
import type { PartyAnswer } from '@toile/contract';
import { useParty } from '../../data/hooks';
import { Body, Column, Label, Ready, Row, Screen, TabPanel, Tabs } from '../../ui';
import { dayAndDistance } from '../words/dates';
import { visitDetail } from '../words/visits';
import { BeforePanel } from './BeforePanel';
import { DayPanel } from './DayPanel';
import { HandsPanel } from './HandsPanel';
import { PeoplePanel } from './PeoplePanel';
import { usePartyPlan } from './usePartyPlan';

type Part = 'people' | 'hands' | 'before' | 'day' | 'visits';

/** One party: who, by whom, and how its day goes. */
export function PartyScreen({ id }: { readonly id: string }) {
  const party = useParty(id);
  const router = useRouter();
  return (
    <Screen title={party.data?.name ?? 'Party'} onBack={() => router.navigate('/parties')}>
      <Ready remote={party}>{(data) => <PartyParts party={data} />}</Ready>
    </Screen>
  );
}

function PartyParts({ party }: { readonly party: PartyAnswer }) {
  const work = usePartyPlan(party);
  const [part, setPart] = useState<Part>('people');
  const tabs = [
    { id: 'people', words: 'People', mark: <Label>{String(work.plan.guests.length)}</Label> },
    { id: 'hands', words: 'Hands', label: 'Hands and chairs' },
    { id: 'before', words: 'Before' },
    { id: 'day', words: 'Day', label: 'The day' },
    { id: 'visits', words: 'Visits' },
  ] as const;
  return (
    <Column gap="$3">
      <Column gap="$1">
        <Body>{`${dayAndDistance(party.date)}, ${party.place}`}</Body>
        {party.notes === '' ? null : <Label>{party.notes}</Label>}
      </Column>
      <Tabs label="Parts of the party" tabs={tabs} chosen={part} onChoose={setPart} />
      <TabPanel label={tabs.find((tab) => tab.id === part)!.words}>
        {part === 'people' ? <PeoplePanel work={work} /> : null}
        {part === 'hands' ? <HandsPanel work={work} /> : null}
        {part === 'before' ? <BeforePanel work={work} /> : null}
        {part === 'day' ? <DayPanel work={work} /> : null}
        {part === 'visits' ? <VisitsPart party={party} /> : null}
      </TabPanel>
    </Column>
  );
}

/** Visits booked for the party, each leading to its chart. */
function VisitsPart({ party }: { readonly party: PartyAnswer }) {
  if (party.visits.length === 0)
    return <Body>No visits are booked for this party. Book one on a client’s page.</Body>;
  return (
    <Column gap={0}>
      {party.visits.map((visit) => (
        <Row
          key={visit.id}
          title={visit.clientName}
          detail={visitDetail(visit)}
          fact={visit.chartId ? 'chart ready' : 'no chart yet'}
          href={visit.chartId ? `/charts/${visit.chartId}` : `/clients/${visit.clientId}`}
        />
      ))}
    </Column>
  );
}
