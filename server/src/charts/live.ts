import { EventEmitter } from 'node:events';
import type { Response } from 'express';
import type pg from 'pg';
import { sql } from 'kysely';
import { ROUTES } from '@toile/contract';
import { inStudio, type Tx } from '../db/connection';
import { found } from '../http/problem';
import { allowed, checkedParams, type Services } from '../http/register';

/** Where the database tells every server process that a chart, or a party's day, has changed. */
const CHANNEL = 'toile_chart';
/** An open line is spoken on at least this often, or proxies close it, ms. */
const HEARTBEAT_MS = 25_000;
const RETRY_MS = 1000;

/** Tells whoever has a chart or a party open, on whichever server process, that something was recorded. */
export type Live = {
  /** Speaks on a line whenever one of these has changed. */
  readonly follow: (ids: readonly string[], res: Response) => void;
  /** How many lines are held open. */
  readonly lines: () => number;
  readonly stop: () => void;
};

/** Says within a transaction that a chart or a party has changed: heard once it is committed. */
export async function announce(tx: Tx, id: string): Promise<void> {
  await sql`select pg_notify(${CHANNEL}, ${id})`.execute(tx);
}

/**
 * Listens on one connection of the pool from the first follower on; comes back by itself when the connection
 * is lost.
 */
export function openLive(pool: pg.Pool): Live {
  const heard = new EventEmitter().setMaxListeners(0);
  const open = new Set<Response>();
  let letGo: (() => void) | null = null;
  let connecting = false;
  let stopped = false;

  const again = (): void => {
    if (!stopped) setTimeout(() => void connect(), RETRY_MS).unref();
  };
  const connect = async (): Promise<void> => {
    if (letGo || connecting || stopped) return;
    connecting = true;
    try {
      const held = await pool.connect();
      // One that is lost says so more than once, also after it was let go; the pool takes it back once.
      let lost = false;
      const drop = (): void => {
        if (lost) return;
        lost = true;
        if (letGo === drop) letGo = null;
        held.release(true);
      };
      held.on('notification', ({ payload }) => void (payload && heard.emit(payload)));
      held.on('error', () => {
        const wasHeld = letGo === drop;
        drop();
        if (wasHeld) again();
      });
      try {
        await held.query(`listen ${CHANNEL}`);
      } catch (error) {
        drop();
        throw error;
      }
      if (stopped) drop();
      else if (lost) again();
      else letGo = drop;
    } catch {
      again();
    } finally {
      connecting = false;
    }
  };

  return {
    follow: (ids, res) => {
      void connect();
      open.add(res);
      const tell = (): void => void res.write('event: changed\ndata: {}\n\n');
      for (const id of ids) heard.on(id, tell);
      const beat = setInterval(() => res.write(': here\n\n'), HEARTBEAT_MS);
      beat.unref();
      res.on('close', () => {
        clearInterval(beat);
        for (const id of ids) heard.off(id, tell);
        open.delete(res);
      });
    },
    lines: () => open.size,
    stop: () => {
      stopped = true;
      for (const res of open) res.end();
      letGo?.();
    },
  };
}

/** The line on which a chart's changes are told as server-sent events, to those who may see it. */
export function registerLive(services: Services, live: Live): void {
  services.app.get(ROUTES.liveChart.path, async (req, res) => {
    const caller = allowed(req, 'liveChart');
    const { id } = checkedParams(req, 'liveChart');
    await inStudio(services.db, caller.studioId, async (tx) =>
      found(await tx.selectFrom('charts').select('id').where('id', '=', id!).executeTakeFirst()),
    );
    openLine(live, [id!], res);
  });
}

/** Opens a line of server-sent events that says `changed` for any of these. */
export function openLine(live: Live, ids: readonly string[], res: Response): void {
  // no-transform: a compressed line would be held back until it is full.
  res.set({
    'content-type': 'text/event-stream',
    'cache-control': 'no-cache, no-transform',
    'x-accel-buffering': 'no',
  });
  res.flushHeaders();
  res.write(': open\n\n');
  live.follow(ids, res);
}
