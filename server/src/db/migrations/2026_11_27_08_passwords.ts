import { sql, type Kysely, type Migration } from 'kysely';

/** People change their own password: the app may write that one column. */
export const passwords: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql`grant update (password_hash) on accounts to toile_app`.execute(db);
  },
};
