import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/** How each studio does things, a row a studio. */
export const settings: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        'create table studio_settings (studio_id uuid primary key references studios, revision integer not null default 1, document jsonb not null)',
      )
      .execute(db);
    await sql
      .raw(
        'alter table studio_settings enable row level security; alter table studio_settings force row level security',
      )
      .execute(db);
    await sql
      .raw(
        `create policy own_studio on studio_settings using (studio_id = ${OWN}) with check (studio_id = ${OWN})`,
      )
      .execute(db);
    await sql.raw('grant select, insert, update on studio_settings to toile_app').execute(db);
  },
};
