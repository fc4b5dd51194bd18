import { rateLimit } from 'express-rate-limit';
import { ROUTES, type SessionAnswer } from '@toile/contract';
import { asAccount, inStudio, type Db } from '../db/connection';
import { ProblemError } from '../http/problem';
import { callerOf, checkedBody, type Caller, type Services } from '../http/register';
import { passwordFits } from './passwords';

export type SignInLimit = { readonly windowMs: number; readonly tries: number };

/** Signing in and out, and who is signed in. */
export function registerSession({ app, db }: Services, limit: SignInLimit): void {
  const limiter = rateLimit({
    windowMs: limit.windowMs,
    limit: limit.tries,
    standardHeaders: 'draft-7',
    legacyHeaders: false,
    skipSuccessfulRequests: true,
    handler: () => {
      throw new ProblemError('too-many-tries');
    },
  });

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
    await new Promise<void>((resolve, reject) =>
      req.session.regenerate((error: unknown) => (error ? reject(toError(error)) : resolve())),
    );
    req.session.caller = caller;
    res.json(await sessionAnswer(db, caller));
  });

  app.get(ROUTES.session.path, async (req, res) => {
    res.json(await sessionAnswer(db, callerOf(req)));
  });

  app.delete(ROUTES.signOut.path, async (req, res) => {
    await new Promise<void>((resolve, reject) =>
      req.session.destroy((error: unknown) => (error ? reject(toError(error)) : resolve())),
    );
    res.clearCookie('toile').status(204).end();
  });
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
