import connectPgSimple from 'connect-pg-simple';
import session, { type SessionData } from 'express-session';
import type { Pool } from 'pg';
import type { Logger } from 'pino';

/**
 * Sessions in the database. That one could not be kept alive is logged and no more: it is tried behind an answer
 * that is already on its way, which must not be cut off for it.
 */
export function sessionStore(pool: Pool, logger: Logger): session.Store {
  const Store = connectPgSimple(session);
  class Lasting extends Store {
    override touch(sid: string, data: SessionData, done?: () => void): void {
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
