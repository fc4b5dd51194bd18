import { sql, type Kysely, type Migration } from 'kysely';
import { eraseClientSql } from '../eraseClient';
import { ownStudioSql } from '../ownStudio';
import { recountAllWears } from '../recountAllWears';

/**
 * What looks at worn faces come to, a row for each place of each wearing: read out of the looks, so that a
 * studio's wears are counted without reading them all. And what was answered to what they propose.
 */
export const zoneWearsTable: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table zone_wears (
          studio_id uuid not null, chart_id uuid not null, applied_at timestamptz not null, zone text not null, client_id uuid not null, worn text, good integer not null, bad integer,
          primary key (studio_id, chart_id, applied_at, zone), foreign key (studio_id, client_id) references clients, foreign key (studio_id, chart_id) references charts);
        create index zone_wears_by_client on zone_wears (studio_id, client_id);
        create table learned_answers (
          studio_id uuid not null, id uuid not null, key text not null, document jsonb not null, at timestamptz not null, seq bigint generated always as identity,
          primary key (studio_id, id));
        create index learned_answers_by_seq on learned_answers (studio_id, seq)`,
      )
      .execute(db);
    for (const table of ['zone_wears', 'learned_answers'])
      await sql.raw(ownStudioSql(table, 'select, insert')).execute(db);
    await sql.raw(`grant update, delete on zone_wears to toile_app`).execute(db);
    await sql.raw(eraseClientSql(['trial_events', 'trials', 'zone_wears'])).execute(db);
    await recountAllWears(db);
  },
};
