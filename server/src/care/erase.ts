import {
  canonicalJson,
  eventWithoutWords,
  msg,
  PLAIN_FEATURES,
  SOMEBODY,
  withoutName,
  withoutPerson,
  writeChart,
  writeWearCsv,
  type Chart,
  type RecordedEvent,
} from '@toile/core';
import { sql } from 'kysely';
import { newId, type ErasureAnswer } from '@toile/contract';
import { eventOfRow, eventRow } from '../charts/events';
import { announce } from '../charts/live';
import { insertVersion } from '../charts/queries';
import { clientAnswer } from '../clients/routes';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { photographOf } from './photographs';
import { trialRecords } from './trialRows';
import { readingAnswer } from '../readings/skin';

/** Everything of one client as a file, and the way out of the studio's records. */
export function registerErase(services: Services): void {
  read(services, 'clientData', async ({ tx, caller, params }) => {
    const client = await clientAnswer(tx, params.id, caller.role);
    const charts = await chartsOf(tx, params.id);
    const readings = await tx.selectFrom('readings').selectAll().where('client_id', '=', params.id).execute();
    const intakes = await tx
      .selectFrom('intakes')
      .select(['made_at', 'used_at', 'answers', 'settled'])
      .where('client_id', '=', params.id)
      .execute();
    const wear = (
      await tx
        .selectFrom('wear_checks')
        .select('document')
        .where('client_id', '=', params.id)
        .orderBy('seq')
        .execute()
    ).map((row) => row.document);
    const trials = await trialRecords(tx, { clientId: params.id });
    const compacts = (
      await tx
        .selectFrom('compacts')
        .select('document')
        .where('client_id', '=', params.id)
        .orderBy('made_at')
        .execute()
    ).map((row) => row.document);
    const newest = new Map(charts.map((chart) => [chart.id, chart]));
    const photographs = await tx
      .selectFrom('photographs')
      .selectAll()
      .where('client_id', '=', params.id)
      .orderBy('taken_at')
      .execute();
    const files = new Map<string, string | Uint8Array>([
      [
        'client.json',
        `${JSON.stringify({ ...client, readings: readings.map(readingAnswer), intakes, wear, trials, compacts, photographs: photographs.map(photographOf) }, null, 2)}\n`,
      ],
      ['wear.csv', writeWearCsv(wear)],
      ...charts.map((chart): [string, string] => [
        `charts/${chart.id}-v${chart.version}.json`,
        writeChart(chart),
      ]),
      ...photographs.map(({ id, picture }): [string, Uint8Array] => [`photographs/${id}.jpg`, picture]),
    ]);
    const pdfs = new Map([...newest.values()].map((chart) => [`charts/${chart.id}.pdf`, chart] as const));
    const body = await services.print({ kind: 'zip', files, charts: pdfs });
    return { body, file: `client-${params.id}.zip`, type: 'application/zip' };
  });

  read(services, 'erasure', async ({ tx, params }) => {
    const { name } = await clientNamed(tx, params.id);
    const count = async (
      table:
        | 'readings'
        | 'visits'
        | 'charts'
        | 'patch_tests'
        | 'incidents'
        | 'intakes'
        | 'wear_checks'
        | 'trials'
        | 'compacts'
        | 'photographs',
    ) => {
      const row = await tx
        .selectFrom(table)
        .select((eb) => eb.fn.countAll<string>().as('n'))
        .where('client_id', '=', params.id)
        .executeTakeFirstOrThrow();
      return Number(row.n);
    };
    const answer: ErasureAnswer = {
      readings: await count('readings'),
      visits: await count('visits'),
      charts: await count('charts'),
      versions: (await chartsOf(tx, params.id)).length,
      patchTests: await count('patch_tests'),
      incidents: await count('incidents'),
      wearChecks: await count('wear_checks'),
      trials: await count('trials'),
      compacts: await count('compacts'),
      photographs: await count('photographs'),
      intakes: await count('intakes'),
      parties: (await partiesNaming(tx, params.id, name)).length,
      elsewhere: await namedElsewhere(tx, params.id, name),
    };
    return { body: answer };
  });

  write(services, 'eraseClient', async ({ tx, caller, body, params, now }) => {
    const client = await clientNamed(tx, params.id);
    if (body.name.trim() !== client.name)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'name', message: msg`Write ${client.name}, as it stands above` }],
      });
    // Whoever is saving something of this client comes first or not at all: nothing falls in between.
    await tx.selectFrom('clients').select('id').where('id', '=', params.id).forUpdate().execute();
    const ids = (await tx.selectFrom('charts').select('id').where('client_id', '=', params.id).execute()).map(
      ({ id }) => id,
    );
    for (const id of ids) await oneAtATime(tx, id);
    const keeps = body.charts === 'kept without the person';
    const charts = keeps ? await chartsOf(tx, params.id) : [];
    const events = keeps ? await eventsOf(tx, params.id) : [];
    await outOfParties(tx, params.id, client.name);
    await sql`select erase_client(${params.id})`.execute(tx);
    // An answer that is kept for a repeat may hold what was just erased.
    await tx
      .deleteFrom('idempotency')
      .where((eb) =>
        eb.or([
          sql<boolean>`strpos(body::text, ${params.id}) > 0`,
          sql<boolean>`strpos(body::text, ${JSON.stringify(client.name).slice(1, -1)}) > 0`,
        ]),
      )
      .execute();
    if (charts.length > 0) {
      // Somebody of another id: a phone that still has the person open writes nothing of them back.
      const nobody = newId();
      await tx
        .insertInto('clients')
        .values({
          studio_id: caller.studioId,
          id: nobody,
          name: SOMEBODY,
          contact: JSON.stringify({ phone: '', email: '' }),
          birth_year: null,
          guardian_consent: '',
          sensitivities: '[]',
          notes: '',
          features: JSON.stringify(PLAIN_FEATURES),
          measurements: '{}',
          updated_at: now,
        })
        .execute();
      await tx
        .insertInto('charts')
        .values(ids.map((id) => ({ studio_id: caller.studioId, id, client_id: nobody })))
        .execute();
      for (const chart of charts) await insertVersion(tx, caller.studioId, withoutPerson(chart, nobody));
      for (const { chartId, version, event } of events)
        await tx
          .insertInto('chair_events')
          .values(eventRow(caller.studioId, chartId, version, eventWithoutWords(event)))
          .execute();
    }
    for (const id of ids) await announce(tx, id);
    return { body: { erased: params.id, charts: body.charts }, subject: params.id };
  });
}

async function clientNamed(tx: Tx, id: string): Promise<{ readonly name: string }> {
  return found(await tx.selectFrom('clients').select('name').where('id', '=', id).executeTakeFirst());
}

/** Every version of every chart of a client, the first of each first. */
async function chartsOf(tx: Tx, clientId: string): Promise<Chart[]> {
  const rows = await tx
    .selectFrom('chart_versions as v')
    .innerJoin('charts as c', 'c.id', 'v.chart_id')
    .select('v.document')
    .where('c.client_id', '=', clientId)
    .orderBy('v.chart_id')
    .orderBy('v.version')
    .execute();
  return rows.map(({ document }) => document);
}

type Happened = { readonly chartId: string; readonly version: number; readonly event: RecordedEvent };

async function eventsOf(tx: Tx, clientId: string): Promise<Happened[]> {
  const rows = await tx
    .selectFrom('chair_events as e')
    .innerJoin('charts as c', 'c.id', 'e.chart_id')
    .selectAll('e')
    .where('c.client_id', '=', clientId)
    .orderBy('e.seq')
    .execute();
  return rows.map((row) => ({ chartId: row.chart_id, version: row.version, event: eventOfRow(row) }));
}

/** Parties a client is a guest of, or that name them in words. */
async function partiesNaming(tx: Tx, clientId: string, name: string) {
  return tx
    .selectFrom('parties')
    .select(['id', 'name', 'notes', 'plan'])
    .where((eb) =>
      eb.or([
        sql<boolean>`strpos(coalesce(plan::text, ''), ${clientId}) > 0`,
        sql<boolean>`strpos(coalesce(plan::text, ''), ${JSON.stringify(name).slice(1, -1)}) > 0`,
        sql<boolean>`strpos(name || ' ' || notes, ${name}) > 0`,
      ]),
    )
    .execute();
}

/** Other clients whose record names this one. */
async function namedElsewhere(tx: Tx, clientId: string, name: string): Promise<string[]> {
  const rows = await tx
    .selectFrom('clients')
    .select('name')
    .where('id', '!=', clientId)
    .where(sql<boolean>`strpos(guardian_consent || ' ' || notes || ' ' || consult::text, ${name}) > 0`)
    .orderBy('folded')
    .execute();
  return rows.map((row) => row.name);
}

async function outOfParties(tx: Tx, clientId: string, name: string): Promise<void> {
  const written = JSON.stringify(name).slice(1, -1);
  const wholeName = (text: string): string => text.replaceAll(name, SOMEBODY);
  const nameless = withoutName(name);
  for (const party of await partiesNaming(tx, clientId, name)) {
    const plan = party.plan && {
      ...party.plan,
      guests: party.plan.guests.map((guest) =>
        guest.clientId === clientId || guest.name === name
          ? { ...guest, name: nameless(guest.name), clientId: null, chartId: null, notes: '' }
          : guest,
      ),
    };
    const text = plan === null ? null : canonicalJson(plan);
    await tx
      .updateTable('parties')
      .set({
        name: wholeName(party.name),
        notes: wholeName(party.notes),
        plan: text === null ? null : text.replaceAll(written, SOMEBODY),
        revision: sql<number>`revision + 1`,
      })
      .where('id', '=', party.id)
      .execute();
  }
}
