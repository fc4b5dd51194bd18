import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/**
 * People are asked in by links, change their role, and stay named on what they did when they are let in no
 * longer.
 */
export const team: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `alter table memberships add column revision integer not null default 1, add column deactivated_at timestamptz;
        grant update (name, role, revision, deactivated_at) on memberships to toile_app;
        create table invites (
          studio_id uuid not null references studios, id uuid not null, account_id uuid references accounts, email citext not null, name text not null, role text not null,
          secret_hash text not null, made_by text not null, made_at timestamptz not null default now(), expires_at timestamptz not null, used_at timestamptz, revoked_at timestamptz,
          primary key (studio_id, id));
        create unique index invites_by_secret on invites (studio_id, secret_hash);
        alter table invites enable row level security;
        alter table invites force row level security;
        create policy own_studio on invites using (studio_id = ${OWN}) with check (studio_id = ${OWN});
        grant select, insert, update on invites to toile_app;
        create index audit_by_time on audit (studio_id, at desc, id desc);
        create index sessions_by_account on sessions ((sess -> 'caller' ->> 'accountId'))`,
      )
      .execute(db);
  },
};
