import { sql, type InferResult } from 'kysely';
import type { Occasion } from '@toile/core';
import type { VisitAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';

export type VisitFilter = {
  readonly id?: string;
  readonly clientId?: string;
  readonly partyId?: string;
  readonly from?: string;
  readonly to?: string;
  /** Without those that were cancelled. */
  readonly standing?: true;
};

/** The most visits of one answer: more than a client of many years or a party has. */
const MOST_VISITS = 2000;

/** Visits by date and time. */
export async function visitsWhere(tx: Tx, filter: VisitFilter): Promise<VisitAnswer[]> {
  return (await visitsQuery(tx, filter).execute()).map(visitOfRow);
}

/** The same, to be asked together with something else. */
export function visitsQuery(tx: Tx, filter: VisitFilter) {
  let query = tx
    .selectFrom('visits as v')
    .innerJoin('clients as c', 'c.id', 'v.client_id')
    .leftJoin('parties as p', 'p.id', 'v.party_id')
    .selectAll('v')
    .select(['c.name as client_name', sql<Occasion | null>`p.plan -> 'occasion'`.as('party_occasion')]);
  if (filter.id) query = query.where('v.id', '=', filter.id);
  if (filter.clientId) query = query.where('v.client_id', '=', filter.clientId);
  if (filter.partyId) query = query.where('v.party_id', '=', filter.partyId);
  if (filter.from) query = query.where('v.date', '>=', filter.from);
  if (filter.standing) query = query.where('v.state', '!=', 'cancelled');
  if (filter.to) query = query.where('v.date', '<=', filter.to);
  return query.orderBy('v.date').orderBy('v.starts_at').orderBy('v.id').limit(MOST_VISITS);
}

type VisitRow = InferResult<ReturnType<typeof visitsQuery>>[number];

export function visitOfRow(v: VisitRow): VisitAnswer {
  return {
    id: v.id,
    clientId: v.client_id,
    clientName: v.client_name,
    kind: v.kind,
    date: v.date,
    startsAt: v.starts_at,
    readyBy: v.ready_by,
    place: v.place,
    partyId: v.party_id,
    chartId: v.chart_id,
    revision: v.revision,
    state: v.state,
    reason: v.reason,
    occasion: v.occasion,
    partyOccasion: v.party_occasion,
    bookedOn: v.booked_on,
    runUp: v.run_up,
  };
}
