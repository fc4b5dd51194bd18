import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/**
 * How what was put on a client wore: looks at a face, added to and never changed, and links by which a client
 * tells.
 */
export const wear: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table wear_checks (
          studio_id uuid not null, id uuid not null, client_id uuid not null, chart_id uuid not null, document jsonb not null, at timestamptz not null, seq bigint generated always as identity,
          primary key (studio_id, id), foreign key (studio_id, client_id) references clients, foreign key (studio_id, chart_id) references charts);
        create index wear_checks_by_chart on wear_checks (studio_id, chart_id, seq);
        create index wear_checks_by_client on wear_checks (studio_id, client_id);
        create index wear_checks_by_time on wear_checks (studio_id, at desc);
        create table wear_links (
          studio_id uuid not null, id uuid not null, chart_id uuid not null, version integer not null, applied_at timestamptz not null, secret_hash text not null, made_by text not null, made_at timestamptz not null default now(),
          expires_at timestamptz not null, revoked_at timestamptz,
          primary key (studio_id, id), foreign key (studio_id, chart_id) references charts);
        create unique index wear_links_by_secret on wear_links (studio_id, secret_hash);
        create index wear_links_by_chart on wear_links (studio_id, chart_id, made_at desc)`,
      )
      .execute(db);
    for (const table of ['wear_checks', 'wear_links'])
      await sql
        .raw(
          `alter table ${table} enable row level security;
          alter table ${table} force row level security;
          create policy own_studio on ${table} using (studio_id = ${OWN}) with check (studio_id = ${OWN});
          grant select, insert on ${table} to toile_app`,
        )
        .execute(db);
    await sql
      .raw(
        `grant update on wear_links to toile_app;
        create or replace function erase_client(erased uuid) returns void language plpgsql security definer set search_path = public, pg_temp as $$
        begin
          delete from wear_links w using charts c where w.studio_id = c.studio_id and w.chart_id = c.id and c.client_id = erased;
          delete from wear_checks where client_id = erased;
          delete from shares s using charts c where s.studio_id = c.studio_id and s.chart_id = c.id and c.client_id = erased;
          delete from visits where client_id = erased;
          delete from chair_events e using charts c where e.studio_id = c.studio_id and e.chart_id = c.id and c.client_id = erased;
          delete from chart_versions v using charts c where v.studio_id = c.studio_id and v.chart_id = c.id and c.client_id = erased;
          delete from charts where client_id = erased;
          delete from readings where client_id = erased;
          delete from simulated_skins where client_id = erased;
          delete from patch_tests where client_id = erased;
          delete from incidents where client_id = erased;
          delete from intakes where client_id = erased;
          delete from clients where id = erased;
        end $$;
        revoke all on function erase_client(uuid) from public;
        grant execute on function erase_client(uuid) to toile_app`,
      )
      .execute(db);
  },
};
