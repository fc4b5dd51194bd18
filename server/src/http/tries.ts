import { createHash } from 'node:crypto';
import type { Request, RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit, type ClientRateLimitInfo, type Store } from 'express-rate-limit';
import { sql } from 'kysely';
import type { Db } from '../db/connection';
import { ProblemError } from './problem';

/** So many tries that fail in so long; those that succeed are not counted. */
export type TryLimit = { readonly windowMs: number; readonly tries: number };

/** By what tries are counted together. */
type Counted = (req: Request) => string;
export const byAddress: Counted = (req) => ipKeyGenerator(req.ip ?? 'nowhere');

/**
 * Stops whoever failed too often, on whichever server process: counts are rows of the database. `name` keeps
 * the counts of different doors apart; addresses and what else is counted by are kept as hashes.
 */
export function limitTries(
  db: Db,
  name: string,
  { windowMs, tries }: TryLimit,
  by: Counted = byAddress,
): RequestHandler {
  return rateLimit({
    windowMs,
    limit: tries,
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    keyGenerator: (req) => `${name} ${createHash('sha256').update(by(req)).digest('hex')}`,
    store: new CountedTries(db, windowMs),
    // Each limiter counts one request once: that two share the table is meant.
    validate: { unsharedStore: false },
    handler: () => {
      throw new ProblemError('too-many-tries');
    },
  });
}

/** Tries in the table all processes share: one statement counts one, however many come at once. */
class CountedTries implements Store {
  readonly localKeys = false;

  constructor(
    private readonly db: Db,
    private readonly windowMs: number,
  ) {}

  async increment(key: string): Promise<ClientRateLimitInfo> {
    const { rows } = await sql<{ hits: number; ends: Date }>`
      insert into tries (key, hits, ends) values (${key}, 1, now() + make_interval(secs => ${this.windowMs / 1000}))
      on conflict (key) do update set
        hits = case when tries.ends <= now() then 1 else tries.hits + 1 end,
        ends = case when tries.ends <= now() then excluded.ends else tries.ends end
      returning hits, ends`.execute(this.db);
    const [row] = rows;
    if (!row) throw new Error('a try was not counted');
    return { totalHits: row.hits, resetTime: row.ends };
  }

  /**
   * One that succeeded, or was cut off, is taken back. That it could not be is no reason to fail what is
   * answered.
   */
  async decrement(key: string): Promise<void> {
    await sql`update tries set hits = greatest(0, hits - 1) where key = ${key}`
      .execute(this.db)
      .catch(() => undefined);
  }

  async resetKey(key: string): Promise<void> {
    await sql`delete from tries where key = ${key}`.execute(this.db);
  }
}
