import { sql } from 'kysely';
import type { PartyAnswer, PartyInput } from '@toile/contract';
import { msg, type PartyPlan } from '@toile/core';
import { announce } from '../charts/live';
import type { Tx } from '../db/connection';
import { found, ProblemError } from '../http/problem';
import { read, write, type Services } from '../http/register';
import { visitsWhere } from '../visits/queries';
import { chartLines, newestCharts, withBooked } from './charts';
import { partySummaries, partySummaryOf } from './summaries';

/** The newest parties that are listed: more than a studio has in many years. */
const MOST_LISTED = 2000;

/** Parties and who is made up for them. */
export function registerParties(services: Services): void {
  read(services, 'listParties', async ({ tx }) => {
    const rows = await partySummaries(tx).orderBy('p.date', 'desc').limit(MOST_LISTED).execute();
    return { body: rows.map(partySummaryOf) };
  });

  read(services, 'party', async ({ tx, params }) => {
    const body = await partyAnswer(tx, params.id);
    return { body, revision: body.revision };
  });

  write(services, 'createParty', async ({ tx, caller, body }) => {
    const inserted = await tx
      .insertInto('parties')
      .values({ studio_id: caller.studioId, ...columns(body), id: body.id })
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    return { status: 201, body: await partyAnswer(tx, body.id), subject: body.id, revision: 1 };
  });

  write(services, 'updateParty', async ({ tx, body, params, revision, stale }) => {
    if (body.id !== params.id)
      throw new ProblemError('bad-input', {
        fields: [{ path: 'id', message: msg`must be the id of the address` }],
      });
    const updated = await tx
      .updateTable('parties')
      .set({ ...columns(body), revision: sql<number>`revision + 1` })
      .where('id', '=', params.id)
      .where('revision', '=', revision)
      .returning('revision')
      .executeTakeFirst();
    const current = await partyAnswer(tx, params.id);
    if (!updated) throw stale(current, body);
    await announce(tx, body.id);
    return { body: current, subject: body.id, revision: updated.revision };
  });
}

function columns({ name, date, place, notes, plan }: PartyInput) {
  return { name, date, place, notes, plan: JSON.stringify(plan) };
}

async function partyAnswer(tx: Tx, id: string): Promise<PartyAnswer> {
  const row = found(await tx.selectFrom('parties').selectAll().where('id', '=', id).executeTakeFirst());
  const visits = await visitsWhere(tx, { partyId: row.id });
  return {
    id: row.id,
    revision: row.revision,
    name: row.name,
    date: row.date,
    place: row.place,
    notes: row.notes,
    peopleCount: peopleIn(row.plan, visits.filter((visit) => visit.state !== 'cancelled').length),
    visits,
    plan: row.plan,
    charts: chartLines(await newestCharts(tx, withBooked(row, visits))),
  };
}

/** Those of the plan where there is one; else those who have a visit. */
function peopleIn(plan: PartyPlan | null, visits: number): number {
  return plan ? plan.guests.length : visits;
}
