import { usePathname } from 'expo-router';
import { msg, plural } from '@toile/core';
import { useParties } from '../../data/hooks';
import { Button, Column, Empty, Ready, Row, Screen, Subheading } from '../../ui';
import { dayAndDistance, todayText } from '../words/dates';

/** Parties to come by date, then those that were, the last first. */
export function PartiesList() {
  const parties = useParties();
  const path = usePathname();
  const today = todayText();
  return (
    <Screen title={msg`Parties`} foot={<Button kind="main" href="/parties/new">{msg`New party`}</Button>}>
      <Ready remote={parties}>
        {(list) =>
          list.length === 0 ? (
            <Empty
              title={msg`No parties yet`}
              words={msg`A party gathers everyone made up for one occasion.`}
            />
          ) : (
            <Column gap="$4">
              {[
                { title: null, some: list.filter(({ date }) => date >= today).reverse() },
                { title: msg`Past`, some: list.filter(({ date }) => date < today) },
              ]
                .filter(({ some }) => some.length > 0)
                .map(({ title, some }) => (
                  <Column key={title ?? 'coming'} gap={0}>
                    {title === null ? null : <Subheading>{title}</Subheading>}
                    {some.map((party) => (
                      <Row
                        key={party.id}
                        title={party.name}
                        detail={`${dayAndDistance(party.date)} · ${party.place}`}
                        fact={plural(party.peopleCount)`one person|${party.peopleCount} people`}
                        chosen={path === `/parties/${party.id}`}
                        href={`/parties/${party.id}`}
                      />
                    ))}
                  </Column>
                ))}
            </Column>
          )
        }
      </Ready>
    </Screen>
  );
}
