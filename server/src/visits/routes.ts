import { sql } from 'kysely';
import type { VisitAnswer, VisitInput } from '@toile/contract';
import { msg, type RunUpKind } from '@toile/core';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { write, type Services } from '../http/register';
import { studioDay } from '../studio/day';
import { visitsWhere } from './queries';

/** Visits: a trial, the day, a portrait; asked for, booked, moved, done, cancelled and brought back. */
export function registerVisits(services: Services): void {
  write(services, 'createVisit', async ({ tx, caller, body, now }) => {
    await checkReferred(tx, body);
    const inserted = await tx
      .insertInto('visits')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        chart_id: null,
        booked_on: await studioDay(tx, now),
        ...columns(body),
      })
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return { status: 201, body: await visitAnswer(tx, body.id), subject: body.id, revision: 1 };
  });

  write(services, 'tickRunUp', async ({ tx, body, params }) => {
    // Said again it is said: two phones that tick one task tick it once.
    const without = sql<RunUpKind[]>`array_remove(run_up, ${body.task}::text)`;
    const row = found(
      await tx
        .updateTable('visits')
        .set({ run_up: body.done ? sql<RunUpKind[]>`array_append(${without}, ${body.task}::text)` : without })
        .where('id', '=', params.id)
        .returning('id')
        .executeTakeFirst(),
    );
    return { body: await visitAnswer(tx, row.id), subject: row.id };
  });

  write(services, 'updateVisit', async ({ tx, body, params, revision, stale }) => {
    const there = await visitAnswer(tx, params.id);
    const wrong = body.id !== params.id ? 'id' : body.clientId !== there.clientId ? 'clientId' : null;
    if (wrong)
      throw new ProblemError('bad-input', {
        fields: [
          {
            path: wrong,
            message: wrong === 'id' ? msg`must be the id of the address` : msg`A visit stays with its client`,
          },
        ],
      });
    await checkReferred(tx, body);
    const updated = await tx
      .updateTable('visits')
      .set({ ...columns(body), revision: sql<number>`revision + 1` })
      .where('id', '=', params.id)
      .where('revision', '=', revision)
      .returning('revision')
      .executeTakeFirst();
    const current = await visitAnswer(tx, params.id);
    if (!updated) throw stale(current, body);
    return { body: current, subject: body.id, revision: updated.revision };
  });
}

function columns(body: VisitInput) {
  return {
    client_id: body.clientId,
    party_id: body.partyId,
    kind: body.kind,
    date: body.date,
    starts_at: body.startsAt,
    ready_by: body.readyBy,
    place: body.place,
    state: body.state,
    // A visit that was brought back needs no excuse any more.
    reason: body.state === 'cancelled' ? body.reason : '',
    occasion: body.occasion === null ? null : JSON.stringify(body.occasion),
  };
}

/** The client and the party a visit names are the studio's own. */
async function checkReferred(tx: Tx, { clientId, partyId }: VisitInput): Promise<void> {
  found(await tx.selectFrom('clients').select('id').where('id', '=', clientId).executeTakeFirst());
  if (partyId)
    found(await tx.selectFrom('parties').select('id').where('id', '=', partyId).executeTakeFirst());
}

async function visitAnswer(tx: Tx, id: string): Promise<VisitAnswer> {
  const [visit] = await visitsWhere(tx, { id });
  return found(visit);
}
