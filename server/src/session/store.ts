import connectPgSimple from 'connect-pg-simple';
import session, { type SessionData } from 'express-session';
import type { Pool } from 'pg';
import type { Logger } from 'pino';

/** A session in use is kept alive so often at most, ms: not with every request. */
const EVERY_MS = 60_000;
/** Sessions remembered as kept alive; beyond that all are forgotten, and kept alive once more. */
const MOST_KEPT = 20_000;

/**
 * Sessions in the database. That one could not be kept alive is logged and no more: it is tried behind an answer
 * that is already on its way, which must not be cut off for it.
 */
export function sessionStore(pool: Pool, logger: Logger): session.Store {
  const Store = connectPgSimple(session);
  const kept = new Map<string, number>();
  class Lasting extends Store {
    override touch(sid: string, data: SessionData, done?: () => void): void {
      const now = Date.now();
      if (now - (kept.get(sid) ?? 0) < EVERY_MS) return void done?.();
      if (kept.size >= MOST_KEPT) kept.clear();
      kept.set(sid, now);
      super.touch(sid, data, (error?: unknown) => {
        if (error)
          logger.warn({ type: error instanceof Error ? error.name : typeof error }, 'session not kept alive');
        done?.();
      });
    }
  }
  return new Lasting({
    pool,
    tableName: 'sessions',
    createTableIfMissing: false,
    pruneSessionInterval: false,
  });
}
