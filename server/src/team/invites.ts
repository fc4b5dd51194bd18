import {
  INVITE_DAYS,
  isUuid,
  newId,
  ROUTES,
  type InviteAnswer,
  type OpenInviteAnswer,
  type Role,
} from '@toile/contract';
import { msg } from '@toile/core';
import { hashOfSecret } from '../db/secrets';
import { inStudio, type Tx } from '../db/connection';
import { tellAudit } from '../http/audit';
import { found, ProblemError } from '../http/problem';
import type { Caller } from '../http/caller';
import { checkedBody, write, type Services } from '../http/register';
import { limitTries } from '../http/tries';
import { hashPassword } from '../session/passwords';
import { enter } from '../session/routes';
import { signOutEverywhere } from '../session/sessions';

/** Links that fail, from one address: nobody guesses a secret of 24 bytes, and nobody is let try. */
const TRIES = { windowMs: 15 * 60_000, tries: 30 } as const;
/** Links told of in one list; older ones are only in the record of who did what. */
const TOLD = 50;
const DAY_MS = 86_400_000;

/**
 * Links that ask somebody into the studio, or let somebody of the team choose a new password; each is taken
 * once.
 */
export function registerInvites(services: Services): void {
  const { app, db, clock } = services;
  const limiter = limitTries(db, 'invites', TRIES);

  write(services, 'createInvite', async ({ tx, caller, body, now }) => {
    const { id, email, name, role, secret } = body;
    const here = await tx
      .selectFrom('memberships as m')
      .innerJoin('accounts as a', 'a.id', 'm.account_id')
      .select('a.id')
      .where('a.email', '=', email)
      .executeTakeFirst();
    if (here)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'email', message: msg`Somebody of the team has this email` }],
      });
    const row = await insert(tx, caller, {
      id,
      email,
      name,
      role,
      secret,
      accountId: null,
      days: INVITE_DAYS.invite,
      now,
    });
    return { status: 201, body: inviteAnswer(row, now), subject: row.id };
  });

  write(services, 'createReset', async ({ tx, caller, body, params, now }) => {
    const member = found(
      await tx
        .selectFrom('memberships as m')
        .innerJoin('accounts as a', 'a.id', 'm.account_id')
        .select(['a.email', 'm.name', 'm.role'])
        .where('m.account_id', '=', params.id)
        .where('m.deactivated_at', 'is', null)
        .executeTakeFirst(),
    );
    const row = await insert(tx, caller, {
      ...member,
      ...body,
      accountId: params.id,
      days: INVITE_DAYS.reset,
      now,
    });
    return { status: 201, body: inviteAnswer(row, now), subject: row.id };
  });

  write(services, 'revokeInvite', async ({ tx, params, now }) => {
    const row = found(
      await tx
        .updateTable('invites')
        .set({ revoked_at: now })
        .where('id', '=', params.id)
        .returningAll()
        .executeTakeFirst(),
    );
    return { body: inviteAnswer(row, now), subject: row.id };
  });

  app.post(ROUTES.openInvite.path, limiter, async (req, res) => {
    const { token } = await checkedBody('openInvite', req.body);
    const shown = await inStudioOf(services, token, async (tx, invite): Promise<OpenInviteAnswer> => {
      const studio = await tx.selectFrom('studios').select('name').executeTakeFirstOrThrow();
      return {
        studio: studio.name,
        email: invite.email,
        name: invite.name,
        reset: invite.account_id !== null,
      };
    });
    res.json(shown);
  });

  app.post(ROUTES.takeInvite.path, limiter, async (req, res) => {
    const { token, name, password } = await checkedBody('takeInvite', req.body);
    const hash = await hashPassword(password);
    const caller = await inStudioOf(services, token, async (tx, invite, studioId): Promise<Caller> => {
      const taken = await tx
        .updateTable('invites')
        .set({ used_at: clock() })
        .where('id', '=', invite.id)
        .where('used_at', 'is', null)
        .returning('id')
        .executeTakeFirst();
      if (!taken) throw new ProblemError('link-ended');
      if (invite.account_id !== null) return resetPassword(tx, studioId, invite.account_id, hash);
      const there = await tx
        .selectFrom('accounts')
        .select('id')
        .where('email', '=', invite.email)
        .executeTakeFirst();
      if (there) throw new ProblemError('has-account');
      const accountId = newId();
      const { email, role } = invite;
      await tx.insertInto('accounts').values({ id: accountId, email, password_hash: hash }).execute();
      await tx
        .insertInto('memberships')
        .values({ studio_id: studioId, account_id: accountId, role, name })
        .execute();
      const caller = { accountId, studioId, name, email, role };
      await tellAudit(tx, caller, 'takeInvite', invite.id);
      return caller;
    });
    res.status(201).json(await enter(req, db, caller));
  });
}

/** Somebody of the team has a new password, and whoever was in by the old one is out. */
async function resetPassword(tx: Tx, studioId: string, accountId: string, hash: string): Promise<Caller> {
  const member = await tx
    .selectFrom('memberships as m')
    .innerJoin('accounts as a', 'a.id', 'm.account_id')
    .select(['m.name', 'm.role', 'a.email'])
    .where('m.account_id', '=', accountId)
    .where('m.deactivated_at', 'is', null)
    .executeTakeFirst();
  if (!member) throw new ProblemError('link-ended');
  await tx.updateTable('accounts').set({ password_hash: hash }).where('id', '=', accountId).execute();
  await signOutEverywhere(tx, accountId);
  const caller = { accountId, studioId, ...member };
  await tellAudit(tx, caller, 'changePassword', accountId);
  return caller;
}

type New = {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  readonly role: Role;
  readonly secret: string;
  readonly accountId: string | null;
  readonly days: number;
  readonly now: Date;
};

async function insert(
  tx: Tx,
  caller: Caller,
  { id, email, name, role, secret, accountId, days, now }: New,
): Promise<Row> {
  const row = await tx
    .insertInto('invites')
    .values({
      studio_id: caller.studioId,
      id,
      account_id: accountId,
      email,
      name,
      role,
      secret_hash: hashOfSecret(secret),
      made_by: caller.name,
      made_at: now,
      expires_at: new Date(now.getTime() + days * DAY_MS),
      used_at: null,
      revoked_at: null,
    })
    .onConflict((c) => c.doNothing())
    .returningAll()
    .executeTakeFirst();
  if (!row) throw new ProblemError('already-there');
  return row;
}

type Row = {
  readonly id: string;
  readonly account_id: string | null;
  readonly email: string;
  readonly name: string;
  readonly role: Role;
  readonly made_by: string;
  readonly expires_at: Date;
  readonly used_at: Date | null;
  readonly revoked_at: Date | null;
};

/**
 * Works with the open invitation a token stands for; one that is unknown, used, taken back or over looks like
 * any other.
 */
async function inStudioOf<T>(
  { db, clock }: Services,
  token: string,
  work: (tx: Tx, invite: Row, studioId: string) => Promise<T>,
): Promise<T> {
  const [studioId = '', secret = ''] = token.split('.');
  if (!isUuid(studioId) || secret === '') throw new ProblemError('link-ended');
  return inStudio(db, studioId, async (tx) => {
    const invite = await tx
      .selectFrom('invites')
      .selectAll()
      .where('secret_hash', '=', hashOfSecret(secret))
      .executeTakeFirst();
    if (!invite || stateOf(invite, clock()) !== 'open') throw new ProblemError('link-ended');
    return work(tx, invite, studioId);
  });
}

/** The links of a studio, newest first. */
export async function invitesOf(tx: Tx, now: Date): Promise<InviteAnswer[]> {
  const rows = await tx
    .selectFrom('invites')
    .selectAll()
    .orderBy('made_at', 'desc')
    .orderBy('id')
    .limit(TOLD)
    .execute();
  return rows.map((row) => inviteAnswer(row, now));
}

function stateOf(row: Row, now: Date): InviteAnswer['state'] {
  if (row.used_at) return 'used';
  if (row.revoked_at) return 'taken back';
  return row.expires_at <= now ? 'ended' : 'open';
}

function inviteAnswer(row: Row, now: Date): InviteAnswer {
  return {
    id: row.id,
    email: row.email,
    name: row.name,
    role: row.role,
    reset: row.account_id !== null,
    madeBy: row.made_by,
    expiresAt: row.expires_at.toISOString(),
    state: stateOf(row, now),
  };
}
