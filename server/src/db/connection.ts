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
export function openPool(url: string, onError: (error: Error) => void, connections = 10): pg.Pool {
  const pool = new pg.Pool({
    connectionString: url,
    max: connections,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: STATEMENT_MS,
    lock_timeout: LOCK_MS,
    idle_in_transaction_session_timeout: IDLE_MS,
  });
  pool.on('error', onError);
  pool.on('connect', (client) => client.on('error', onError));
  return pool;
}

/** Longer than this nobody waits for a connection, ms: an answer that says to try again is of more use. */
const CONNECT_MS = 5000;
/**
 * One statement, and one wait for a lock, take no longer than this, ms; the whole of a studio is read in
 * parts.
 */
const STATEMENT_MS = 30_000;
const LOCK_MS = 10_000;
/** A transaction in which nothing is asked for so long was left by its process, ms. */
const IDLE_MS = 60_000;
/**
 * What the driver says, without a code, when a connection ends in the middle of a query or cannot be had in
 * time.
 */
const LOST =
  /^(Connection terminated|Client has encountered a connection error|timeout exceeded when trying to connect)/;
const AWAY = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EAI_AGAIN']);
/**
 * Classes of SQLSTATE that pass by themselves or by its operator's hand: connection, transaction rollback,
 * resources, operator intervention, system error; 55P03 a lock not had in time, 25006 a primary that has just
 * become a standby.
 */
const PASSING = /^(08|40|53|57|58)|^55P03$|^25006$/;
/** Data that no column takes: data exceptions, and constraints other than a name that is taken. */
const UNKEEPABLE = /^(22|2350[234]|23514|23P01)/;

/**
 * Whether an error says that the database cannot do it for the moment: stopping, starting, full, out of
 * connections, too slow, or cut off.
 */
export function isDatabaseAway(error: unknown): boolean {
  if (error === null || typeof error !== 'object') return false;
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  const message = 'message' in error && typeof error.message === 'string' ? error.message : '';
  return AWAY.has(code) || (isSqlState(code) && PASSING.test(code)) || LOST.test(message);
}

const isSqlState = (code: string): boolean => /^[0-9A-Z]{5}$/.test(code);

/** Whether an error says that what was sent cannot be kept: the sender's to mend, not ours. */
export function isUnkeepable(error: unknown): boolean {
  if (error === null || typeof error !== 'object' || !('code' in error)) return false;
  return typeof error.code === 'string' && isSqlState(error.code) && UNKEEPABLE.test(error.code);
}

export function openDb(pool: pg.Pool): Db {
  return new Kysely<Database>({ dialect: new PostgresDialect({ pool }) });
}

/** Until the transaction ends, no other studio's rows are seen. */
async function onlyStudio(tx: Tx, studioId: string): Promise<void> {
  await sql`select set_config('toile.studio_id', ${studioId}, true)`.execute(tx);
}

/** Runs work in a transaction that sees one studio's rows and no others. */
export async function inStudio<T>(db: Db, studioId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return db.transaction().execute(async (tx) => {
    await onlyStudio(tx, studioId);
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
      await onlyStudio(tx, studioId);
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
