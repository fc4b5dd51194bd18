import { found, ProblemError } from '../http/problem';
import { write, type Services } from '../http/register';
import { visitsWhere } from './queries';

/** Booked visits: a trial, the day, a portrait. */
export function registerVisits(services: Services): void {
  write(services, 'createVisit', async ({ tx, caller, body }) => {
    found(await tx.selectFrom('clients').select('id').where('id', '=', body.clientId).executeTakeFirst());
    if (body.partyId)
      found(await tx.selectFrom('parties').select('id').where('id', '=', body.partyId).executeTakeFirst());
    const inserted = await tx
      .insertInto('visits')
      .values({
        studio_id: caller.studioId,
        id: body.id,
        client_id: body.clientId,
        party_id: body.partyId,
        kind: body.kind,
        date: body.date,
        starts_at: body.startsAt,
        ready_by: body.readyBy,
        place: body.place,
        chart_id: null,
      })
      .onConflict((c) => c.columns(['studio_id', 'id']).doNothing())
      .returning('id')
      .executeTakeFirst();
    if (!inserted) throw new ProblemError('already-there');
    const [visit] = await visitsWhere(tx, { id: body.id });
    return { status: 201, body: found(visit), subject: body.id };
  });
}
