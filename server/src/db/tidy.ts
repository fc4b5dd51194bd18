import { sql } from 'kysely';
import type { Logger } from 'pino';
import type { Db } from './connection';

/** Every so often each process lets go of what has ended, ms. */
const EVERY_MS = 60 * 60_000;

/** Lets go of sessions that have ended and of counts of tries that are over; gives how many of each. */
export async function tidy(db: Db): Promise<{ readonly sessions: number; readonly tries: number }> {
  const sessions = await sql`delete from sessions where expire < now()`.execute(db);
  const tries = await sql`delete from tries where ends < now()`.execute(db);
  return { sessions: Number(sessions.numAffectedRows ?? 0), tries: Number(tries.numAffectedRows ?? 0) };
}

/** Tidies now and from then on; gives what stops it. A database that is away is tidied the next time. */
export function keepTidy(db: Db, logger: Logger): () => void {
  const once = (): void =>
    void tidy(db).catch((error: unknown) =>
      logger.warn({ type: error instanceof Error ? error.name : typeof error }, 'not tidied'),
    );
  once();
  const timer = setInterval(once, EVERY_MS);
  timer.unref();
  return () => clearInterval(timer);
}
