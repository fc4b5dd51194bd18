import { MOST_SENSITIVITIES, msg, takenOver, type Consult, type ConsultKey } from '@toile/core';
import { sql } from 'kysely';
import { INTAKE_DAYS, isUuid, ROUTES, type IntakeAnswer } from '@toile/contract';
import { inStudio, type Tx } from '../db/connection';
import { hashOfSecret } from '../db/secrets';
import { found, ProblemError } from '../http/problem';
import { checkedBody, read, write, type Services } from '../http/register';
import { limitTries } from '../http/tries';
import { dropWithoutConsent } from './photographs';

/** Links that fail, from one address: nobody guesses a secret of 24 bytes, and nobody is let try. */
const TRIES = { windowMs: 15 * 60_000, tries: 30 } as const;
/** Links of one client that are told of. */
const TOLD = 20;
const DAY_MS = 86_400_000;

/** First talks by link: a client answers once, on a phone of their own; each answer is taken over by hand. */
export function registerIntakes(services: Services): void {
  const { app, db, clock } = services;
  const limiter = limitTries(db, 'intakes', TRIES);

  read(services, 'listIntakes', async ({ tx, params, now }) => {
    found(await tx.selectFrom('clients').select('id').where('id', '=', params.id).executeTakeFirst());
    const rows = await tx
      .selectFrom('intakes')
      .selectAll()
      .where('client_id', '=', params.id)
      .orderBy('made_at', 'desc')
      .orderBy('id')
      .limit(TOLD)
      .execute();
    return { body: rows.map((row) => intakeAnswer(row, now)) };
  });

  write(services, 'createIntake', async ({ tx, caller, body, params, now }) => {
    found(await tx.selectFrom('clients').select('id').where('id', '=', params.id).executeTakeFirst());
    const row = await tx
      .insertInto('intakes')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        client_id: params.id,
        secret_hash: hashOfSecret(body.secret),
        made_by: caller.name,
        made_at: now,
        expires_at: new Date(now.getTime() + INTAKE_DAYS * DAY_MS),
      })
      .onConflict((c) => c.doNothing())
      .returningAll()
      .executeTakeFirst();
    if (!row) throw new ProblemError('already-there');
    return { status: 201, body: intakeAnswer(row, now), subject: row.id };
  });

  write(services, 'revokeIntake', async ({ tx, params, now }) => {
    const row = found(
      await tx
        .updateTable('intakes')
        .set({ revoked_at: now })
        .where('id', '=', params.id)
        .returningAll()
        .executeTakeFirst(),
    );
    return { body: intakeAnswer(row, now), subject: row.id };
  });

  write(services, 'settleIntake', async ({ tx, body, params, now }) => {
    const there = found(
      await tx.selectFrom('intakes').selectAll().where('id', '=', params.id).forUpdate().executeTakeFirst(),
    );
    const { key, taken } = body;
    if (there.answers?.[key] === undefined)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'key', message: msg`This was not answered` }],
      });
    // Said again, also by another phone, it stays as it was settled first.
    if (there.settled[key] !== undefined) return { body: intakeAnswer(there, now), subject: there.id };
    if (taken) await takeOver(tx, there.client_id, there.answers, key, now);
    const settled = { ...there.settled, [key]: taken ? ('taken' as const) : ('set aside' as const) };
    const row = await tx
      .updateTable('intakes')
      .set({ settled: JSON.stringify(settled) })
      .where('id', '=', params.id)
      .returningAll()
      .executeTakeFirstOrThrow();
    return { body: intakeAnswer(row, now), subject: row.id };
  });

  app.post(ROUTES.openIntake.path, limiter, async (req, res) => {
    const { token } = await checkedBody('openIntake', req.body);
    const shown = await inStudioOf(token, async (tx, intake) => {
      const studio = await tx.selectFrom('studios').select('name').executeTakeFirstOrThrow();
      return { studio: studio.name, expiresAt: intake.expires_at.toISOString() };
    });
    res.json(shown);
  });

  app.post(ROUTES.sendIntake.path, limiter, async (req, res) => {
    const { token, answers } = await checkedBody('sendIntake', req.body);
    await inStudioOf(token, async (tx, intake) => {
      const sent = await tx
        .updateTable('intakes')
        .set({ used_at: clock(), answers: JSON.stringify(answers) })
        .where('id', '=', intake.id)
        .where('used_at', 'is', null)
        .returning('id')
        .executeTakeFirst();
      if (!sent) throw new ProblemError('link-ended');
    });
    res.status(204).end();
  });

  /** Works with the open link a token stands for; unknown, used, taken back and over look alike. */
  async function inStudioOf<T>(token: string, work: (tx: Tx, intake: Row) => Promise<T>): Promise<T> {
    const [studioId = '', secret = ''] = token.split('.');
    if (!isUuid(studioId) || secret === '') throw new ProblemError('link-ended');
    return inStudio(db, studioId, async (tx) => {
      const intake = await tx
        .selectFrom('intakes')
        .selectAll()
        .where('secret_hash', '=', hashOfSecret(secret))
        .executeTakeFirst();
      if (!intake || stateOf(intake, clock()) !== 'open') throw new ProblemError('link-ended');
      return work(tx, intake);
    });
  }
}

/** One answer into the client's record, as it stands now. */
async function takeOver(
  tx: Tx,
  clientId: string,
  answers: Consult,
  key: ConsultKey,
  now: Date,
): Promise<void> {
  const row = found(
    await tx
      .selectFrom('clients')
      .select(['features', 'sensitivities', 'guardian_consent', 'consult'])
      .where('id', '=', clientId)
      .forUpdate()
      .executeTakeFirst(),
  );
  const { features, sensitivities, guardianConsent, consult } = takenOver(
    { ...row, guardianConsent: row.guardian_consent },
    answers,
    key,
  );
  if (sensitivities.length > MOST_SENSITIVITIES)
    throw new ProblemError('bad-input', {
      fields: [
        {
          path: 'key',
          message: msg`At most ${MOST_SENSITIVITIES} are kept with a client: take out what is noted twice, then take this over`,
        },
      ],
    });
  // The consent comes with the words it is for, in whichever order they are taken over.
  const consented = answers.keepHealth === true && (key === 'conditions' || key === 'treatments');
  await tx
    .updateTable('clients')
    .set({
      features: JSON.stringify(features),
      sensitivities: JSON.stringify(sensitivities),
      guardian_consent: guardianConsent,
      consult: JSON.stringify(consented ? { ...consult, keepHealth: true } : consult),
      updated_at: now,
      revision: sql<number>`revision + 1`,
    })
    .where('id', '=', clientId)
    .execute();
  await dropWithoutConsent(tx, clientId);
}

type Row = {
  readonly id: string;
  readonly client_id: string;
  readonly made_by: string;
  readonly made_at: Date;
  readonly expires_at: Date;
  readonly used_at: Date | null;
  readonly revoked_at: Date | null;
  readonly answers: Consult | null;
  readonly settled: IntakeAnswer['settled'];
};

function stateOf(row: Row, now: Date): IntakeAnswer['state'] {
  if (row.used_at) return 'answered';
  if (row.revoked_at) return 'taken back';
  return row.expires_at <= now ? 'ended' : 'open';
}

function intakeAnswer(row: Row, now: Date): IntakeAnswer {
  return {
    id: row.id,
    madeBy: row.made_by,
    madeAt: row.made_at.toISOString(),
    expiresAt: row.expires_at.toISOString(),
    state: stateOf(row, now),
    answers: row.answers,
    settled: row.settled,
  };
}
