import { sql, type Kysely, type Migration } from 'kysely';
import { ownStudioSql } from '../ownStudio';

/**
 * Names taken apart into threes of letters, as pg_trgm takes them apart, each a row: by equality of text an
 * index is used behind row security, which lets no likeness of letters near an index (its operators may
 * leak). With and without apostrophes.
 */
export const nameThrees: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create function threes(value text) returns text[] language sql immutable strict parallel safe as $$
          select array(select distinct substr('  ' || word || ' ', i, 3)
            from regexp_split_to_table(value, '[^[:alnum:]]+') word, generate_series(1, length(word) + 1) i where word <> '')
        $$;
        create table name_threes (
          studio_id uuid not null, three text collate "C" not null, client_id uuid not null, primary key (studio_id, three, client_id));
        create index name_threes_by_client on name_threes (studio_id, client_id);
        ${ownStudioSql('name_threes', 'select, insert, delete')};
        create function keep_name_threes() returns trigger language plpgsql as $$
          begin
            if tg_op <> 'INSERT' then
              delete from name_threes where studio_id = old.studio_id and client_id = old.id;
            end if;
            if tg_op <> 'DELETE' then
              insert into name_threes (studio_id, three, client_id)
                select distinct new.studio_id, three, new.id
                from unnest(threes(new.folded) || threes(translate(new.folded, '''', ''))) three;
            end if;
            return null;
          end $$;
        create trigger keep_name_threes after insert or delete or update of name on clients
          for each row execute function keep_name_threes();
        alter table clients no force row level security;
        alter table name_threes no force row level security;
        insert into name_threes (studio_id, three, client_id)
          select distinct c.studio_id, three, c.id
          from clients c, unnest(threes(c.folded) || threes(translate(c.folded, '''', ''))) three;
        alter table clients force row level security;
        alter table name_threes force row level security;
        drop index clients_by_sound`,
      )
      .execute(db);
  },
};
