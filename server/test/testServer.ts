import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import pg from 'pg';
import { pino } from 'pino';
import request, { type Agent, type Test } from 'supertest';
import { newId, type StudioBundle } from '@toile/contract';
import { demoStudio, secondStudio, SECOND_SIGN_IN, SIGN_INS } from '@toile/demo';
import { buildApp, type AppOptions } from '../src/app';
import { openLive } from '../src/charts/live';
import { inStudio, openDb, openPool, type Db } from '../src/db/connection';
import { migrate } from '../src/db/migrate';
import { importStudio } from '../src/studio/importStudio';

export const TODAY = '2031-05-14';
const TEMPLATE = 'toile_template';

function setting(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: run the tests through npm test or npm run check`);
  return value;
}

const withDatabase = (url: string, database: string): string => {
  const made = new URL(url);
  made.pathname = `/${database}`;
  return made.toString();
};

/** A migrated template, made once for all test files; later ones wait for the first. */
async function ensureTemplate(superClient: pg.Client): Promise<void> {
  await superClient.query('select pg_advisory_lock(4600)');
  try {
    const { rowCount } = await superClient.query('select 1 from pg_database where datname = $1', [TEMPLATE]);
    if (rowCount) return;
    await superClient.query(`create database ${TEMPLATE}_making owner toile_owner`);
    await migrate(withDatabase(setting('TOILE_TEST_OWNER_URL'), `${TEMPLATE}_making`));
    await superClient.query(`alter database ${TEMPLATE}_making rename to ${TEMPLATE}`);
    await superClient.query(`alter database ${TEMPLATE} with allow_connections false`);
  } finally {
    await superClient.query('select pg_advisory_unlock(4600)');
  }
}

export type TestServer = {
  readonly db: Db;
  readonly pool: pg.Pool;
  readonly appUrl: string;
  readonly ownerUrl: string;
  readonly app: Express;
  readonly agent: () => Agent;
  /**
   * Signed in as one of the demo people: 'owner', 'artist', 'assistant', or 'stranger' of the other studio.
   */
  readonly signedIn: (who: 'owner' | 'artist' | 'assistant' | 'stranger') => Promise<Agent>;
  readonly stop: () => Promise<void>;
};

/** A server on a fresh database with both demo studios, or with nobody at all. */
export async function testServer(
  options: Partial<AppOptions> = {},
  studios: readonly StudioBundle[] = [demo, secondStudio()],
): Promise<TestServer> {
  const superClient = new pg.Client({ connectionString: setting('TOILE_TEST_SUPER_URL') });
  await superClient.connect();
  await ensureTemplate(superClient);
  const database = `test_${randomUUID().replaceAll('-', '')}`;
  await superClient.query(`create database ${database} template ${TEMPLATE} owner toile_owner`);
  const appUrl = withDatabase(setting('TOILE_TEST_APP_URL'), database);
  const pool = openPool(appUrl, () => undefined);
  const db = openDb(pool);
  const passwords = new Map([...SIGN_INS, SECOND_SIGN_IN].map(({ email, password }) => [email, password]));
  for (const bundle of studios) {
    const result = await importStudio(db, JSON.stringify(bundle), passwords);
    if (!result.ok) throw new Error(JSON.stringify(result.problems.slice(0, 3)));
  }
  const live = openLive(pool);
  const app = buildApp({
    pool,
    live,
    logger: pino({ level: 'silent' }),
    sessionSecret: 'only for tests',
    webRoot: null,
    clock: () => new Date(`${TODAY}T08:00:00Z`),
    random: () => 0.5,
    ...options,
  });
  const people = {
    owner: SIGN_INS[0],
    artist: SIGN_INS[1],
    assistant: SIGN_INS[2],
    stranger: SECOND_SIGN_IN,
  };
  return {
    db,
    pool,
    appUrl,
    ownerUrl: withDatabase(setting('TOILE_TEST_OWNER_URL'), database),
    app,
    agent: () => request.agent(app),
    signedIn: async (who) => {
      const agent = request.agent(app);
      const { email, password } = people[who];
      await agent.post('/api/session').send({ email, password }).expect(200);
      return agent;
    },
    stop: async () => {
      live.stop();
      await pool.end();
      await superClient.query(`drop database ${database} with (force)`);
      await superClient.end();
    },
  };
}

export const demo: StudioBundle = demoStudio(TODAY);

/** Notes of somebody what they are sensitive to, as if it were told since. */
export const noteOf = (
  { db }: Pick<TestServer, 'db'>,
  clientId: string,
  sensitivities: readonly string[],
): Promise<unknown> =>
  inStudio(db, demo.studio.id, (tx) =>
    tx
      .updateTable('clients')
      .set({ sensitivities: JSON.stringify(sensitivities) })
      .where('id', '=', clientId)
      .execute(),
  );

/** A write with a fresh idempotency key. */
export const keyed = () => ({ 'idempotency-key': newId() });

/** Asks for a file: the body of the answer is its bytes. */
export const asBytes = (asked: Test): Test =>
  asked
    .buffer(true)
    .parse((res, done) => {
      const parts: Buffer[] = [];
      res.on('data', (part: Buffer) => parts.push(part));
      res.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
