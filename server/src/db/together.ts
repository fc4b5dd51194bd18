import { sql, type Expression } from 'kysely';
import type { Tx } from './connection';

/** What a column is after a way through JSON: a moment is text. */
type Told<T> = T extends Date ? string : T;
type ToldRow<O> = { readonly [K in keyof O]: Told<O[K]> };

/**
 * Asks several things in one statement: what a phone waits for is one way to the database and back, not one
 * for each. Rows keep their order and come as JSON has them, moments as text (`instant` makes them the text
 * of an answer); counts of 64 bits come as numbers.
 */
export async function together<T extends Record<string, object>>(
  tx: Tx,
  asked: { readonly [K in keyof T]: Expression<T[K]> },
): Promise<{ readonly [K in keyof T]: readonly ToldRow<T[K]>[] }> {
  const parts = Object.entries<Expression<object>>(asked).map(
    ([name, query]) =>
      sql`(select coalesce(json_agg(row_to_json(one)), '[]') from ${query} as one) as ${sql.id(name)}`,
  );
  const { rows } = await sql<{ readonly [K in keyof T]: readonly ToldRow<T[K]>[] }>`
    select ${sql.join(parts)}`.execute(tx);
  return rows[0]!;
}

/** A moment as answers have it, from a column or from its way through JSON. */
export const instant = (at: Date | string): string => new Date(at).toISOString();
