import type { PartyAnswer, PartySummary } from '@toile/contract';
import { found } from '../http/problem';
import { read, type Services } from '../http/register';
import { visitsWhere } from '../visits/queries';

/** Parties and who is made up for them. */
export function registerParties(services: Services): void {
  read(services, 'listParties', async ({ tx }) => {
    const rows = await tx
      .selectFrom('parties as p')
      .select((eb) => [
        'p.id',
        'p.name',
        'p.date',
        'p.place',
        eb
          .selectFrom('visits')
          .select(eb.fn.countAll<string>().as('n'))
          .whereRef('party_id', '=', 'p.id')
          .as('people'),
      ])
      .orderBy('p.date')
      .limit(200)
      .execute();
    return {
      body: rows.map((p): PartySummary => ({
        id: p.id,
        name: p.name,
        date: p.date,
        place: p.place,
        peopleCount: Number(p.people ?? 0),
      })),
    };
  });

  read(services, 'party', async ({ tx, params }) => {
    const row = found(
      await tx.selectFrom('parties').selectAll().where('id', '=', params.id).executeTakeFirst(),
    );
    const visits = await visitsWhere(tx, { partyId: row.id });
    const answer: PartyAnswer = {
      id: row.id,
      name: row.name,
      date: row.date,
      place: row.place,
      notes: row.notes,
      peopleCount: visits.length,
      visits,
    };
    return { body: answer };
  });
}
