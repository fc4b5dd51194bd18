import { trialNow, type Trial, type TrialEvent, type TrialRecord } from '@toile/core';
import type { Tx } from '../db/connection';

/** A trial as its row. */
export function trialRow(studioId: string, trial: Trial) {
  return {
    studio_id: studioId,
    id: trial.id,
    client_id: trial.clientId,
    chart_id: trial.chartId,
    question_key: trial.question.key,
    document: JSON.stringify(trial),
    at: trial.draw.at,
  };
}

/** What was told of a trial as its row. */
export function trialEventRow(studioId: string, trial: Pick<Trial, 'id' | 'clientId'>, event: TrialEvent) {
  return {
    studio_id: studioId,
    id: event.id,
    trial_id: trial.id,
    client_id: trial.clientId,
    kind: event.kind,
    event: JSON.stringify(event),
    at: event.at,
  };
}

/** Trials with all that was told of them, in the order they were drawn. */
export async function trialRecords(
  tx: Tx,
  of:
    | { readonly id: string }
    | { readonly chartId: string }
    | { readonly question: string }
    | { readonly clientId: string }
    | { readonly newest: number },
): Promise<TrialRecord[]> {
  let asked = tx.selectFrom('trials').select(['id', 'document']);
  if ('id' in of) asked = asked.where('id', '=', of.id);
  else if ('chartId' in of) asked = asked.where('chart_id', '=', of.chartId);
  else if ('question' in of) asked = asked.where('question_key', '=', of.question);
  else if ('clientId' in of) asked = asked.where('client_id', '=', of.clientId);
  else asked = asked.limit(of.newest);
  const rows = (await asked.orderBy('seq', 'desc').execute()).reverse();
  if (rows.length === 0) return [];
  const told = await tx
    .selectFrom('trial_events')
    .select(['trial_id', 'event'])
    .where(
      'trial_id',
      'in',
      rows.map((row) => row.id),
    )
    .orderBy('seq')
    .execute();
  const events = new Map<string, TrialEvent[]>();
  for (const { trial_id, event } of told) events.set(trial_id, [...(events.get(trial_id) ?? []), event]);
  return rows.map((row) => ({ trial: row.document, events: events.get(row.id) ?? [] }));
}

/**
 * Whether somebody may see which side is which: once it is over, or when they opened it to work at the chair.
 */
export function isOpenTo({ trial, events }: TrialRecord, name: string | null): boolean {
  const { state, openedBy } = trialNow(trial, events);
  return (state !== 'drawn' && state !== 'worn') || (name !== null && openedBy.includes(name));
}
