import { setImmediate } from 'node:timers/promises';
import {
  chartOutlook,
  isDay,
  isZone,
  minuteAt,
  msg,
  packParty,
  progressOf,
  standsIn,
  stillOnFace,
  variantWorked,
  workedIn,
  timedVisits,
  touchUpPlan,
  type ChairTicks,
  type Chart,
  type PartyEvent,
  type PartyPlan,
  type Timed,
  type TouchUpPlan,
  type WearGroup,
} from '@toile/core';
import { ROUTES } from '@toile/contract';
import { wearGroups } from '../care/zoneWears';
import { eventOfRow } from '../charts/events';
import { announce, openLine, type Live } from '../charts/live';
import { inStudio, type Tx } from '../db/connection';
import { ProblemError } from '../http/problem';
import { allowed, checkedParams, read, write, type Services } from '../http/register';
import { chartIdOf, newestCharts, newestChartsNow, partyRow, type PartyRow } from './charts';
import { partyEventOf, partyEventRow } from './events';

/** Minutes are learned from so many parties, the last ones: hands get quicker. */
const MOST_PARTIES = 120;
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
    const charts = await newestChartsNow(tx, party, now);
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
    const touchUps = await touchUpsOf(party.plan, byGuest, await wearGroups(tx, null, now));
    return {
      body: packParty(
        party,
        party.plan,
        byGuest,
        { products, units },
        {
          today: dayAsked(query.today, now),
          touchUps,
        },
      ),
    };
  });

  read(services, 'visitMinutes', async ({ tx, query, now }) => {
    const today = dayAsked(query.today, now);
    const rows = await tx
      .selectFrom('parties as p')
      .select(['p.id', 'p.date', 'p.plan'])
      .where('p.date', '<=', today)
      .where((eb) =>
        eb.exists(eb.selectFrom('party_events as e').select('e.id').whereRef('e.party_id', '=', 'p.id')),
      )
      .orderBy('p.date', 'desc')
      .limit(MOST_PARTIES)
      .execute();
    if (rows.length === 0) return { body: [] };
    const events = await tx
      .selectFrom('party_events')
      .select(['id', 'party_id', 'event'])
      .where(
        'party_id',
        'in',
        rows.map((row) => row.id),
      )
      .orderBy('seq')
      .execute();
    return {
      body: rows.flatMap(({ id, date, plan }): Timed[] =>
        plan
          ? timedVisits({ date }, plan, events.filter((e) => e.party_id === id).map(partyEventOf), today).map(
              ({ worker, look, kind, plannedMinutes, realMinutes, age }) => ({
                worker,
                look,
                kind,
                plannedMinutes,
                realMinutes,
                age: age ?? 0,
              }),
            )
          : [],
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

/** The day whoever asks has; that of UTC where they say none. */
function dayAsked(today: string | undefined, now: Date): string {
  if (today !== undefined && !isDay(today))
    throw new ProblemError('bad-input', { fields: [{ path: 'today', message: msg`A date, as 2031-05-14` }] });
  return today ?? now.toISOString().slice(0, 10);
}

const NOTHING = {
  products: [],
  short: [],
  gone: [],
  barred: [],
  shared: [],
  tools: [],
  disposables: [],
  bags: [],
  without: [],
};

/**
 * How far the charts of a party have come on its own day: what was ticked at a trial counts for nothing here.
 */
async function chairTicks(tx: Tx, party: PartyRow): Promise<Record<string, ChairTicks>> {
  const charts = await newestCharts(tx, party);
  if (charts.size === 0) return {};
  const zone = party.plan && isZone(party.plan.zone) ? party.plan.zone : 'UTC';
  const rows = await tx
    .selectFrom('chair_events')
    .select(['chart_id', 'version', 'id', 'event', 'at'])
    .where('chart_id', 'in', [...charts.keys()])
    .orderBy('seq')
    .execute();
  const thatDay = rows.filter(({ at }) => standsIn(minuteAt(zone, party.date, at)) === 'on the day');
  const before = await versionsBefore(tx, charts, thatDay);
  const ticks: Record<string, ChairTicks> = {};
  for (const [id, chart] of charts) {
    const told = thatDay.filter((row) => row.chart_id === id);
    const by = (version: number) => told.filter((row) => row.version === version).map(eventOfRow);
    const earlier = before
      .filter((one) => one.id === id)
      .map((one) => ({ chart: one, events: by(one.version) }));
    // Also by a version that was saved over meanwhile: what is on the face stays on it.
    const events = [...stillOnFace(chart, earlier), ...by(chart.version)];
    // Of several ways to do a step one is worked: the others are no work that is left.
    const worked = workedIn(chart, variantWorked(chart, events));
    const { doneCount, minutesLeft, worn } = progressOf(worked, events);
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

/**
 * What touching up each face asks: one face at a time, with whoever else asks in between, since each takes
 * some ten milliseconds.
 */
async function touchUpsOf(
  plan: PartyPlan,
  charts: ReadonlyMap<string, Chart>,
  wears: readonly WearGroup[],
): Promise<ReadonlyMap<string, TouchUpPlan>> {
  const plans = new Map<string, TouchUpPlan>();
  for (const [guest, chart] of charts) {
    const readyBy = plan.guests.find(({ id }) => id === guest)?.readyBy;
    plans.set(guest, touchUpPlan(chart, chartOutlook(chart, wears), readyBy));
    await setImmediate();
  }
  return plans;
}

/** The earlier versions of some charts something was told with. */
async function versionsBefore(
  tx: Tx,
  charts: ReadonlyMap<string, Chart>,
  told: readonly { readonly chart_id: string; readonly version: number }[],
): Promise<readonly Chart[]> {
  const earlier = told.filter(({ chart_id: id, version }) => version !== charts.get(id)?.version);
  if (earlier.length === 0) return [];
  const rows = await tx
    .selectFrom('chart_versions')
    .select(['chart_id', 'version', 'document'])
    .where('chart_id', 'in', [...new Set(earlier.map((one) => one.chart_id))])
    .where('version', 'in', [...new Set(earlier.map((one) => one.version))])
    .orderBy('chart_id')
    .orderBy('version')
    .execute();
  return rows.flatMap(({ chart_id: id, version, document }) =>
    version === charts.get(id)?.version ? [] : [document],
  );
}
