import { sql } from 'kysely';
import type { PartySummary } from '@toile/contract';
import type { Tx } from '../db/connection';

/** Parties (`p`) as they are listed, with how many people; which of them is for who asks to say. */
export const partySummaries = (tx: Tx) =>
  tx
    .selectFrom('parties as p')
    .select((eb) => [
      'p.id',
      'p.name',
      'p.date',
      'p.place',
      sql<number | null>`jsonb_array_length(p.plan -> 'guests')`.as('guests'),
      eb
        .selectFrom('visits')
        .select(eb.fn.countAll<string>().as('n'))
        .whereRef('party_id', '=', 'p.id')
        .where('state', '!=', 'cancelled')
        .as('people'),
    ]);

type Row = Awaited<ReturnType<ReturnType<typeof partySummaries>['executeTakeFirstOrThrow']>>;

/** A row as it is told: the people of its plan where there is one, else those who have a visit. */
export const partySummaryOf = ({ id, name, date, place, guests, people }: Row): PartySummary => ({
  id,
  name,
  date,
  place,
  peopleCount: guests ?? Number(people ?? 0),
});
