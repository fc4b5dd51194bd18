import {
  isDay,
  isZone,
  minuteAt,
  packParty,
  progressOf,
  type ChairEvent,
  type ChairTicks,
  type Chart,
  type PartyEvent,
  type PartyPlan,
} from '@toile/core';
import { ROUTES } from '@toile/contract';
import { announce, openLine, type Live } from '../charts/live';
import { inStudio, type Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { allowed, checkedParams, read, write, type Services } from '../http/register';
import { partyEventOf, partyEventRow } from './events';

/** More than a long day and its packing ever tell. */
const MOST_EVENTS = 5000;

/** A party's day as it goes, and its packing. */
export function registerPartyLog(services: Services, live: Live): void {
  read(services, 'partyLog', async ({ tx, params }) => {
    const party = await partyRow(tx, params.id);
    const rows = await tx
      .selectFrom('party_events')
      .select(['id', 'event'])
      .where('party_id', '=', params.id)
      .orderBy('seq', 'desc')
      .limit(MOST_EVENTS)
      .execute();
    return { body: { events: rows.reverse().map(partyEventOf), chairs: await chairTicks(tx, party) } };
  });

  write(services, 'createPartyEvent', async ({ tx, caller, body, params }) => {
    await partyRow(tx, params.id);
    const event: PartyEvent = { ...body, by: caller.name };
    const inserted = await tx
      .insertInto('party_events')
      .values(partyEventRow(caller.studioId, params.id, event))
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    await announce(tx, params.id);
    return { status: 201, body: event, subject: event.id };
  });

  read(services, 'partyPacking', async ({ tx, params, query, now }) => {
    const party = await partyRow(tx, params.id);
    if (query.today !== undefined && !isDay(query.today))
      throw new ProblemError('bad-input', { fields: [{ path: 'today', message: 'A date, as 2031-05-14' }] });
    const charts = await newestCharts(tx, party);
    const byGuest = new Map(
      (party.plan?.guests ?? []).flatMap((guest): [string, Chart][] => {
        const chart = chartIdOf(party, guest) ? charts.get(chartIdOf(party, guest)!) : undefined;
        return chart ? [[guest.id, chart]] : [];
      }),
    );
    const [products, units] = [
      (await tx.selectFrom('products').select('document').execute()).map((row) => row.document),
      (await tx.selectFrom('units').select('document').execute()).map((row) => row.document),
    ];
    if (!party.plan) return { body: NOTHING };
    return {
      body: packParty(
        party,
        party.plan,
        byGuest,
        { products, units },
        {
          today: query.today ?? now.toISOString().slice(0, 10),
          shop: party.plan.noShop !== true,
          lastShop: party.plan.lastShop ?? null,
        },
      ),
    };
  });

  services.app.get(ROUTES.liveParty.path, async (req, res) => {
    const caller = allowed(req, 'liveParty');
    const { id } = checkedParams(req, 'liveParty');
    const charts = await inStudio(services.db, caller.studioId, async (tx) => {
      const party = await partyRow(tx, id!);
      return (party.plan?.guests ?? []).flatMap((guest) => chartIdOf(party, guest) ?? []);
    });
    openLine(live, [id!, ...charts], res);
  });
}

const NOTHING = {
  products: [],
  short: [],
  gone: [],
  shared: [],
  tools: [],
  disposables: [],
  bags: [],
  without: [],
};

type Party = {
  readonly id: string;
  readonly date: string;
  readonly plan: PartyPlan | null;
  /** Charts of visits booked for it, by client. */ readonly booked: ReadonlyMap<string, string>;
};

async function partyRow(tx: Tx, id: string): Promise<Party> {
  const row = found(
    await tx.selectFrom('parties').select(['id', 'date', 'plan']).where('id', '=', id).executeTakeFirst(),
  );
  const visits = await tx
    .selectFrom('visits')
    .select(['client_id', 'chart_id'])
    .where('party_id', '=', id)
    .where('state', '!=', 'cancelled')
    .execute();
  const booked = new Map(
    visits.flatMap((v): [string, string][] => (v.chart_id ? [[v.client_id, v.chart_id]] : [])),
  );
  return { ...row, booked };
}

/** The chart of somebody at a party: the one named, or that of the visit booked. */
function chartIdOf(party: Party, guest: PartyPlan['guests'][number]): string | null {
  return guest.chartId ?? (guest.clientId === null ? null : (party.booked.get(guest.clientId) ?? null));
}

async function newestCharts(tx: Tx, party: Party): Promise<ReadonlyMap<string, Chart>> {
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

/** A party's day goes on past midnight, until this minute of it. */
const DAY_ENDS = 27 * 60;
const isOfDay = (minute: number): boolean => minute >= 0 && minute < DAY_ENDS;

/** How far the charts of a party have come on its own day: what was ticked at a trial counts for nothing here. */
async function chairTicks(tx: Tx, party: Party): Promise<Record<string, ChairTicks>> {
  const charts = await newestCharts(tx, party);
  if (charts.size === 0) return {};
  const zone = party.plan && isZone(party.plan.zone) ? party.plan.zone : 'UTC';
  const rows = await tx
    .selectFrom('chair_events')
    .select(['chart_id', 'version', 'event', 'at'])
    .where('chart_id', 'in', [...charts.keys()])
    .orderBy('seq')
    .execute();
  const ticks: Record<string, ChairTicks> = {};
  for (const [id, chart] of charts) {
    const events = rows
      .filter(
        (row) =>
          row.chart_id === id && row.version === chart.version && isOfDay(minuteAt(zone, party.date, row.at)),
      )
      .map((row): ChairEvent => row.event);
    const { doneCount, minutesLeft, worn } = progressOf(chart, events);
    const at = worn.steps.flatMap((step) => (step.done?.ticked ? [step.done.at] : [])).sort();
    if (doneCount === 0 || at.length === 0) continue;
    ticks[id] = {
      firstAt: at[0]!,
      lastAt: at.at(-1)!,
      doneCount,
      stepCount: worn.steps.length,
      minutesLeft,
    };
  }
  return ticks;
}
