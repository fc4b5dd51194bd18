import { sql } from 'kysely';
import { msg, skinTarget, type Lab } from '@toile/core';
import { may, type ClientAnswer, type ClientInput, type ClientSummary, type Role } from '@toile/contract';
import type { Tx } from '../db/connection';
import { together } from '../db/together';
import { found, ProblemError } from '../http/problem';
import { readHeld } from '../http/readHeld';
import { read, write, type Services } from '../http/register';
import { chartSummariesOfRows, chartSummariesQuery } from '../charts/queries';
import { readingAnswer, skinOf } from '../readings/skin';
import { studioDay } from '../studio/day';
import { incidentsOfRows, incidentsQuery } from '../care/incidents';
import { dropWithoutConsent } from '../care/photographs';
import { patchTestsOfRows, patchTestsQuery } from '../patchTests/queries';
import { namedLike } from './namedLike';
import { visitOfRow, visitsQuery } from '../visits/queries';

const PAGE = 200;
const MOST_READINGS = 100;
/** What `clientAnswer` reads. */
const OF_A_CLIENT = [
  'clients',
  'readings',
  'incidents',
  'charts',
  'chart_versions',
  'visits',
  'parties',
  'patch_tests',
] as const;

/** Clients: found by part of a name, opened, added, changed. */
export function registerClients(services: Services): void {
  read(services, 'listClients', async ({ tx, query, now }) => ({
    body: await summaries(tx, (query.query ?? '').trim(), await studioDay(tx, now, query.zone)),
  }));

  readHeld(services, 'client', OF_A_CLIENT, async ({ tx, role, params }) => {
    const answer = await clientAnswer(tx, params.id, role);
    return { body: answer, revision: answer.revision };
  });

  write(services, 'createClient', async ({ tx, caller, body }) => {
    const inserted = await tx
      .insertInto('clients')
      .values({ studio_id: caller.studioId, id: body.id, ...columns(body), updated_at: new Date() })
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return { status: 201, body: await clientAnswer(tx, body.id, caller.role), subject: body.id, revision: 1 };
  });

  write(services, 'updateClient', async ({ tx, caller, body, params, revision, now, stale }) => {
    if (body.id !== params.id)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'id', message: msg`must be the id of the address` }],
      });
    const updated = await tx
      .updateTable('clients')
      .set({ ...columns(body), updated_at: now, revision: sql<number>`revision + 1` })
      .where('id', '=', params.id)
      .where('revision', '=', revision)
      .returning('revision')
      .executeTakeFirst();
    const current = await clientAnswer(tx, params.id, caller.role);
    if (!updated) throw stale(current, body);
    await dropWithoutConsent(tx, body.id);
    return { body: current, subject: body.id, revision: updated.revision };
  });
}

function columns(body: ClientInput) {
  return {
    name: body.name,
    contact: JSON.stringify({ phone: body.phone, email: body.email }),
    birth_year: body.birthYear,
    guardian_consent: body.guardianConsent,
    sensitivities: JSON.stringify(body.sensitivities),
    notes: body.notes,
    features: JSON.stringify(body.features),
    measurements: JSON.stringify(body.measurements),
    taps: JSON.stringify(body.taps),
    likeness: body.likeness ? JSON.stringify(body.likeness) : null,
    // Left out by whoever does not know of it yet: then what was said stays.
    ...(body.consult ? { consult: JSON.stringify(body.consult) } : {}),
  };
}

/** Everything kept of a client; 404 when this studio has none by that id. */
export async function clientAnswer(tx: Tx, id: string, role: Role): Promise<ClientAnswer> {
  const told = await together(tx, {
    clients: tx.selectFrom('clients').selectAll().where('id', '=', id),
    readings: tx
      .selectFrom('readings')
      .selectAll()
      .where('client_id', '=', id)
      .orderBy('at', 'desc')
      .limit(MOST_READINGS),
    incidents: incidentsQuery(tx, id),
    charts: chartSummariesQuery(id),
    visits: visitsQuery(tx, { clientId: id }),
    patchTests: patchTestsQuery(tx).where('client_id', '=', id),
  });
  const row = found(told.clients[0]);
  return {
    id: row.id,
    revision: row.revision,
    name: row.name,
    contact: may(role, 'seeContact') ? row.contact : null,
    birthYear: row.birth_year,
    guardianConsent: row.guardian_consent,
    sensitivities: row.sensitivities,
    notes: row.notes,
    features: row.features,
    measurements: row.measurements,
    taps: row.taps,
    likeness: row.likeness,
    consult: row.consult,
    incidents: incidentsOfRows(told.incidents),
    readings: told.readings.map(readingAnswer),
    charts: chartSummariesOfRows(told.charts),
    visits: told.visits.map(visitOfRow),
    patchTests: patchTestsOfRows(told.patchTests),
  };
}

/** Clients whose name holds or resembles what was typed, accents aside; by name when nothing was. */
async function summaries(tx: Tx, said: string, today: string): Promise<ClientSummary[]> {
  const { typed, named, closest } = namedLike(said);
  const all = tx.selectFrom('clients as c').select(['c.id', 'c.name', 'c.folded']).limit(PAGE);
  // Who is on the page comes first; the rest is asked of them alone.
  const page =
    said === ''
      ? all.select(sql<number>`0`.as('close')).orderBy('c.folded')
      : all.select(closest.as('close')).where(named).orderBy('close', 'desc').orderBy('c.folded');
  const rows = await tx
    .with('typed', () => typed)
    .selectFrom(page.as('c'))
    .leftJoinLateral(
      (eb) =>
        eb
          .selectFrom('readings as r')
          .select(['r.zones', 'r.at'])
          .whereRef('r.client_id', '=', 'c.id')
          .orderBy('r.at', 'desc')
          .limit(1)
          .as('last'),
      (join) => join.onTrue(),
    )
    .select((eb) => [
      'c.id',
      'c.name',
      'last.zones',
      'last.at',
      eb
        .selectFrom('charts')
        .select(eb.fn.countAll<string>().as('n'))
        .whereRef('client_id', '=', 'c.id')
        .as('charts'),
      eb
        .selectFrom('visits')
        .select((v) => v.fn.min('visits.date').as('d'))
        .whereRef('client_id', '=', 'c.id')
        .where('date', '>=', today)
        .where('state', '!=', 'cancelled')
        .as('next'),
    ])
    .orderBy('c.close', 'desc')
    .orderBy('c.folded')
    .execute();
  return rows.map((row) => {
    const skin: Lab | null = row.zones ? skinTarget(skinOf(row.zones)) : null;
    return {
      id: row.id,
      name: row.name,
      skin,
      lastRead: row.at?.toISOString() ?? null,
      nextVisit: row.next,
      chartCount: Number(row.charts ?? 0),
    };
  });
}
