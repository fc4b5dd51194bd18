import { newId, type SetUp } from '@toile/contract';
import { readLook, type Look } from '@toile/core';
import { inStudio, type Db } from '../db/connection';
import { oneAtATime } from '../db/locks';
import type { Caller } from '../http/caller';
import { ProblemError } from '../http/problem';
import { CARRIED } from '../studio/tables';
import starterLooks from './starterLooks.json';

/** Whether an installation has no account at all. */
export async function nobodyYet(db: Db): Promise<boolean> {
  return (await db.selectFrom('accounts').select('id').limit(1).executeTakeFirst()) === undefined;
}

/** The studio, its owner, its time zone and looks to begin with: all or nothing, and only once. */
export async function setUp(
  db: Db,
  { studio, zone, manner, name, email }: SetUp,
  passwordHash: string,
  now: Date,
): Promise<Caller> {
  const studioId = newId();
  const accountId = newId();
  await inStudio(db, studioId, async (tx) => {
    await oneAtATime(tx, 'set up');
    if (await tx.selectFrom('accounts').select('id').limit(1).executeTakeFirst())
      throw new ProblemError('set-up-already');
    const into = { studioId, passwordHashes: new Map<string, string>() };
    await tx.insertInto('studios').values({ id: studioId, name: studio }).execute();
    await tx.insertInto('accounts').values({ id: accountId, email, password_hash: passwordHash }).execute();
    await tx
      .insertInto('memberships')
      .values({ studio_id: studioId, account_id: accountId, role: 'owner', name })
      .execute();
    await CARRIED.settings.takeIn(tx, [{ ruleGrades: {}, zone, ...(manner ? { manner } : {}) }], into);
    await CARRIED.looks.takeIn(tx, starterLooksAt(now), into);
  });
  return { accountId, studioId, name, email, role: 'owner' };
}

/** The looks that ship with the app, each read as any file is. */
export function starterLooksAt(now: Date): Look[] {
  return starterLooks.map((file) => {
    const read = readLook(JSON.stringify(file));
    if (!read.ok)
      throw new Error(
        `a starter look cannot be read: ${read.problems[0]?.path} ${read.problems[0]?.message}`,
      );
    return { ...read.document, at: now.toISOString() };
  });
}
