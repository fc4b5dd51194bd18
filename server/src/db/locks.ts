import { sql } from 'kysely';
import type { Tx } from './connection';

/**
 * Lets whoever works on the same thing go first, until their transaction ends; what is read after this is
 * what they left.
 */
export async function oneAtATime(tx: Tx, thing: string): Promise<void> {
  await sql`select pg_advisory_xact_lock(hashtextextended(${thing}, 0))`.execute(tx);
}
