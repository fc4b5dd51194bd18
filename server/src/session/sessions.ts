import { createHash } from 'node:crypto';
import Bowser from 'bowser';
import type { Request } from 'express';
import { sql } from 'kysely';
import type { DeviceAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import type { Db, Tx } from '../db/connection';
import type { Caller } from '../http/caller';

declare module 'express-session' {
  interface SessionData {
    /** The browser and its machine, as they named themselves. */
    device?: string;
  }
}

const idOf = (sid: string): string => createHash('sha256').update(sid).digest('hex').slice(0, 24);

/** 'Firefox on Android', from what a browser says of itself; never more than that is kept. */
export function deviceInWords(userAgent: string | undefined): string {
  if (!userAgent) return msg`an unknown device`;
  const { browser, os, platform } = Bowser.parse(userAgent);
  const machine = os.name || platform.type;
  return [browser.name || msg`a browser`, machine ? msg`on ${machine}` : null]
    .filter(Boolean)
    .join(' ')
    .slice(0, 80);
}

/** Where an account is signed in, the newest used first. */
export async function devicesOf(db: Db | Tx, caller: Caller, req: Request): Promise<DeviceAnswer[]> {
  const { rows } = await sql<{ sid: string; device: string | null; since: string | null; used: Date }>`
    select sid, sess ->> 'device' as device, sess ->> 'since' as since,
      expire - make_interval(secs => (sess #>> '{cookie,originalMaxAge}')::double precision / 1000) as used
    from sessions
    where sess -> 'caller' ->> 'accountId' = ${caller.accountId} and expire > now()
    order by expire desc limit 100`.execute(db);
  return rows.map((row) => ({
    id: idOf(row.sid),
    device: row.device ?? msg`an unknown device`,
    since: row.since,
    lastUse: row.used.toISOString(),
    here: row.sid === req.sessionID,
  }));
}

/** Ends one of an account's sessions by its id, or all but the one that asks; gives how many. */
export async function endSessions(tx: Tx, caller: Caller, req: Request, id: string | null): Promise<number> {
  const { rows } = await sql<{ sid: string }>`
    select sid from sessions where sess -> 'caller' ->> 'accountId' = ${caller.accountId}`.execute(tx);
  const ending = rows
    .map((row) => row.sid)
    .filter((sid) => (id === null ? sid !== req.sessionID : idOf(sid) === id));
  if (ending.length > 0) await sql`delete from sessions where sid in (${sql.join(ending)})`.execute(tx);
  return ending.length;
}

/** Ends every session of an account, in one studio or wherever it is. */
export async function signOutEverywhere(tx: Tx, accountId: string, studioId?: string): Promise<void> {
  await sql`
    delete from sessions where sess -> 'caller' ->> 'accountId' = ${accountId}
      and (${studioId ?? null}::text is null or sess -> 'caller' ->> 'studioId' = ${studioId ?? null})`.execute(
    tx,
  );
}
