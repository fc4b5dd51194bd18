import { sql, type Kysely, type Migration } from 'kysely';

/** What a client has to work with, in a link to a lesson; null: nobody was asked. */
export const lessonTools: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql.raw('alter table lesson_links add column tools jsonb').execute(db);
  },
};
