import { usePathname } from 'expo-router';
import { useParties } from '../../data/hooks';
import { Button, Column, Empty, Ready, Row, Screen } from '../../ui';
import { dayAndDistance } from '../words/dates';

/** Parties by date. */
export function PartiesList() {
  const parties = useParties();
  const path = usePathname();
  return (
    <Screen
      title="Parties"
      foot={
        <Button kind="main" href="/parties/new">
          New party
        </Button>
      }
    >
      <Ready remote={parties}>
        {(list) =>
          list.length === 0 ? (
            <Empty title="No parties yet" words="A party gathers everyone made up for one occasion." />
          ) : (
            <Column gap={0}>
              {list.map((party) => (
                <Row
                  key={party.id}
                  title={party.name}
                  detail={`${dayAndDistance(party.date)} · ${party.place}`}
                  fact={`${party.peopleCount} people`}
                  chosen={path === `/parties/${party.id}`}
                  href={`/parties/${party.id}`}
                />
              ))}
            </Column>
          )
        }
      </Ready>
    </Screen>
  );
}
