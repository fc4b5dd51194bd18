import {
  dayIn,
  msg,
  practiceNow,
  skillNamed,
  weekSkill,
  type PracticeEvent,
  type PracticeTold,
} from '@toile/core';
import { may, type PracticeAnswer, type SharedSkill } from '@toile/contract';
import type { Tx } from '../db/connection';
import type { Caller } from '../http/caller';
import { ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { settingsNow } from '../studio/settings';
import { zoneOfStudio } from '../studio/day';
import { practiceRow } from './rows';

/** Progress and what is due are told from so many of somebody's attempts, the newest. */
const MOST_OWN = 2000;
/** A phone's clock may be ahead by so much, ms. */
const AHEAD_MS = 10 * 60_000;

/** Practice: private to whoever practises, but for what they share. */
export function registerPractice(services: Services): void {
  read(services, 'practice', async ({ tx, caller, query, now }) => ({
    body: await practiceAnswer(tx, caller, now, query.zone),
  }));

  write(services, 'tellPractice', async ({ tx, caller, body, now }) => {
    const { event } = body;
    if (event.skill !== null && !skillNamed(event.skill))
      throw new ProblemError('bad-input', {
        fields: [{ path: 'event.skill', message: msg`There is no such skill` }],
      });
    if (Date.parse(event.at) > now.getTime() + AHEAD_MS)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'event.at', message: msg`This is still to come` }],
      });
    if (event.kind === 'week' && !may(caller.role, 'manage')) throw new ProblemError('not-allowed');
    const inserted = await tx
      .insertInto('practice_events')
      .values(practiceRow(caller.studioId, caller.accountId, { ...event, by: caller.name }))
      .onConflict((c) => c.doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return {
      status: 201,
      body: await practiceAnswer(tx, caller, now),
      subject: event.id,
    };
  });

  write(services, 'forgetPractice', async ({ tx, caller, body, now }) => {
    let gone = tx
      .deleteFrom('practice_events')
      .where('account_id', '=', caller.accountId)
      .where('kind', '=', 'attempt');
    if (body.skill !== null) gone = gone.where('skill', '=', body.skill);
    await gone.execute();
    return { body: await practiceAnswer(tx, caller, now) };
  });
}

async function practiceAnswer(tx: Tx, caller: Caller, now: Date, asksFrom?: string): Promise<PracticeAnswer> {
  const zone = zoneOfStudio((await settingsNow(tx)).settings, asksFrom);
  const weeks = await tx
    .selectFrom('practice_events')
    .select('event')
    .where('kind', '=', 'week')
    .orderBy('seq', 'desc')
    .limit(20)
    .execute();
  return {
    events: (await newestOf(tx, caller.accountId)).map(withoutName),
    week: weekSkill(
      weeks.map(({ event }) => event),
      dayIn(zone, now),
    ),
    team: await shared(tx, caller.accountId, zone),
  };
}

/** What somebody did and shares, the newest of it, in its order. */
async function newestOf(tx: Tx, accountId: string): Promise<PracticeEvent[]> {
  const rows = await tx
    .selectFrom('practice_events')
    .select('event')
    .where('account_id', '=', accountId)
    .where('kind', '!=', 'week')
    .orderBy('seq', 'desc')
    .limit(MOST_OWN)
    .execute();
  return rows.reverse().map(({ event }) => event);
}

function withoutName({ by: _by, ...event }: PracticeEvent): PracticeTold {
  return event;
}

/** What the others share, by name: for everybody alike, since nobody is ranked by it. */
async function shared(tx: Tx, own: string, zone: string): Promise<SharedSkill[]> {
  const sharing = await tx
    .selectFrom('practice_events as e')
    .innerJoin('memberships as m', 'm.account_id', 'e.account_id')
    .select(['e.account_id', 'm.name'])
    .distinct()
    .where('e.kind', '=', 'shared')
    .where('e.account_id', '!=', own)
    .where('m.deactivated_at', 'is', null)
    .orderBy('m.name')
    .execute();
  const people: { name: string; events: PracticeTold[] }[] = [];
  for (const { account_id, name } of sharing)
    people.push({ name, events: (await newestOf(tx, account_id)).map(withoutName) });
  return people.flatMap(({ name, events }) =>
    practiceNow(events, zone)
      .filter((one) => one.shared)
      .map(({ skill, last, attempts, due }): SharedSkill => ({
        name,
        skill,
        last,
        attempts,
        due,
        at: events.filter((e) => e.kind === 'attempt' && e.skill === skill).at(-1)?.at ?? null,
      })),
  );
}
