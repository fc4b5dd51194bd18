import { sql, type Kysely, type Migration } from 'kysely';

/** How far a visit has come, why it was cancelled, what it asks. */
export const visits: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql`
      alter table visits
        add column revision integer not null default 1,
        add column state text not null default 'booked' check (state in ('asked', 'booked', 'done', 'cancelled')),
        add column reason text not null default '',
        add column occasion jsonb,
        add check (state <> 'cancelled' or reason <> '')`.execute(db);
  },
};
