import type { RecordedEvent } from '@toile/core';
import type { Insertable, Selectable } from 'kysely';
import type { Database } from '../db/schema';

type EventTable = Database['chair_events'];

/** A recorded event as its row. */
export function eventRow(
  studioId: string,
  chartId: string,
  version: number,
  event: RecordedEvent,
): Omit<Insertable<EventTable>, 'seq'> {
  const { id, ...said } = event;
  return {
    studio_id: studioId,
    id,
    chart_id: chartId,
    version,
    step_id: event.stepId,
    event: JSON.stringify(said),
    at: event.at,
  };
}

/** A row as the event that was recorded. */
export function eventOfRow({ id, event }: Pick<Selectable<EventTable>, 'id' | 'event'>): RecordedEvent {
  return { ...event, id };
}
