import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/**
 * What is told of a party's day and of its packing: added to, never changed; two phones at once lose nothing.
 */
export const partyLog: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table party_events (
          studio_id uuid not null, id uuid not null, party_id uuid not null, event jsonb not null, at timestamptz not null, seq bigint generated always as identity,
          primary key (studio_id, id), foreign key (studio_id, party_id) references parties);
        create index party_events_by_party on party_events (studio_id, party_id, seq);
        alter table party_events enable row level security;
        alter table party_events force row level security;
        create policy own_studio on party_events using (studio_id = ${OWN}) with check (studio_id = ${OWN});
        grant select, insert on party_events to toile_app`,
      )
      .execute(db);
  },
};
