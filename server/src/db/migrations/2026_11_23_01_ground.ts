import { sql, type Kysely, type Migration } from 'kysely';

const STATEMENTS = `
create extension if not exists citext;
create extension if not exists pg_trgm;
create extension if not exists unaccent;

create function fold(value text) returns text language sql immutable strict parallel safe
  as $$ select lower(public.unaccent('public.unaccent', value)) $$;

create table accounts (id uuid primary key, email citext not null unique, password_hash text not null);
create table studios (id uuid primary key, name text not null);
create table sessions (sid varchar primary key, sess json not null, expire timestamptz(6) not null);
create index sessions_expire on sessions (expire);

create table memberships (
  studio_id uuid not null references studios, account_id uuid not null references accounts,
  role text not null check (role in ('owner', 'artist', 'assistant')), name text not null,
  primary key (studio_id, account_id));
create table clients (
  studio_id uuid not null references studios, id uuid not null, revision integer not null default 1,
  name text not null, folded text generated always as (fold(name)) stored,
  contact jsonb not null, birth_year integer, guardian_consent text not null, sensitivities jsonb not null, notes text not null,
  features jsonb not null, measurements jsonb not null,
  created_at timestamptz not null default now(), updated_at timestamptz not null default now(),
  primary key (studio_id, id));
create index clients_by_name on clients (studio_id, folded);
create index clients_by_sound on clients using gin (folded gin_trgm_ops);
create table readings (
  studio_id uuid not null, id uuid not null, client_id uuid not null, at timestamptz not null, by_name text not null,
  source text not null check (source in ('reader', 'typed', 'import')), zones jsonb not null,
  primary key (studio_id, id), foreign key (studio_id, client_id) references clients);
create index readings_by_client on readings (studio_id, client_id, at desc);
create table simulated_skins (
  studio_id uuid not null, client_id uuid not null, skin jsonb not null,
  primary key (studio_id, client_id), foreign key (studio_id, client_id) references clients);
create table products (studio_id uuid not null references studios, id uuid not null, revision integer not null default 1, document jsonb not null, primary key (studio_id, id));
create table units (
  studio_id uuid not null, id uuid not null, product_id uuid not null, revision integer not null default 1, document jsonb not null,
  primary key (studio_id, id), foreign key (studio_id, product_id) references products);
create table look_versions (
  studio_id uuid not null references studios, look_id uuid not null, version integer not null check (version > 0), name text not null, document jsonb not null,
  created_at timestamptz not null default now(), primary key (studio_id, look_id, version));
create table parties (
  studio_id uuid not null references studios, id uuid not null, revision integer not null default 1, name text not null, date date not null, place text not null, notes text not null,
  primary key (studio_id, id));
create table charts (
  studio_id uuid not null, id uuid not null, client_id uuid not null,
  primary key (studio_id, id), foreign key (studio_id, client_id) references clients);
create index charts_by_client on charts (studio_id, client_id);
create table visits (
  studio_id uuid not null, id uuid not null, client_id uuid not null, party_id uuid, kind text not null, date date not null, starts_at text not null, ready_by text, place text not null, chart_id uuid,
  primary key (studio_id, id), foreign key (studio_id, client_id) references clients,
  foreign key (studio_id, party_id) references parties, foreign key (studio_id, chart_id) references charts);
create index visits_by_date on visits (studio_id, date, starts_at);
create table chart_versions (
  studio_id uuid not null, chart_id uuid not null, version integer not null check (version > 0), document jsonb not null, hash text not null,
  author text not null, reason text not null, at timestamptz not null,
  primary key (studio_id, chart_id, version), foreign key (studio_id, chart_id) references charts);
create table chair_events (
  studio_id uuid not null, id uuid not null, chart_id uuid not null, version integer not null, step_id uuid not null, event jsonb not null, at timestamptz not null, seq bigint generated always as identity,
  primary key (studio_id, id), foreign key (studio_id, chart_id, version) references chart_versions);
create index chair_events_by_chart on chair_events (studio_id, chart_id, version, seq);
create table audit (
  studio_id uuid not null references studios, id uuid not null, account_id uuid, route text not null, subject text, at timestamptz not null default now(),
  primary key (studio_id, id));
create table idempotency (
  studio_id uuid not null references studios, key text not null, account_id uuid not null, request_hash text not null, status integer, body jsonb, at timestamptz not null default now(),
  primary key (studio_id, key));
`;

const SETTING = (name: string): string => `(select nullif(current_setting('toile.${name}', true), '')::uuid)`;
const GUARDED = [
  'clients',
  'readings',
  'simulated_skins',
  'products',
  'units',
  'look_versions',
  'parties',
  'visits',
  'charts',
  'chart_versions',
  'chair_events',
  'audit',
  'idempotency',
];
const NEVER_CHANGED = ['readings', 'look_versions', 'charts', 'chart_versions', 'chair_events', 'audit'];

/**
 * The first ground: tables, row level security, and a role that owns nothing and may change only what is not
 * history.
 */
export const ground: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql.raw(STATEMENTS).execute(db);
    for (const table of [...GUARDED, 'memberships', 'studios']) {
      await sql
        .raw(`alter table ${table} enable row level security; alter table ${table} force row level security`)
        .execute(db);
    }
    for (const table of GUARDED) {
      await sql
        .raw(
          `create policy own_studio on ${table} using (studio_id = ${SETTING('studio_id')}) with check (studio_id = ${SETTING('studio_id')})`,
        )
        .execute(db);
    }
    await sql
      .raw(
        `create policy own_studio on studios using (id = ${SETTING('studio_id')}) with check (id = ${SETTING('studio_id')})`,
      )
      .execute(db);
    // Signing in must find an account's studios before one is chosen.
    await sql
      .raw(
        `create policy own_studio on memberships using (studio_id = ${SETTING('studio_id')} or account_id = ${SETTING('account_id')}) with check (studio_id = ${SETTING('studio_id')})`,
      )
      .execute(db);
    await sql
      .raw(
        'grant usage on schema public to toile_app; grant select, insert on all tables in schema public to toile_app; grant usage on all sequences in schema public to toile_app',
      )
      .execute(db);
    const changeable = [...GUARDED.filter((t) => !NEVER_CHANGED.includes(t)), 'sessions'];
    for (const table of changeable) await sql.raw(`grant update on ${table} to toile_app`).execute(db);
    await sql
      .raw('grant delete on sessions to toile_app; grant delete on idempotency to toile_app')
      .execute(db);
    await sql.raw('revoke all on table kysely_migration, kysely_migration_lock from toile_app').execute(db);
  },
};
