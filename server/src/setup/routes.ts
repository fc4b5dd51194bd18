import { ROUTES } from '@toile/contract';
import { ProblemError } from '../http/problem';
import { checkedBody, type Services } from '../http/register';
import { limitTries } from '../http/tries';
import { hashPassword } from '../session/passwords';
import { enter } from '../session/routes';
import { nobodyYet, setUp } from './studio';

/** Tries to set up that fail, from one address. */
const TRIES = { windowMs: 15 * 60_000, tries: 20 } as const;

/** The first start of an installation, once. */
export function registerSetUp({ app, db, clock }: Services): void {
  const limiter = limitTries(db, 'set-up', TRIES);

  app.get(ROUTES.setUpState.path, async (_req, res) => {
    res.json({ needed: await nobodyYet(db) });
  });

  app.post(ROUTES.setUp.path, limiter, async (req, res) => {
    if (!(await nobodyYet(db))) throw new ProblemError('set-up-already');
    const body = await checkedBody('setUp', req.body);
    const caller = await setUp(db, body, await hashPassword(body.password), clock());
    res.status(201).json(await enter(req, db, caller));
  });
}
