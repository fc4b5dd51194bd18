import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/** Links that show one call sheet of a party to whoever has them, until they end. */
export const sheetLinks: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table sheet_links (
          studio_id uuid not null, id uuid not null, party_id uuid not null, whom text not null, secret_hash text not null, made_by text not null, made_at timestamptz not null default now(),
          expires_at timestamptz not null, revoked_at timestamptz,
          primary key (studio_id, id), foreign key (studio_id, party_id) references parties);
        create unique index sheet_links_by_secret on sheet_links (studio_id, secret_hash);
        create index sheet_links_by_party on sheet_links (studio_id, party_id, made_at desc);
        alter table sheet_links enable row level security;
        alter table sheet_links force row level security;
        create policy own_studio on sheet_links using (studio_id = ${OWN}) with check (studio_id = ${OWN});
        grant select, insert, update on sheet_links to toile_app`,
      )
      .execute(db);
  },
};
