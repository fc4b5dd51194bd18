import { sql, type Kysely, type Migration } from 'kysely';
import { eraseClientSql } from '../eraseClient';
import { ownStudioSql } from '../ownStudio';

/**
 * What clients take home to put a look on with: pans in tins, for some steps of a chart's version. And which
 * version a link to a lesson showed before it was moved on to a newer one.
 */
export const compacts: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table compacts (
          studio_id uuid not null, id uuid not null, client_id uuid not null, chart_id uuid not null, version integer not null, revision integer not null default 1, document jsonb not null, made_by text not null, made_at timestamptz not null default now(),
          primary key (studio_id, id), foreign key (studio_id, chart_id) references charts, foreign key (studio_id, client_id) references clients);
        create index compacts_by_chart on compacts (studio_id, chart_id, made_at);
        create index compacts_by_client on compacts (studio_id, client_id);
        ${ownStudioSql('compacts', 'select, insert, update')};
        alter table lesson_links add column was_version integer`,
      )
      .execute(db);
    await sql
      .raw(eraseClientSql(['compacts', 'trial_events', 'trials', 'zone_wears', 'lesson_links']))
      .execute(db);
  },
};
