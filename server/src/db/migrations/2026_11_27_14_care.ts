import { sql, type Kysely, type Migration } from 'kysely';

const OWN = `(select nullif(current_setting('toile.studio_id', true), '')::uuid)`;

/**
 * What was said in a first talk, the links it is asked by, what went wrong, calendars by link; and the one
 * way in which what is otherwise never deleted goes: a client's own records, on request.
 */
export const care: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `alter table clients add column consult jsonb not null default '{}';
        create table intakes (
          studio_id uuid not null, id uuid not null, client_id uuid not null, secret_hash text not null, made_by text not null, made_at timestamptz not null default now(),
          expires_at timestamptz not null, used_at timestamptz, revoked_at timestamptz, answers jsonb, settled jsonb not null default '{}',
          primary key (studio_id, id), foreign key (studio_id, client_id) references clients);
        create unique index intakes_by_secret on intakes (studio_id, secret_hash);
        create index intakes_by_client on intakes (studio_id, client_id, made_at desc);
        create table incidents (
          studio_id uuid not null, id uuid not null, client_id uuid not null, document jsonb not null, at timestamptz not null default now(),
          primary key (studio_id, id), foreign key (studio_id, client_id) references clients);
        create index incidents_by_client on incidents (studio_id, client_id);
        create table calendar_feeds (
          studio_id uuid not null, account_id uuid not null, secret_hash text not null, made_at timestamptz not null,
          primary key (studio_id, account_id), foreign key (studio_id, account_id) references memberships);
        create unique index calendar_feeds_by_secret on calendar_feeds (studio_id, secret_hash)`,
      )
      .execute(db);
    for (const table of ['intakes', 'incidents', 'calendar_feeds'])
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
        `grant update on intakes to toile_app;
        grant update, delete on calendar_feeds to toile_app;
        create function erase_client(erased uuid) returns void language plpgsql security definer set search_path = public, pg_temp as $$
        begin
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
