import { sql, type Kysely, type Migration } from 'kysely';

/**
 * Failed tries at the doors, counted for all server processes together: no studio's rows, and nobody's name
 * in them.
 */
export const tries: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table tries (key text primary key, hits integer not null, ends timestamptz not null);
        create index tries_by_end on tries (ends);
        grant select, insert, update, delete on tries to toile_app;`,
      )
      .execute(db);
  },
};
