import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

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
        alter table practice_events enable row level security;
        alter table practice_events force row level security;
        create policy own_studio on practice_events using (studio_id = ${OWN}) with check (studio_id = ${OWN});
        grant select, insert, delete on practice_events to toile_app`,
      )
      .execute(db);
  },
};
