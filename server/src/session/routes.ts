import type { Request } from 'express';
import { ROUTES, type AnswerOf, type SessionAnswer } from '@toile/contract';
import { msg } from '@toile/core';
import { asAccount, inStudio, type Db } from '../db/connection';
import { tellAudit } from '../http/audit';
import { ProblemError } from '../http/problem';
import type { Caller } from '../http/caller';
import { allowed, checkedBody, signedInAs, type Services } from '../http/register';
import { byAddress, limitTries, type TryLimit } from '../http/tries';
import { hashPassword, passwordFits } from './passwords';
import { deviceInWords, devicesOf, endSessions, signOutEverywhere } from './sessions';

/**
 * A venue's one address is many people's, and an account may be tried from many addresses: so many times as
 * often.
 */
const MANY = 10;
const emailOf = (req: Request): string => {
  const body: unknown = req.body;
  const email = body !== null && typeof body === 'object' && 'email' in body ? body.email : '';
  return typeof email === 'string' ? email.trim().toLowerCase() : '';
};

/** Signing in and out, who is signed in and where, and one's own password. */
export function registerSession({ app, db }: Services, limit: TryLimit): void {
  const many = { ...limit, tries: MANY * limit.tries };
  const doors = [
    limitTries(db, 'sign-in', limit, (req) => `${byAddress(req)} ${emailOf(req)}`),
    limitTries(db, 'sign-in address', many),
    limitTries(db, 'sign-in account', many, emailOf),
  ];
  app.post(ROUTES.signIn.path, ...doors, async (req, res) => {
    const { email, password } = await checkedBody('signIn', req.body);
    const account = await db.selectFrom('accounts').selectAll().where('email', '=', email).executeTakeFirst();
    if (!(await passwordFits(account?.password_hash, password)) || !account)
      throw new ProblemError('wrong-sign-in');
    const membership = await asAccount(db, account.id, (tx) =>
      tx
        .selectFrom('memberships')
        .selectAll()
        .where('account_id', '=', account.id)
        .where('deactivated_at', 'is', null)
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
    const caller = signedInAs(req);
    const answer: AnswerOf<'session'> = caller && (await sessionAnswer(db, caller));
    res.json(answer);
  });

  // Its own count: wrong words here lock nobody out of signing in.
  app.post(ROUTES.changePassword.path, limitTries(db, 'password', limit), async (req, res) => {
    const caller = allowed(req, 'changePassword');
    const { current, next } = await checkedBody('changePassword', req.body);
    const account = await db
      .selectFrom('accounts')
      .select('password_hash')
      .where('id', '=', caller.accountId)
      .executeTakeFirst();
    if (!(await passwordFits(account?.password_hash, current)))
      throw new ProblemError('wrong-password', {
        fields: [{ path: 'current', message: msg`This is not the password you have now` }],
      });
    const hash = await hashPassword(next);
    await inStudio(db, caller.studioId, async (tx) => {
      await tx
        .updateTable('accounts')
        .set({ password_hash: hash })
        .where('id', '=', caller.accountId)
        .execute();
      await tellAudit(tx, caller, 'changePassword', caller.accountId);
      // Whoever else is in by the old password is out.
      await signOutEverywhere(tx, caller.accountId);
    });
    res.json(await enter(req, db, caller));
  });

  app.get(ROUTES.devices.path, async (req, res) => {
    res.json(await devicesOf(db, allowed(req, 'devices'), req));
  });

  app.post(ROUTES.endSessions.path, async (req, res) => {
    const caller = allowed(req, 'endSessions');
    const { id } = await checkedBody('endSessions', req.body);
    const left = await inStudio(db, caller.studioId, async (tx) => {
      const ended = await endSessions(tx, caller, req, id);
      if (id !== null && ended === 0) throw new ProblemError('not-found');
      await tellAudit(tx, caller, 'endSessions', caller.accountId);
      return devicesOf(tx, caller, req);
    });
    res.json(left);
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
  req.session.device = deviceInWords(req.get('user-agent'));
  req.session.since = new Date().toISOString();
  // Kept before it is answered: who is told to be in is in.
  await new Promise<void>((resolve, reject) =>
    req.session.save((error: unknown) => (error ? reject(toError(error)) : resolve())),
  );
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
