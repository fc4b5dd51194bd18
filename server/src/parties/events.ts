import type { PartyEvent } from '@toile/core';
import type { Insertable, Selectable } from 'kysely';
import type { Database } from '../db/schema';

type EventTable = Database['party_events'];

/** What was told, as its row. */
export function partyEventRow(
  studioId: string,
  partyId: string,
  { id, ...event }: PartyEvent,
): Omit<Insertable<EventTable>, 'seq'> {
  return { studio_id: studioId, id, party_id: partyId, event: JSON.stringify(event), at: event.at };
}

/** A row as what was told. */
export const partyEventOf = ({ id, event }: Pick<Selectable<EventTable>, 'id' | 'event'>): PartyEvent => ({
  ...event,
  id,
});
