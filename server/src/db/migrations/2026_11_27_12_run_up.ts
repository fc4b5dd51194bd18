import { sql, type Kysely, type Migration } from 'kysely';

/** When a visit was booked, and what of its run-up is done. */
export const runUp: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql`
      alter table visits
        add column booked_on date not null default current_date,
        add column run_up text[] not null default '{}'`.execute(db);
  },
};
