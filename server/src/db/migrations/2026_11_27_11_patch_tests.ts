import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/** Products tried on a small place of a client's skin before they are used. */
export const patchTests: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table patch_tests (
          studio_id uuid not null, id uuid not null, client_id uuid not null, product_id uuid not null, revision integer not null default 1, document jsonb not null,
          primary key (studio_id, id), foreign key (studio_id, client_id) references clients, foreign key (studio_id, product_id) references products);
        create index patch_tests_by_client on patch_tests (studio_id, client_id);
        alter table patch_tests enable row level security;
        alter table patch_tests force row level security;
        create policy own_studio on patch_tests using (studio_id = ${OWN}) with check (studio_id = ${OWN});
        grant select, insert, update on patch_tests to toile_app`,
      )
      .execute(db);
  },
};
