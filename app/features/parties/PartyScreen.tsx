import { useRouter } from 'expo-router';
import { useParty } from '../../data/hooks';
import { Body, Column, Label, Ready, Row, Screen, Subheading } from '../../ui';
import { dayAndDistance } from '../words/dates';
import { visitDetail } from '../words/visits';

/** One party: when, where, who by when. */
export function PartyScreen({ id }: { readonly id: string }) {
  const party = useParty(id);
  const router = useRouter();
  return (
    <Screen title={party.data?.name ?? 'Party'} onBack={() => router.navigate('/parties')}>
      <Ready remote={party}>
        {(data) => (
          <Column gap="$4">
            <Column gap="$1">
              <Body>{`${dayAndDistance(data.date)}, ${data.place}`}</Body>
              <Label>{data.notes}</Label>
            </Column>
            <Column gap={0}>
              <Subheading>{`${data.peopleCount} people`}</Subheading>
              {data.visits.map((visit) => (
                <Row
                  key={visit.id}
                  title={visit.clientName}
                  detail={visitDetail(visit)}
                  fact={visit.chartId ? 'chart ready' : 'no chart yet'}
                  href={visit.chartId ? `/charts/${visit.chartId}` : `/clients/${visit.clientId}`}
                />
              ))}
            </Column>
          </Column>
        )}
      </Ready>
    </Screen>
  );
}
