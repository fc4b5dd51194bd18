import rateLimit from 'express-rate-limit';
import {
  addDays,
  clientRunUp,
  partyRunUp,
  RUN_UP_WORDS,
  runUpState,
  runUpTasks,
  studioCalendar,
  type CalendarTask,
  type PartyPlan,
} from '@toile/core';
import { isUuid, type FeedAnswer, type VisitAnswer } from '@toile/contract';
import { inStudio, type Tx } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import type { Caller } from '../http/caller';
import { ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { studioDay } from '../studio/day';
import { settingsNow } from '../studio/settings';
import { visitsWhere } from '../visits/queries';

/** A calendar asks every some minutes; more than this from one address is no calendar. */
const ASKS_A_MINUTE = 60;
/** What a calendar holds around today, days. */
const AROUND = { before: 60, after: 550 } as const;

/** One's calendar of the studio by a secret link, which can be renewed and ended. */
export function registerCalendarFeed(services: Services): void {
  read(services, 'calendarFeed', async ({ tx, caller }) => ({ body: await feedAnswer(tx, caller) }));

  write(services, 'renewFeed', async ({ tx, caller, body, now }) => {
    const row = { secret_hash: hashOfSecret(body.secret), made_at: now };
    await tx
      .insertInto('calendar_feeds')
      .values({ studio_id: caller.studioId, account_id: caller.accountId, ...row })
      .onConflict((c) => c.columns(['studio_id', 'account_id']).doUpdateSet(row))
      .execute();
    return { status: 201, body: await feedAnswer(tx, caller) };
  });

  write(services, 'endFeed', async ({ tx, caller }) => {
    await tx.deleteFrom('calendar_feeds').where('account_id', '=', caller.accountId).execute();
    return { body: await feedAnswer(tx, caller) };
  });

  const limit = rateLimit({
    windowMs: 60_000,
    limit: ASKS_A_MINUTE,
    standardHeaders: true,
    legacyHeaders: false,
  });
  services.app.get('/c/:token', limit, async (req, res) => {
    const text = await calendarOf(services, String(req.params.token));
    if (text === null) throw new ProblemError('link-ended');
    res
      .set({ 'cache-control': 'private, max-age=300', 'x-robots-tag': 'noindex' })
      .type('text/calendar')
      .send(text);
  });
}

async function feedAnswer(tx: Tx, caller: Caller): Promise<FeedAnswer> {
  const row = await tx
    .selectFrom('calendar_feeds')
    .select('made_at')
    .where('account_id', '=', caller.accountId)
    .executeTakeFirst();
  return { madeAt: row?.made_at.toISOString() ?? null };
}

/**
 * The calendar a link stands for; null when it is unknown, was renewed or ended, or its owner was let in no
 * longer.
 */
async function calendarOf({ db, clock }: Services, token: string): Promise<string | null> {
  const [studioId = '', secret = '', ending = ''] = token.split('.');
  if (!isUuid(studioId) || secret === '' || ending !== 'ics') return null;
  return inStudio(db, studioId, async (tx) => {
    const feed = await tx
      .selectFrom('calendar_feeds as f')
      .innerJoin('memberships as m', 'm.account_id', 'f.account_id')
      .select('f.account_id')
      .where('f.secret_hash', '=', hashOfSecret(secret))
      .where('m.deactivated_at', 'is', null)
      .executeTakeFirst();
    if (!feed) return null;
    const now = clock();
    const { settings } = await settingsNow(tx);
    const today = await studioDay(tx, now);
    const visits = await visitsWhere(tx, {
      from: addDays(today, -AROUND.before),
      to: addDays(today, AROUND.after),
      standing: true,
    });
    const parties = await tx
      .selectFrom('parties')
      .select(['id', 'name', 'date', 'plan'])
      .where('date', '>=', addDays(today, -AROUND.before))
      .where('date', '<=', addDays(today, AROUND.after))
      .execute();
    return studioCalendar(
      visits,
      [
        ...visits.flatMap((visit) => tasksOf(visit, today)),
        ...parties.flatMap((party) => tasksOfParty(party, today)),
      ],
      settings.zone ?? null,
      now,
    );
  });
}

/** What is still to be done for a party, a day each. */
function tasksOfParty(
  { id, name, date, plan }: { id: string; name: string; date: string; plan: PartyPlan | null },
  today: string,
): CalendarTask[] {
  return partyRunUp(date, plan)
    .filter((task) => runUpState(task, plan?.runUp?.includes(task.id) ?? false, today) !== 'done')
    .map((task) => ({ uid: `${id}/${task.id}`, by: task.by, words: `${name}: ${RUN_UP_WORDS[task.id]}` }));
}

/** What is still to be done for a visit, a day each; a trial has none, nor what is only asked for. */
function tasksOf(visit: VisitAnswer, today: string): CalendarTask[] {
  if (visit.state !== 'booked' && visit.state !== 'done') return [];
  const own = clientRunUp(visit.kind);
  return runUpTasks(visit.date, { bookedOn: visit.bookedOn })
    .filter((task) => own.includes(task.id))
    .filter((task) => !['done', 'missed'].includes(runUpState(task, visit.runUp.includes(task.id), today)))
    .map((task) => ({
      uid: `${visit.id}/${task.id}`,
      by: task.by,
      words: `${visit.clientName}: ${RUN_UP_WORDS[task.id]}`,
    }));
}
