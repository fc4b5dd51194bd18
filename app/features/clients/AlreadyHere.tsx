import { useDeferredValue } from 'react';
import { msg } from '@toile/core';
import { useClients } from '../../data/hooks';
import { Body, Column, Row } from '../../ui';
import { howFar } from '../words/dates';
import { sameName } from './sameName';

/** Fewer letters are no name yet. */
const LEAST = 3;

/**
 * Clients by the name that is being written: of two records of one person each would know half of what is to
 * be minded.
 */
export function AlreadyHere({ name }: { readonly name: string }) {
  const asked = useDeferredValue(name.trim());
  const found = useClients(asked.length < LEAST ? '' : asked).data ?? [];
  const same = asked.length < LEAST ? [] : found.filter((client) => sameName(client.name, asked));
  if (same.length === 0) return null;
  return (
    <Column gap="$1" role="status">
      <Body color="$weld">{msg`▲ Somebody of this name is here already. One person has one record: what is to be minded is kept in it.`}</Body>
      {same.map((client) => (
        <Row
          key={client.id}
          title={client.name}
          detail={client.lastRead ? msg`read ${howFar(client.lastRead)}` : msg`not read`}
          href={`/clients/${client.id}`}
        />
      ))}
    </Column>
  );
}
