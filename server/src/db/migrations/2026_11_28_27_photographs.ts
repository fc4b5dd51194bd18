import { sql, type Kysely, type Migration } from 'kysely';
import { eraseClientSql } from '../eraseClient';
import { ownStudioSql } from '../ownStudio';

/**
 * Photographs of made-up faces, where the studio keeps them and the client agreed. A picture is kept as it
 * is: it does not get smaller.
 */
export const photographs: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table photographs (
          studio_id uuid not null, id uuid not null, client_id uuid not null, chart_id uuid not null, taken_at timestamptz not null, light text not null, taps jsonb not null, bare jsonb,
          picture bytea not null, kept_by text not null, kept_at timestamptz not null default now(),
          primary key (studio_id, id), foreign key (studio_id, chart_id) references charts, foreign key (studio_id, client_id) references clients);
        alter table photographs alter column picture set storage external;
        create index photographs_by_chart on photographs (studio_id, chart_id, taken_at);
        create index photographs_by_client on photographs (studio_id, client_id);
        ${ownStudioSql('photographs', 'select, insert, delete')}`,
      )
      .execute(db);
    await sql
      .raw(
        eraseClientSql(['photographs', 'compacts', 'trial_events', 'trials', 'zone_wears', 'lesson_links']),
      )
      .execute(db);
  },
};
