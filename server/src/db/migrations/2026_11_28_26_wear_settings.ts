import { sql, type Kysely, type Migration } from 'kysely';
import { recountAllWears } from '../recountAllWears';

/**
 * On what skin and on what kind of day each place was worn, as far as the looks tell: looks told before it
 * was kept do not.
 */
export const wearSettings: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql.raw('alter table zone_wears add column skin text, add column climate text').execute(db);
    await recountAllWears(db, ['skin', 'climate']);
  },
};
