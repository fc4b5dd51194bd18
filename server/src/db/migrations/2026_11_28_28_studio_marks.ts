import { sql, type Kysely, type Migration } from 'kysely';

/** Tables answers are read from: all of a studio's but those that tell of requests themselves. */
const MARKED = [
  'memberships',
  'invites',
  'studio_settings',
  'clients',
  'readings',
  'simulated_skins',
  'products',
  'units',
  'unit_ledger',
  'palettes',
  'look_versions',
  'retired_looks',
  'parties',
  'party_events',
  'sheet_links',
  'visits',
  'patch_tests',
  'incidents',
  'intakes',
  'wear_checks',
  'wear_links',
  'trials',
  'trial_events',
  'photographs',
  'zone_wears',
  'learned_answers',
  'practice_events',
  'lesson_links',
  'compacts',
  'calendar_feeds',
  'charts',
  'chart_versions',
  'chair_events',
  'shares',
] as const;

/**
 * Of each studio one row that holds a mark for every table: another one whenever a transaction wrote there,
 * by whatever way. Marks are drawn, not counted, so that none comes twice, also after a database was put back
 * to an earlier day. They are set at the very end of a transaction, when it waits for nothing else any more:
 * writers of one studio queue there and cannot block each other in a ring.
 */
export const studioMarks: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create table studio_marks (studio_id uuid primary key, marks jsonb not null default '{}') with (fillfactor = 50);
        alter table studio_marks enable row level security;
        create function set_studio_mark() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
          declare
            studio uuid := coalesce(new.studio_id, old.studio_id);
            once text := pg_current_xact_id() || ':' || studio || ':' || tg_table_name || ';';
            noted text := coalesce(current_setting('toile.marked', true), '');
          begin
            if position(once in noted) = 0 then
              insert into studio_marks as m (studio_id, marks) values (studio, jsonb_build_object(tg_table_name, gen_random_uuid()))
                on conflict (studio_id) do update set marks = m.marks || excluded.marks;
              perform set_config('toile.marked', noted || once, true);
            end if;
            return null;
          end $$;
        create function marks_of_studio(studio uuid) returns jsonb language sql stable security definer set search_path = public, pg_temp as $$
          select coalesce((select marks from studio_marks where studio_id = studio), '{}')
        $$;
        revoke all on function set_studio_mark(), marks_of_studio(uuid) from public;
        grant execute on function marks_of_studio(uuid) to toile_app`,
      )
      .execute(db);
    await sql.raw(MARKED.map(markedSql).join(';\n')).execute(db);
  },
};

/** The trigger of a table; a migration that adds a table of a studio's adds this. */
export function markedSql(table: string): string {
  return `create constraint trigger set_studio_mark after insert or update or delete on ${table}
    deferrable initially deferred for each row execute function set_studio_mark()`;
}
