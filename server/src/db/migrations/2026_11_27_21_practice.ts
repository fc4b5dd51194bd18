import { sql, type Kysely, type Migration } from 'kysely';
import { ownStudioSql } from '../ownStudio';

/** Practice of the team's hands: attempts are one's own, and one's own to let go of. */
export const practice: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table practice_events (
          studio_id uuid not null, id uuid not null, account_id uuid not null, kind text not null, skill text, event jsonb not null, at timestamptz not null, seq bigint generated always as identity,
          primary key (studio_id, id), foreign key (studio_id, account_id) references memberships);
        create index practice_events_by_account on practice_events (studio_id, account_id, seq);
        create index practice_events_by_kind on practice_events (studio_id, kind, seq);
        ${ownStudioSql('practice_events', 'select, insert, delete')}`,
      )
      .execute(db);
  },
};
