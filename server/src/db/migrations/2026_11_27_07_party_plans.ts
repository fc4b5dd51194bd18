import { sql, type Kysely, type Migration } from 'kysely';

/** How a party's day is to go, as one document. */
export const partyPlans: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql`alter table parties add column plan jsonb`.execute(db);
  },
};
