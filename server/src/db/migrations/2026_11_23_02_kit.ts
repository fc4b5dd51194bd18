import { sql, type Kysely, type Migration } from 'kysely';

const STATEMENTS = `
alter table readings add column extras jsonb not null default '[]';
create table unit_ledger (
  studio_id uuid not null, id uuid not null, unit_id uuid not null, at timestamptz not null default now(), by_name text not null,
  mg double precision not null, reason text not null check (reason in ('bought', 'chart', 'count')), note text not null,
  chart_id uuid, version integer, step_id uuid, seq bigint generated always as identity,
  primary key (studio_id, id), foreign key (studio_id, unit_id) references units);
create index unit_ledger_by_unit on unit_ledger (studio_id, unit_id, seq desc);
create index unit_ledger_by_step on unit_ledger (studio_id, chart_id, version, step_id) where chart_id is not null;
create table palettes (
  studio_id uuid not null references studios, id uuid not null, revision integer not null default 1, document jsonb not null,
  primary key (studio_id, id));
create index units_by_product on units (studio_id, product_id);
create index chart_versions_by_product on chart_versions using gin (document jsonb_path_ops);
`;

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/**
 * The kit in full: a ledger of what is taken from each unit, palettes, and places read beside the usual
 * zones.
 */
export const kit: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql.raw(STATEMENTS).execute(db);
    for (const table of ['unit_ledger', 'palettes']) {
      await sql
        .raw(`alter table ${table} enable row level security; alter table ${table} force row level security`)
        .execute(db);
      await sql
        .raw(
          `create policy own_studio on ${table} using (studio_id = ${OWN}) with check (studio_id = ${OWN})`,
        )
        .execute(db);
      await sql.raw(`grant select, insert on ${table} to toile_app`).execute(db);
    }
    await sql
      .raw(
        'grant update on palettes to toile_app; grant usage on all sequences in schema public to toile_app',
      )
      .execute(db);
  },
};
