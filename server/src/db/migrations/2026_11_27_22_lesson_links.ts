import { sql, type Kysely, type Migration } from 'kysely';
import { eraseClientSql } from '../eraseClient';
import { ownStudioSql } from '../ownStudio';

/** Links that show a client a lesson of their own: which version, which of its steps, in how many minutes. */
export const lessonLinks: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table lesson_links (
          studio_id uuid not null, id uuid not null, chart_id uuid not null, client_id uuid not null, version integer not null, minutes integer not null, keep jsonb not null, secret_hash text not null, made_by text not null, made_at timestamptz not null default now(),
          expires_at timestamptz, revoked_at timestamptz,
          primary key (studio_id, id), foreign key (studio_id, chart_id) references charts, foreign key (studio_id, client_id) references clients);
        create unique index lesson_links_by_secret on lesson_links (studio_id, secret_hash);
        create index lesson_links_by_chart on lesson_links (studio_id, chart_id, made_at desc);
        create index lesson_links_by_client on lesson_links (studio_id, client_id);
        ${ownStudioSql('lesson_links', 'select, insert, update')}`,
      )
      .execute(db);
    await sql.raw(eraseClientSql(['trial_events', 'trials', 'zone_wears', 'lesson_links'])).execute(db);
  },
};
