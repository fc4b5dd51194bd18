import { sql, type Kysely, type Migration } from 'kysely';
import { eraseClientSql } from '../eraseClient';
import { ownStudioSql } from '../ownStudio';

/**
 * Half-face trials: each as it was declared and drawn, and what was told of it, added to and never changed.
 */
export const trials: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table trials (
          studio_id uuid not null, id uuid not null, client_id uuid not null, chart_id uuid not null, question_key text not null, document jsonb not null, at timestamptz not null, seq bigint generated always as identity,
          primary key (studio_id, id), foreign key (studio_id, client_id) references clients, foreign key (studio_id, chart_id) references charts);
        create index trials_by_chart on trials (studio_id, chart_id, seq);
        create index trials_by_client on trials (studio_id, client_id);
        create index trials_by_question on trials (studio_id, question_key, seq);
        create table trial_events (
          studio_id uuid not null, id uuid not null, trial_id uuid not null, client_id uuid not null, kind text not null, event jsonb not null, at timestamptz not null, seq bigint generated always as identity,
          primary key (studio_id, id), foreign key (studio_id, trial_id) references trials, foreign key (studio_id, client_id) references clients);
        create index trial_events_by_trial on trial_events (studio_id, trial_id, seq);
        create index trial_events_by_client on trial_events (studio_id, client_id);
        create index trial_events_decided on trial_events (studio_id, trial_id, at) where kind = 'decided';
        create unique index trial_judged_once on trial_events (studio_id, trial_id) where kind = 'judged';
        alter table wear_links add column trial_id uuid`,
      )
      .execute(db);
    for (const table of ['trials', 'trial_events'])
      await sql.raw(ownStudioSql(table, 'select, insert')).execute(db);
    await sql.raw(eraseClientSql(['trial_events', 'trials'])).execute(db);
  },
};
