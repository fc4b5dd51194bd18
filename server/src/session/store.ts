import connectPgSimple from 'connect-pg-simple';
import type { Request } from 'express';
import session, { type SessionData } from 'express-session';
import type { Pool } from 'pg';
import type { Logger } from 'pino';
import type { Marks } from '../db/marks';

declare module 'express-serve-static-core' {
  interface Request {
    /** The marks of the caller's studio when the session was read: asked for in the same go. */
    marks?: Marks;
  }
}

type Kept = { readonly sess: SessionData; readonly marks: Marks };

/** A session in use is kept alive so often at most, ms: not with every request. */
const EVERY_MS = 60_000;
/** Sessions remembered as kept alive; beyond that all are forgotten, and kept alive once more. */
const MOST_KEPT = 20_000;

/**
 * Sessions in the database. That one could not be kept alive is logged and no more: it is tried behind an
 * answer that is already on its way, which must not be cut off for it.
 */
export function sessionStore(pool: Pool, logger: Logger): session.Store {
  const Store = connectPgSimple(session);
  const kept = new Map<string, number>();
  const marks = new WeakMap<SessionData, Marks>();
  class Lasting extends Store {
    override get(sid: string, told: (error: unknown, data?: SessionData | null) => void): void {
      pool
        .query<Kept>(
          `select sess, marks_of_studio((sess -> 'caller' ->> 'studioId')::uuid) as marks
           from sessions where sid = $1 and expire >= now()`,
          [sid],
        )
        .then(
          ({ rows: [one] }) => {
            if (one) marks.set(one.sess, one.marks);
            told(null, one?.sess ?? null);
          },
          (error: unknown) => told(error),
        );
    }
    override createSession(req: Request, data: SessionData): session.Session & SessionData {
      req.marks = marks.get(data);
      return super.createSession(req, data);
    }
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
