import { sql } from 'kysely';
import type { MemberAnswer, Role } from '@toile/contract';
import type { Tx } from '../db/connection';
import { oneAtATime } from '../db/locks';
import { found, ProblemError } from '../http/problem';
import type { Caller } from '../http/caller';
import { read, write, type Services } from '../http/register';
import { signOutEverywhere } from '../session/sessions';
import { invitesOf } from './invites';

/** Who works here: their role, and whether they are let in. */
export function registerTeam(services: Services): void {
  read(services, 'team', async ({ tx, caller, now }) => ({
    body: { members: await membersOf(tx, caller), invites: await invitesOf(tx, now) },
  }));

  write(services, 'updateMember', async ({ tx, caller, body, params, revision, stale, now }) => {
    // Two owners who take the role from each other at once: one of them stays.
    await oneAtATime(tx, `team ${caller.studioId}`);
    const there = found((await membersOf(tx, caller)).find((member) => member.id === params.id));
    if (there.revision !== revision) throw stale(there, body);
    const leaves = there.role === 'owner' && (body.role !== 'owner' || !body.active);
    if (leaves && there.deactivatedAt === null && (await ownersLeft(tx, params.id)) === 0)
      throw new ProblemError('last-owner');
    await tx
      .updateTable('memberships')
      .set({
        name: body.name,
        role: body.role,
        deactivated_at: body.active ? null : (there.deactivatedAt ?? now),
        revision: sql<number>`revision + 1`,
      })
      .where('account_id', '=', params.id)
      .execute();
    // A session keeps who somebody was when they signed in.
    if (!body.active || body.role !== there.role || body.name !== there.name)
      await signOutEverywhere(tx, params.id, caller.studioId);
    const current = found((await membersOf(tx, caller)).find((member) => member.id === params.id));
    return { body: current, subject: params.id, revision: current.revision };
  });
}

async function ownersLeft(tx: Tx, without: string): Promise<number> {
  const rows = await tx
    .selectFrom('memberships')
    .select('account_id')
    .where('role', '=', 'owner' satisfies Role)
    .where('deactivated_at', 'is', null)
    .where('account_id', '!=', without)
    .execute();
  return rows.length;
}

async function membersOf(tx: Tx, caller: Caller): Promise<MemberAnswer[]> {
  const rows = await tx
    .selectFrom('memberships as m')
    .innerJoin('accounts as a', 'a.id', 'm.account_id')
    .select(['a.id', 'a.email', 'm.name', 'm.role', 'm.revision', 'm.deactivated_at'])
    .orderBy('m.name')
    .orderBy('a.id')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    email: row.email,
    role: row.role,
    revision: row.revision,
    deactivatedAt: row.deactivated_at?.toISOString() ?? null,
    self: row.id === caller.accountId,
  }));
}
