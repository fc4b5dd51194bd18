import { minutesAsGiven, type Chart, type PartyPlan } from '@toile/core';
import type { PartyChart, VisitAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';
import { chartsNow } from '../care/chartNow';
import { found } from '../http/problem';

export type PartyRow = {
  readonly id: string;
  readonly date: string;
  readonly plan: PartyPlan | null;
  /** Charts of visits booked for it, by client. */ readonly booked: ReadonlyMap<string, string>;
};

/** A party with the charts of its booked visits. Throws `not-found`. */
export async function partyRow(tx: Tx, id: string): Promise<PartyRow> {
  const row = found(
    await tx.selectFrom('parties').select(['id', 'date', 'plan']).where('id', '=', id).executeTakeFirst(),
  );
  const visits = await tx
    .selectFrom('visits')
    .select(['client_id as clientId', 'chart_id as chartId', 'kind'])
    .where('party_id', '=', id)
    .where('state', '!=', 'cancelled')
    .execute();
  return withBooked(row, visits);
}

/** A party's row with the charts of these visits: of a trial for it only where nothing else is booked. */
export function withBooked(
  { id, date, plan }: Omit<PartyRow, 'booked'>,
  visits: readonly Pick<VisitAnswer, 'clientId' | 'chartId' | 'kind'>[],
): PartyRow {
  const charts = (some: typeof visits): [string, string][] =>
    some.flatMap((v): [string, string][] => (v.chartId ? [[v.clientId, v.chartId]] : []));
  const booked = new Map([
    ...charts(visits.filter(({ kind }) => kind === 'trial')),
    ...charts(visits.filter(({ kind }) => kind !== 'trial')),
  ]);
  return { id, date, plan, booked };
}

/** The chart of somebody at a party: the one named, or that of the visit booked. */
export function chartIdOf(party: PartyRow, guest: PartyPlan['guests'][number]): string | null {
  return guest.chartId ?? (guest.clientId === null ? null : (party.booked.get(guest.clientId) ?? null));
}

/** The newest version of each chart of a party's people, by the chart's id. */
export async function newestCharts(tx: Tx, party: PartyRow): Promise<ReadonlyMap<string, Chart>> {
  const ids = (party.plan?.guests ?? []).flatMap((guest) => chartIdOf(party, guest) ?? []);
  if (ids.length === 0) return new Map();
  const rows = await tx
    .selectFrom('chart_versions')
    .distinctOn('chart_id')
    .select(['chart_id', 'document'])
    .where('chart_id', 'in', ids)
    .orderBy('chart_id')
    .orderBy('version', 'desc')
    .execute();
  return new Map(rows.map((row) => [row.chart_id, row.document]));
}

/** The same with what is noted of their people by now: for what leaves the house. */
export async function newestChartsNow(
  tx: Tx,
  party: PartyRow,
  now: Date,
): Promise<ReadonlyMap<string, Chart>> {
  const charts = await newestCharts(tx, party);
  const minded = await chartsNow(tx, [...charts.values()], now);
  return new Map([...charts.keys()].map((id, i) => [id, minded[i]!]));
}

/** By whose look each is, and how long it takes as it stands: whole minutes, up. */
export function chartLines(charts: ReadonlyMap<string, Chart>): Record<string, PartyChart> {
  return Object.fromEntries(
    [...charts].map(([id, { look, steps, client, schools }]) => [
      id,
      {
        look: look.name,
        minutes: Math.ceil(
          minutesAsGiven(
            steps.filter((s) => s.variant === undefined),
            client,
            schools,
          ),
        ),
      },
    ]),
  );
}
