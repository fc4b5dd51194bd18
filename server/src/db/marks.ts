import { sql } from 'kysely';
import type { Db, Tx } from './connection';
import type { STUDIO_TABLES } from './schema';

/**
 * Tables that leave no mark: those that tell of requests themselves, and what the database makes of another.
 */
export const UNMARKED = ['audit', 'idempotency', 'name_threes'] as const;
/** Tables whose writes leave a mark: all others of a studio. */
export type MarkedTable = Exclude<(typeof STUDIO_TABLES)[number], (typeof UNMARKED)[number]>;
/** The mark of each table that was ever written. */
export type Marks = Readonly<Partial<Record<MarkedTable, string>>>;

/** The marks of a studio, in one short statement; inside a transaction those of what it sees. */
export async function marksOf(db: Db | Tx, studioId: string): Promise<Marks> {
  const { rows } = await sql<{ marks: Marks }>`select marks_of_studio(${studioId}) as marks`.execute(db);
  return rows[0]!.marks;
}

/** Which state some tables are in: the same text only where nothing was written to any of them. */
export const stateOf = (marks: Marks, tables: readonly MarkedTable[]): string =>
  tables.map((table) => marks[table] ?? '').join(',');
