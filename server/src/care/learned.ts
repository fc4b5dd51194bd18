import { asWorn, sittingsOf, workedHabits, type LearnedAnswer, type StudioDecision } from '@toile/core';
import { isUuid, type LearnedEvidenceAnswer } from '@toile/contract';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { workedCharts } from '../timings/workedCharts';
import { wearGroups } from './zoneWears';

/** More answers than a studio gives; the newest speak. */
const MOST_ANSWERS = 2000;
/** Charts worked longest ago count no longer: five faces of a kind are looked at. */
const MOST_WORKED = 40;
/** More questions than a studio asks. */
const MOST_QUESTIONS = 500;

/** What was answered to a proposal as its row. */
export function learnedRow(studioId: string, answer: LearnedAnswer) {
  return {
    studio_id: studioId,
    id: answer.id,
    key: answer.key,
    document: JSON.stringify(answer),
    at: answer.at,
  };
}

/** What a studio's evidence says at a fit, and what was answered to it. */
export function registerLearned(services: Services): void {
  read(services, 'learned', async ({ tx, query, now }) => {
    const client = query.client ?? null;
    if (client !== null) {
      if (!isUuid(client)) throw new ProblemError('bad-id');
      found(await tx.selectFrom('clients').select('id').where('id', '=', client).executeTakeFirst());
    }
    return { body: await evidence(tx, client, now) };
  });

  write(services, 'answerLearned', async ({ tx, caller, body, now }) => {
    const answer: LearnedAnswer = { ...body.answer, at: now.toISOString(), by: caller.name };
    const inserted = await tx
      .insertInto('learned_answers')
      .values(learnedRow(caller.studioId, answer))
      .onConflict((c) => c.doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return { status: 201, body: await evidence(tx, null, now), subject: answer.id };
  });
}

async function evidence(tx: Tx, clientId: string | null, now: Date): Promise<LearnedEvidenceAnswer> {
  const answers = await tx
    .selectFrom('learned_answers')
    .select('document')
    .orderBy('seq', 'desc')
    .limit(MOST_ANSWERS)
    .execute();
  return {
    wears: await wearGroups(tx, clientId, now),
    decisions: await decisions(tx),
    habits: (await workedCharts(tx, MOST_WORKED)).flatMap(({ chart, told }) =>
      sittingsOf(told).flatMap((sitting) => workedHabits(asWorn(chart, sitting))),
    ),
    answers: answers.reverse().map((row) => row.document),
  };
}

/** Of each question the newest decision, where it was for more than one client. */
async function decisions(tx: Tx): Promise<StudioDecision[]> {
  const rows = await tx
    .selectFrom('trial_events as e')
    .innerJoin('trials as t', 't.id', 'e.trial_id')
    .distinctOn('t.question_key')
    .select(['t.document', 'e.event'])
    .where('e.kind', '=', 'decided')
    .orderBy('t.question_key')
    .orderBy('e.at', 'desc')
    .limit(MOST_QUESTIONS)
    .execute();
  return rows.flatMap(({ document: { question, skin, declared }, event }): StudioDecision[] =>
    event.kind === 'decided' && event.scope !== 'client'
      ? [{ question, decided: event, skin, zones: declared.zones }]
      : [],
  );
}
