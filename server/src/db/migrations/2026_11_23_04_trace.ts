import { sql, type Kysely, type Migration } from 'kysely';

/**
 * What a face is traced from beside measurements: taps on a photo, in mm, and another face it was started
 * from.
 */
export const trace: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw("alter table clients add column taps jsonb not null default '{}', add column likeness jsonb")
      .execute(db);
  },
};
