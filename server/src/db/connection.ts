import { Kysely, PostgresDialect, sql, type Transaction } from 'kysely';
import pg from 'pg';
import type { Database } from './schema';

export type Db = Kysely<Database>;
export type Tx = Transaction<Database>;

// Dates stay dates: a Date object would shift them by the server's zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

/**
 * A pool as the app's role. A lost connection is handed on, not thrown, whether it lay idle or was in use:
 * the pool listens to idle ones only, and an error nobody listens to ends the process.
 */
export function openPool(url: string, onError: (error: Error) => void): pg.Pool {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: CONNECT_MS });
  pool.on('error', onError);
  pool.on('connect', (client) => client.on('error', onError));
  return pool;
}

/** Longer than this nobody waits for a connection, ms: an answer that says to try again is of more use. */
const CONNECT_MS = 5000;
/**
 * What the driver says, without a code, when a connection ends in the middle of a query or cannot be had in
 * time.
 */
const LOST =
  /^(Connection terminated|Client has encountered a connection error|timeout exceeded when trying to connect)/;
const AWAY = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', '53300']);

/**
 * Whether an error says that the database is away for the moment: stopping, starting, out of connections, or
 * cut off.
 */
export function isDatabaseAway(error: unknown): boolean {
  if (error === null || typeof error !== 'object') return false;
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  const message = 'message' in error && typeof error.message === 'string' ? error.message : '';
  return AWAY.has(code) || code.startsWith('57P') || code.startsWith('08') || LOST.test(message);
}

export function openDb(pool: pg.Pool): Db {
  return new Kysely<Database>({ dialect: new PostgresDialect({ pool }) });
}

/** Runs work in a transaction that sees one studio's rows and no others. */
export async function inStudio<T>(db: Db, studioId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return db.transaction().execute(async (tx) => {
    await sql`select set_config('toile.studio_id', ${studioId}, true)`.execute(tx);
    return work(tx);
  });
}

/** The same, on one and the same state of the rows however long it takes; for reading only. */
export async function inStudioAsItIs<T>(db: Db, studioId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return db
    .transaction()
    .setIsolationLevel('repeatable read')
    .setAccessMode('read only')
    .execute(async (tx) => {
      await sql`select set_config('toile.studio_id', ${studioId}, true)`.execute(tx);
      return work(tx);
    });
}

/** Runs work in a transaction that sees one account's own memberships, before a studio is chosen. */
export async function asAccount<T>(db: Db, accountId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return db.transaction().execute(async (tx) => {
    await sql`select set_config('toile.account_id', ${accountId}, true)`.execute(tx);
    return work(tx);
  });
}
