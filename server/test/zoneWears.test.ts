import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { byGroup, groupWears, zoneWears } from '@toile/core';
import { inStudio, openDb, openPool } from '../src/db/connection';
import { wearGroups } from '../src/care/zoneWears';
import { migrate } from '../src/db/migrate';
import { demo } from './testServer';

// A studio that had looks before they were counted: counted when its database is brought up to date, and
// guarded as before.
let superClient: pg.Client;
let database: string;
const at = (url: string): string => {
  const made = new URL(url);
  made.pathname = `/${database}`;
  return made.toString();
};
beforeAll(async () => {
  superClient = new pg.Client({ connectionString: process.env.TOILE_TEST_SUPER_URL });
  await superClient.connect();
  database = `wears_${randomUUID().replaceAll('-', '')}`;
  await superClient.query(`create database ${database} owner toile_owner`);
});
afterAll(async () => {
  await superClient.query(`drop database ${database} with (force)`);
  await superClient.end();
});

test('looks that were told before are counted, of every studio, and the owner is guarded from them again', async () => {
  await migrate(at(process.env.TOILE_TEST_OWNER_URL!), '2026_11_27_18_wear');
  const inside = new pg.Client({ connectionString: at(process.env.TOILE_TEST_SUPER_URL!) });
  await inside.connect();
  const studios = [demo.studio.id, demo.studio.id.replace(/^0190/, '0191')];
  for (const studio of studios) {
    await inside.query(`insert into studios (id, name) values ($1, 'One')`, [studio]);
    const clients = new Set(demo.wearChecks.map(({ clientId }) => clientId));
    for (const client of clients)
      await inside.query(
        `insert into clients (studio_id, id, name, contact, guardian_consent, sensitivities, notes, features, measurements) values ($1, $2, 'Somebody', '{}', '', '[]', '', '{}', '{}')`,
        [studio, client],
      );
    const charts = new Map(demo.wearChecks.map(({ chartId, clientId }) => [chartId, clientId]));
    for (const [chart, client] of charts)
      await inside.query(`insert into charts (studio_id, id, client_id) values ($1, $2, $3)`, [
        studio,
        chart,
        client,
      ]);
    for (const check of demo.wearChecks)
      await inside.query(
        `insert into wear_checks (studio_id, id, client_id, chart_id, document, at) values ($1, $2, $3, $4, $5, $6)`,
        [studio, check.id, check.clientId, check.chartId, JSON.stringify(check), check.at],
      );
  }
  const done = await migrate(at(process.env.TOILE_TEST_OWNER_URL!));
  expect(done).toContain('2026_11_27_20_zone_wears');
  const { rows: guarded } = await inside.query<{ relname: string }>(
    `select relname from pg_class
     where relname in ('clients', 'name_threes', 'wear_checks', 'zone_wears') and relforcerowsecurity order by 1`,
  );
  expect(guarded.map(({ relname }) => relname)).toEqual([
    'clients',
    'name_threes',
    'wear_checks',
    'zone_wears',
  ]);
  // Names that were there before are found too: eight letters are nine threes.
  const { rows: named } = await inside.query<{ all: boolean }>(
    `select count(*) = 9 * (select count(*) from clients) as all from name_threes`,
  );
  expect(named[0]!.all).toBe(true);
  await inside.end();
  const pool = openPool(at(process.env.TOILE_TEST_APP_URL!), () => undefined);
  const now = new Date('2031-06-01T08:00:00Z');
  const expected = groupWears(zoneWears(demo.wearChecks), null, now).sort(byGroup);
  for (const studio of studios) {
    const counted = await inStudio(openDb(pool), studio, (tx) => wearGroups(tx, null, now));
    expect(counted.map(({ weight: _weight, ...rest }) => rest)).toEqual(
      expected.map(({ weight: _weight, ...rest }) => rest),
    );
    counted.forEach(({ weight }, i) => expect(weight).toBeCloseTo(expected[i]!.weight, 6));
  }
  await pool.end();
});
