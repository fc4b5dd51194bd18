import { randomUUID } from 'node:crypto';
import net from 'node:net';
import pg from 'pg';
import { pino } from 'pino';
import request from 'supertest';
import { buildApp } from '../src/app';
import { openLive } from '../src/charts/live';
import { openPool } from '../src/db/connection';
import { migrate } from '../src/db/migrate';
import { patiently } from '../src/db/patiently';

/** Kysely's own key for PostgreSQL. */
const MIGRATION_LOCK = '3853314791062309107';

// A start beside a database that is not there yet, and two starts at once.
let superClient: pg.Client;
let database: string;
let ownerUrl: string;
beforeAll(async () => {
  superClient = new pg.Client({ connectionString: process.env.TOILE_TEST_SUPER_URL });
  await superClient.connect();
});
afterAll(() => superClient.end());
beforeEach(async () => {
  database = `starting_${randomUUID().replaceAll('-', '')}`;
  await superClient.query(`create database ${database} owner toile_owner`);
  const url = new URL(process.env.TOILE_TEST_OWNER_URL!);
  url.pathname = `/${database}`;
  ownerUrl = url.toString();
});
afterEach(async () => void (await superClient.query(`drop database ${database} with (force)`)));

/** A port on which nothing listens, of those the system gives to nobody who connects. */
async function freePort(): Promise<number> {
  for (;;) {
    const port = 20_000 + Math.floor(Math.random() * 4_000);
    const server = net.createServer();
    const free = await new Promise<boolean>((resolve) => {
      server.once('error', () => resolve(false));
      server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
    });
    if (free) return port;
  }
}
const at = (port: number): string => {
  const url = new URL(ownerUrl);
  url.port = String(port);
  return url.toString();
};

test('two first starters at once: one migrates, the other finds it done', async () => {
  const done = await Promise.all([1, 2, 3].map(() => migrate(ownerUrl)));
  const counts = done.map((names) => names.length).sort((a, b) => a - b);
  expect(counts[0]).toBe(0);
  expect(counts[1]).toBe(0);
  expect(counts[2]).toBeGreaterThan(10);
});

test('a connection lost while it migrates fails the migration, and nothing else', async () => {
  const holder = new pg.Client({ connectionString: ownerUrl });
  await holder.connect();
  // The migrator's own lock, taken before it can be.
  await holder.query('begin');
  await holder.query(`select pg_advisory_xact_lock(${MIGRATION_LOCK})`);
  const failing = expect(migrate(ownerUrl)).rejects.toThrow();
  const ended = async (): Promise<boolean> => {
    const { rowCount } = await superClient.query(
      `select pg_terminate_backend(pid) from pg_stat_activity where datname = $1 and wait_event = 'advisory'`,
      [database],
    );
    return rowCount === 1;
  };
  while (!(await ended())) await new Promise((resolve) => setTimeout(resolve, 20));
  await failing;
  await holder.end();
  expect((await migrate(ownerUrl)).length).toBeGreaterThan(10);
});

test('a start waits until the database can be reached, and says so meanwhile', async () => {
  const port = await freePort();
  const home = new URL(ownerUrl);
  const relay = net.createServer((socket) => {
    const on = net.connect(Number(home.port), home.hostname);
    socket.pipe(on).pipe(socket);
    for (const end of [socket, on]) end.on('error', () => void [socket, on].forEach((one) => one.destroy()));
  });
  let waits = 0;
  const started = patiently(() => migrate(at(port)), { withinMs: 20_000, onWait: () => void waits++ });
  await new Promise((resolve) => setTimeout(resolve, 1200));
  expect(waits).toBeGreaterThan(0);
  relay.listen(port, '127.0.0.1');
  expect((await started).length).toBeGreaterThan(10);
  await new Promise((resolve) => relay.close(resolve));
});

test('it does not wait for ever, nor at all for what no waiting mends', async () => {
  const port = await freePort();
  await expect(patiently(() => migrate(at(port)), { withinMs: 700 })).rejects.toThrow();
  let tries = 0;
  const wrong = (): Promise<never> => {
    tries++;
    return Promise.reject(Object.assign(new Error('no such table'), { code: '42P01' }));
  };
  await expect(patiently(wrong, { withinMs: 20_000 })).rejects.toThrow('no such table');
  expect(tries).toBe(1);
});

test('without its database a server is alive, not ready, and says when to ask again', async () => {
  const pool = openPool(at(await freePort()), () => undefined);
  const live = openLive(pool);
  const app = buildApp({
    pool,
    live,
    logger: pino({ level: 'silent' }),
    sessionSecret: 'only for tests',
    webRoot: null,
  });
  await request(app).get('/healthz').expect(200);
  for (const path of ['/readyz', '/api/setup']) {
    const answer = await request(app).get(path);
    expect([path, answer.status, answer.get('retry-after')]).toEqual([path, 503, '1']);
    expect(answer.type).toBe('application/problem+json');
  }
  live.stop();
  await pool.end();
});
