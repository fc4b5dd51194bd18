import { useDeferredValue } from 'react';
import { guestAsClient, msg, term, type Guest } from '@toile/core';
import type { ChartSummary, ClientSummary } from '@toile/contract';
import { useClient, useClients } from '../../data/hooks';
import { Body, Button, Choice, Column, Label, Line, Row } from '../../ui';
import { sameName } from '../clients/sameName';
import { dayInWords } from '../words/dates';
import { knownClient } from './knownClient';

/** Fewer letters are no name yet. */
const LEAST = 3;
/** The newest of a client's charts are offered. */
const MOST_CHARTS = 6;
const AS_BOOKED = 'as booked';
const chartInWords = ({ lookName, occasion, date }: ChartSummary): string =>
  `${lookName}, ${term(occasion)}, ${dayInWords(date)}`;

/**
 * Which client somebody on a party's list is: their page, those of the same name to be taken, or the way to a
 * new one. What is to be minded, skin and charts are a client's.
 */
export function GuestClient({
  guest,
  day,
  onList,
  changed,
  onChange,
}: {
  readonly guest: Guest;
  /** Of the party. */ readonly day: string;
  /** Clients who are on the list already. */ readonly onList: ReadonlySet<string>;
  /** Something was changed that going elsewhere would lose. */ readonly changed: boolean;
  readonly onChange: (change: (guest: Guest) => Guest) => void;
}) {
  const asked = useDeferredValue(guest.clientId === null ? guest.name.trim() : '');
  const client = useClient(guest.clientId ?? '').data;
  const found = useClients(asked.length < LEAST ? '' : asked).data;
  const take = async ({ id, name }: ClientSummary): Promise<void> => {
    const known = await knownClient({ id, name });
    onChange((one) => guestAsClient(one, known, day));
  };
  if (guest.clientId !== null)
    return (
      <Column gap="$1">
        {changed ? (
          <Label>{msg`As your client ${client?.name ?? guest.name}.`}</Label>
        ) : (
          <Row
            title={client?.name ?? guest.name}
            detail={msg`their page as a client`}
            href={`/clients/${guest.clientId}`}
          />
        )}
        <Line>
          <Button onPress={() => onChange((one) => ({ ...one, clientId: null, chartId: null }))}>
            {msg`Not this client`}
          </Button>
        </Line>
        {client && client.charts.length > 0 ? (
          <Choice
            label={msg`Chart for the day`}
            options={[
              AS_BOOKED,
              ...client.charts
                .filter(({ id }, i) => i < MOST_CHARTS || id === guest.chartId)
                .map(({ id }) => id),
            ]}
            words={{
              [AS_BOOKED]: msg`of the visit, if one is booked`,
              ...Object.fromEntries(client.charts.map((chart) => [chart.id, chartInWords(chart)])),
            }}
            chosen={[guest.chartId ?? AS_BOOKED]}
            onChange={([id]) => id && onChange((one) => ({ ...one, chartId: id === AS_BOOKED ? null : id }))}
          />
        ) : null}
      </Column>
    );
  if (asked.length < LEAST || found === undefined) return null;
  const same = found.filter(({ id, name }) => sameName(name, asked) && !onList.has(id));
  return same.length > 0 ? (
    <Column gap="$1" role="status">
      <Body>{msg`A client of yours has this name.`}</Body>
      {same.map((one) => (
        <Line key={one.id}>
          <Button onPress={() => void take(one)}>{msg`It is ${one.name}`}</Button>
        </Line>
      ))}
    </Column>
  ) : (
    <Column gap="$1">
      <Label>{msg`Not a client yet: without their skin, nothing is fitted to them and nothing is minded.`}</Label>
      {changed ? null : (
        <Line>
          <Button href={`/clients/new?name=${encodeURIComponent(asked)}`}>{msg`Make them a client`}</Button>
        </Line>
      )}
    </Column>
  );
}
