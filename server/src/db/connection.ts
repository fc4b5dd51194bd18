import { Kysely, PostgresDialect, sql, type Transaction } from 'kysely';
import pg from 'pg';
import type { Database } from './schema';

export type Db = Kysely<Database>;
export type Tx = Transaction<Database>;

// Dates stay dates: a Date object would shift them by the server's zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

/** A pool as the app's role. Errors of idle connections are handed on, not thrown. */
export function openPool(url: string, onError: (error: Error) => void): pg.Pool {
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  pool.on('error', onError);
  return pool;
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

/** Runs work in a transaction that sees one account's own memberships, before a studio is chosen. */
export async function asAccount<T>(db: Db, accountId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return db.transaction().execute(async (tx) => {
    await sql`select set_config('toile.account_id', ${accountId}, true)`.execute(tx);
    return work(tx);
  });
}
