import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/**
 * Links that show one version of a chart to whoever has them, until they end or are taken back. Only a hash
 * of the secret is kept.
 */
export const shares: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table shares (
          studio_id uuid not null, id uuid not null, chart_id uuid not null, version integer not null, secret_hash text not null, cautions boolean not null,
          made_by text not null, made_at timestamptz not null default now(), expires_at timestamptz not null, revoked_at timestamptz,
          primary key (studio_id, id), foreign key (studio_id, chart_id) references charts);
        create index shares_by_chart on shares (studio_id, chart_id);
        create unique index shares_by_secret on shares (studio_id, secret_hash)`,
      )
      .execute(db);
    await sql
      .raw('alter table shares enable row level security; alter table shares force row level security')
      .execute(db);
    await sql
      .raw(`create policy own_studio on shares using (studio_id = ${OWN}) with check (studio_id = ${OWN})`)
      .execute(db);
    await sql.raw('grant select, insert, update on shares to toile_app').execute(db);
  },
};
