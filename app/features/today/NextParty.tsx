import { msg, plural } from '@toile/core';
import type { TodayParty } from '@toile/contract';
import { Body, Button, Column, Label, Row, Rule, Subheading } from '../../ui';
import { dayInWords, hourInWords, howFar } from '../words/dates';

const people = ({ peopleCount }: TodayParty): string => plural(peopleCount)`one person|${peopleCount} people`;

/** A party that is what is next: nobody is booked before its day. */
export function NextParty({ party }: { readonly party: TodayParty }) {
  const { id, name, date, place, begins } = party;
  return (
    <Column gap="$2" backgroundColor="$surface" padding="$4" borderTopWidth={3} borderTopColor="$ink">
      <Column gap="$1">
        <Label>{msg`Next, ${howFar(date)}`}</Label>
        <Subheading fontSize="$5" lineHeight="$5">
          {begins === null ? name : `${hourInWords(begins)}  ${name}`}
        </Subheading>
        <Body color="$inkSoft">
          {[dayInWords(date), place, people(party)].filter((part) => part !== '').join(' · ')}
        </Body>
      </Column>
      <Rule />
      <Button kind="main" large href={`/parties/${id}`}>{msg`Open the party`}</Button>
    </Column>
  );
}

/** A party among the others of its day. */
export function PartyRow({ party }: { readonly party: TodayParty }) {
  const { id, name, place, begins } = party;
  return (
    <Row
      title={name}
      detail={[begins === null ? '' : msg`from ${hourInWords(begins)}`, place]
        .filter((part) => part !== '')
        .join(' · ')}
      fact={people(party)}
      href={`/parties/${id}`}
    />
  );
}
