import { sql, type Kysely, type Migration } from 'kysely';

/** Old idempotency keys are found by their age, to be let go of. */
export const oldKeys: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql`create index idempotency_by_age on idempotency (studio_id, at)`.execute(db);
  },
};
