import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/** Looks that are no longer proposed; their versions stay, and so do the charts made of them. */
export const retiredLooks: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table retired_looks (
          studio_id uuid not null references studios, look_id uuid not null,
          primary key (studio_id, look_id));
        alter table retired_looks enable row level security;
        alter table retired_looks force row level security;
        create policy own_studio on retired_looks using (studio_id = ${OWN}) with check (studio_id = ${OWN});
        grant select, insert, delete on retired_looks to toile_app`,
      )
      .execute(db);
  },
};
