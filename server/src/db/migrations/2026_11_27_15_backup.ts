import { sql, type Kysely, type Migration } from 'kysely';

/**
 * Which studios there are, by id and name: asked by the server itself when it backs them up, each of which it
 * then reads alone. Row security holds for the owner of the tables too, who may see this one list.
 */
export const backup: Migration = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql
      .raw(
        `create policy listed_by_owner on studios for select to current_user using (true);
        create function studio_list() returns table (id uuid, name text) language sql security definer stable set search_path = public, pg_temp
          as $$ select id, name from studios order by id $$;
        revoke all on function studio_list() from public;
        grant execute on function studio_list() to toile_app`,
      )
      .execute(db);
  },
};
