import type { Request } from 'express';
import { sql } from 'kysely';
import { newId, ROUTES, type SessionAnswer } from '@toile/contract';
import { asAccount, inStudio, type Db } from '../db/connection';
import { ProblemError } from '../http/problem';
import { allowed, callerOf, checkedBody, type Caller, type Services } from '../http/register';
import { limitTries, type TryLimit } from '../http/tries';
import { hashPassword, passwordFits } from './passwords';

/** Signing in and out, who is signed in, and one's own password. */
export function registerSession({ app, db }: Services, limit: TryLimit): void {
  const limiter = limitTries(limit);

  app.post(ROUTES.signIn.path, limiter, async (req, res) => {
    const { email, password } = await checkedBody('signIn', req.body);
    const account = await db.selectFrom('accounts').selectAll().where('email', '=', email).executeTakeFirst();
    if (!(await passwordFits(account?.password_hash, password)) || !account)
      throw new ProblemError('wrong-sign-in');
    const membership = await asAccount(db, account.id, (tx) =>
      tx
        .selectFrom('memberships')
        .selectAll()
        .where('account_id', '=', account.id)
        .orderBy('studio_id')
        .executeTakeFirst(),
    );
    if (!membership) throw new ProblemError('wrong-sign-in');
    const caller: Caller = {
      accountId: account.id,
      studioId: membership.studio_id,
      name: membership.name,
      email: account.email,
      role: membership.role,
    };
    res.json(await enter(req, db, caller));
  });

  app.get(ROUTES.session.path, async (req, res) => {
    res.json(await sessionAnswer(db, callerOf(req)));
  });

  app.post(ROUTES.changePassword.path, limiter, async (req, res) => {
    const caller = allowed(req, 'changePassword');
    const { current, next } = await checkedBody('changePassword', req.body);
    const account = await db
      .selectFrom('accounts')
      .select('password_hash')
      .where('id', '=', caller.accountId)
      .executeTakeFirst();
    if (!(await passwordFits(account?.password_hash, current)))
      throw new ProblemError('wrong-password', {
        fields: [{ path: 'current', message: 'This is not the password you have now' }],
      });
    const hash = await hashPassword(next);
    await inStudio(db, caller.studioId, async (tx) => {
      await tx
        .updateTable('accounts')
        .set({ password_hash: hash })
        .where('id', '=', caller.accountId)
        .execute();
      await tx
        .insertInto('audit')
        .values({
          studio_id: caller.studioId,
          id: newId(),
          account_id: caller.accountId,
          route: 'changePassword',
          subject: caller.accountId,
        })
        .execute();
      // Whoever else is in by the old password is out.
      await sql`delete from sessions where sess -> 'caller' ->> 'accountId' = ${caller.accountId}`.execute(
        tx,
      );
    });
    res.json(await enter(req, db, caller));
  });

  app.delete(ROUTES.signOut.path, async (req, res) => {
    await new Promise<void>((resolve, reject) =>
      req.session.destroy((error: unknown) => (error ? reject(toError(error)) : resolve())),
    );
    res.clearCookie('toile').status(204).end();
  });
}

/** A new session for whoever comes in: none that was there before is taken over. */
export async function enter(req: Request, db: Db, caller: Caller): Promise<SessionAnswer> {
  await new Promise<void>((resolve, reject) =>
    req.session.regenerate((error: unknown) => (error ? reject(toError(error)) : resolve())),
  );
  req.session.caller = caller;
  return sessionAnswer(db, caller);
}

const toError = (error: unknown): Error => (error instanceof Error ? error : new Error(String(error)));

async function sessionAnswer(db: Db, caller: Caller): Promise<SessionAnswer> {
  const studio = await inStudio(db, caller.studioId, (tx) =>
    tx.selectFrom('studios').selectAll().executeTakeFirstOrThrow(),
  );
  return {
    name: caller.name,
    email: caller.email,
    role: caller.role,
    studio: { id: studio.id, name: studio.name },
  };
}
